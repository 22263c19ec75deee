export { STEAL_BASES, startOf, stealKinds, type StealBase, type StealKind } from './kinds.ts';
export {
  legsOf,
  questionOf,
  SLIDE_STEP_DOUBT_SECONDS,
  type Basis,
  type KnownPeople,
  type Leg,
  type LegName,
  type Legs,
  type StealQuestion,
  type SupposedTimes,
} from './legs.ts';
export {
  footWorth,
  judgeSteal,
  raceOf,
  sharpestNext,
  USUAL_NEEDED_CHANCE,
  type Judging,
  type Steal,
  type Verdict,
} from './steal.ts';
export {
  mixFigures,
  type MixFigures,
  PITCHOUT_COSTS_RUNS,
  runningGame,
  SLIDE_STEP_COSTS_RUNS,
  STEAL_SWING_RUNS,
} from './mix.ts';
export { goCard, roundedUp, type GoCard } from './card.ts';
export { doubleSteal, firstAndThird } from './double.ts';
export { chanceDelayed, coverOnDelayed, USUAL_COVER_FEET, type DelayedRace } from './delayed.ts';
