/**
 * A time cut to the millisecond, the finest a hand-timed reading can mean.
 * @param seconds any finite time in seconds
 * @example roundToMillisecond(1.41049) // 1.41
 */
export function roundToMillisecond(seconds: number): number {
  return Math.round(seconds * 1000) / 1000;
}

/**
 * The time from one event to a later one, to the millisecond.
 * @param fromMs time stamp of the first event, milliseconds on any clock
 * @param toMs time stamp of the second event, milliseconds on the same clock
 * @returns seconds; negative when the second event came first
 * @example secondsBetween(1000, 2410.4) // 1.41
 */
export function secondsBetween(fromMs: number, toMs: number): number {
  return roundToMillisecond((toMs - fromMs) / 1000);
}

/** Feet in a meter. By definition a foot is .3048 m. */
export const FEET_PER_METER = 1 / 0.3048;
