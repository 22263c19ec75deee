export { adviceRoutes } from './advice.routes.ts';
export { saveReminders, selectReminders } from './advice.sql.ts';
