/** How a runner gathers speed. Feet per second, seconds. */
export interface SpeedCurve {
  topSpeed: number;
  /** Effective time constant; it absorbs a late-seen first movement. */
  accelerationSeconds: number;
  /** Speed at the start, 0 from a standing start; at most `topSpeed`. */
  startSpeed: number;
}

/**
 * How far he is after a time: x(t) = V t - (V - v0) tau (1 - e^(-t/tau)).
 * @param seconds time since the start, not negative
 * @returns feet
 */
export function distanceAfter(seconds: number, curve: SpeedCurve): number {
  const { topSpeed, accelerationSeconds, startSpeed } = curve;
  const gained = 1 - Math.exp(-seconds / accelerationSeconds);
  return topSpeed * seconds - (topSpeed - startSpeed) * accelerationSeconds * gained;
}

/**
 * How fast he is after a time: v(t) = V - (V - v0) e^(-t/tau).
 * @param seconds time since the start, not negative
 * @returns feet per second
 */
export function speedAfter(seconds: number, curve: SpeedCurve): number {
  const { topSpeed, accelerationSeconds, startSpeed } = curve;
  return topSpeed - (topSpeed - startSpeed) * Math.exp(-seconds / accelerationSeconds);
}

/**
 * How long a distance takes him.
 * Newton's method from above: distance is convex in time, so it falls to the root without overshooting.
 * @param feet not negative; 0 takes no time
 * @returns seconds
 * @throws RangeError when the curve cannot cover ground or the distance is negative
 * @example timeToCover(90, { topSpeed: 27.6, accelerationSeconds: 0.78, startSpeed: 0 }) // 4.036
 */
export function timeToCover(feet: number, curve: SpeedCurve): number {
  const { topSpeed, accelerationSeconds, startSpeed } = curve;
  if (!(feet >= 0)) throw new RangeError('timeToCover needs a distance of at least 0 ft');
  if (
    !(topSpeed > 0) ||
    !(accelerationSeconds > 0) ||
    !(startSpeed >= 0 && startSpeed <= topSpeed)
  ) {
    throw new RangeError('timeToCover needs a top speed above 0 and a start speed from 0 up to it');
  }
  if (feet === 0) return 0;
  let seconds = (feet + (topSpeed - startSpeed) * accelerationSeconds) / topSpeed;
  for (let step = 0; step < 50; step += 1) {
    const correction = (distanceAfter(seconds, curve) - feet) / speedAfter(seconds, curve);
    // It only ever falls; a step upward is the rounding of a distance of next to nothing.
    if (correction <= 0) break;
    seconds -= correction;
    if (correction < 1e-13) break;
  }
  // Rounding may end a hair below zero for distances of less than a hair.
  return Math.max(0, seconds);
}
