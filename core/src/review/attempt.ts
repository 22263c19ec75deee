import { normalCdf } from '../maths/index.ts';

/** The constants that attempts can tell of, as they are worked with. */
export const REFITTED = [
  'jump',
  'jumpSd',
  'tag',
  'offLine',
  'away',
  'within',
  'slideStep',
  'leftHander',
  'thirdJump',
] as const;
export type Refitted = (typeof REFITTED)[number];
/** In the order of `REFITTED`: seconds, logs of a sd or factor, log odds of a share. */
export type Theta = readonly number[];

/** How far each may lie from the level's, before anything is seen. Judgement. */
export const PRIOR_SD: Record<Refitted, number> = {
  jump: 0.05,
  jumpSd: 0.25,
  tag: 0.25,
  offLine: 0.5,
  away: 0.4,
  within: 0.2,
  slideStep: 0.03,
  leftHander: 0.03,
  thirdJump: 0.03,
};
/** The constants of a level that an attempt is judged by. Seconds, chances. */
export interface RaceConstants {
  jumpSeconds: number;
  jumpSdSeconds: number;
  leftHanderSeconds: number;
  leftHanderSdSeconds: number;
  /** A slide step against a leg lift, and the jump toward third against that toward second: quicker is below 0. */
  slideStepSeconds: number;
  thirdJumpSeconds: number;
  tagOnSeconds: number;
  tagOnSdSeconds: number;
  tagOffSeconds: number;
  tagOffSdSeconds: number;
  onLine: number;
  offLine: number;
  away: number;
}

/** What a leg was expected to take. Seconds. */
export interface ExpectedLeg {
  mean: number;
  doubt: number;
  /** From try to try. */
  within: number;
}

/** A leg as it was timed on that attempt, on the typical stopwatch's scale; its timer's sd. Seconds. */
interface TimedLeg {
  seconds: number;
  sd: number;
}

export type ThrowSeen = 'onLine' | 'offLine' | 'away';

/** An attempt to steal second or third that was decided, as the constants are learned from it. */
export interface Attempt {
  /** The jump is toward third, where leads differ. */
  toThird: boolean;
  /** A left-hander with the runner on first. */
  againstLeft: boolean;
  /** A slide step; the delivery given is his leg lift's. */
  slideReckoned: boolean;
  delivery: ExpectedLeg;
  pop: ExpectedLeg;
  run: ExpectedLeg;
  /** Against the usual mix: seconds later, their sd, and how much more often a pitch gets away. */
  pitch: { delivery: number; pop: number; sd: number; wild: number };
  timed: Partial<Record<'jump' | 'delivery' | 'pop' | 'run', TimedLeg>>;
  throw: ThrowSeen | null;
  safe: boolean;
  /** Older attempts count for less. */
  weight: number;
  /** How often pops of throws that arrive were timed in such games. */
  popTimed: number;
}

/** The pitch is not known: what the usual mix itself is like. */
export const UNKNOWN_PITCH = { delivery: 0, pop: 0, sd: 0.058, wild: 0.018 } as const;

const expit = (x: number): number => 1 / (1 + Math.exp(-x));
const logit = (p: number): number => Math.log(p / (1 - p));

/** Where the constants of a level stand before anything is seen. */
export function shippedTheta(constants: RaceConstants): number[] {
  return [
    constants.jumpSeconds,
    Math.log(constants.jumpSdSeconds),
    0,
    logit(constants.offLine / (constants.onLine + constants.offLine)),
    logit(constants.away),
    0,
    constants.slideStepSeconds,
    constants.leftHanderSeconds,
    constants.thirdJumpSeconds,
  ];
}

/** One attempt in a hundred is decided by a slip, an umpire or a wrong tap. Judgement. */
const BY_RACE = 0.99;
const BY_SLIP = 0.005;
const [LEAST_AWAY, MOST_AWAY] = [0.01, 0.6];
const COUNT = REFITTED.length;
const [JUMP, JUMP_SD, TAG, OFF, AWAY, WITHIN, SLIDE, LEFT, THIRD] = [0, 1, 2, 3, 4, 5, 6, 7, 8];

/** A sum of legs, and how it moves with each constant. */
interface Sum {
  mean: number;
  variance: number;
  meanBy: Float64Array;
  varianceBy: Float64Array;
  /** Of what was timed. */
  log: number;
  logBy: Float64Array;
}

/** Adds a leg that is normal, timed or not. @param sign 1 for what the defense needs, -1 for the runner */
function addLeg(
  sum: Sum,
  sign: 1 | -1,
  leg: {
    mean: number;
    variance: number;
    meanBy: readonly [number, number][];
    varianceBy: readonly [number, number][];
  },
  timed: TimedLeg | undefined,
): void {
  let { mean, variance } = leg;
  // How what goes on depends on the leg's own mean and variance.
  let [meanByMean, meanByVariance, varianceByVariance] = [1, 0, 1];
  if (timed) {
    const whole = variance + timed.sd ** 2;
    const off = timed.seconds - mean;
    const gain = variance / whole;
    sum.log -= (Math.log(2 * Math.PI * whole) + off ** 2 / whole) / 2;
    const logByMean = off / whole;
    const logByVariance = (off ** 2 / whole - 1) / (2 * whole);
    for (const [at, by] of leg.meanBy) sum.logBy[at] = (sum.logBy[at] ?? 0) + logByMean * by;
    for (const [at, by] of leg.varianceBy) {
      sum.logBy[at] = (sum.logBy[at] ?? 0) + logByVariance * by;
    }
    meanByMean = 1 - gain;
    meanByVariance = (off * timed.sd ** 2) / whole ** 2;
    varianceByVariance = timed.sd ** 4 / whole ** 2;
    mean += gain * off;
    variance = gain * timed.sd ** 2;
  }
  sum.mean += sign * mean;
  sum.variance += variance;
  for (const [at, by] of leg.meanBy) {
    sum.meanBy[at] = (sum.meanBy[at] ?? 0) + sign * meanByMean * by;
  }
  for (const [at, by] of leg.varianceBy) {
    sum.meanBy[at] = (sum.meanBy[at] ?? 0) + sign * meanByVariance * by;
    sum.varianceBy[at] = (sum.varianceBy[at] ?? 0) + varianceByVariance * by;
  }
}

/** The race of an attempt: what the defense needs less what the runner needs. */
function raceOf(attempt: Attempt, theta: Theta, constants: RaceConstants, withTimes: boolean): Sum {
  const at = (which: number): number => theta[which] ?? 0;
  const sum: Sum = {
    mean: 0,
    variance: 0,
    meanBy: new Float64Array(COUNT),
    varianceBy: new Float64Array(COUNT),
    log: 0,
    logBy: new Float64Array(COUNT),
  };
  const { delivery, pop, run, pitch } = attempt;
  const timed = withTimes ? attempt.timed : {};
  const factor2 = Math.exp(2 * at(WITHIN));
  const deliveryOwn = factor2 * delivery.within ** 2;
  addLeg(
    sum,
    1,
    {
      mean: delivery.mean + pitch.delivery + (attempt.slideReckoned ? at(SLIDE) : 0),
      variance: delivery.doubt ** 2 + deliveryOwn + pitch.sd ** 2,
      meanBy: attempt.slideReckoned ? [[SLIDE, 1]] : [],
      varianceBy: [[WITHIN, 2 * deliveryOwn]],
    },
    timed.delivery,
  );
  const popOwn = factor2 * pop.within ** 2;
  addLeg(
    sum,
    1,
    {
      mean: pop.mean + pitch.pop,
      variance: pop.doubt ** 2 + popOwn,
      meanBy: [],
      varianceBy: [[WITHIN, 2 * popOwn]],
    },
    timed.pop,
  );
  const jumpOwn = Math.exp(2 * at(JUMP_SD));
  addLeg(
    sum,
    -1,
    {
      mean: at(JUMP) + (attempt.againstLeft ? at(LEFT) : 0) + (attempt.toThird ? at(THIRD) : 0),
      variance: jumpOwn + (attempt.againstLeft ? constants.leftHanderSdSeconds ** 2 : 0),
      meanBy: [
        [JUMP, 1],
        ...(attempt.againstLeft ? [[LEFT, 1] as [number, number]] : []),
        ...(attempt.toThird ? [[THIRD, 1] as [number, number]] : []),
      ],
      varianceBy: [[JUMP_SD, 2 * jumpOwn]],
    },
    timed.jump,
  );
  addLeg(
    sum,
    -1,
    { mean: run.mean, variance: run.doubt ** 2 + run.within ** 2, meanBy: [], varianceBy: [] },
    timed.run,
  );
  return sum;
}

/** One way a throw may go: how often, how often the runner is safe then, and how both move with the constants. */
interface Way {
  weight: number;
  weightBy: [number, number][];
  safe: number;
  safeBy: Float64Array | null;
}

function waysOf(
  attempt: Attempt,
  theta: Theta,
  constants: RaceConstants,
  sum: Sum,
): Record<ThrowSeen, Way> {
  const off = expit(theta[OFF] ?? 0);
  const wildOwn = expit(theta[AWAY] ?? 0);
  const raw = wildOwn + attempt.pitch.wild;
  const away = Math.min(MOST_AWAY, Math.max(LEAST_AWAY, raw));
  const awayBy = raw === away ? wildOwn * (1 - wildOwn) : 0;
  const offBy = off * (1 - off);
  const factor = Math.exp(theta[TAG] ?? 0);
  const caught = (tagSeconds: number, tagSd: number): Pick<Way, 'safe' | 'safeBy'> => {
    const sd = Math.sqrt(sum.variance + tagSd ** 2);
    const margin = sum.mean + tagSeconds * factor;
    const density = Math.exp(-((margin / sd) ** 2) / 2) / Math.sqrt(2 * Math.PI);
    const safeBy = new Float64Array(COUNT);
    for (let at = 0; at < COUNT; at += 1) {
      const meanBy = (sum.meanBy[at] ?? 0) + (at === TAG ? tagSeconds * factor : 0);
      safeBy[at] = density * (meanBy / sd - (margin * (sum.varianceBy[at] ?? 0)) / (2 * sd ** 3));
    }
    return { safe: normalCdf(margin / sd), safeBy };
  };
  return {
    onLine: {
      weight: (1 - away) * (1 - off),
      weightBy: [
        [AWAY, -awayBy * (1 - off)],
        [OFF, -(1 - away) * offBy],
      ],
      ...caught(constants.tagOnSeconds, constants.tagOnSdSeconds),
    },
    offLine: {
      weight: (1 - away) * off,
      weightBy: [
        [AWAY, -awayBy * off],
        [OFF, (1 - away) * offBy],
      ],
      ...caught(constants.tagOffSeconds, constants.tagOffSdSeconds),
    },
    away: { weight: away, weightBy: [[AWAY, awayBy]], safe: 1, safeBy: null },
  };
}

const ON_TIME: readonly ThrowSeen[] = ['onLine', 'offLine'];

/** The log likelihood of an attempt, with its gradient by the constants. */
export function likelihoodOf(
  attempt: Attempt,
  theta: Theta,
  constants: RaceConstants,
): { log: number; gradient: number[] } {
  const sum = raceOf(attempt, theta, constants, true);
  const ways = waysOf(attempt, theta, constants, sum);
  const isPopTimed = attempt.timed.pop !== undefined;
  const seen: [ThrowSeen, number][] = attempt.throw
    ? [[attempt.throw, 1]]
    : isPopTimed
      ? ON_TIME.map((way) => [way, 1])
      : [...ON_TIME.map((way): [ThrowSeen, number] => [way, 1 - attempt.popTimed]), ['away', 1]];
  let total = 0;
  const by = new Float64Array(COUNT);
  for (const [name, share] of seen) {
    const { weight, weightBy, safe, safeBy } = ways[name];
    const outcome = BY_RACE * (attempt.safe ? safe : 1 - safe) + BY_SLIP;
    total += share * weight * outcome;
    for (const [at, each] of weightBy) by[at] = (by[at] ?? 0) + share * each * outcome;
    if (!safeBy) continue;
    const sign = attempt.safe ? BY_RACE : -BY_RACE;
    for (let at = 0; at < COUNT; at += 1) {
      by[at] = (by[at] ?? 0) + share * weight * sign * (safeBy[at] ?? 0);
    }
  }
  return {
    log: sum.log + Math.log(total),
    gradient: Array.from(by, (each, at) => each / total + (sum.logBy[at] ?? 0)),
  };
}

/** The chance to be safe as it would have been told before: nothing of the attempt itself is known. */
export function chanceBefore(attempt: Attempt, theta: Theta, constants: RaceConstants): number {
  const ways = waysOf(attempt, theta, constants, raceOf(attempt, theta, constants, false));
  return Object.values(ways).reduce((sum, { weight, safe }) => sum + weight * safe, 0);
}
