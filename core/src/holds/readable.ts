import { betaQuantile } from '../maths/beta.ts';
import { holdLaw, survival, WINDOW_SECONDS } from './law.ts';

/** How well a runner can time a pitcher: the fullest quarter second of what is left of their holds. */
export interface Readable {
  /** Of the holds that last to it, so many end within this quarter second, 0..1. */
  share: number;
  /** Where it lies, eight times in ten. */
  low: number;
  high: number;
  /** The middle of that quarter second. */
  atSeconds: number;
  word: 'cannot' | 'somewhat' | 'can';
  holds: number;
}

/** So many holds of the plan stand behind those that were timed. Judgement. */
const PLAN_HOLDS = 4;
const EARLIEST_SECONDS = 0.5;
const STEP_SECONDS = 0.05;
/** What comes after nine in ten is over too seldom to go on. */
const LAST_PLACE = 0.9;
const LEAST_LEFT = 4;
const [SOMEWHAT, CAN] = [0.35, 0.55];
const LAW = holdLaw(null);

/** How many ended within a quarter second from here, and how many did not, those of the plan behind them. */
function countsFrom(
  fromSeconds: number,
  holdSeconds: readonly number[],
): [yes: number, no: number] {
  const [begins, ends] = [survival(fromSeconds, LAW), survival(fromSeconds + WINDOW_SECONDS, LAW)];
  const left = holdSeconds.filter((hold) => hold >= fromSeconds);
  const within = left.filter((hold) => hold < fromSeconds + WINDOW_SECONDS).length;
  return [PLAN_HOLDS * (begins - ends) + within, PLAN_HOLDS * ends + left.length - within];
}

/** How much of what is left ends within a quarter second from here, 0..1. @param holdSeconds those that were timed */
export function shareFrom(fromSeconds: number, holdSeconds: readonly number[]): number {
  const [yes, no] = countsFrom(fromSeconds, holdSeconds);
  return yes / (yes + no);
}

/**
 * The most predictable moment of a pitcher's holds. From few holds it lies near what a good plan has.
 * @param holdSeconds holds that count, in any order
 * @returns null with too few to look at
 */
export function readable(holdSeconds: readonly number[]): Readable | null {
  const sorted = holdSeconds.toSorted((a, b) => a - b);
  const last = sorted[Math.ceil(LAST_PLACE * sorted.length) - 1];
  if (last === undefined) return null;
  const grid = Array.from(
    { length: Math.max(0, Math.floor((last - EARLIEST_SECONDS) / STEP_SECONDS) + 1) },
    (_, step) => EARLIEST_SECONDS + step * STEP_SECONDS,
  );
  // A quarter second is fullest where it begins with a hold.
  const starts = [...grid, ...sorted].filter(
    (start) =>
      start >= EARLIEST_SECONDS &&
      start <= last &&
      sorted.filter((hold) => hold >= start).length >= LEAST_LEFT,
  );
  if (starts.length === 0) return null;
  const best = starts
    .map((start) => ({ start, share: shareFrom(start, sorted) }))
    .reduce((most, each) => (each.share > most.share + 1e-12 ? each : most));
  const [yes, no] = countsFrom(best.start, sorted);
  return {
    share: best.share,
    low: betaQuantile(0.1, yes, no),
    high: betaQuantile(0.9, yes, no),
    atSeconds: best.start + WINDOW_SECONDS / 2,
    word: best.share < SOMEWHAT ? 'cannot' : best.share < CAN ? 'somewhat' : 'can',
    holds: sorted.length,
  };
}

/** The jump of one who knows when the pitcher goes, seconds after the first move. Judgement. */
export const GUESSED_JUMP_SECONDS = -0.05;
/** Caught leaning: out so often when they hold on and look. Judgement. */
export const LEANING_OUT = 0.7;
