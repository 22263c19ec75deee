export { basesRoutes } from './bases.routes.ts';
export { fielderLooks } from './bases.sql.ts';
