import { SPEED_PER_MPH, throwBouncingSeconds } from '../race/index.ts';
import type { Sport } from '../rules/index.ts';
import { distanceAfter, timeToCover, type Gait } from '../sprint/index.ts';
import { feetBetween, type Place } from '../units/index.ts';
import type { BasesFigures } from './figures.ts';

/** Who says when the ball is caught: the runner's own eyes, or a coach's shout. */
export type CatchSeen = 'ownEyes' | 'shout';

/** When a runner who tags is at the next base, seconds after the catch. */
export function tagUpSeconds(
  gait: Gait,
  seen: CatchSeen,
  baseFeet: number,
  figures: Pick<BasesFigures, 'ownEyesSeconds' | 'shoutSeconds'>,
): number {
  const late = seen === 'shout' ? figures.shoutSeconds : 0;
  return figures.ownEyesSeconds + late + timeToCover(baseFeet, { ...gait, startSpeed: 0 });
}

/**
 * How far off the bag a runner can be when a fly ball is caught and still get back, feet.
 * @param at where it is caught
 */
export function halfwayFeet(
  gait: Gait,
  at: Place,
  bag: Place,
  arm: { mph: number; ball: Sport },
  figures: Pick<BasesFigures, 'catchSeconds' | 'backReactSeconds' | 'backMarginSeconds'>,
): number {
  const thrown = throwBouncingSeconds(feetBetween(at, bag), {
    throwSpeed: arm.mph * SPEED_PER_MPH,
    ball: arm.ball,
  });
  const free = figures.catchSeconds + thrown - figures.backReactSeconds - figures.backMarginSeconds;
  return free <= 0 ? 0 : distanceAfter(free, { ...gait, startSpeed: 0 });
}

/**
 * How likely the catch has to be before tagging beats going half way, 0..1.
 * @param halfGains what half way gains when the ball drops, over tagging
 * @param tagGains what tagging gains when it is caught, over going back
 */
export function breakEvenCatch(halfGains: number, tagGains: number): number {
  const [half, tag] = [Math.max(0, halfGains), Math.max(0, tagGains)];
  return half + tag === 0 ? 1 : half / (half + tag);
}
