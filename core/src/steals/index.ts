export {
  STEAL_BASES,
  STEAL_KINDS,
  startOf,
  stealKinds,
  type Start,
  type StealBase,
  type StealKind,
} from './kinds.ts';
export {
  legsOf,
  questionOf,
  untimedLegs,
  type Attempt,
  type Basis,
  type KnownPeople,
  type Leg,
  type LegName,
  type Legs,
  type StealQuestion,
  type Timed,
} from './legs.ts';
export {
  footWorth,
  judgeSteal,
  raceOf,
  sharpestNext,
  USUAL_NEEDED_CHANCE,
  VERDICTS,
  type Judging,
  type Sharper,
  type Steal,
  type Verdict,
} from './steal.ts';
export {
  mixFigures,
  PITCHOUT_COSTS_RUNS,
  runningGame,
  SLIDE_STEP_COSTS_RUNS,
  STEAL_SWING_RUNS,
  type Counter,
  type MixFigures,
  type RunningGame,
  type RunningGameAnswer,
} from './mix.ts';
export { goCard, roundedUp, type CardCell, type GoCard, type GoCardRow } from './card.ts';
export { doubleSteal, firstAndThird, type DoubleSteal, type FirstAndThird } from './double.ts';
export { chanceDelayed, coverOnDelayed, USUAL_COVER_FEET, type DelayedRace } from './delayed.ts';
