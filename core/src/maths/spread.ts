/** A time that is uneven: its mean, and its standard deviation. Seconds. */
export interface Spread {
  meanSeconds: number;
  sdSeconds: number;
}

/** Eight times in ten a normal number lies within this many deviations; one in ten beyond either side. */
export const EIGHT_IN_TEN = 1.2816;

/**
 * The arithmetic mean.
 * @param values at least one finite number
 * @throws RangeError on an empty list
 */
export function mean(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError('mean needs at least one value');
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/**
 * The sample standard deviation (n - 1 in the denominator), in the unit of the values.
 * @param values at least two finite numbers
 * @throws RangeError on fewer than two values: one value says nothing about spread
 */
export function sampleDeviation(values: readonly number[]): number {
  if (values.length < 2) throw new RangeError('sampleDeviation needs at least two values');
  const centre = mean(values);
  const squares = values.reduce((sum, value) => sum + (value - centre) ** 2, 0);
  return Math.sqrt(squares / (values.length - 1));
}
