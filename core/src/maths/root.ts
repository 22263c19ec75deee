/**
 * Where a continuous function that crosses zero once between two places does so (Illinois: false
 * position that cannot get stuck at one end).
 * @param low the function has one sign here
 * @param high and the other here
 * @param tolerance how near the answer has to be
 * @returns null when both ends have the same sign
 * @example rootOf((x) => x * x - 2, 0, 2, 1e-9) // 1.414213562...
 */
export function rootOf(
  value: (x: number) => number,
  low: number,
  high: number,
  tolerance: number,
): number | null {
  let [a, b] = [low, high];
  let [atA, atB] = [value(a), value(b)];
  if (atA === 0) return a;
  if (atB === 0) return b;
  if (atA > 0 === atB > 0) return null;
  let last = Number.NaN;
  for (let round = 0; round < 200; round += 1) {
    const next = (a * atB - b * atA) / (atB - atA);
    const atNext = value(next);
    if (atNext === 0 || Math.abs(next - last) < tolerance || Math.abs(b - a) < tolerance) {
      return next;
    }
    last = next;
    // The end that was kept twice counts half, so that the other side moves too.
    if (atNext > 0 === atB > 0) atA /= 2;
    else [a, atA] = [b, atB];
    [b, atB] = [next, atNext];
  }
  return b;
}
