import { rootOf } from '../maths/index.ts';
import { distanceAfter } from '../sprint/index.ts';
import type { Place } from '../units/index.ts';
import type { BasesFigures } from './figures.ts';

/** A ball through the infield: how hard, and where the outfielder stands to it. */
export interface BallToOutfield {
  /** Speed past the infield, ft/s. */
  speed: number;
  /** How deep he plays on the line of the ball, and how far to the side of it. Feet. */
  outfielderFeet: number;
  asideFeet: number;
}

export interface Fielded {
  seconds: number;
  /** From home plate. */
  feet: number;
}

/** How hard a single is hit. ft/s. Judgement. */
export const HIT_SPEEDS = { soft: 95, medium: 110, hard: 139 } as const;
export type HitSpeed = keyof typeof HIT_SPEEDS;
/** Softball's ball is slower on every hit. Judgement. */
export const SOFTBALL_HIT_SPEEDS: Record<HitSpeed, number> = { soft: 68, medium: 80, hard: 100 };

const LONGEST_SECONDS = 20;
const STEP_SECONDS = 0.1;

/** How far a ball has rolled and bounced into the outfield, feet from home. */
function outfieldFeetAfter(seconds: number, speed: number, drag: number): number {
  return Math.log1p(drag * speed * seconds) / drag;
}

type Legs = Pick<
  BasesFigures,
  'grassDrag' | 'outfielderSpeed' | 'outfielderAcceleration' | 'outfielderReact' | 'outfielderReach'
>;

/** By how much a fielder has the ball within reach, feet; below 0: not yet. */
export function reachedBy(
  seconds: number,
  { speed, outfielderFeet, asideFeet }: BallToOutfield,
  figures: Legs,
): number {
  const rolled = outfieldFeetAfter(seconds, speed, figures.grassDrag);
  const run = distanceAfter(Math.max(0, seconds - figures.outfielderReact), {
    topSpeed: figures.outfielderSpeed,
    accelerationSeconds: figures.outfielderAcceleration,
    startSpeed: 0,
  });
  return run + figures.outfielderReach - Math.hypot(rolled - outfielderFeet, asideFeet);
}

/**
 * When and how deep an outfielder has the ball. Both belong together: neither may be entered without
 * the other.
 */
export function outfieldMeet(
  ball: BallToOutfield,
  figures: Legs,
  toleranceSeconds = 1e-7,
): Fielded {
  const spare = (seconds: number): number => reachedBy(seconds, ball, figures);
  let before = 0;
  while (before < LONGEST_SECONDS && spare(before + STEP_SECONDS) < 0) before += STEP_SECONDS;
  const seconds =
    rootOf(spare, before, before + STEP_SECONDS, toleranceSeconds) ?? before + STEP_SECONDS;
  return { seconds, feet: outfieldFeetAfter(seconds, ball.speed, figures.grassDrag) };
}

/** A place so far from home plate in a direction: 0 degrees is the first-base line, 90 the third-base line. */
export function placeAt(degrees: number, feet: number): Place {
  const angle = (degrees * Math.PI) / 180;
  return { x: feet * Math.cos(angle), y: feet * Math.sin(angle) };
}
