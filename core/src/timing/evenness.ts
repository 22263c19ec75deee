import { sampleDeviation } from '../maths/index.ts';

/** Two thumbs are so uneven; no less than this share of what is seen is the player's own. Judgement. */
const THUMBS_SD = 0.05;
const OWN_LEAST = 0.4;

/** How even somebody is, thumbs taken out. @param readings at least two, seconds */
export function ownSpread(readings: readonly number[], measureSd = THUMBS_SD): number {
  const all = sampleDeviation(readings) ** 2;
  return Math.sqrt(Math.max(all - measureSd ** 2, OWN_LEAST * all));
}
