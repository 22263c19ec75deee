export { leadRoutes } from './leads.routes.ts';
export { restoreDives, selectDives } from './leads.sql.ts';
