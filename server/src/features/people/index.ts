export { peopleRoutes } from './people.routes.ts';
export { restoreOpponents, restorePeople, selectOpponents, selectPeople } from './people.sql.ts';
