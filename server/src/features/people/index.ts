export { peopleRoutes } from './people.routes.ts';
