// Not in the index: only what integrates over normal numbers needs it.
import quantile from '@stdlib/stats-base-dists-normal-quantile';
import { normalCdf } from './distributions.ts';

const STEPS_PER_UNIT = 400;
const EDGE = 6;
const TABLE = Float64Array.from({ length: 2 * EDGE * STEPS_PER_UNIT + 2 }, (_, index) =>
  normalCdf(index / STEPS_PER_UNIT - EDGE),
);

/**
 * The chance that a standard normal number is at most x, read from a table: within 2e-7 of
 * `normalCdf` and many times as quick.
 */
export function tabledNormalCdf(x: number): number {
  if (x <= -EDGE) return 0;
  if (x >= EDGE) return 1;
  const place = (x + EDGE) * STEPS_PER_UNIT;
  const index = Math.floor(place);
  const low = TABLE[index] ?? 0;
  return low + (place - index) * ((TABLE[index + 1] ?? 1) - low);
}

/**
 * The number that a standard normal number stays below with the given chance.
 * @param chance any number; at most 0 gives minus infinity, at least 1 infinity
 */
export function normalQuantile(chance: number): number {
  if (chance <= 0) return Number.NEGATIVE_INFINITY;
  if (chance >= 1) return Number.POSITIVE_INFINITY;
  return quantile(chance, 0, 1);
}

const QUANTILES = 4096;
/** Nearer to 0 and 1 it bends more: the tails have a table of their own, as many times finer. */
const STRAIGHT_FROM = 0.015;
const TAIL_FINER = 64;
/** And beyond this it bends too much for any table. */
const TAIL_FROM = 0.0004;
const QUANTILE_TABLE = Float64Array.from({ length: QUANTILES + 1 }, (_, index) =>
  normalQuantile(index / QUANTILES),
);
const TAIL_TABLE = Float64Array.from(
  { length: Math.ceil(STRAIGHT_FROM * QUANTILES * TAIL_FINER) + 2 },
  (_, index) => normalQuantile(index / (QUANTILES * TAIL_FINER)),
);

/** The same from tables: within 2e-5, and many times as quick. */
export function tabledNormalQuantile(chance: number): number {
  if (chance > STRAIGHT_FROM && chance < 1 - STRAIGHT_FROM) {
    return between(QUANTILE_TABLE, chance * QUANTILES);
  }
  const tail = chance > 0.5 ? 1 - chance : chance;
  if (!(tail > TAIL_FROM)) return normalQuantile(chance);
  const low = between(TAIL_TABLE, tail * QUANTILES * TAIL_FINER);
  return chance > 0.5 ? -low : low;
}

/** A figure of a table at a place between two of its entries. */
function between(table: Float64Array, place: number): number {
  const index = Math.floor(place);
  const low = table[index] ?? 0;
  return low + (place - index) * ((table[index + 1] ?? 0) - low);
}

/** Where to ask a function, and how much each answer counts. */
export interface Nodes {
  at: readonly number[];
  weights: readonly number[];
}

/** Mirrors the half of a rule from its middle outward. */
function mirrored(half: readonly (readonly [at: number, weight: number])[]): Nodes {
  const below = half
    .slice(1)
    .toReversed()
    .map(([at, weight]) => [-at, weight] as const);
  const all = [...below, ...half];
  return { at: all.map(([at]) => at), weights: all.map(([, weight]) => weight) };
}

/** Means over a standard normal number (Gauss-Hermite); the weights add up to 1. */
export const NORMAL_5 = mirrored([
  [0, 0.5333333333333333],
  [1.355626179974266, 0.22207592200561263],
  [2.8569700138728056, 0.01125741132772068],
]);
export const NORMAL_9 = mirrored([
  [0, 0.4063492063492063],
  [1.0232556637891326, 0.2440975028949394],
  [2.0768479786778302, 0.04991640676521788],
  [3.2054290028564, 0.0027891413212317675],
  [4.51274586339978, 0.00002234584400774],
]);
/** Integrals from -1 to 1 (Gauss-Legendre); the weights add up to 2. */
export const PANEL_7 = mirrored([
  [0, 0.4179591836734694],
  [0.4058451513773972, 0.3818300505051189],
  [0.7415311855993945, 0.2797053914892766],
  [0.9491079123427585, 0.1294849661688697],
]);
