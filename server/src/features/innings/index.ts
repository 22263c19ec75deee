export { inningsRoutes } from './innings.routes.ts';
export { restoreBatting, restoreOrder, selectBatting, selectOrder } from './innings.sql.ts';
