import type { EventKind, GameEvent } from './events.ts';
import type { Reason } from './reasons.ts';
import { comparePlaces, type Slot } from './slot.ts';
import { same, slotOf, type Settle, type Telling } from './things.ts';

/** An entry that is not counted, and why. */
export interface Flagged {
  id: string;
  code: Reason;
}
/** With its place in the order of sequence. */
export interface Ranked extends Flagged {
  rank: number;
}

/** A list by sequence, each entry once, with what is undone marked and what is settled. */
export interface Prepared {
  tellings: Telling[];
  flagged: Ranked[];
  settles: Settle[];
  byId: Map<string, Entry>;
  /** The highest sequence; of what is not sent yet, infinity. */
  lastSeq: number;
}
interface Entry {
  event: GameEvent;
  rank: number;
}

const KNOWN: Record<EventKind, true> = {
  opened: true,
  pitch: true,
  intentionalWalk: true,
  batterOut: true,
  pick: true,
  stepOff: true,
  balk: true,
  steal: true,
  runners: true,
  appeal: true,
  batterUp: true,
  outOfTurn: true,
  sub: true,
  courtesy: true,
  placed: true,
  absent: true,
  arrived: true,
  alignment: true,
  sign: true,
  reading: true,
  advice: true,
  visit: true,
  halfEnded: true,
  ended: true,
  correction: true,
  undo: true,
  settle: true,
};

export function prepare(events: readonly GameEvent[]): Prepared {
  const flagged: Ranked[] = [];
  const sorted = events
    .map((event, index) => ({ event, index }))
    .toSorted((a, b) => {
      const [one, other] = [a.event.seq ?? null, b.event.seq ?? null];
      if (one === other) return a.index - b.index;
      if (one === null) return 1;
      return other === null ? -1 : one - other;
    });
  const byId = new Map<string, Entry>();
  const known: Entry[] = [];
  for (const { event } of sorted) {
    const rank = known.length;
    const first = byId.get(event.id);
    if (first) {
      const [{ seq: _a, ...one }, { seq: _b, ...other }] = [first.event, event];
      if (!same(one, other)) flagged.push({ id: event.id, code: 'idReused', rank });
      continue;
    }
    const entry = { event, rank };
    byId.set(event.id, entry);
    known.push(entry);
  }
  const hidden = hiddenOf(known, byId, flagged);
  const settles: Settle[] = [];
  const tellings: Telling[] = [];
  for (const { event, rank } of known) {
    const isHidden = hidden.has(event.id);
    if (event.kind === 'undo') continue;
    if (event.kind === 'settle') {
      if (isHidden) continue;
      const target = byId.get(event.event);
      if (!target || target.rank >= rank || hidden.has(event.event))
        flagged.push({ id: event.id, code: 'nothingToSettle', rank });
      else settles.push({ rank, event: event.event });
      continue;
    }
    if (!(event.kind in KNOWN)) {
      if (!isHidden) flagged.push({ id: (event as GameEvent).id, code: 'unknownKind', rank });
      continue;
    }
    const slot = slotOf(event);
    if (!slot) {
      if (!isHidden) flagged.push({ id: event.id, code: 'malformed', rank });
      continue;
    }
    tellings.push({ event, slot, rank, isHidden });
  }
  const last = sorted.at(-1)?.event;
  const lastSeq = last ? (last.seq ?? Number.POSITIVE_INFINITY) : 0;
  return { tellings, flagged, settles, byId, lastSeq };
}

/** Read from the last: an undo in force hides its target, and with it all earlier undos of the same. */
function hiddenOf(
  known: readonly Entry[],
  byId: ReadonlyMap<string, Entry>,
  flagged: Ranked[],
): ReadonlySet<string> {
  const hidden = new Set<string>();
  for (const { event, rank } of known.toReversed()) {
    if (event.kind !== 'undo' || hidden.has(event.id)) continue;
    const target = byId.get(event.event);
    if (!target || target.rank >= rank) {
      flagged.push({ id: event.id, code: 'nothingToUndo', rank });
      continue;
    }
    hidden.add(target.event.id);
    if (target.event.kind !== 'undo') continue;
    const { event: undone } = target.event;
    for (const earlier of known) {
      if (
        earlier.rank < target.rank &&
        earlier.event.kind === 'undo' &&
        earlier.event.event === undone
      )
        hidden.add(earlier.event.id);
    }
  }
  return hidden;
}

/** Whether an entry can be read on from where the list stands: new, last of all, and of no earlier place. */
export function isPlain(
  event: GameEvent,
  { byId, lastSeq }: Prepared,
  lastSlot: Slot | undefined,
): boolean {
  if (!(event.kind in KNOWN) || ALWAYS_ANEW.has(event.kind) || byId.has(event.id)) return false;
  const slot = slotOf(event);
  if (!slot || !lastSlot || (event.seq ?? Number.POSITIVE_INFINITY) < lastSeq) return false;
  return comparePlaces(slot, lastSlot) >= 0;
}

const ALWAYS_ANEW: ReadonlySet<string> = new Set(['opened', 'undo', 'settle']);

/** Whether an undo, new and last of all, does nothing but hide what it names: nothing is settled that it could take along. */
export function isPlainUndo(
  event: Extract<GameEvent, { kind: 'undo' }>,
  { byId, lastSeq, settles }: Prepared,
): boolean {
  return (
    !byId.has(event.id) &&
    settles.length === 0 &&
    (event.seq ?? Number.POSITIVE_INFINITY) >= lastSeq
  );
}

/** Takes an entry in behind all others. @returns its rank */
export function takeIn(prepared: Prepared, event: GameEvent): number {
  const rank = prepared.byId.size;
  prepared.byId.set(event.id, { event, rank });
  prepared.lastSeq = event.seq ?? Number.POSITIVE_INFINITY;
  return rank;
}

/** The same of one that has a place. */
export function addTo(prepared: Prepared, event: GameEvent): Telling {
  const rank = takeIn(prepared, event);
  const slot = slotOf(event);
  if (!slot) throw new RangeError('addTo needs an entry with a slot');
  return { event, slot, rank, isHidden: false };
}
