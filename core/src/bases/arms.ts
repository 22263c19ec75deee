import { rootOf } from '../maths/index.ts';
import { SPEED_PER_MPH, throwBouncingSeconds } from '../race/index.ts';
import type { Ruleset } from '../rules/index.ts';
import { feetBetween, placeOfBag, type Bag } from '../units/index.ts';
import type { BasesFigures } from './figures.ts';
import { usualOutfieldSpot, type Outfielder } from './spots.ts';

const WEAKEST = 25;
const STRONGEST = 110;

const COMES_IN = 0.9;

/** From where an outfielder usually throws to a base: he has come in a tenth of his usual depth. Judgement. */
function usualThrowFeet(
  fielder: Outfielder,
  target: Bag,
  { baseDistanceFeet }: Pick<Ruleset, 'baseDistanceFeet'>,
  figures: BasesFigures,
): number {
  const { x, y } = usualOutfieldSpot(fielder, figures);
  const to = target === 4 ? { x: 0, y: 0 } : placeOfBag(target, baseDistanceFeet);
  return feetBetween({ x: COMES_IN * x, y: COMES_IN * y }, to);
}

type Field = Pick<Ruleset, 'sport' | 'baseDistanceFeet'>;

/** From fielded to the ball at a base, seconds, for an arm of so many mph from the usual place. */
export function throwByArm(
  mph: number,
  fielder: Outfielder,
  target: Bag,
  field: Field,
  figures: BasesFigures,
): number {
  const feet = usualThrowFeet(fielder, target, field, figures);
  const arm = { throwSpeed: mph * SPEED_PER_MPH, ball: field.sport };
  return figures.transferSeconds + throwBouncingSeconds(feet, arm);
}

/**
 * How hard an outfielder throws by what was timed from fielded to the ball at a base, mph; the inverse of
 * throwByArm. Nobody measures how deep he had it, so it is the usual place.
 * @returns null when no arm throws so
 */
export function armByThrows(
  seconds: number,
  fielder: Outfielder,
  target: Bag,
  field: Field,
  figures: BasesFigures,
): number | null {
  const late = (mph: number): number => throwByArm(mph, fielder, target, field, figures) - seconds;
  return rootOf(late, WEAKEST, STRONGEST, 0.01);
}
