export { fileRoutes } from './files.routes.ts';
export { restoreTeam } from './restore.ts';
