export { timingRoutes } from './timing.routes.ts';
