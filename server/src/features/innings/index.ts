export { inningsRoutes } from './innings.routes.ts';
export { restoreBatting, selectBatting } from './innings.sql.ts';
