import { mean, sampleDeviation } from '../maths/index.ts';

/** How a pitcher holds the ball before he goes. */
export interface Rhythm {
  /** The last holds in whole seconds, the newest last. */
  counts: number[];
  /** `few`: not enough timed; `even`: can be timed; `varied`: cannot. */
  verdict: 'few' | 'even' | 'varied';
  meanSeconds: number;
}

const LAST = 8;
const LEAST = 4;
/** A runner counts in whole seconds: a rhythm that strays less than this from its mean can be counted. Judgement. */
const EVEN_WITHIN_SECONDS = 0.55;

/**
 * Whether a runner could time this pitcher's hold.
 * @param holdSeconds holds that count, seconds, the newest last
 * @returns null when none is timed
 * @example rhythmOf([2.1, 2.3, 2.8, 2]) // { counts: [2, 2, 3, 2], verdict: 'even', ... }
 */
export function rhythmOf(holdSeconds: readonly number[]): Rhythm | null {
  const last = holdSeconds.slice(-LAST);
  if (last.length === 0) return null;
  const even = last.length >= LEAST && sampleDeviation(last) <= EVEN_WITHIN_SECONDS;
  return {
    counts: last.map(Math.round),
    verdict: last.length < LEAST ? 'few' : even ? 'even' : 'varied',
    meanSeconds: mean(last),
  };
}
