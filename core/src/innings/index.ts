export { chainOf, type Batting, type Chain, type Transition } from './chain.ts';
export { PLAY_LEVELS } from './playLevels.ts';
export {
  describeAdvanceMisfit,
  describeRatesMisfit,
  EVENTS,
  NO_SITUATION,
  type Advance,
  type BattingEvent,
  type BattingRates,
  type BuntOutcomes,
  type ByOuts,
  type PlayLevel,
  type Situation,
} from './rates.ts';
export { MOST_RUNS, runDistributions, runExpectancies, scoringChances } from './runs.ts';
export {
  baseOut,
  basesOf,
  isOver,
  loadOf,
  outsOf,
  overWith,
  runnersOn,
  stateLabel,
  STATES,
  type BaseOut,
  type Bases,
} from './state.ts';
export {
  describeStandingMisfit,
  HALVES,
  plainRules,
  winBook,
  type GameRules,
  type Half,
  type Standing,
  type WinBook,
} from './book.ts';
export { halfEnds, sideOf, sideRunExpectancies, type HalfEnds, type Side } from './side.ts';
export {
  breakEvenOf,
  breakEvensAt,
  GAMBLES,
  type BreakEven,
  type Gamble,
  type Needed,
} from './breakEven.ts';
export { byRuns, byWin, type Value } from './value.ts';
export {
  CONTACT,
  contactValue,
  INFIELDS,
  sacrificeChain,
  squeezeValue,
  stepWorth,
  twoStrikeRates,
  USUAL_SQUEEZE,
  walkValue,
  type ContactShares,
  type Infield,
  type SqueezeOutcomes,
} from './tactics.ts';
export {
  ACTIONS,
  policyByRuns,
  policyByWin,
  tacticsOf,
  type Action,
  type RunPolicy,
  type StealChances,
  type Tactics,
  type WinPolicy,
} from './policy.ts';
export { gameRulesOf } from './rulesOf.ts';
export { CAUTION, SAYINGS, testSayings, type Saying, type SayingTested } from './sayings.ts';
export {
  describeTotalsMisfit,
  gameRuns,
  LEVEL_WEIGHT,
  ownRates,
  TOTALS,
  totalsTogether,
  type BattingTotals,
  type OwnRates,
} from './own.ts';
