import { SPEED_PER_MPH } from '../race/index.ts';
import type { Sport } from '../rules/index.ts';

const GRAVITY = 32.174;
const DRAG: Record<Sport, number> = { baseball: 0.00186, softball: 0.00252 };
/** Lift of the back spin, as a share of the drag. A guess. */
const LIFT = 0.45;
const STEP_SECONDS = 0.005;
const LONGEST_STEPS = 4000;

/** Where a batted ball in the air is, feet: away from the plate, and up. */
export interface Flight {
  hangSeconds: number;
  carryFeet: number;
  /** One place every tenth of a second, for a picture. */
  way: { feet: number; height: number }[];
}

/**
 * How a fly ball flies: drag and a little lift, in small steps. A picture, no measurement.
 * @param speedMph off the bat
 * @param launchDegrees above the ground, over 0
 */
export function flyBall(speedMph: number, launchDegrees: number, ball: Sport): Flight {
  if (!(speedMph > 0) || !(launchDegrees > 0 && launchDegrees < 90)) {
    throw new RangeError('flyBall needs a speed above 0 and a launch angle from 0 to 90');
  }
  const angle = (launchDegrees * Math.PI) / 180;
  const start = speedMph * SPEED_PER_MPH;
  let [x, y, vx, vy] = [0, START_FEET, start * Math.cos(angle), start * Math.sin(angle)];
  const pull = (u: number, w: number): [number, number] => {
    const k = DRAG[ball] * Math.hypot(u, w);
    return [-k * u - LIFT * k * w, -k * w + LIFT * k * u - GRAVITY];
  };
  const way = [{ feet: 0, height: y }];
  let step = 0;
  while (step < LONGEST_STEPS) {
    const [ax, ay] = pull(vx, vy);
    const [mx, my] = [vx + (ax * STEP_SECONDS) / 2, vy + (ay * STEP_SECONDS) / 2];
    const [bx, by] = pull(mx, my);
    x += mx * STEP_SECONDS;
    y += my * STEP_SECONDS;
    vx += bx * STEP_SECONDS;
    vy += by * STEP_SECONDS;
    step += 1;
    if (y <= 0) break;
    if (step % 20 === 0) way.push({ feet: x, height: y });
  }
  way.push({ feet: x, height: 0 });
  return { hangSeconds: step * STEP_SECONDS, carryFeet: x, way };
}

/** Where the bat meets it. */
const START_FEET = 3;
