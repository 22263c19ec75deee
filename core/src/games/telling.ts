import type { EventKind, EventOf, GameEvent } from './events.ts';
import { prepare } from './listing.ts';
import { makeSlot, parseSlot } from './slot.ts';
import { classOf, thingsOf } from './things.ts';

/** What a device is about to say, without what the envelope adds. */
export type Telling<K extends EventKind = EventKind> = {
  [Kind in K]: { kind: Kind } & Omit<
    EventOf<Kind>,
    'id' | 'seq' | 'device' | 'place' | 'at' | 'slot' | 'kind'
  >;
}[K];

/**
 * The slot to tell something with: where the game stands for the teller, numbered when another thing of
 * the kind was told there already (`#2`). Pitches are never numbered: a second telling is the same pitch.
 * @param events what the device has in view, its own unsent ones too
 * @param stands the situation's slot, or that of the entry that is told again
 */
export function slotToTell(events: readonly GameEvent[], stands: string, telling: Telling): string {
  const place = parseSlot(stands);
  const kind = classOf(telling as GameEvent);
  if (!place || kind === null || kind === 'pitch') return stands;
  const here = events.filter(({ slot }) => typeof slot === 'string' && isAt(slot, stands));
  const undos = events.filter((event) => event.kind === 'undo');
  const things = thingsOf(prepare([...here, ...undos]).tellings, []);
  const taken = things.flatMap(({ tellings, slot }) =>
    tellings.some(({ event, isHidden }) => !isHidden && classOf(event) === kind) ? [slot.nth] : [],
  );
  return makeSlot({ ...place, nth: 1 + Math.max(0, ...taken) });
}

/** Whether a slot is of a place, whichever thing of its kind it names. */
function isAt(slot: string, place: string): boolean {
  return slot === place || slot.startsWith(`${place}#`);
}
