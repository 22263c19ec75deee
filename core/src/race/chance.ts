import { EIGHT_IN_TEN, normalCdf, studentCdf, type Spread } from '../maths/index.ts';
import type { Level, DoubtfulSpread } from '../timing/index.ts';
import { FASTBALL, type WeightedPitch } from './pitches.ts';

/** Everything that races: the ball to the base against the runner. */
export interface Race {
  level: Pick<Level, 'tag' | 'throws'>;
  /** First move (softball: release) to mitt; null: the clock starts when the pitch is there. */
  delivery: DoubtfulSpread | null;
  pop: DoubtfulSpread;
  run: DoubtfulSpread;
  /**
   * Start of the clock to the runner's first move. Where leads are open it is the level's, and as
   * uneven as that; where a runner leaves with the pitch it is the runner's own, and as doubtful.
   */
  jump: Spread & Partial<DoubtfulSpread>;
  pitches?: readonly WeightedPitch[];
  /** How many times as often as usual the throw goes away. */
  wildTimes?: number;
}

/** One way the throw can go. */
interface RacePart {
  pitch: WeightedPitch['pitch'];
  throw: 'onLine' | 'offLine' | 'wild';
  weight: number;
  chance: number;
}

/** How often he is safe. Chances 0..1. */
export interface Chance {
  chance: number;
  /** Where the chance lies, eight times in ten, as far as the doubt of the times goes. */
  low: number;
  high: number;
  /** Mean seconds to spare, tag and jump counted, over throws that get there. */
  spareSeconds: number;
  /** Delivery + pop - run, as coaches reckon it. */
  plainSeconds: number;
  /** What a tenth more or less is worth here: gained from .05 less to .05 more. */
  perTenth: number;
  parts: RacePart[];
}

/** Bounds of how often a throw goes away. Agreed. */
const WILD_LEAST = 0.01;
const WILD_MOST = 0.6;
/** Below this excess kurtosis the sum is as good as normal. Agreed. */
const NORMAL_BELOW = 1e-9;

/** A part of the race on one scale: safe with chance F(shift + mean). */
interface Way extends Omit<RacePart, 'chance'> {
  meanSeconds: number;
  /** Scale of the sum, and its degrees of freedom. */
  scaleSeconds: number;
  freedom: number;
}

/** A race made ready to be asked for its chance at many shifts. */
export interface ReadyRace {
  wild: number;
  ways: Way[];
}

type Sds = 'sdSeconds' | 'spreadSeconds';

/**
 * Sums up a race: for each pitch and each way of the throw, the mean and spread of what he has to
 * spare. Student t terms are added as one t of the same variance and kurtosis.
 * @param which sdSeconds: all that is uneven or in doubt; spreadSeconds: unevenness alone
 */
export function readyRace(race: Race, which: Sds = 'sdSeconds'): ReadyRace {
  const { level, delivery, pop, run, jump, pitches = FASTBALL, wildTimes = 1 } = race;
  const { throws, tag } = level;
  const legs = delivery ? [delivery, pop, run] : [pop, run];
  const base = (delivery?.meanSeconds ?? 0) + pop.meanSeconds - jump.meanSeconds - run.meanSeconds;
  const legVariance = legs.reduce(
    (sum, leg) => sum + leg[which] ** 2,
    (jump[which] ?? jump.sdSeconds) ** 2,
  );
  const kurtosis = legs.reduce(
    (sum, leg) =>
      sum + (Number.isFinite(leg.freedom) ? (6 / (leg.freedom - 4)) * leg[which] ** 4 : 0),
    0,
  );
  const total = pitches.reduce((sum, { weight }) => sum + weight, 0);
  const ready: ReadyRace = { wild: 0, ways: [] };
  for (const pitch of pitches) {
    const share = pitch.weight / total;
    const wild = Math.min(WILD_MOST, Math.max(WILD_LEAST, throws.wild * wildTimes + pitch.wild));
    const onLine = ((1 - wild) * throws.onLine) / (throws.onLine + throws.offLine);
    ready.wild += share * wild;
    // Where the pitch does not count, neither does how long it is on its way.
    const shift = (delivery ? pitch.deliverySeconds : 0) + pitch.popSeconds;
    const way = (name: 'onLine' | 'offLine', weight: number, seconds: number, sd: number): void => {
      const variance = legVariance + sd ** 2 + pitch.sdSeconds ** 2;
      const excess = kurtosis / variance ** 2;
      const freedom = excess < NORMAL_BELOW ? Number.POSITIVE_INFINITY : 4 + 6 / excess;
      const scale = Number.isFinite(freedom) ? Math.sqrt((freedom - 2) / freedom) : 1;
      ready.ways.push({
        pitch: pitch.pitch,
        throw: name,
        weight: share * weight,
        meanSeconds: base + shift + seconds,
        scaleSeconds: Math.sqrt(variance) * scale,
        freedom,
      });
    };
    way('onLine', onLine, tag.onLineSeconds, tag.onLineSdSeconds);
    way('offLine', 1 - wild - onLine, tag.offLineSeconds, tag.offLineSdSeconds);
  }
  return ready;
}

/** The chance that he is safe when he has this much more time than the race gives him. */
export function chanceAt(ready: ReadyRace, shiftSeconds: number): number {
  return ready.ways.reduce((sum, way) => sum + way.weight * waySafe(way, shiftSeconds), ready.wild);
}

function waySafe({ meanSeconds, scaleSeconds, freedom }: Way, shiftSeconds: number): number {
  const distance = (meanSeconds + shiftSeconds) / scaleSeconds;
  return Number.isFinite(freedom) ? studentCdf(distance, freedom) : normalCdf(distance);
}

/** How far the means together may be off, seconds. */
export function doubtSeconds({ delivery, pop, run, jump }: Race): number {
  return Math.hypot(
    delivery?.meanSdSeconds ?? 0,
    pop.meanSdSeconds,
    run.meanSdSeconds,
    jump.meanSdSeconds ?? 0,
  );
}

/** Where the chance lies, eight times in ten, when the means may be off by so much. */
function chanceInterval(race: Race, doubt = doubtSeconds(race)): [low: number, high: number] {
  const even = readyRace(race, 'spreadSeconds');
  return [chanceAt(even, -EIGHT_IN_TEN * doubt), chanceAt(even, EIGHT_IN_TEN * doubt)];
}

/** How often he is safe, and what that is made of. */
export function chanceSafe(race: Race): Chance {
  const ready = readyRace(race);
  const [low, high] = chanceInterval(race);
  const there = ready.ways.reduce((sum, { weight }) => sum + weight, 0);
  const spare = ready.ways.reduce((sum, { weight, meanSeconds }) => sum + weight * meanSeconds, 0);
  return {
    chance: chanceAt(ready, 0),
    low,
    high,
    spareSeconds: spare / there,
    plainSeconds: (race.delivery?.meanSeconds ?? 0) + race.pop.meanSeconds - race.run.meanSeconds,
    perTenth: chanceAt(ready, 0.05) - chanceAt(ready, -0.05),
    parts: [
      ...ready.ways.map((way) => ({
        pitch: way.pitch,
        throw: way.throw,
        weight: way.weight,
        chance: waySafe(way, 0),
      })),
      { pitch: 'fastball', throw: 'wild', weight: ready.wild, chance: 1 },
    ],
  };
}
