import { betaQuantile } from '../maths/beta.ts';

/** How often each number of successes comes of chances that differ: exactly. Index is the number. */
export function successesOf(chances: readonly number[]): Float64Array {
  const of = new Float64Array(chances.length + 1);
  of[0] = 1;
  for (const [tried, chance] of chances.entries()) {
    for (let k = tried + 1; k >= 1; k -= 1) {
      of[k] = (of[k] ?? 0) * (1 - chance) + (of[k - 1] ?? 0) * chance;
    }
    of[0] *= 1 - chance;
  }
  return of;
}

/** The smallest number that is not passed with at least this chance. */
export function successQuantile(of: Float64Array, chance: number): number {
  let upTo = 0;
  for (const [k, share] of of.entries()) {
    upTo += share;
    // Sums of shares fall a rounding short.
    if (upTo >= chance - 1e-12) return k;
  }
  return of.length - 1;
}

/** The chance of fewer than so many. */
export function chanceBelow(of: Float64Array, successes: number): number {
  let sum = 0;
  for (let k = 0; k < successes; k += 1) sum += of[k] ?? 0;
  return sum;
}

/** Where a share lies, eight times in ten (or as often as the tail says): Beta by half a count either way. */
export function jeffreysInterval(
  successes: number,
  tries: number,
  tail = 0.1,
): [low: number, high: number] {
  const [a, b] = [successes + 0.5, tries - successes + 0.5];
  return [
    successes === 0 ? 0 : betaQuantile(tail, a, b),
    successes === tries ? 1 : betaQuantile(1 - tail, a, b),
  ];
}

/** The same in closed form: a check. @param z of the tail */
export function wilsonInterval(
  successes: number,
  tries: number,
  z: number,
): [low: number, high: number] {
  const share = successes / tries;
  const middle = share + z ** 2 / (2 * tries);
  const half = z * Math.sqrt((share * (1 - share)) / tries + z ** 2 / (4 * tries ** 2));
  const whole = 1 + z ** 2 / tries;
  return [(middle - half) / whole, (middle + half) / whole];
}
