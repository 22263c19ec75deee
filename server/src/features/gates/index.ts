export { gateEventRoutes, gateRoutes } from './gates.routes.ts';
export { restoreRuns, selectAllRuns } from './gates.sql.ts';
