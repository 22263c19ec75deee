export {
  believe,
  flagReadings,
  meanInterval,
  nextReadingTail,
  predictNext,
  repsNeeded,
  type DoubtfulSpread,
  type TimedSeconds,
} from './belief.ts';
export {
  constantOf,
  LEVEL_CONSTANT_KEYS,
  type LevelConstantKey,
  LEVEL_CONSTANTS,
  levelOf,
  type LevelChanges,
  type LevelConstant,
} from './constants.ts';
export { lateTaps, nextThumbPitch, type ThumbPitch } from './thumbDrill.ts';
export {
  daysSince,
  estimate,
  OLD_AFTER_DAYS,
  priorOrUnknown,
  spreadOf,
  type Estimate,
} from './estimate.ts';
export { ownSpread } from './evenness.ts';
export { describeBeamMisfit, splitsOfBeams, type Beam } from './gates.ts';
export { EARLY_TELLABLE_SECONDS, judgeLeave, type LeaveVerdict } from './leave.ts';
export {
  LEVEL_NAMES,
  LEVELS,
  levelsOf,
  type Level,
  type LevelName,
  type TypicalTime,
} from './levels.ts';
export { byPopulation, populationKey } from './population.ts';
export {
  ASIDE_REASONS,
  DELIVERY_STYLES,
  METHODS,
  READING_KINDS,
  START_TECHNIQUES,
  boundsOf,
  describeMisfit,
  plainContext,
  type AsideReason,
  type DeliveryStyle,
  type Method,
  type Reading,
  type ReadingContext,
  type ReadingDraft,
  type ReadingKind,
  type StartTechnique,
} from './reading.ts';
export { rhythmOf, type Rhythm } from './rhythm.ts';
export { typedSeconds } from './typed.ts';
export { throwsOn, type Thrower, type ThrowLimits } from './throws.ts';
export {
  calibrate,
  calibrationsOf,
  eventCalibration,
  REPS_FOR_CALIBRATION,
  spreadsTogether,
  TOGETHER_ENOUGH,
  TOGETHER_LEAST,
  type ThumbRep,
  type TogetherSpread,
} from './thumb.ts';
export {
  EVENT_PRIORS,
  stepOfDeviation,
  THUMB_PRIORS,
  thumbPriorFor,
  timerOf,
  type ThumbEvent,
  type Thumbs,
} from './timer.ts';
export {
  READY,
  WATCH_PLANS,
  endWatch,
  expireWatch,
  expectedMark,
  keepMarks,
  patienceSeconds,
  splitsOf,
  tapWatch,
  undoTap,
  type Split,
  type Watch,
  type WatchPlan,
  type WatchPlanName,
} from './watch.ts';
export { figureAt, figuresAt, type Figure, type Grade } from './figures.ts';
