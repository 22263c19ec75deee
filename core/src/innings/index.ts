export { chainOf, type Batting, type Chain, type Transition } from './chain.ts';
export { PLAY_LEVELS } from './playLevels.ts';
export {
  describeAdvanceMisfit,
  describeSharesMisfit,
  EVENTS,
  INFIELDS,
  NO_SITUATION,
  type Advance,
  type BattingEvent,
  type BattingRates,
  type BuntOutcomes,
  type ByOuts,
  type ContactShares,
  type Infield,
  type PlayLevel,
  type SituationFactors,
  type SqueezeOutcomes,
} from './rates.ts';
export { MOST_RUNS, runDistributions, runExpectancies, scoringChances } from './runs.ts';
export {
  baseOut,
  basesOf,
  FIRST,
  isOver,
  loadOf,
  outsOf,
  overWith,
  runnersOn,
  SECOND,
  stateLabel,
  STATES,
  THIRD,
  type BaseOut,
  type Bases,
} from './state.ts';
export {
  CONTACT,
  describeChangesMisfit,
  playLevelOf,
  USUAL_SQUEEZE,
  withoutSteals,
  type PlayChanges,
  type TeamLevel,
} from './ownLevel.ts';
export {
  describeStandingMisfit,
  lastOwnInning,
  HALVES,
  plainRules,
  type GameRules,
  type Half,
  type Standing,
} from './game.ts';
export { openBook, winBook, type WinBook } from './book.ts';
export { winTables, type WinTables } from './winTables.ts';
export {
  halfEnds,
  sideOf,
  sideRunExpectancies,
  sideScoringChances,
  type HalfEnds,
  type BattingSide,
} from './side.ts';
export {
  breakEvenOf,
  breakEvensAt,
  GAMBLES,
  type BreakEven,
  type Gamble,
  type Needed,
} from './breakEven.ts';
export { byRuns, byWin, type Value } from './value.ts';
export { usualChance } from './usual.ts';
export { sacrificeChain, sacrificeFrom, twoStrikeRates } from './sacrifice.ts';
export { squeezeFrom } from './squeeze.ts';
export { contactValue, infieldInSaves, stepsWorth, walkValue } from './tactics.ts';
export {
  ACTIONS,
  policyByRuns,
  tacticsOf,
  type Action,
  type RunPolicy,
  type StealChances,
  type Tactics,
} from './policy.ts';
export { policyByWin, type BestChoice, type WinPolicy } from './winPolicy.ts';
export { gameRulesOf } from './rulesOf.ts';
export { CAUTION, SAYINGS, testSayings, type Saying, type SayingTested } from './sayings.ts';
export {
  describeTotalsMisfit,
  BUNT_WEIGHT,
  gameRuns,
  LEVEL_WEIGHT,
  ownBunt,
  ownRates,
  TOTALS,
  totalsTogether,
  type BattingTotals,
  type OwnRates,
} from './own.ts';
