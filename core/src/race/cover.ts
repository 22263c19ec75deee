import { timeToCover } from '../sprint/index.ts';
import type { Level } from '../timing/index.ts';

/** A fielder on his way to the bag. */
export interface Cover {
  /** How far from the bag he starts. */
  feet: number;
  reactSeconds: number;
  /** How uneven he is on the way (standard deviation), seconds. */
  sdSeconds: number;
  /** He need not be on the bag: this much is reach. */
  reachFeet: number;
}

/** When a fielder is at the bag, seconds after he could know. */
export function coverSeconds(
  { fielder }: Pick<Level, 'fielder'>,
  { feet, reactSeconds, reachFeet }: Cover,
): number {
  return reactSeconds + timeToCover(Math.max(0, feet - reachFeet), { ...fielder, startSpeed: 0 });
}
