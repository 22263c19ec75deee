import { studentCdf, studentQuantile, type Spread } from '../maths/index.ts';
import type { TypicalTime } from './levels.ts';
import type { Timer } from './timer.ts';

/** A time and the timer it was taken with. */
export interface TimedSeconds {
  seconds: number;
  timer: Timer;
}

/**
 * What is believed of a person's mean and spread (normal-inverse-gamma): the level's prior, moved by
 * the readings. Its fields are the model's m, k, a and b.
 */
export interface Belief {
  meanSeconds: number;
  /** The mean counts as much as this many readings. */
  weight: number;
  freedomHalf: number;
  scatter: number;
  /** How much of the weight is the prior's. */
  priorWeight: number;
  /** The timers' own variance, seconds squared: what the thumb adds to every reading. */
  timerVariance: number;
}

/** How firmly the prior holds to its spread: as if it had been seen in ten readings. Agreed. */
const PRIOR_FREEDOM_HALF = 5;
/** At least this share of what is left is the person's own, however noisy the thumb. Agreed. */
const LEAST_OWN_SHARE = 0.4;

/**
 * The belief after readings, in any order.
 * Readings of several timers count by how precise each is; of one timer all count alike.
 * @param prior of the level for this kind; its mean may not be NaN
 * @param times readings that count
 * @param usual the timer assumed while there is no reading
 */
export function believe(prior: TypicalTime, times: readonly TimedSeconds[], usual: Timer): Belief {
  const within = prior.sdWithin ** 2;
  const variances = times.map(({ timer }) => within + timer.sdSeconds ** 2);
  const perfect = variances.reduce((sum, variance) => sum + 1 / variance, 0);
  // The variance that a reading of weight 1 has; with a single timer every weight is 1.
  const reference = times.length === 0 ? within + usual.sdSeconds ** 2 : times.length / perfect;
  const weighed = times.map(({ seconds, timer }, index) => ({
    seconds: seconds - timer.biasSeconds,
    weight: reference / (variances[index] ?? reference),
  }));
  return update(prior, reference, reference - within, sumsOf(weighed, prior.mean));
}

interface Sums {
  count: number;
  weight: number;
  /** Of seconds less the prior's mean: kept small, so that nothing is lost to rounding. */
  first: number;
  second: number;
}

function sumsOf(weighed: readonly { seconds: number; weight: number }[], origin: number): Sums {
  const sums = { count: weighed.length, weight: 0, first: 0, second: 0 };
  for (const { seconds, weight } of weighed) {
    const distance = seconds - origin;
    sums.weight += weight;
    sums.first += weight * distance;
    sums.second += weight * distance * distance;
  }
  return sums;
}

function update(
  prior: TypicalTime,
  reference: number,
  timerVariance: number,
  { count, weight, first, second }: Sums,
): Belief {
  const priorWeight = reference / prior.sdBetween ** 2;
  const distance = weight > 0 ? first / weight : 0;
  const squares = weight > 0 ? Math.max(0, second - first * distance) : 0;
  const total = priorWeight + weight;
  return {
    meanSeconds: prior.mean + (weight * distance) / total,
    weight: total,
    freedomHalf: PRIOR_FREEDOM_HALF + count / 2,
    scatter:
      (PRIOR_FREEDOM_HALF - 1) * reference +
      squares / 2 +
      (priorWeight * weight * distance ** 2) / (2 * total),
    priorWeight,
    timerVariance,
  };
}

/**
 * A time to come: Student t around the mean. Seconds. `sdSeconds` is of the next true time: its own spread and the mean's doubt together.
 */
export interface DoubtfulSpread extends Spread {
  /** Degrees of freedom, above 4; Infinity is the normal distribution. */
  freedom: number;
  /** How far the mean itself may be off. */
  meanSdSeconds: number;
  /** How far one try lies from another, the thumb's share taken out. */
  spreadSeconds: number;
}

/** The next true time of a belief. */
export interface NextTime extends DoubtfulSpread {
  scaleSeconds: number;
}

export function predictNext(belief: Belief): NextTime {
  const variance = belief.scatter / (belief.freedomHalf - 1);
  const own = Math.max(variance - belief.timerVariance, LEAST_OWN_SHARE * variance);
  const meanVariance = variance / belief.weight;
  const freedom = 2 * belief.freedomHalf;
  const sdSeconds = Math.sqrt(own + meanVariance);
  return {
    meanSeconds: belief.meanSeconds,
    sdSeconds,
    scaleSeconds: sdSeconds * Math.sqrt((freedom - 2) / freedom),
    freedom,
    meanSdSeconds: Math.sqrt(meanVariance),
    spreadSeconds: Math.sqrt(own),
  };
}

/**
 * Where the mean lies with the given chance, seconds.
 * @param chance between 0 and 1, such as .8
 */
export function meanInterval(belief: Belief, chance: number): [low: number, high: number] {
  const half = halfWidth(belief.freedomHalf, belief.weight, belief.scatter, chance);
  return [belief.meanSeconds - half, belief.meanSeconds + half];
}

function halfWidth(freedomHalf: number, weight: number, scatter: number, chance: number): number {
  const quantile = studentQuantile(0.5 + chance / 2, 2 * freedomHalf);
  return quantile * Math.sqrt(scatter / (freedomHalf * weight));
}

/** How surprising a further reading would be: its distance in scales, and its two-sided chance. */
export function nextReadingTail(belief: Belief, seconds: number): { z: number; p: number } {
  const z = distanceOf(belief, seconds);
  return { z, p: 2 * studentCdf(-Math.abs(z), 2 * belief.freedomHalf) };
}

function distanceOf({ meanSeconds, weight, freedomHalf, scatter }: Belief, seconds: number) {
  return (seconds - meanSeconds) / Math.sqrt((scatter / freedomHalf) * (1 + 1 / weight));
}

/** Nobody times more than this many of one thing. */
const MOST_REPS = 500;

/**
 * How many more readings are expected to make the mean known within a half width.
 * Of a belief without readings: how many are needed at all.
 * @param halfWidthSeconds such as .03
 * @param chance between 0 and 1, such as .8
 * @returns 0 when it is already known so well; at most 500
 */
export function repsNeeded(belief: Belief, halfWidthSeconds: number, chance: number): number {
  const variance = belief.scatter / (belief.freedomHalf - 1);
  const wideEnough = (more: number): boolean => {
    const freedomHalf = belief.freedomHalf + more / 2;
    const expected = variance * (freedomHalf - 1);
    return halfWidth(freedomHalf, belief.weight + more, expected, chance) <= halfWidthSeconds;
  };
  // The width only shrinks: halve the range instead of trying one after the other.
  let [low, high] = [0, MOST_REPS];
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (wideEnough(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}

export const FLAG_CHANCE = 0.05;
/** Below this distance no tail is rarer than one in twenty, whatever the freedom. */
const NEVER_FLAGGED = 1.9;

/**
 * Which readings look like a wrong tap, to ask the coach; nothing is dropped.
 * Outside the level's limits always; else the one least likely given the others, again and again,
 * as long as that is rarer than one in twenty over all of them, for at most a third of them.
 * @returns one answer per reading, in their order
 */
export function flagReadings(
  prior: TypicalTime,
  times: readonly TimedSeconds[],
  usual: Timer,
): boolean[] {
  const within = prior.sdWithin ** 2;
  const all = times.map(({ seconds, timer }) => ({
    seconds: seconds - timer.biasSeconds,
    variance: within + timer.sdSeconds ** 2,
  }));
  const flags = all.map(({ seconds }) => seconds < prior.min || seconds > prior.max);
  const budget = Math.max(1, Math.floor(times.length / 3));
  for (let flagged = 0; flagged < budget; flagged += 1) {
    const live = all.flatMap((each, index) => (flags[index] ? [] : [{ ...each, index }]));
    if (live.length === 0) break;
    const perfect = live.reduce((sum, { variance }) => sum + 1 / variance, 0);
    const reference = live.length / perfect;
    const weighed = live.map((each) => ({ ...each, weight: reference / each.variance }));
    const sums = sumsOf(weighed, prior.mean);
    let worst = { index: -1, p: 1 };
    for (const { seconds, weight, index } of weighed) {
      const distance = seconds - prior.mean;
      const others = update(
        prior,
        live.length === 1 ? within + usual.sdSeconds ** 2 : reference,
        reference - within,
        {
          count: sums.count - 1,
          weight: live.length === 1 ? 0 : sums.weight - weight,
          first: sums.first - weight * distance,
          second: sums.second - weight * distance * distance,
        },
      );
      if (Math.abs(distanceOf(others, seconds)) < NEVER_FLAGGED) continue;
      const { p } = nextReadingTail(others, seconds);
      if (p < worst.p) worst = { index, p };
    }
    if (worst.index === -1 || worst.p * live.length >= FLAG_CHANCE) break;
    flags[worst.index] = true;
  }
  return flags;
}
