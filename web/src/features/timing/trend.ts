import type { Reading } from '@bradyon/core/timing';
import { dayIn } from '@bradyon/core/units';

/**
 * The mean of each of the team's days, in order, placed at the first reading of it in the list.
 * @param timeZone the team's; null: this device's
 */
export function meansByDay(
  readings: readonly Pick<Reading, 'takenAt' | 'seconds'>[],
  timeZone: string | null,
): { at: string; meanSeconds: number }[] {
  const byDay = new Map<string, typeof readings>();
  for (const reading of readings) {
    const day = dayIn(timeZone, reading.takenAt);
    byDay.set(day, [...(byDay.get(day) ?? []), reading]);
  }
  return [...byDay.values()]
    .map((own) => ({
      at: own[0]?.takenAt ?? '',
      meanSeconds: own.reduce((sum, { seconds }) => sum + seconds, 0) / own.length,
    }))
    .sort((a, b) => (a.at < b.at ? -1 : 1));
}
