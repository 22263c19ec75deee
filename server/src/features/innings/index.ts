export { inningsRoutes } from './innings.routes.ts';
export { restoreBatting, saveOrder, selectBatting, selectOrder } from './innings.sql.ts';
