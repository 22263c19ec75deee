import { mean, sampleDeviation } from '../maths/index.ts';

/** What several times of one thing say together. */
export interface Spread {
  /** How many were timed. */
  count: number;
  meanSeconds: number;
  /** Sample standard deviation, seconds; null with a single time, which says nothing about it. */
  giveOrTakeSeconds: number | null;
}

/**
 * The spread of one person's times of one kind.
 * @param seconds the times that count, seconds
 * @returns null when nothing is timed yet
 * @example spreadOf([1.4, 1.5]) // { count: 2, meanSeconds: 1.45, giveOrTakeSeconds: 0.0707 }
 */
export function spreadOf(seconds: readonly number[]): Spread | null {
  if (seconds.length === 0) return null;
  return {
    count: seconds.length,
    meanSeconds: mean(seconds),
    giveOrTakeSeconds: seconds.length > 1 ? sampleDeviation(seconds) : null,
  };
}
