export { ownerOnly } from './roles.ts';
export { teamRoutes } from './teams.routes.ts';
export { insertTeam, selectTeam } from './teams.sql.ts';
