import { rootOf } from '../maths/index.ts';
import { distanceAfter } from '../sprint/index.ts';
import { feetBetween, type Place } from '../units/index.ts';
import { rolledAfter, rollFeet, type Bunt, type Ground } from './roll.ts';
import type { Fielder } from './setup.ts';

/** A fast ball crosses a fielder's reach between two long steps: no step may let it roll farther. */
const STEP_SECONDS = 0.2;
const STEP_FEET = 4;
/** Nobody needs longer to get to a ball lying on the infield. */
const LONGEST_SECONDS = 30;

const HOME: Place = { x: 0, y: 0 };

/** When and where a fielder has the ball, seconds after contact. */
export interface Intercept {
  seconds: number;
  at: Place;
}

/**
 * When a fielder first reaches a bunted ball.
 * @param until seconds; whoever is later is not asked for
 * @returns null when he is not there by then
 */
export function interceptBunt(
  { degrees, speed }: Bunt,
  fielder: Fielder,
  ground: Ground,
  reachFeet: number,
  until = LONGEST_SECONDS,
): Intercept | null {
  const angle = (degrees * Math.PI) / 180;
  const [alongX, alongY] = [Math.cos(angle), Math.sin(angle)];
  const { at, reactSeconds, chargeSpeed } = fielder;
  const home = feetBetween(at, HOME);
  // Not before he could have covered the ground to the ball's path: most fielders need not be tried.
  const onPath = Math.min(rollFeet(speed, ground), Math.max(0, at.x * alongX + at.y * alongY));
  const apart = feetBetween({ x: onPath * alongX, y: onPath * alongY }, at);
  const earliest =
    Math.max(0, apart - reachFeet) / fielder.topSpeed + (chargeSpeed === 0 ? reactSeconds : 0);
  if (apart > reachFeet && earliest > until) return null;
  const { topSpeed, accelerationSeconds } = fielder;
  // The same shape for every fielder: engines run that several times as fast.
  const curve = { topSpeed, accelerationSeconds, startSpeed: 0 };
  /** How much farther he could be than he has to be, feet. */
  const spare = (seconds: number): number => {
    const rolled = rolledAfter(seconds, speed, ground);
    const [dx, dy] = [rolled * alongX - at.x, rolled * alongY - at.y];
    const away = Math.sqrt(dx ** 2 + dy ** 2);
    // Charging helps only as far as the ball lies in the direction of the plate.
    const toward = Math.max(0, -(dx * at.x + dy * at.y) / (away * home));
    const start = chargeSpeed * (away > 0 ? toward : 1);
    const coming = start * Math.min(seconds, reactSeconds);
    curve.startSpeed = start;
    const run = seconds > reactSeconds ? distanceAfter(seconds - reactSeconds, curve) : 0;
    return coming + run + reachFeet - away;
  };
  const step = Math.min(STEP_SECONDS, STEP_FEET / speed);
  if (spare(0) >= 0) return { seconds: 0, at: HOME };
  let before = apart > reachFeet ? earliest : 0;
  while (before < until) {
    const next = before + step;
    if (spare(next) >= 0) {
      const seconds = rootOf(spare, before, next, 1e-6) ?? next;
      const rolled = rolledAfter(seconds, speed, ground);
      return { seconds, at: { x: rolled * alongX, y: rolled * alongY } };
    }
    before = next;
  }
  return null;
}
