/**
 * The next figure, a step on, never outside its limits.
 * @example stepped(11.9, 0.2, { min: 0, max: 12 }) // 12
 */
export function stepped(
  value: number,
  by: number,
  { min, max }: { min: number; max: number },
): number {
  // Steps of decimals leave dust.
  const next = Math.round((value + by) * 1000) / 1000;
  return Math.min(max, Math.max(min, next));
}
