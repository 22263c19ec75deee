export { chainOf, stepsFrom, type Batting, type Chain } from './chain.ts';
export { PLAY_LEVELS } from './playLevels.ts';
export {
  describeAdvanceMisfit,
  describeSharesMisfit,
  EVENTS,
  type BattingEvent,
  INFIELDS,
  NO_SITUATION,
  type BattingRates,
  type BuntOutcomes,
  type ContactShares,
  type Infield,
  type KnownBunt,
  type SqueezeOutcomes,
} from './rates.ts';
export { runDistributions, runExpectancies, scoringChances } from './runs.ts';
export {
  baseOut,
  FIRST,
  loadOf,
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
} from './game.ts';
export { openBook, winBook, type WinBook } from './book.ts';
export { winTables, type WinTables } from './winTables.ts';
export {
  halfEnds,
  sideOf,
  sideRunExpectancies,
  sideScoringChances,
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
export { byRuns, byWin, tableOf, valueFrom, type Value, type ValueTable } from './value.ts';
export { usualChance } from './usual.ts';
export { sacrificeChain, sacrificeFrom } from './sacrifice.ts';
export { squeezeFrom } from './squeeze.ts';
export { contactValue, infieldInSaves, stepsWorth, walkValue } from './tactics.ts';
export {
  ACTIONS,
  policyByRuns,
  tacticsOf,
  type Action,
  type StealChances,
  type Tactics,
} from './policy.ts';
export { policyByWin } from './winPolicy.ts';
export { gameRulesOf } from './rulesOf.ts';
export { CAUTION, testSayings, type Saying, type SayingTested } from './sayings.ts';
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
} from './own.ts';
