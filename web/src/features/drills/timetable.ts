import { isStation, partsOf, repsAt, type Practice } from '@bradyon/core/drills';
import { clockTime } from '../../ui/index.ts';
import { STATION_TEXT } from './words.ts';

/** What a station is called, the coach's own too. */
export function stationName(practice: Pick<Practice, 'own'>, name: string): string {
  if (isStation(name)) return STATION_TEXT[name];
  return practice.own.find(({ id }) => id === name)?.name ?? 'Station';
}

const PART_TEXT = { warmUp: 'Warm-up', water: 'Water', close: 'Close' } as const;

/** A row of the timetable in words. */
export interface PartRow {
  clock: string;
  minutes: number;
  /** Everybody's, or each group's in one line. */
  what: string;
  /** By group; empty where all do the same. */
  groups: { name: string; text: string; reps: number | null }[];
}

/** The timetable in words, by the clock. */
export function partRows(practice: Practice): PartRow[] {
  const startMs = Date.parse(practice.startsAt);
  return partsOf(practice).map(({ start, end, what, groups }): PartRow => {
    const rows = groups.map((name, group) => ({
      name,
      text: stationName(practice, name),
      reps: repsAt(practice, name, group),
    }));
    return {
      clock: clockTime(new Date(startMs + start * 60_000)),
      minutes: end - start,
      what:
        what === 'stations'
          ? rows.map(({ text }, group) => `${groupName(group)}: ${text}`).join('; ')
          : PART_TEXT[what],
      groups: rows,
    };
  });
}

/** Group A, B and so on. */
export function groupName(group: number): string {
  return `Group ${String.fromCharCode(65 + group)}`;
}

/** The timetable as rows of a table for a file. */
export function timetableRows(practice: Practice): Record<string, string | number>[] {
  return partRows(practice).map(({ clock, minutes, what, groups }) => ({
    Time: clock,
    Minutes: minutes,
    All: groups.length === 0 ? what : '',
    ...Object.fromEntries(
      practice.groups.map((_, group) => [groupName(group), groups[group]?.text ?? '']),
    ),
  }));
}
