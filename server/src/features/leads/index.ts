export { leadRoutes } from './leads.routes.ts';
export { leadLooks, restoreDives, selectDives } from './leads.sql.ts';
