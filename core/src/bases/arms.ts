import { rootOf } from '../maths/index.ts';
import { SPEED_PER_MPH, throwBouncingSeconds } from '../race/index.ts';
import type { Ruleset } from '../rules/index.ts';
import { feetBetween, placeOfBag, type Bag } from '../units/index.ts';
import type { BasesFigures } from './figures.ts';
import { usualOutfieldSpot, type Outfielder } from './spots.ts';

const WEAKEST = 25;
const STRONGEST = 110;

/**
 * How hard an outfielder throws by what was timed from fielded to the ball at a base, mph. Nobody measures how
 * deep he had it: he is taken to have come in a tenth of his usual depth.
 * @returns null when no arm throws so
 */
export function armByThrows(
  seconds: number,
  fielder: Outfielder,
  target: Bag,
  { sport, baseDistanceFeet }: Pick<Ruleset, 'sport' | 'baseDistanceFeet'>,
  figures: BasesFigures,
): number | null {
  const { x, y } = usualOutfieldSpot(fielder, figures);
  const at = { x: COMES_IN * x, y: COMES_IN * y };
  const to = target === 4 ? { x: 0, y: 0 } : placeOfBag(target, baseDistanceFeet);
  const feet = feetBetween(at, to);
  const flight = seconds - figures.transferSeconds;
  return rootOf(
    (mph) => throwBouncingSeconds(feet, { throwSpeed: mph * SPEED_PER_MPH, ball: sport }) - flight,
    WEAKEST,
    STRONGEST,
    0.01,
  );
}
const COMES_IN = 0.9;
