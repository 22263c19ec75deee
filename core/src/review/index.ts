export { REFITTED, shippedTheta, type Refitted } from './attempt.ts';
export {
  calibrationOf,
  LEAST_FOR_DIAGRAM,
  LEAST_FOR_WORD,
  type Calibration,
} from './calibration.ts';
export { COLUMNS, ordinaryLuck, STAY, type Clearness } from './ledger.ts';
export { LEAST_FOR_PREVIEW, refit, refusalOf, type Refit, type Refusal } from './refit.ts';

export { reviewGame, type GameReview, type ReviewedCall } from './game.ts';
export {
  callsIn,
  keepCall,
  runningOf,
  TIMED_LEGS,
  type KeptTimes,
  type ReckonedReading,
  type TimedLegName,
} from './kept.ts';
export {
  attemptsOf,
  chanceToday,
  hasRun,
  seasonCallOf,
  summaryOf,
  toldOf,
  versionsOf,
  type LookedAt,
  type SeasonCall,
} from './season.ts';
export {
  asLevelChanges,
  chanceAtSum,
  changedVerdicts,
  cushionFor,
  isOutside,
  raceConstantsOf,
} from './learned.ts';
export { scoreReplay, type ReplayedMoment } from './replay.ts';
export {
  goAgainst,
  habitAt,
  habitChanged,
  habitOf,
  HABITS,
  habitsIn,
  STANDS,
  type Habit,
  type SeenHabit,
  type Stands,
} from './book.ts';
export { growthOf, type Growth } from './growth.ts';
export { goOnRhythm, holdPattern, type Share } from './tendencies.ts';
export { needsOfWork, SEASON_GAMES, workOn, type Skill, type WorkOn } from './workOn.ts';
export { offTimesIn } from './offTimes.ts';
