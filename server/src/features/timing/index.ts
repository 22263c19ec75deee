export { teamThumbRoutes, thumbRoutes } from './thumb.routes.ts';
export { restoreTogether, selectTogether } from './thumb.sql.ts';
export { timingRoutes } from './timing.routes.ts';
export {
  insertReadings,
  restoreReadings,
  selectInParts,
  selectReading,
  takeMarks,
} from './timing.sql.ts';
