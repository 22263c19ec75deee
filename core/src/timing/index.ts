export {
  LEVEL_NAMES,
  LEVELS,
  levelsOf,
  type Level,
  type LevelName,
  type TypicalTime,
} from './levels.ts';
export { looksWrong } from './looksWrong.ts';
export { spreadOf, type Spread } from './population.ts';
export {
  ASIDE_REASONS,
  CREDIBLE_SECONDS,
  DELIVERY_STYLES,
  METHODS,
  READING_KINDS,
  describeMisfit,
  type AsideReason,
  type DeliveryStyle,
  type Method,
  type Reading,
  type ReadingDraft,
  type ReadingKind,
} from './reading.ts';
export {
  READY,
  WATCH_PLANS,
  endWatch,
  expireWatch,
  expectedMark,
  planForBattery,
  splitsOf,
  tapWatch,
  undoTap,
  type Split,
  type Watch,
  type WatchPlan,
  type WatchPlanName,
} from './watch.ts';
