import {
  indicatorIn,
  inSituation,
  type Scheme,
  type SignContext,
  type SignPlay,
  type SignSystem,
  type Touch,
} from './system.ts';

/** A sign that is complete: what it said, what modifiers made of it, and whether it was the last touch. */
interface Sign {
  plays: readonly SignPlay[];
  modified: readonly SignPlay[];
  isFresh: boolean;
}

/** How far a sequence has been read. Plain data: equal states are written alike. */
export interface ReadState {
  /** A wipe-off that ends everything. */
  isDead: boolean;
  /** The first touch is behind us. */
  isBegun: boolean;
  /** What makes a sign live now; null: every touch does. */
  hot: Touch | null;
  /** The touch before, not across a wipe-off or a key. */
  before: Touch | null;
  /** Touches to go until one is live; counts that run; digits taken so far. */
  waits: readonly number[];
  counts: readonly number[];
  digits: readonly (readonly number[])[];
  /** Modifier touches since a count began, each once. */
  marks: readonly Touch[];
  signs: readonly Sign[];
}

export function startState(system: SignSystem, context: SignContext): ReadState {
  return {
    isDead: false,
    isBegun: false,
    hot: indicatorIn(system.indicator, context),
    before: null,
    ...nothingRead(system),
  };
}

/** Without an indicator digits are taken from the start. */
function nothingRead({ indicator, scheme }: SignSystem) {
  const takes = (scheme.kind === 'sum' || scheme.kind === 'card') && indicator.kind === 'none';
  return { waits: [], counts: [], digits: takes ? [[]] : [], marks: [], signs: [] };
}

/** One touch more. Total: any touch in any state, known to the system or not. */
export function step(system: SignSystem, state: ReadState, touch: Touch): ReadState {
  if (state.isDead) return state;
  const { wipe, indicator } = system;
  if (wipe?.touch === touch) {
    return wipe.mode === 'cancel'
      ? { ...state, ...nothingRead(system), isBegun: true, before: null, isDead: true }
      : { ...state, ...nothingRead(system), isBegun: true, before: null };
  }
  // The first touch chooses the indicator, and is nothing else.
  if (indicator.kind === 'keyTouch' && !state.isBegun) {
    const hot = indicator.keys.find(({ key }) => key === touch)?.touch ?? indicator.default;
    return { ...state, isBegun: true, hot };
  }
  return {
    ...read(system, modifiedBy(system, state, touch), touch),
    isBegun: true,
    before: looksBack(system) ? touch : null,
  };
}

/** Only where the touch before the indicator counts is it kept: states that read alike are one. */
function looksBack({ scheme }: SignSystem): boolean {
  return scheme.kind === 'indicator' && scheme.offset === -1;
}

/** A touch after signs that are complete may make them others. */
function modifiedBy(system: SignSystem, state: ReadState, touch: Touch): ReadState {
  const { modifiers, occurrence } = system;
  const own = modifiers.filter((modifier) => modifier.touch === touch);
  const signs = state.signs.map((sign): Sign => {
    const to = own
      .filter(
        ({ from, where }) => sign.plays.includes(from) && (where === 'anyAfter' || sign.isFresh),
      )
      .map((modifier) => modifier.to);
    const old = sign.isFresh ? { ...sign, isFresh: false } : sign;
    if (to.length === 0) return old;
    if (occurrence === 'first' && sign.modified.length > 0) return old;
    return { ...old, modified: sorted(occurrence === 'any' ? [...sign.modified, ...to] : to) };
  });
  return { ...state, signs: distinct(signs) };
}

function read(system: SignSystem, state: ReadState, touch: Touch): ReadState {
  const { scheme, occurrence } = system;
  const isHot = touch === state.hot;
  switch (scheme.kind) {
    case 'direct':
      return withSign(system, state, playsOf(scheme.map, touch));
    case 'indicator': {
      if (scheme.offset === -1) {
        const plays = isHot && state.before !== null ? playsOf(scheme.map, state.before) : [];
        return withSign(system, state, plays);
      }
      const waits = state.waits.map((wait) => wait - 1);
      const plays = waits.includes(0) ? playsOf(scheme.map, touch) : [];
      const next = [...waits.filter((wait) => wait > 0), ...(isHot ? [scheme.offset] : [])];
      return withSign(system, { ...state, waits: sortedNumbers(next) }, plays);
    }
    case 'count':
      return readCount(system, scheme, state, touch);
    case 'sum':
    case 'card': {
      const value = scheme.values.find((valued) => valued.touch === touch)?.value;
      const starts = isHot && (occurrence !== 'first' || state.digits.length === 0);
      // A new start takes the place of the one before, unless every sign speaks.
      const running = starts && occurrence === 'last' ? [] : state.digits;
      const taken = running.map((digits) => (value === undefined ? digits : [...digits, value]));
      const plays = taken.flatMap((digits) =>
        digits.length === scheme.take ? playsOfDigits(scheme, digits) : [],
      );
      const open = taken.filter((digits) => digits.length < scheme.take);
      const isClosed = occurrence === 'first' && state.signs.length > 0;
      const digits = isClosed ? [] : distinct([...open, ...(starts ? [[]] : [])]);
      return withSign(system, { ...state, digits }, plays);
    }
  }
}

function readCount(
  system: SignSystem,
  { list, until }: Extract<Scheme, { kind: 'count' }>,
  state: ReadState,
  touch: Touch,
): ReadState {
  const { occurrence, modifiers } = system;
  const isHot = touch === state.hot;
  const starts = isHot && (occurrence !== 'first' || state.counts.length === 0);
  const beyond = list.length + 1;
  const counted = (counts: readonly number[]): number[] =>
    counts.map((count) => Math.min(beyond, count + 1));
  if (until === 'end') {
    const isMark = state.counts.length > 0 && modifiers.some((each) => each.touch === touch);
    if (isMark && !starts) {
      const others = state.marks.filter((mark) => mark !== touch);
      const marks =
        occurrence === 'first'
          ? [...state.marks, ...(state.marks.includes(touch) ? [] : [touch])]
          : [...others, touch];
      return { ...state, marks: occurrence === 'any' ? sorted(marks) : marks };
    }
    if (starts && occurrence === 'last') return { ...state, counts: [0], marks: [] };
    const counts = [...counted(state.counts), ...(starts ? [0] : [])];
    return { ...state, counts: sortedNumbers(counts) };
  }
  if (touch === until.stop && state.counts.length > 0) {
    const plays = state.counts.flatMap((count) => list[count - 1] ?? []);
    return withSign(system, { ...state, counts: [] }, plays);
  }
  if (occurrence === 'first' && state.signs.length > 0) return state;
  if (starts && occurrence === 'last') return { ...state, counts: [0] };
  return {
    ...state,
    counts: sortedNumbers([...counted(state.counts), ...(starts ? [0] : [])]),
  };
}

/** A complete sign: the first stands, the last replaces, or every one speaks. */
function withSign(
  { occurrence }: SignSystem,
  state: ReadState,
  plays: readonly SignPlay[],
): ReadState {
  if (plays.length === 0) return state;
  if (occurrence === 'first' && state.signs.length > 0) return state;
  const sign: Sign = { plays: sorted(plays), modified: [], isFresh: true };
  return { ...state, signs: occurrence === 'any' ? distinct([...state.signs, sign]) : [sign] };
}

/** Everything that a sequence read so far means here, each once, in order: none is nothing on, two a conflict. */
export function claims(system: SignSystem, state: ReadState, context: SignContext): SignPlay[] {
  if (state.isDead) return [];
  const { scheme } = system;
  const said =
    scheme.kind === 'count' && scheme.until === 'end'
      ? countedOut(system, scheme.list, state)
      : state.signs.flatMap(({ plays, modified }) => (modified.length > 0 ? modified : plays));
  return sorted(said.flatMap((play) => inSituation(play, system, context)));
}

/** A count that runs to the end says what it says when nothing comes any more. */
function countedOut(
  { modifiers, occurrence }: SignSystem,
  list: readonly (SignPlay | null)[],
  { counts, marks }: ReadState,
): SignPlay[] {
  return counts.flatMap((count) => {
    const play = list[count - 1] ?? null;
    if (play === null) return [];
    const made = (occurrence === 'last' ? marks.toReversed() : marks)
      .map((mark) =>
        modifiers.filter(({ touch, from }) => touch === mark && from === play).map(({ to }) => to),
      )
      .filter((to) => to.length > 0);
    if (made.length === 0) return [play];
    return occurrence === 'any' ? made.flat() : (made[0] ?? []);
  });
}

/** What a sequence says: nothing, one play, or more than one. */
export type Decoded =
  { kind: 'nothing' } | { kind: 'play'; play: SignPlay } | { kind: 'conflict'; plays: SignPlay[] };

/**
 * Reads a sequence of touches. Total: any sequence, of any length.
 * @example decode(system, ['belt', 'cap'], { inning: 1, outs: 0, bases: 1 }) // { kind: 'play', play: 'steal' }
 */
export function decode(
  system: SignSystem,
  sequence: readonly Touch[],
  context: SignContext,
): Decoded {
  let state = startState(system, context);
  for (const touch of sequence) state = step(system, state, touch);
  const plays = claims(system, state, context);
  const [play] = plays;
  if (play === undefined) return { kind: 'nothing' };
  return plays.length === 1 ? { kind: 'play', play } : { kind: 'conflict', plays };
}

function playsOf(map: readonly { touch: Touch; play: SignPlay }[], touch: Touch): SignPlay[] {
  return map.filter((pair) => pair.touch === touch).map(({ play }) => play);
}

function playsOfDigits(
  scheme: Extract<Scheme, { kind: 'sum' | 'card' }>,
  digits: readonly number[],
): SignPlay[] {
  if (scheme.kind === 'sum') {
    const total = digits.reduce((sum, digit) => sum + digit, 0);
    return scheme.table.filter(({ sum }) => sum === total).map(({ play }) => play);
  }
  const code = digits.join('');
  return scheme.codes.filter((each) => each.code === code).map(({ play }) => play);
}

function sorted(words: readonly string[]): string[] {
  return [...new Set(words)].toSorted();
}
function sortedNumbers(numbers: readonly number[]): number[] {
  return [...new Set(numbers)].toSorted((a, b) => a - b);
}
function distinct<T>(list: readonly T[]): T[] {
  return [...new Map(list.map((each) => [JSON.stringify(each), each])).entries()]
    .toSorted(([a], [b]) => (a < b ? -1 : 1))
    .map(([, each]) => each);
}
