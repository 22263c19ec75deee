export { buntRoutes } from './bunts.routes.ts';
export { insertTries, selectAllTries } from './bunts.sql.ts';
