import { makeRandom } from '../maths/index.ts';
import { betaCdf, betaQuantile } from '../maths/beta.ts';
import { WORTH_A_WORD, type Unit } from './ledger.ts';

/** What opponents do more or less often than most: usual share, and how many chances it counts as. Judgement. */
export const TENDENCIES = {
  slideStepRunnerOnFirst: [0.35, 6],
  slideStepOther: [0.12, 6],
  throwOverFirstPerPitch: [0.1, 20],
  throwOverSecondPerPitch: [0.03, 25],
  throwOverRepeat: [0.25, 6],
  pitchOut: [0.015, 60],
  throwBehindFirst: [0.03, 30],
  throwBehindThird: [0.02, 30],
  stepOff: [0.04, 20],
} as const satisfies Record<string, readonly [share: number, weight: number]>;

/** What was seen counts half as much after so many days. Judgement; the choice matters little. */
export const TENDENCY_HALF_LIFE_DAYS = 45;

/** What was seen in one game. */
export interface SeenBatch {
  daysAgo: number;
  yes: number;
  no: number;
}

/** A share as it is believed, with what was seen of it. */
export interface Share {
  a: number;
  b: number;
  mean: number;
  low: number;
  high: number;
  /** Yes, of all: as it was counted, unfaded. */
  seen: [yes: number, of: number];
  /** How much of it still counts. */
  counted: number;
}

/** @param prior usual share, and how many chances it counts as */
export function shareOf(
  batches: readonly SeenBatch[],
  prior: readonly [share: number, weight: number],
  halfLifeDays: number = TENDENCY_HALF_LIFE_DAYS,
): Share {
  const [usual, weight] = prior;
  let [a, b, yes, of] = [usual * weight, (1 - usual) * weight, 0, 0];
  for (const batch of batches) {
    const fades = 2 ** (-batch.daysAgo / halfLifeDays);
    a += fades * batch.yes;
    b += fades * batch.no;
    yes += batch.yes;
    of += batch.yes + batch.no;
  }
  return {
    a,
    b,
    mean: a / (a + b),
    low: betaQuantile(0.1, a, b),
    high: betaQuantile(0.9, a, b),
    seen: [yes, of],
    counted: a + b - weight,
  };
}

/** Kinds of pitches at a count, by what he throws overall and what is usual at that count. */
export interface KindsAtCount {
  overall: number[];
  prior: number[];
  alpha: number[];
  mean: number[];
  interval: [low: number, high: number][];
}

const [OVERALL_WEIGHT, COUNT_WEIGHT] = [12, 8];
const sum = (all: readonly number[]): number => all.reduce((total, each) => total + each, 0);

/** @param level shares of the level overall and at this count, in the order of the kinds */
export function kindsAtCount(
  level: { overall: readonly number[]; here: readonly number[] },
  counts: { all: readonly number[]; here: readonly number[] },
): KindsAtCount {
  const total = OVERALL_WEIGHT + sum(counts.all);
  const overall = level.overall.map(
    (share, kind) => (OVERALL_WEIGHT * share + (counts.all[kind] ?? 0)) / total,
  );
  const raw = level.here.map(
    (share, kind) => (share * (overall[kind] ?? 0)) / (level.overall[kind] ?? 1),
  );
  const prior = raw.map((each) => each / sum(raw));
  const alpha = prior.map((share, kind) => COUNT_WEIGHT * share + (counts.here[kind] ?? 0));
  const all = sum(alpha);
  return {
    overall,
    prior,
    alpha,
    mean: alpha.map((each) => each / all),
    interval: alpha.map((each) => [
      betaQuantile(0.1, each, all - each),
      betaQuantile(0.9, each, all - each),
    ]),
  };
}

/** Whether holds in whole seconds follow from each other. */
export interface HoldPattern {
  /** Each count with how often it was held, the shortest first. */
  counts: [count: number, times: number][];
  /** Smoothed. */
  shares: number[];
  entropyBits: number;
  repeats: number;
  expectedRepeats: number;
  /** How far each hold hangs on the one before. */
  order: number;
  /** How often chance alone does as much: null with too few holds. */
  chanceRepeats: number;
  chanceOrder: number;
}

const SHUFFLES = 2000;

function orderOf(counts: readonly number[]): number {
  const cells = new Map<string, number>();
  const [rows, columns] = [new Map<number, number>(), new Map<number, number>()];
  const more = <K>(map: Map<K, number>, key: K): void => {
    map.set(key, (map.get(key) ?? 0) + 1);
  };
  for (let at = 1; at < counts.length; at += 1) {
    const [from = 0, to = 0] = [counts[at - 1], counts[at]];
    more(cells, `${String(from)} ${String(to)}`);
    more(rows, from);
    more(columns, to);
  }
  let total = 0;
  for (const [key, times] of cells) {
    const [from = 0, to = 0] = key.split(' ').map(Number);
    total +=
      2 *
      times *
      Math.log((times * (counts.length - 1)) / ((rows.get(from) ?? 1) * (columns.get(to) ?? 1)));
  }
  return total;
}

const repeatsIn = (counts: readonly number[]): number =>
  counts.filter((count, at) => at > 0 && count === counts[at - 1]).length;

/** @param counts holds in whole seconds, in order; at least one @param seed of the shuffles that chance is told by */
export function holdPattern(
  counts: readonly number[],
  seed: number,
  shuffles: number = SHUFFLES,
): HoldPattern {
  const times = new Map<number, number>();
  for (const count of counts) times.set(count, (times.get(count) ?? 0) + 1);
  const sorted = [...times].toSorted(([a], [b]) => a - b);
  const shares = sorted.map(([, each]) => (each + 0.5) / (counts.length + sorted.length / 2));
  const [repeats, order] = [repeatsIn(counts), orderOf(counts)];
  const random = makeRandom(seed);
  let [asMany, asLarge] = [0, 0];
  for (let shuffle = 0; shuffle < shuffles; shuffle += 1) {
    const mixed = [...counts];
    for (let at = mixed.length - 1; at > 0; at -= 1) {
      const other = Math.floor(random() * (at + 1));
      [mixed[at], mixed[other]] = [mixed[other] ?? 0, mixed[at] ?? 0];
    }
    if (repeatsIn(mixed) >= repeats) asMany += 1;
    if (orderOf(mixed) >= order - 1e-9) asLarge += 1;
  }
  return {
    counts: sorted,
    shares,
    entropyBits: -sum(shares.map((share) => share * Math.log2(share))),
    repeats,
    expectedRepeats: sum(sorted.map(([, each]) => each * (each - 1))) / counts.length,
    order,
    chanceRepeats: (1 + asMany) / (shuffles + 1),
    chanceOrder: (1 + asLarge) / (shuffles + 1),
  };
}

const LEAST_CHANCES = 8;
const HARDLY_CHANCE = 0.02;

function logChoose(n: number, k: number): number {
  let total = 0;
  for (let each = 1; each <= k; each += 1) total += Math.log((n - k + each) / each);
  return total;
}

/** The log of the rising product a (a+1) .. (a+n-1). */
function logRising(a: number, n: number): number {
  let total = 0;
  for (let each = 0; each < n; each += 1) total += Math.log(a + each);
  return total;
}

/**
 * Whether the last games are other than those before: by how often the older share would give so few or so many.
 * @param older Beta of the earlier games @param yes of n chances in the last
 */
export function hasChanged(
  older: Pick<Share, 'a' | 'b'>,
  yes: number,
  n: number,
): { mid: number; twoSided: number; changed: boolean } {
  const { a, b } = older;
  const chanceOf = (k: number): number =>
    Math.exp(logChoose(n, k) + logRising(a, k) + logRising(b, n - k) - logRising(a + b, n));
  let below = 0;
  for (let k = 0; k < yes; k += 1) below += chanceOf(k);
  const mid = below + chanceOf(yes) / 2;
  const twoSided = 2 * Math.min(mid, 1 - mid);
  return { mid, twoSided, changed: n >= LEAST_CHANCES && twoSided < HARDLY_CHANCE };
}

/** Something that can be done, worth linear in the opponent's share: at 0 and at 1. */
export interface Act<Name extends string = string> {
  name: Name;
  at0: number;
  at1: number;
}

const worthAt = ({ at0, at1 }: Act, share: number): number => at0 + (at1 - at0) * share;

function bestAt<A extends Act>(acts: readonly A[], share: number): A {
  const [first, ...others] = acts;
  if (!first) throw new RangeError('there is something to do');
  let best = first;
  for (const act of others) if (worthAt(act, share) > worthAt(best, share) + 1e-12) best = act;
  return best;
}

/** Whether a habit would change what is done. */
export interface Saying<Name extends string = string> {
  usual: Name;
  now: Name;
  atLow: Name;
  atHigh: Name;
  /** Of knowing what is known. */
  gain: number;
  /** Of knowing the share exactly. */
  perfect: number;
  verdict: 'say' | 'watch' | 'silent';
}

/** What a habit changes: said only where something else is done about it. @param level the usual share */
export function worthSaying<Name extends string>(
  acts: readonly Act<Name>[],
  level: number,
  share: Pick<Share, 'a' | 'b'>,
  unit: Unit,
): Saying<Name> {
  const { a, b } = share;
  const at = a / (a + b);
  const [usual, now] = [bestAt(acts, level), bestAt(acts, at)];
  const atLow = bestAt(acts, betaQuantile(0.1, a, b));
  const atHigh = bestAt(acts, betaQuantile(0.9, a, b));
  const gain = worthAt(now, at) - worthAt(usual, at);
  const perfect = expectedBest(acts, a, b) - worthAt(now, at);
  const least = WORTH_A_WORD[unit];
  const differs = now.name !== usual.name && gain >= least;
  const verdict =
    differs && atLow.name === atHigh.name
      ? 'say'
      : differs || perfect >= least
        ? 'watch'
        : 'silent';
  return {
    usual: usual.name,
    now: now.name,
    atLow: atLow.name,
    atHigh: atHigh.name,
    gain,
    perfect,
    verdict,
  };
}

/** The mean of the best act's worth over a Beta share: exact, piece by piece of the upper envelope. */
function expectedBest(acts: readonly Act[], a: number, b: number): number {
  const crossings = acts.flatMap((one, at) =>
    acts.slice(0, at).flatMap((other) => {
      const slope = one.at1 - one.at0 - (other.at1 - other.at0);
      const share = slope === 0 ? -1 : (other.at0 - one.at0) / slope;
      return share > 0 && share < 1 ? [share] : [];
    }),
  );
  const ends = [0, ...crossings.toSorted((x, y) => x - y), 1];
  let total = 0;
  for (const [piece, to] of ends.entries()) {
    const from = ends[piece - 1];
    if (from === undefined || to <= from) continue;
    const act = bestAt(acts, (from + to) / 2);
    total +=
      act.at0 * (betaCdf(to, a, b) - betaCdf(from, a, b)) +
      (act.at1 - act.at0) * (a / (a + b)) * (betaCdf(to, a + 1, b) - betaCdf(from, a + 1, b));
  }
  return total;
}

/**
 * Whether to go on a pitcher's rhythm: safe when the guess is right, when it is wrong, and when reacting.
 * @param q how often the guess is within reach, both ends
 */
export function goOnRhythm(
  q: readonly [low: number, high: number],
  { right, wrong, react }: { right: number; wrong: number; react: number },
): { need: number; verdict: 'goOnIt' | 'react' | 'maybe' } {
  const need = (react - wrong) / (right - wrong);
  return { need, verdict: q[0] >= need ? 'goOnIt' : q[1] < need ? 'react' : 'maybe' };
}
