export { practiceRoutes } from './drills.routes.ts';
export { drillReps, restorePractices, selectPractices } from './drills.sql.ts';
