import { FEET_PER_METER } from '@bradyon/core/units';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** In what distances and leads are shown and typed; inside they are always feet. */
export type DistanceUnit = 'ft' | 'm';

/** A figure is never torn from its unit at the end of a line. */
const SPACE = '\u00a0';

/** Of this device: who measures in meters does so on every screen and on paper. */
const FEET: { unit: DistanceUnit } = { unit: 'ft' };
const useUnit = create<{ unit: DistanceUnit }>()(persist(() => FEET, { name: 'bradyon-distance' }));

export function distanceUnit(): DistanceUnit {
  return useUnit.getState().unit;
}

export function showDistancesIn(unit: DistanceUnit): void {
  useUnit.setState({ unit });
}

/** The unit, followed as it changes. */
export function useDistanceUnit(): DistanceUnit {
  return useUnit((state) => state.unit);
}

/** Feet in the unit that is shown, as a number. @example inUnit(90) // 90, or 27.432 */
export function inUnit(feet: number): number {
  return distanceUnit() === 'm' ? feet / FEET_PER_METER : feet;
}

/** How finely a length is said: to the half foot, or to the tenth of a meter. */
const STEPS_IN_ONE: Record<DistanceUnit, number> = { ft: 2, m: 10 };

/** A length without a sign. @example distance(-3.1) // '3 ft', or '0.9 m' */
export function distance(feet: number): string {
  return said(feet, Math.round);
}

/** Rounded down: the safe way for the longest a lead may be. @example distanceDown(12.99) // '12.5 ft', or '3.9 m' */
export function distanceDown(feet: number): string {
  return said(feet, (steps) => Math.floor(steps + 1e-6));
}

function said(feet: number, round: (steps: number) => number): string {
  const unit = distanceUnit();
  const steps = STEPS_IN_ONE[unit];
  return `${String(round(Math.abs(inUnit(feet)) * steps) / steps)}${SPACE}${unit}`;
}

/** A length as it was measured, to the hundredth. @example distanceAsTaken(11.25) // '11.25 ft', or '3.43 m' */
export function distanceAsTaken(feet: number): string {
  return `${distanceText(feet)}${SPACE}${distanceUnit()}`;
}

/** What stands in a field for a length. @example distanceText(11.5) // '11.5', or '3.51' */
export function distanceText(feet: number): string {
  return String(Math.round(inUnit(feet) * 100) / 100);
}

/** A length as it is typed, in feet to the hundredth; null: nothing is typed; NaN: no number. @example typedFeet('3.5') // 3.5, or 11.48 */
export function typedFeet(text: string): number | null {
  if (text.trim() === '') return null;
  const typed = Number(text.trim().replace(',', '.'));
  return distanceUnit() === 'm' ? Math.round(typed * FEET_PER_METER * 100) / 100 : typed;
}
