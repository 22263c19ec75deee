/** A picture's luminance, 0 to 255, row by row. */
export type Luminance = Uint8ClampedArray | Uint8Array;

/**
 * Luminance of a picture as a canvas gives it.
 * @param rgba four bytes a pixel
 */
export function luminanceOf(rgba: Uint8ClampedArray): Uint8Array {
  const luminance = new Uint8Array(rgba.length / 4);
  for (let pixel = 0; pixel < luminance.length; pixel += 1) {
    const at = 4 * pixel;
    luminance[pixel] =
      0.299 * (rgba[at] ?? 0) + 0.587 * (rgba[at + 1] ?? 0) + 0.114 * (rgba[at + 2] ?? 0);
  }
  return luminance;
}

/**
 * How much one picture differs from the one before: mean absolute difference a pixel.
 * @throws RangeError for pictures of different size
 */
export function motionBetween(before: Luminance, after: Luminance): number {
  if (before.length !== after.length) throw new RangeError('motionBetween needs one size');
  let sum = 0;
  for (let pixel = 0; pixel < after.length; pixel += 1) {
    sum += Math.abs((after[pixel] ?? 0) - (before[pixel] ?? 0));
  }
  return after.length === 0 ? 0 : sum / after.length;
}

/** He moves where so many deviations over the rest are passed, so many pictures running. Agreed. */
const OVER_REST = 6;
const RUNNING = 3;
/** A camera's own noise is never less: without it a drawn picture would have no rest. Judgement. */
const LEAST_DEVIATION = 0.05;

/** From rest to a first move. */
export interface FirstMove {
  /** Which picture is the first that differs from rest; null: he never moves, or never rests. */
  frame: number | null;
  /** What counts as moving. */
  threshold: number;
}

/**
 * Where motion rises from its rest. Rest is the quietest second.
 * @param motion of each picture against the one before it; of the first one 0
 * @param fps pictures a second as the camera took them
 */
export function firstMoveOf(motion: readonly number[], fps: number): FirstMove {
  const second = Math.max(RUNNING, Math.round(fps));
  const rest = quietest(motion.slice(1), second);
  const middle = median(rest);
  const deviation = Math.max(LEAST_DEVIATION, median(rest.map((each) => Math.abs(each - middle))));
  const threshold = middle + OVER_REST * deviation;
  const frame = motion.findIndex(
    (_, nth) =>
      nth > 0 &&
      nth + RUNNING <= motion.length &&
      motion.slice(nth, nth + RUNNING).every((each) => each > threshold),
  );
  // Who moves from the first picture on was not at rest: where it began is not to be seen.
  return { frame: frame > 1 ? frame : null, threshold };
}

function quietest(motion: readonly number[], length: number): readonly number[] {
  if (motion.length <= length) return motion;
  let sum = motion.slice(0, length).reduce((total, each) => total + each, 0);
  let best = { sum, from: 0 };
  for (let from = 1; from + length <= motion.length; from += 1) {
    sum += (motion[from + length - 1] ?? 0) - (motion[from - 1] ?? 0);
    if (sum < best.sum) best = { sum, from };
  }
  return motion.slice(best.from, best.from + length);
}

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}
