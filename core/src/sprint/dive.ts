import { timeToCover, type SpeedCurve } from './curve.ts';

/** How somebody gets back to a bag. Feet, seconds, ft/s. */
export interface Back extends Omit<SpeedCurve, 'startSpeed'> {
  /** Hips to hand in the dive. */
  reachFeet: number;
}

/** The read and the turn to dive take at least this long after the reaction. Agreed. */
const LEAST_DIVE_SECONDS = 0.3;

/**
 * From the move to the base to the hand on the bag: reaction, stopping what he does away from the
 * bag, then the short run and the reach of the dive.
 * @param distanceFeet hips to the corner he dives for, not negative
 * @param awaySpeed how fast he still drifts away, ft/s, not negative
 */
export function diveSeconds(
  { topSpeed, accelerationSeconds, reachFeet }: Back,
  {
    distanceFeet,
    awaySpeed,
    reactSeconds,
  }: { distanceFeet: number; awaySpeed: number; reactSeconds: number },
): number {
  // He brakes as hard as he can start.
  const braking = topSpeed / accelerationSeconds;
  const drifted = awaySpeed ** 2 / (2 * braking);
  const feet = Math.max(0, distanceFeet + drifted - reachFeet);
  const run = timeToCover(feet, { topSpeed, accelerationSeconds, startSpeed: 0 });
  return reactSeconds + awaySpeed / braking + Math.max(LEAST_DIVE_SECONDS, run);
}
