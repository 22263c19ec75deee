export { fileRoutes } from './files.routes.ts';
