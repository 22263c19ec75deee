import normal from '@stdlib/stats-base-dists-normal-cdf';
import student from '@stdlib/stats-base-dists-t-cdf';
import quantile from '@stdlib/stats-base-dists-t-quantile';

/**
 * The chance that a standard normal number is at most x.
 * @example normalCdf(1) // 0.8413447460685429
 */
export function normalCdf(x: number): number {
  return normal(x, 0, 1);
}

/**
 * The chance that a Student t number is at most x.
 * @param freedom degrees of freedom, above 0; Infinity is the normal distribution
 * @example studentCdf(0.7, 10) // 0.750056...
 */
export function studentCdf(x: number, freedom: number): number {
  if (!(freedom > 0)) throw new RangeError('studentCdf needs degrees of freedom above 0');
  return Number.isFinite(freedom) ? student(x, freedom) : normalCdf(x);
}

/**
 * The number that a Student t number stays below with the given chance.
 * @param chance above 0, below 1
 * @param freedom degrees of freedom, above 0, finite
 * @example studentQuantile(0.9, 10) // 1.3721836...
 */
export function studentQuantile(chance: number, freedom: number): number {
  if (!(chance > 0 && chance < 1) || !(freedom > 0)) {
    throw new RangeError('studentQuantile needs a chance between 0 and 1 and freedom above 0');
  }
  return quantile(chance, freedom);
}
