import type { Sport } from '../rules/index.ts';
import { rootOf } from '../maths/index.ts';

/** Feet per second in a mile per hour. */
export const SPEED_PER_MPH = 22 / 15;
const GRAVITY = 32.174;
/** How much of its speed a thrown ball loses per foot: 1/ft. Judgement. */
const DRAG: Record<Sport, number> = { baseball: 0.00186, softball: 0.00252 };
/** The sine of the steepest throw, and of the one beyond which it is left to bounce. */
const STEEPEST = 0.75;
const BOUNCED_BEYOND = 0.5;
/** A bounce costs this on the way past the reach in the air: linear and squared in the share past it. */
const BOUNCE = [1.3, 2] as const;
/** Beyond this many times the reach in the air a throw needs two bounces or a relay: it is not reckoned. */
export const ONE_BOUNCE_REACH = 1.35;

/** A throw: how fast it leaves the hand, ft/s, and which ball. */
export interface Arm {
  throwSpeed: number;
  ball: Sport;
}

function climb(feet: number, { throwSpeed, ball }: Arm): { flatSeconds: number; sine: number } {
  const flatSeconds = Math.expm1(DRAG[ball] * feet) / (DRAG[ball] * throwSpeed);
  return { flatSeconds, sine: (GRAVITY * flatSeconds ** 2) / (2 * feet) };
}

/**
 * How long a throw is in the air, seconds: drag on the way, and the climb that keeps it up.
 * @param feet not negative; 0 takes no time
 * @returns within 1 to 2 % of the quickest legal throw integrated numerically
 * @example throwSeconds(90, { throwSpeed: 78 * SPEED_PER_MPH, ball: 'baseball' }) // 0.8638
 */
export function throwSeconds(feet: number, arm: Arm): number {
  if (!(feet >= 0)) throw new RangeError('throwSeconds needs a distance of at least 0 ft');
  if (!(arm.throwSpeed > 0)) throw new RangeError('throwSeconds needs a speed above 0');
  if (feet === 0) return 0;
  const { flatSeconds, sine } = climb(feet, arm);
  return flatSeconds / Math.sqrt(1 - Math.min(STEEPEST, sine) ** 2);
}

const reaches = new Map<string, number>();

/** How far an arm reaches before it is better to let the ball bounce, feet. */
export function reachFeet(arm: Arm): number {
  const key = `${arm.ball} ${String(arm.throwSpeed)}`;
  const known = reaches.get(key);
  if (known !== undefined) return known;
  const beyond = (feet: number): number => climb(feet, arm).sine - BOUNCED_BEYOND;
  const reach = rootOf(beyond, 1, 1000, 1e-9) ?? 1000;
  // Arms are few; whoever drags a slider through hundreds of them starts over.
  if (reaches.size > 500) reaches.clear();
  reaches.set(key, reach);
  return reach;
}

/**
 * How long a throw takes that may bounce once, seconds.
 * Beyond `ONE_BOUNCE_REACH` times the reach in the air it is too quick to be true.
 * @example throwBouncingSeconds(290, { throwSpeed: 80 * SPEED_PER_MPH, ball: 'baseball' }) // 3.877
 */
export function throwBouncingSeconds(feet: number, arm: Arm): number {
  const reach = reachFeet(arm);
  if (feet <= reach) return throwSeconds(feet, arm);
  const past = (feet - reach) / reach;
  return throwSeconds(reach, arm) * (1 + BOUNCE[0] * past + BOUNCE[1] * past ** 2);
}
