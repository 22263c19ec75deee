/** What the ball rolls on. */
export const SURFACES = ['dryGrass', 'wetGrass', 'skin', 'wetSkin', 'turf'] as const;
export type Surface = (typeof SURFACES)[number];

/** How a bunted ball slows down: one short hop at full speed, then an even roll. */
export interface Ground {
  hopFeet: number;
  /** The share of its speed that is left after the hop; 5/7 is where slipping ends and rolling begins. */
  keptSpeed: number;
  /** ft/s² */
  slowing: number;
}

/** One bunt on its way: where to, and how hard. */
export interface Bunt {
  /** 0 along the first-base line, 90 along the third-base line. */
  degrees: number;
  /** Off the bat, ft/s. */
  speed: number;
}

/**
 * How far a bunt rolls, feet. Coaches think in this, never in the speed.
 * @param speed off the bat, ft/s, not negative
 */
export function rollFeet(speed: number, { hopFeet, keptSpeed, slowing }: Ground): number {
  return hopFeet + (keptSpeed * speed) ** 2 / (2 * slowing);
}

/** How hard a ball has to come off the bat to roll so far, ft/s; the inverse of rollFeet. */
export function speedToRoll(feet: number, { hopFeet, keptSpeed, slowing }: Ground): number {
  return Math.sqrt(2 * slowing * Math.max(0, feet - hopFeet)) / keptSpeed;
}

/** When it lies still, seconds after contact. */
export function rollSeconds(speed: number, { hopFeet, keptSpeed, slowing }: Ground): number {
  return hopFeet / speed + (keptSpeed * speed) / slowing;
}

/** How far it has come after a time, feet. */
export function rolledAfter(seconds: number, speed: number, ground: Ground): number {
  const { hopFeet, keptSpeed, slowing } = ground;
  const hopSeconds = hopFeet / speed;
  if (seconds <= hopSeconds) return speed * seconds;
  const stops = (keptSpeed * speed) / slowing;
  const rolling = Math.min(stops, seconds - hopSeconds);
  return hopFeet + keptSpeed * speed * rolling - (slowing * rolling ** 2) / 2;
}
