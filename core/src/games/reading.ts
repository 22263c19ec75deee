import type { GameEvent } from './events.ts';
import {
  addTo,
  isPlain,
  isPlainUndo,
  prepare,
  takeIn,
  type Flagged,
  type Ranked,
} from './listing.ts';
import { apply, applyPlay, lastTurnWasWrong, outForOrder, renumber } from './law.ts';
import { startsHalf } from './correction.ts';
import { comparePlaces, type Slot } from './slot.ts';
import { isReason, type Applied, type GameState } from './state.ts';
import {
  agrees,
  filledIn,
  inOrder,
  thingsOf,
  trustOf,
  type Telling,
  type Thing,
} from './things.ts';

/** Tellings of one thing that say different things. */
interface Conflict {
  slot: string;
  kind: string;
  /** The one that holds first, then by trust. */
  events: string[];
  holds: string;
  /** Somebody has said which one is right, after all that is against it. */
  settled: boolean;
}

/** What a list of entries comes to. */
export interface Reading {
  /** null: not opened. */
  state: GameState | null;
  flagged: Flagged[];
  conflicts: Conflict[];
}

/** What reading one thing came to; `redone` replaces what things before it came to. */
interface Outcome {
  flags: readonly Ranked[];
  conflict: Conflict | null;
  redone: ReadonlyMap<number, Outcome>;
}
const NOTHING: Outcome = { flags: [], conflict: null, redone: new Map() };

/** A step of the reading: a thing, and where the game stands after it. */
interface Step {
  thing: Thing;
  state: GameState | null;
  outcome: Outcome;
  /** Steps since the last play, it included: an appeal reads them again. */
  since: readonly number[];
}

/**
 * Reads a list of entries: pure, and never throws, whatever the list. Every entry is in force, hidden
 * by an undo, held back by another telling of the same thing, or flagged with its reason.
 */
export function readGame(events: readonly GameEvent[]): Reading {
  return gameReader()(events);
}

/**
 * Reads a list that grows, again and again, with the same answer as `readGame`: what comes at the end is
 * read on, and what comes in between is read from its place.
 */
export function gameReader(): (events: readonly GameEvent[]) => Reading {
  // A copy: whoever reads may put the next entry into the same list.
  let known: GameEvent[] = [];
  let steps: Step[] = [];
  let prepared = prepare([]);
  let reading: Reading = { state: null, flagged: [], conflicts: [] };
  return (events) => {
    const isLonger =
      events.length >= known.length && known.every((event, index) => event === events[index]);
    const more = isLonger ? events.slice(known.length) : [];
    if (isLonger) known.push(...more);
    else known = [...events];
    const isReadOn = more.every((event) => readOn(event) || takeBack(event));
    if (isLonger && isReadOn) return reading;
    prepared = prepare(events);
    readFrom(0, prepared.tellings);
    return reading;
  };

  /** Reads one more behind all others. @returns whether it could */
  function readOn(event: GameEvent): boolean {
    if (!isPlain(event, prepared, steps.at(-1)?.thing.slot)) return false;
    const telling = addTo(prepared, event);
    readAgain(telling.slot, (here) => [...here, telling]);
    return true;
  }

  /** Takes back what was told before, as an undo says: only what comes after it is read again. @returns whether it could */
  function takeBack(event: GameEvent): boolean {
    if (event.kind !== 'undo' || !isPlainUndo(event, prepared)) return false;
    // An undo of an undo brings others back: neither it nor the opening is found here.
    const target = steps
      .filter(({ thing }) => thing.kind !== 'opened')
      .flatMap(({ thing }) => thing.tellings)
      .find((telling) => telling.event.id === event.event);
    if (!target) return false;
    takeIn(prepared, event);
    readAgain(target.slot, (here) =>
      here.map((telling) => (telling === target ? { ...telling, isHidden: true } : telling)),
    );
    return true;
  }

  /** Reads again from a place on, with its tellings changed: what stands there may be the same thing, or come after it. */
  function readAgain(slot: Slot, change: (here: Telling[]) => Telling[]): void {
    const from = steps.findLastIndex(
      ({ thing }) => thing.kind === 'opened' || comparePlaces(thing.slot, slot) < 0,
    );
    const here = steps.slice(from + 1).flatMap(({ thing }) => thing.tellings);
    readFrom(
      from + 1,
      change(here).toSorted((a, b) => a.rank - b.rank),
    );
  }

  /** Puts these in the place of all steps from an index on; of those, the ones that stay the same are not read again. */
  function readFrom(from: number, tellings: readonly Telling[]): void {
    const things = inOrder(thingsOf(tellings, prepared.settles), comparePlaces);
    const before = steps.slice(from);
    const differs = things.findIndex((thing, index) => !isSameThing(thing, before[index]?.thing));
    const kept = differs < 0 ? things.length : differs;
    steps = steps.slice(0, from + kept);
    for (const thing of things.slice(kept)) steps.push(stepFrom(steps, thing));
    const last = steps.at(-1);
    // Of a list read anew what was flagged before is not known to stand.
    const isOneMore = from > 0 && kept === before.length && things.length === kept + 1;
    reading =
      isOneMore && last
        ? withStep(reading, last, steps, prepared.flagged)
        : { state: last?.state ?? null, ...collect(steps, prepared.flagged) };
  }
}

function isSameThing(thing: Thing, before: Thing | undefined): boolean {
  return (
    before?.key === thing.key &&
    thing.settled?.rank === before.settled?.rank &&
    thing.settled?.event === before.settled?.event &&
    thing.tellings.length === before.tellings.length &&
    thing.tellings.every((telling, index) => {
      const other = before.tellings[index];
      return (
        telling.event === other?.event &&
        telling.isHidden === other.isHidden &&
        telling.rank === other.rank
      );
    })
  );
}

function stepFrom(steps: readonly Step[], thing: Thing): Step {
  const before = steps.at(-1);
  const from = before?.state ?? null;
  const read = readThing(from, thing, before?.since ?? [], steps);
  const isPlay = read.state?.lastPlay !== from?.lastPlay;
  const isAppeal = thing.kind === 'appeal' || thing.kind === 'outOfTurn';
  // A play begins the list; what is appealed of it stays within it.
  const since = isPlay && !isAppeal ? [] : (before?.since ?? []);
  return { thing, ...read, since: [...since, steps.length] };
}

/** The reading with one step more at its end. */
function withStep(
  { flagged, conflicts }: Reading,
  step: Step,
  steps: readonly Step[],
  early: readonly Ranked[],
): Reading {
  const { flags, conflict, redone } = step.outcome;
  const isQuiet = flags.length === 0 && conflict === null && redone.size === 0;
  return {
    state: step.state,
    ...(isQuiet ? { flagged, conflicts } : collect(steps, early)),
  };
}

/** Everything that was found, what was read again in place of what it was before. */
function collect(
  steps: readonly Step[],
  early: readonly Ranked[],
): Pick<Reading, 'flagged' | 'conflicts'> {
  const last = steps.map(({ outcome }) => outcome);
  for (const { outcome } of steps) for (const [index, again] of outcome.redone) last[index] = again;
  const flags = [...early, ...last.flatMap(({ flags: found }) => found)];
  return {
    flagged: flags.toSorted((a, b) => a.rank - b.rank).map(({ id, code }) => ({ id, code })),
    conflicts: last.flatMap(({ conflict }) => conflict ?? []),
  };
}

/** Reads one thing: the first telling that can be holds, the others agree with it or stand against it. */
function readThing(
  state: GameState | null,
  thing: Thing,
  since: readonly number[],
  steps: readonly Step[],
): { state: GameState | null; outcome: Outcome } {
  const inForce = thing.tellings.filter(({ isHidden }) => !isHidden);
  const { settled } = thing;
  const byTrust = inForce.toSorted(
    (a, b) =>
      Number(b.event.id === settled?.event) - Number(a.event.id === settled?.event) ||
      trustOf(a.event.place) - trustOf(b.event.place) ||
      a.rank - b.rank,
  );
  const after = (next: GameState | null): GameState | null => {
    if (thing.kind !== 'correction' || !next) return next;
    const moves = thing.tellings.some(
      ({ event }) => event.kind === 'correction' && startsHalf(event.set),
    );
    return moves ? renumber(next, thing.slot) : next;
  };
  const flags: Ranked[] = [];
  for (const [index, telling] of byTrust.entries()) {
    const rest = byTrust.slice(index + 1);
    const { event: filled, against } = together(telling, rest);
    let tried = tryEvent(state, filled, thing, since, steps);
    if (isReason(tried.applied) && filled !== telling.event)
      tried = tryEvent(state, telling.event, thing, since, steps);
    if (isReason(tried.applied)) {
      flags.push({ id: telling.event.id, code: tried.applied, rank: telling.rank });
      continue;
    }
    const conflict: Conflict | null =
      against.length === 0
        ? null
        : {
            slot: thing.slotText,
            kind: thing.kind,
            events: [telling, ...rest].map(({ event }) => event.id),
            holds: telling.event.id,
            settled:
              settled?.event === telling.event.id &&
              against.every(({ rank }) => rank < settled.rank),
          };
    return {
      state: after(tried.applied),
      outcome: { flags, conflict, redone: tried.redone },
    };
  }
  return { state: after(state), outcome: { ...NOTHING, flags } };
}

/** The holder with what others who agree say more, and those who say otherwise. */
function together(
  holder: Telling,
  rest: readonly Telling[],
): { event: GameEvent; against: Telling[] } {
  let { event } = holder;
  const against: Telling[] = [];
  for (const other of rest) {
    if (agrees(event, other.event)) event = filledIn(event, other.event);
    else against.push(other);
  }
  return { event, against };
}

interface Tried {
  applied: Applied;
  redone: ReadonlyMap<number, Outcome>;
}

function tryEvent(
  state: GameState | null,
  event: GameEvent,
  thing: Thing,
  since: readonly number[],
  steps: readonly Step[],
): Tried {
  const once = (applied: Applied): Tried => ({ applied, redone: new Map() });
  if (state && event.kind === 'appeal') {
    const { lastPlay } = state;
    if (!lastPlay) return once('nothingToAppeal');
    const appeals = [...lastPlay.appeals, event];
    return again(applyPlay(lastPlay.before, lastPlay.event, appeals), since, steps);
  }
  if (state && event.kind === 'outOfTurn') {
    if (!state.lastPlay || !lastTurnWasWrong(state)) return once('notOutOfTurn');
    return again(outForOrder(state.lastPlay), since, steps);
  }
  const applied = apply(state, event, thing.slot);
  return once(isReason(applied) ? applied : notBelow(applied, thing.slot));
}

/** Within a turn a game is never before what is told of it. */
function notBelow(state: GameState, slot: Slot): GameState {
  const isHere =
    slot.number === state.number &&
    slot.half === state.half &&
    slot.inning === state.inning &&
    slot.turn === state.turn;
  return isHere && slot.pitch > state.pitch ? { ...state, pitch: slot.pitch } : state;
}

/** What was read since the last play, on the play as it now stands. */
function again(played: Applied, since: readonly number[], steps: readonly Step[]): Tried {
  const redone = new Map<number, Outcome>();
  if (isReason(played)) return { applied: played, redone };
  let state: GameState | null = played;
  // The first is the play itself; its appeals are in it already.
  for (const index of since.slice(1)) {
    const thing = steps[index]?.thing;
    if (!thing || thing.kind === 'appeal' || thing.kind === 'outOfTurn') continue;
    const read = readThing(state, thing, [], steps);
    state = read.state;
    redone.set(index, read.outcome);
  }
  return { applied: state ?? 'malformed', redone };
}
