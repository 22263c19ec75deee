// Not in the index: whoever needs it imports it by name, and nobody else's pages carry it.
import beta from '@stdlib/stats-base-dists-beta-cdf';
import betaInverse from '@stdlib/stats-base-dists-beta-quantile';

/**
 * The chance that a Beta number is at most x.
 * @param a above 0
 * @param b above 0
 * @example betaCdf(0.3, 2, 5) // 0.579825
 */
export function betaCdf(x: number, a: number, b: number): number {
  if (!(a > 0 && b > 0)) throw new RangeError('betaCdf needs a and b above 0');
  return beta(x, a, b);
}

/**
 * The number that a Beta number stays below with the given chance.
 * @param chance 0 to 1
 * @example betaQuantile(0.5, 4, 9) // 0.2975756...
 */
export function betaQuantile(chance: number, a: number, b: number): number {
  if (!(chance >= 0 && chance <= 1) || !(a > 0 && b > 0)) {
    throw new RangeError('betaQuantile needs a chance from 0 to 1, and a and b above 0');
  }
  return betaInverse(chance, a, b);
}
