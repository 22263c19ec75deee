export { buntRoutes } from './bunts.routes.ts';
export { buntTries } from './bunts.sql.ts';
