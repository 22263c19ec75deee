export { boundedTellings } from './bounded.ts';
export { gameReader, readGame, type Reading } from './reading.ts';
export { situationOf, type Situation } from './situation.ts';
export {
  otherSide,
  PLACES,
  sideAtBat,
  type EventKind,
  type EventOf,
  type GameEvent,
  type GamePosition,
  type LineUp,
  type Move,
  type Place,
  type Side,
  type Spot,
} from './events.ts';
export { battingOf, buntsOf } from './season.ts';
export { looksOf } from './fielding.ts';
export { boxOf } from './box.ts';
export { countsOf } from './counts.ts';
export { recordsOf } from './records.ts';
export type { GameState } from './state.ts';
export { playThrough } from './playThrough.ts';
export { playOn, type MadeUpRunning } from './madeUp.ts';
export { playRulesOf } from './playRules.ts';
export { proposeRunners, type Draft } from './proposals.ts';
export { REASONS } from './reasons.ts';
export { startLineUp, withBench } from './startingLineUp.ts';
export { slotToTell, type Telling } from './telling.ts';
export { isFields } from './shape.ts';
