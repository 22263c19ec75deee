import { expectedTime, type Conditions, type Population } from '../sprint/index.ts';
import { plainContext } from '../timing/index.ts';
import type { OwnReturn } from './back.ts';

/**
 * What a test dive from a lead showed: his elbow was over the bag (he can take more), his hand was on
 * it, or he was short of it.
 */
export const DIVE_RESULTS = ['elbowOver', 'handOn', 'short'] as const;
export type DiveResult = (typeof DIVE_RESULTS)[number];

/** One crossover step and a dive back from a measured lead. */
export interface TestDive {
  leadFeet: number;
  result: DiveResult;
  /** How far short his hand was; null otherwise. */
  inchesShort: number | null;
}

/** One crossover step of the dive, before the reach. Judgement: with the reach it is the usual safe lead. */
const CROSSOVER_STEP_FEET = 6.4;
/** Elbow to hand: what he had to spare when the elbow was over the bag. Judgement. */
const FOREARM_FEET = 1.25;
/** How far one try of a crossover and a dive lies from another (standard deviation). Judgement. */
const DIVE_WITHIN_FEET: Record<DiveResult, number> = { elbowOver: 0.6, handOn: 0.4, short: 0.4 };
/** How far one runner's timed return lies from another's, seconds. Judgement. */
const RETURN_BETWEEN_SECONDS = 0.07;

/** How far a test dive shows that he gets with a crossover step and a dive, feet. */
export function rangeShown({ leadFeet, result, inchesShort }: TestDive): number {
  if (result === 'elbowOver') return leadFeet + FOREARM_FEET;
  return result === 'short' ? leadFeet - (inchesShort ?? 0) / 12 : leadFeet;
}

/** What is known of a runner's way back, and from what. */
export interface KnownReturn extends OwnReturn {
  timed: number;
  dived: number;
}

/**
 * How one runner gets back against what is typical of his level: his timed dives and his test dives
 * together. With neither he is typical, give or take what runners differ by.
 * @param populations everything timed of him
 */
export function ownReturn(
  person: Parameters<typeof expectedTime>[0],
  populations: readonly Population[],
  dives: readonly TestDive[],
  field: Conditions,
): KnownReturn {
  const context = plainContext('diveBack');
  const usual = expectedTime(person, [], context, field);
  const own = expectedTime(person, populations, context, field);
  if (!usual || !own)
    return { laterSeconds: 0, sdSeconds: RETURN_BETWEEN_SECONDS, timed: 0, dived: 0 };
  const { back } = field.level;
  // At the end of the dive he is about as fast as he gets going back; a foot of reach is that much time.
  const secondsPerFoot = 1 / back.topSpeed;
  const typicalRange = back.reachFeet + CROSSOVER_STEP_FEET;
  let precision = 1 / own.meanSdSeconds ** 2;
  let sum = (own.meanSeconds - usual.meanSeconds) * precision;
  for (const dive of dives) {
    const within = DIVE_WITHIN_FEET[dive.result] * secondsPerFoot;
    const weight = 1 / within ** 2;
    precision += weight;
    sum += weight * (typicalRange - rangeShown(dive)) * secondsPerFoot;
  }
  return {
    laterSeconds: sum / precision,
    sdSeconds: 1 / Math.sqrt(precision),
    timed: own.count,
    dived: dives.length,
  };
}
