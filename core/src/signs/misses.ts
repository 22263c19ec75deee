import { betaQuantile } from '../maths/beta.ts';

/** What is believed of how often a player misses a sign: a Beta, as of a day. */
export interface MissBelief {
  a: number;
  b: number;
  /** The day of the last evidence, counted from any day. */
  day: number;
}

/** The team's usual share while nothing is known, and how much it counts. Judgement. */
const USUAL_MISS = 0.2;
const USUAL_WEIGHT = 4;
/** Old evidence fades toward what is usual. Judgement. */
const HALF_LIFE_DAYS = 21;
/** Later than this it was no help. Judgement. */
export const LATE_SECONDS = 3;

/** Before anything is seen. @param usual the team's own share of misses, 0..1 */
export function missPrior(day: number, usual = USUAL_MISS): MissBelief {
  return { a: usual * USUAL_WEIGHT, b: (1 - usual) * USUAL_WEIGHT, day };
}

/** One sign more, missed or taken. @param day not before the last one */
export function afterSign(
  belief: MissBelief,
  { day, missed }: { day: number; missed: boolean },
  usual = USUAL_MISS,
): MissBelief {
  const prior = missPrior(day, usual);
  const left = 2 ** (-Math.max(0, day - belief.day) / HALF_LIFE_DAYS);
  return {
    a: prior.a + (belief.a - prior.a) * left + (missed ? 1 : 0),
    b: prior.b + (belief.b - prior.b) * left + (missed ? 0 : 1),
    day,
  };
}

/** How often they miss: the mean, and where it lies eight times in ten. */
export function missOf({ a, b }: Pick<MissBelief, 'a' | 'b'>): {
  mean: number;
  low: number;
  high: number;
} {
  return { mean: a / (a + b), low: betaQuantile(0.1, a, b), high: betaQuantile(0.9, a, b) };
}

/** Both have to read it, each for themselves. */
export function pairMisses(one: number, other: number): number {
  return 1 - (1 - one) * (1 - other);
}
