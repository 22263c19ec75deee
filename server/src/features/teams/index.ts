export { teamRoutes } from './teams.routes.ts';
