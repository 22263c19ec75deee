import { drawn, makeRandom, type Random } from '../maths/index.ts';
import { contextsOf } from './contexts.ts';
import { signGenerator, type Meaning, type TouchWeights } from './generate.ts';
import {
  indicatorIn,
  type SignContext,
  type SignPlay,
  type SignSystem,
  type Touch,
} from './system.ts';

/** How a team gives its signs in a game. */
export interface Giving {
  /** Sequences with something on, of all. */
  liveShare: number;
  /** Live signs that do not show in what follows: a foul, a ball that is taken. */
  hiddenShare: number;
}

/** [judgement] */
export const USUAL_GIVING: Giving = { liveShare: 0.15, hiddenShare: 0.35 };
/** Sequences of a game, and its innings. */
const GAME = { sequences: 140, innings: 7 } as const;
/** What the opponent takes for possible. [judgement] */
const PRIOR_DEAD = 0.6;
const FALSE_SHOW = 0.02;
const SLIP = 0.003;
/** So sure they are of a play before it counts as named. */
const NAMED = 0.8;
/** Sequences that are drawn beforehand, for each play and for nothing on. */
const POOL = { live: 60, nothing: 160 } as const;

/** What was found over some games: live signs by how many sequences were seen before, and how many were named. */
export interface Watched {
  /** By tens of sequences seen. */
  live: number[];
  named: number[];
  runs: number;
}

export const NOTHING_WATCHED: Watched = { live: [], named: [], runs: 0 };

/** Both together. */
export function watchedBoth(one: Watched, other: Watched): Watched {
  const length = Math.max(one.live.length, other.live.length);
  const sum = (a: readonly number[], b: readonly number[]): number[] =>
    Array.from({ length }, (_, index) => (a[index] ?? 0) + (b[index] ?? 0));
  return {
    live: sum(one.live, other.live),
    named: sum(one.named, other.named),
    runs: one.runs + other.runs,
  };
}

/** Sequences of one context, ready to be drawn from; null: the system carries none. */
interface Pool {
  plays: { play: SignPlay; weight: number; sequences: Touch[][] }[];
  nothing: Touch[][];
}

/**
 * An opponent who films every sequence and what follows, knows the school and the wipe-off, and not the touches:
 * how many of the live signs are named before the pitch, as more is seen. An indicator that changes fools them
 * here: see `rotationFactor` for one who knows.
 * @param games how many games in a row with the same signs
 * @param runs how many such series; more are surer
 * @returns null for a system that carries no sequence
 */
export function watchedBy(
  system: SignSystem,
  {
    giving,
    games,
    runs,
    seed,
    idle = {},
  }: { giving: Giving; games: number; runs: number; seed: number; idle?: TouchWeights },
): Watched | null {
  const random = makeRandom(seed);
  const contexts = spotsOf(system);
  const pools = contexts.map((context) => poolOf(system, context, idle, random));
  if (pools.every((pool) => pool === null)) return null;
  const tens = (games * GAME.sequences) / 10;
  const none = (): number[] => Array.from({ length: tens }, () => 0);
  const result: Watched = { live: none(), named: none(), runs };
  const symbols = symbolReader(system);
  for (let run = 0; run < runs; run += 1) {
    const opponent = opponentOf(system, giving, symbols);
    for (let seen = 0; seen < games * GAME.sequences; seen += 1) {
      const pool = pools[contextAt(system, contexts, seen, random)];
      if (!pool) continue;
      const isLive = random() < giving.liveShare && pool.plays.length > 0;
      const given = isLive
        ? pool.plays[
            drawn(
              pool.plays.map(({ weight }) => weight),
              random,
            )
          ]
        : null;
      const list = given?.sequences ?? pool.nothing;
      const sequence = list[Math.floor(random() * list.length)];
      if (!sequence) continue;
      const play: Meaning = given?.play ?? null;
      const named = opponent.sees(sequence, play, shownOf(play, pool, giving, random));
      if (play === null) continue;
      const ten = Math.floor(seen / 10);
      result.live[ten] = (result.live[ten] ?? 0) + 1;
      result.named[ten] = (result.named[ten] ?? 0) + (named ? 1 : 0);
    }
  }
  return result;
}

/** One context for each indicator: what the bases make of a sign is another name for it. */
function spotsOf(system: SignSystem): SignContext[] {
  const byHot = new Map<string, SignContext>();
  for (const context of contextsOf(system)) {
    const hot = String(indicatorIn(system.indicator, context));
    if (!byHot.has(hot)) byHot.set(hot, context);
  }
  return [...byHot.values()];
}

/** Which of the contexts the next sequence is given in. */
function contextAt(
  { indicator }: SignSystem,
  contexts: readonly SignContext[],
  seen: number,
  random: Random,
): number {
  if (indicator.kind === 'byInning') {
    const inning = Math.floor(((seen % GAME.sequences) / GAME.sequences) * GAME.innings) + 1;
    const hot = indicatorIn(indicator, { inning, outs: 0, bases: 0 });
    const found = contexts.findIndex((context) => indicatorIn(indicator, context) === hot);
    return Math.max(0, found);
  }
  return Math.floor(random() * contexts.length);
}

function poolOf(
  system: SignSystem,
  context: SignContext,
  idle: TouchWeights,
  random: Random,
): Pool | null {
  const { meanings, make } = signGenerator(system, context, idle);
  const several = (meaning: Meaning, count: number): Touch[][] | null => {
    const sequences: Touch[][] = [];
    while (sequences.length < count) {
      const made = make(meaning, random);
      if (!made) return null;
      sequences.push(made);
    }
    return sequences;
  };
  const nothing = several(null, POOL.nothing);
  if (!nothing) return null;
  const plays = meanings.flatMap((play) => {
    const sequences = play === null ? null : several(play, POOL.live);
    const weight = system.plays.find(({ id }) => id === play)?.weight ?? 1;
    return play !== null && sequences ? [{ play, weight, sequences }] : [];
  });
  return { plays, nothing };
}

/** What a play comes to before everybody's eyes. */
function shownOf(play: Meaning, { plays }: Pool, { hiddenShare }: Giving, random: Random): Meaning {
  if (play !== null && random() >= hiddenShare) return play;
  if (play === null && random() < FALSE_SHOW)
    return plays[Math.floor(random() * plays.length)]?.play ?? null;
  return null;
}

/** What one hypothesis believes of each symbol: dead first, then each play. */
type Beliefs = Map<string, number[]>;

/** Bayes over which touch is the indicator, and what each symbol after it means. */
function opponentOf(system: SignSystem, { hiddenShare }: Giving, symbolsIn: SymbolReader) {
  const plays = system.plays.map(({ id }) => id);
  for (const { to } of [...system.modifiers, ...system.situational])
    if (!plays.includes(to)) plays.push(to);
  const prior = [PRIOR_DEAD, ...plays.map(() => (1 - PRIOR_DEAD) / plays.length)];
  const hots = system.indicator.kind === 'none' ? [null] : system.touches;
  const wipe = system.wipe?.touch;
  const hypotheses = hots
    .filter((hot) => hot !== wipe)
    .map((hot) => ({ hot, weight: 1, beliefs: new Map() as Beliefs }));
  /** How likely what is shown would be, by what is meant: nothing first. */
  const likely = (shown: Meaning): number[] => {
    const falsely = FALSE_SHOW / plays.length;
    if (shown === null) return [1 - FALSE_SHOW, ...plays.map(() => hiddenShare)];
    return [falsely, ...plays.map((play) => (play === shown ? 1 - hiddenShare : SLIP))];
  };
  return {
    /** @returns whether the play was named before it was shown */
    sees(sequence: readonly Touch[], meant: Meaning, shown: Meaning): boolean {
      const chances = likely(shown);
      const total = hypotheses.reduce((sum, { weight }) => sum + weight, 0);
      let named = 0;
      for (const hypothesis of hypotheses) {
        const { hot, beliefs } = hypothesis;
        const symbols = symbolsIn(sequence, hot);
        const believed = symbols.map((symbol) => beliefs.get(symbol) ?? prior);
        const share = hypothesis.weight / total;
        const index = plays.indexOf(meant ?? '') + 1;
        // The first symbol that is not dead is the sign.
        const ahead: number[] = [];
        let dead = 1;
        for (const belief of believed) {
          ahead.push(dead);
          named += share * dead * (index > 0 ? (belief[index] ?? 0) : 0);
          dead *= belief[0] ?? 0;
        }
        const rest = new Array<number>(symbols.length + 1);
        rest[symbols.length] = chances[0] ?? 0;
        for (let at = symbols.length - 1; at >= 0; at -= 1) {
          const belief = believed[at] ?? prior;
          let sum = (belief[0] ?? 0) * (rest[at + 1] ?? 0);
          for (let play = 1; play < belief.length; play += 1)
            sum += (belief[play] ?? 0) * (chances[play] ?? 0);
          rest[at] = sum;
        }
        const whole = rest[0] ?? 1;
        for (const [at, symbol] of symbols.entries()) {
          const belief = believed[at] ?? prior;
          const before = ahead[at] ?? 1;
          // Where an earlier one was the sign, this one says nothing of itself.
          const earlier = whole - before * (rest[at] ?? 0);
          const after = belief.map((chance, meaning) => {
            const here = meaning === 0 ? (rest[at + 1] ?? 0) : (chances[meaning] ?? 0);
            return chance * (earlier + before * here);
          });
          const sum = after.reduce((all, each) => all + each, 0);
          beliefs.set(
            symbol,
            after.map((each) => each / sum),
          );
        }
        hypothesis.weight *= whole;
      }
      const most = Math.max(...hypotheses.map(({ weight }) => weight));
      for (const hypothesis of hypotheses) hypothesis.weight /= most;
      return named >= NAMED;
    },
  };
}

type SymbolReader = (sequence: readonly Touch[], hot: Touch | null) => readonly string[];

/** The symbols of a sequence for each indicator that is thought of; a sequence that comes again is read once. */
function symbolReader(system: SignSystem): SymbolReader {
  const known = new Map<readonly Touch[], Map<Touch | null, string[]>>();
  return (sequence, hot) => {
    const byHot = known.get(sequence) ?? new Map<Touch | null, string[]>();
    known.set(sequence, byHot);
    const found = byHot.get(hot) ?? symbolsOf(system, hot, afterWipe(system, sequence));
    byHot.set(hot, found);
    return found;
  };
}

/** What stands after the last wipe-off; a wipe-off that ends all leaves nothing. */
function afterWipe({ wipe, indicator }: SignSystem, sequence: readonly Touch[]): readonly Touch[] {
  const from = indicator.kind === 'keyTouch' ? 1 : 0;
  if (!wipe) return sequence.slice(from);
  const at = sequence.lastIndexOf(wipe.touch);
  if (at < 0) return sequence.slice(from);
  return wipe.mode === 'cancel' ? [] : sequence.slice(at + 1);
}

/** What might carry the sign if this touch were the indicator, in the order in which it counts. */
function symbolsOf(
  { scheme, occurrence }: SignSystem,
  hot: Touch | null,
  live: readonly Touch[],
): string[] {
  const places = live.flatMap((touch, index) => (hot === null || touch === hot ? [index] : []));
  const ordered = occurrence === 'last' ? places.toReversed() : places;
  const some = (found: (at: number) => string | undefined): string[] => [
    ...new Set(ordered.flatMap((at) => found(at) ?? [])),
  ];
  switch (scheme.kind) {
    case 'direct':
      return some((at) => live[at]);
    case 'indicator':
      return some((at) => live[at + scheme.offset]);
    case 'count': {
      const end = (at: number): number => {
        if (scheme.until === 'end') return live.length - 1 - at;
        return live.indexOf(scheme.until.stop, at + 1) - at;
      };
      return some((at) => (end(at) > 0 ? String(end(at)) : undefined)).slice(0, 1);
    }
    case 'sum':
    case 'card': {
      const valued = new Set(scheme.values.map(({ touch }) => touch));
      const start = hot === null ? [-1] : ordered;
      const codes = start.flatMap((at) => {
        const taken = live
          .slice(at + 1)
          .filter((touch) => valued.has(touch))
          .slice(0, scheme.take);
        if (taken.length < scheme.take) return [];
        return [(scheme.kind === 'sum' ? taken.toSorted() : taken).join(' ')];
      });
      return [...new Set(codes)].slice(0, 1);
    }
  }
}

/** What a coach is told: how many they see until half of the live signs are named, and the shares by game. */
export interface Strength {
  /** null: not within what was watched. */
  halfAfter: { low: number; high: number } | null;
  /** Named in the first game, the second and so on, 0..1. */
  byGame: { low: number; high: number }[];
}

/** Smoothed over so many sequences. */
const WINDOW_TENS = 3;

/** What the games that were watched come to, as ranges: the doubt of as many runs as there were. */
export function strengthOf({ live, named }: Watched): Strength {
  const doubt = (share: number, count: number): number =>
    1.28 * Math.sqrt(Math.max(0.002, share * (1 - share)) / Math.max(1, count / 4));
  const over = (from: number, to: number): { low: number; high: number } => {
    const count = sumOf(live.slice(from, to));
    const share = count === 0 ? 0 : sumOf(named.slice(from, to)) / count;
    const off = doubt(share, count);
    return { low: Math.max(0, share - off), high: Math.min(1, share + off) };
  };
  const tens = GAME.sequences / 10;
  const shares = Array.from(live, (_, ten) => over(Math.max(0, ten - WINDOW_TENS + 1), ten + 1));
  const first = (reached: (range: { low: number; high: number }) => boolean): number | null => {
    const found = shares.findIndex(reached);
    return found < 0 ? null : (found + 1) * 10;
  };
  const early = first(({ high }) => high >= 0.5);
  const late = first(({ low }) => low >= 0.5);
  return {
    halfAfter: early === null ? null : { low: early, high: late ?? live.length * 10 },
    byGame: Array.from({ length: Math.ceil(live.length / tens) }, (_, game) =>
      over(game * tens, (game + 1) * tens),
    ),
  };
}

function sumOf(numbers: readonly number[]): number {
  return numbers.reduce((sum, number) => sum + number, 0);
}

/**
 * How much longer an opponent needs who knows how the indicator changes, beside a fixed one. Stored ratios of a
 * full Bayesian search (give or take a quarter): it takes too long to run while a system is being laid.
 */
export function rotationFactor({ indicator }: SignSystem): number {
  switch (indicator.kind) {
    case 'none':
    case 'fixed':
      return 1;
    case 'byInning':
      return Math.max(1, 0.5 + 0.3 * indicator.touches.length);
    case 'byOuts':
      return 1.6;
    case 'keyTouch':
      return 1 + 0.7 * indicator.keys.length;
  }
}
