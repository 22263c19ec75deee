export { gameReader, readGame, type Conflict, type Reading } from './reading.ts';
export { situationOf, type Situation } from './situation.ts';
export {
  otherSide,
  PLACES,
  SIDES,
  sideAtBat,
  type EventKind,
  type EventOf,
  type GameEvent,
  type GamePosition,
  type Half,
  type LineUp,
  type Move,
  type Place,
  type Side,
  type Spot,
} from './events.ts';
export { battingOf } from './season.ts';
export { boxOf, type Box } from './box.ts';
export { countsOf, type SideCounts } from './counts.ts';
export { recordsOf } from './records.ts';
export type { GameState, PlayRecord } from './state.ts';
export { playThrough } from './playThrough.ts';
export { playOn } from './madeUp.ts';
export { playRulesOf } from './playRules.ts';
export { proposeRunners, type Draft } from './proposals.ts';
export { REASONS, type Reason } from './reasons.ts';
export { parseSlot } from './slot.ts';
export { startLineUp, withBench } from './startingLineUp.ts';
export { slotToTell, type Telling } from './telling.ts';
