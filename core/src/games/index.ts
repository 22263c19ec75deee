export { readGame } from './reading.ts';
export { situationOf } from './situation.ts';
export { PLACES, type GameEvent, type Place } from './events.ts';
