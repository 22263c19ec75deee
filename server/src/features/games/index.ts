export { entryRoutes } from './entries.routes.ts';
export { entranceRoutes, passRoutes } from './passes.routes.ts';
export { gameRoutes } from './games.routes.ts';
export { makeLive, type Live } from './live.ts';
export { restoreGames, selectGamesWhole, selectReplay } from './games.sql.ts';
