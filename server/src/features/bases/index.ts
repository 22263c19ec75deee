export { basesRoutes } from './bases.routes.ts';
export { insertLooks, selectAllLooks } from './bases.sql.ts';
