import { PLACES, type EventKind, type GameEvent, type Place } from './events.ts';
import { isFields, isWellFormed } from './shape.ts';
import { parseSlot, type Slot } from './slot.ts';

/** One telling with its place in the list. */
export interface Telling {
  event: GameEvent;
  slot: Slot;
  /** Order of sequence; what is not sent yet comes last, in the order of the list. */
  rank: number;
  isHidden: boolean;
}

/** The same thing told once or more often. */
export interface Thing {
  key: string;
  /** The class before its colon. */
  kind: string;
  slot: Slot;
  slotText: string;
  /** All tellings, hidden ones too, by rank. */
  tellings: readonly Telling[];
  /** The last word on which of them is right. */
  settled: Settle | undefined;
}

/** Somebody says which telling is right. */
export interface Settle {
  rank: number;
  event: string;
}

const BY_KIND: ReadonlySet<EventKind> = new Set<EventKind>([
  'pick',
  'stepOff',
  'steal',
  'balk',
  'runners',
  'appeal',
  'visit',
  'correction',
  'halfEnded',
  'ended',
  'batterUp',
  'outOfTurn',
]);

/** What an entry tells of: entries of one slot and one class tell the same thing. null: it stands alone. */
export function classOf(event: GameEvent): string | null {
  // All others are told by their kind, or stand alone.
  // eslint-disable-next-line @typescript-eslint/switch-exhaustiveness-check
  switch (event.kind) {
    case 'pitch':
    case 'intentionalWalk':
    case 'batterOut':
      return 'pitch';
    case 'sub': {
      const moves = isWellFormed(event) ? event.moves : [];
      return `sub:${word(event.team)}:${moves.map((move) => move.for ?? move.in).join('+')}`;
    }
    case 'courtesy':
      return `courtesy:${word(event.team)}:${word(event.base)}`;
    case 'placed':
      return `placed:${word(event.base)}`;
    case 'absent':
    case 'arrived':
      return `${event.kind}:${word(event.team)}:${word(event.player)}`;
    default:
      return BY_KIND.has(event.kind) ? event.kind : null;
  }
}

const word = (value: unknown): string => (typeof value === 'string' ? value : '?');

/** Things by slot and class, from tellings by rank. */
export function thingsOf(tellings: readonly Telling[], settles: readonly Settle[]): Thing[] {
  const groups = new Map<string, Telling[]>();
  for (const telling of tellings) {
    const { key } = placed(telling.event);
    const group = groups.get(key);
    if (group) group.push(telling);
    else groups.set(key, [telling]);
  }
  return [...groups].flatMap(([key, group]): Thing[] => {
    const [first] = group;
    if (!first) return [];
    return [
      {
        key,
        kind: placed(first.event).kind,
        slot: first.slot,
        slotText: first.event.slot,
        tellings: group,
        settled: settles.findLast(({ event }) =>
          group.some((each) => !each.isHidden && each.event.id === event),
        ),
      },
    ];
  });
}

/** At one place: everything else, the pitch, then what ends the half or the game. */
function groupAt({ kind }: Thing): number {
  if (kind === 'opened') return -1;
  if (kind === 'pitch') return 1;
  return kind === 'halfEnded' || kind === 'ended' ? 2 : 0;
}

/** Things in the order in which they are read. */
export function inOrder(things: readonly Thing[], compare: (a: Slot, b: Slot) => number): Thing[] {
  const byRank = things.toSorted((a, b) => lowest(a) - lowest(b));
  const openings = byRank.filter(({ kind }) => kind === 'opened');
  const rest = byRank.filter(({ kind }) => kind !== 'opened');
  const sorted = rest.toSorted(
    (a, b) => compare(a.slot, b.slot) || groupAt(a) - groupAt(b) || lowest(a) - lowest(b),
  );
  // Those at one place stand as whoever told both told them.
  for (let at = 1; at < sorted.length; at += 1) {
    for (let back = at; back > 0; back -= 1) {
      const [before, now] = [sorted[back - 1], sorted[back]];
      if (!before || !now) break;
      if (compare(before.slot, now.slot) !== 0 || groupAt(before) !== groupAt(now)) break;
      if (!isToldBefore(now, before)) break;
      sorted[back - 1] = now;
      sorted[back] = before;
    }
  }
  return [...openings, ...sorted];
}

function lowest({ tellings }: Thing): number {
  return tellings.find(({ isHidden }) => !isHidden)?.rank ?? tellings[0]?.rank ?? 0;
}

/** Whether the most trusted device that told both told the first one before the second. */
function isToldBefore(first: Thing, second: Thing): boolean {
  for (const place of PLACES) {
    const at = (thing: Thing, device: string) =>
      thing.tellings.find(
        ({ event, isHidden }) => !isHidden && event.place === place && event.device === device,
      );
    for (const { event, isHidden, rank } of first.tellings) {
      if (isHidden || event.place !== place) continue;
      const other = at(second, event.device);
      if (other) return rank < other.rank;
    }
  }
  return false;
}

export function trustOf(place: Place): number {
  const trust = PLACES.indexOf(place);
  return trust < 0 ? PLACES.length : trust;
}

const ENVELOPE: ReadonlySet<string> = new Set(['id', 'seq', 'device', 'place', 'at', 'slot']);
/** Details that never make a conflict. */
const DETAILS: ReadonlySet<string> = new Set([
  'at',
  'zone',
  'why',
  'style',
  'going',
  'dirt',
  'double',
]);

type Fields = Record<string, unknown>;

/** What an entry says beyond its envelope. */
function saidBy(event: GameEvent): Fields {
  return Object.fromEntries(
    Object.entries(event as unknown as Fields).filter(
      ([field, value]) => !ENVELOPE.has(field) && value !== undefined,
    ),
  );
}

/** Whether no field that both say differs. */
export function agrees(a: GameEvent, b: GameEvent): boolean {
  const [one, other] = [saidBy(a), saidBy(b)];
  return Object.entries(one).every(([field, value]) => {
    if (!(field in other)) return true;
    const isDetail = DETAILS.has(field) && !(field === 'why' && a.kind === 'ended');
    return isDetail || sameField(field, value, other[field]);
  });
}

function sameField(field: string, a: unknown, b: unknown): boolean {
  if (field === 'runners') return sameMoves(a, b);
  if (field === 'fielders') return Array.isArray(a) && Array.isArray(b) && a[0] === b[0];
  if (field === 'ball' && isFields(a) && isFields(b)) {
    return Object.entries(a).every(
      ([name, value]) => !(name in b) || DETAILS.has(name) || sameField(name, value, b[name]),
    );
  }
  return same(a, b);
}

function sameMoves(a: unknown, b: unknown): boolean {
  if (!Array.isArray(a) || !Array.isArray(b)) return same(a, b);
  const ends = (moves: unknown[]): string =>
    moves
      .map((move) =>
        isFields(move) ? `${word(move['from'])} ${word(move['to'])} ${word(move['out'])}` : '',
      )
      .toSorted()
      .join();
  return ends(a) === ends(b);
}

/** Whether two values say the same, whatever the order of their fields. */
export function same(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((each, index) => same(each, b[index]));
  if (!isFields(a) || !isFields(b)) return false;
  const [one, other] = [Object.keys(a), Object.keys(b)];
  return (
    one.length === other.length && one.every((field) => field in b && same(a[field], b[field]))
  );
}

/** The first entry with what it does not say taken from the second. */
export function filledIn(holder: GameEvent, other: GameEvent): GameEvent {
  const more = saidBy(other);
  const filled: Fields = { ...more, ...(holder as unknown as Fields) };
  if (isFields(filled['ball']) && isFields(more['ball']))
    filled['ball'] = { ...more['ball'], ...filled['ball'] };
  return filled as unknown as GameEvent;
}

export function slotOf(event: GameEvent): Slot | null {
  return placed(event).slot;
}

/** Where an entry belongs; it never changes, and every reading of a list asks for all of them again. */
interface Placed {
  slot: Slot | null;
  key: string;
  kind: string;
}
const known = new WeakMap<GameEvent, Placed>();

function placed(event: GameEvent): Placed {
  const before = known.get(event);
  if (before) return before;
  const slot = typeof event.slot === 'string' ? parseSlot(event.slot) : null;
  const told = classOf(event);
  const [kind = ''] = (told ?? event.kind).split(':');
  const isAlone = slot === null || told === null;
  const found = { slot, kind, key: isAlone ? `alone ${event.id}` : `${event.slot} ${told}` };
  known.set(event, found);
  return found;
}
