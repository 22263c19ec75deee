export { accountRoutes } from './accounts.routes.ts';
export { hashPassword } from './passwords.ts';
