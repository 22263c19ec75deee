import type { PersonId } from '../units/index.ts';
import type { Reading, ReadingKind } from './reading.ts';

/** Throws a team allows in timed work on one day; null: no limit set. The league's rule and a trainer decide. */
export interface ThrowLimits {
  pitcher: number | null;
  catcher: number | null;
}

export type Thrower = keyof ThrowLimits;

const KINDS_THROWN: Record<Thrower, readonly ReadingKind[]> = {
  pitcher: ['delivery', 'flight', 'pick'],
  catcher: ['pop'],
};

/**
 * How many timed throws somebody made on one day: every one that was thrown, whether or not its
 * time counts. A wrong person's or a wrong tap's reading is no throw of his.
 * @param dayOf the local day of an instant, such as '2031-05-01'
 */
export function throwsOn(
  day: string,
  personId: PersonId,
  thrower: Thrower,
  readings: readonly Reading[],
  dayOf: (instant: string) => string,
): number {
  return readings.filter(
    ({ personId: owner, kind, asideReason, takenAt }) =>
      owner === personId &&
      KINDS_THROWN[thrower].includes(kind) &&
      asideReason !== 'wrong person' &&
      asideReason !== 'wrong tap' &&
      dayOf(takenAt) === day,
  ).length;
}
