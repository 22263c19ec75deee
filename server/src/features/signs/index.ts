export { rewrapKeys } from './rewrap.ts';
export { makeVault } from './seal.ts';
export { insertAnswers, saveBook } from './signs.sql.ts';
export { drillRoutes, signRoutes } from './signs.routes.ts';
