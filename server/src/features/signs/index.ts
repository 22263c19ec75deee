export { rewrapKeys } from './rewrap.ts';
export { drillRoutes, signRoutes } from './signs.routes.ts';
