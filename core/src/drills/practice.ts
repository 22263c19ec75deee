import type { PersonId } from '../units/index.ts';
import { capsAt } from './pace.ts';
import { repsIn, timetableOf, type PlanPart, type PracticeTimes } from './plan.ts';
import { STATION_NAMES, STATIONS, type Arm, type StationName } from './stations.ts';

/** A station of the coach's own. */
export interface OwnStation {
  id: string;
  name: string;
  notes: string;
}

/** A practice as it will be held: planned, and then changed at will. Minutes. */
export interface Practice extends PracticeTimes {
  name: string;
  startsAt: string;
  coaches: number;
  /** The circle that every group goes round: stations, and own ones by their id. */
  order: string[];
  own: OwnStation[];
  groups: PersonId[][];
  notes: string;
  /** What the team asks of a player on a day at most; absent or null: the usual of their age. */
  limits?: PracticeLimits | null;
}

/** Full sprints of a player, and timed throws of an arm. */
export interface PracticeLimits {
  sprints: number;
  pitcherThrows: number;
  catcherThrows: number;
}

/** The limits of a practice: the team's own, or those of the age. */
export function limitsOf({ limits }: Pick<Practice, 'limits'>, age: number): PracticeLimits {
  if (limits) return limits;
  const { sprints, throws } = capsAt(age);
  return { sprints, pitcherThrows: throws.pitcher, catcherThrows: throws.catcher };
}

export function isStation(name: string): name is StationName {
  return (STATION_NAMES as readonly string[]).includes(name);
}

/** Who is where when. Two groups and one station: one of them waits, which is a clash. */
export function partsOf(practice: Practice): PlanPart<string>[] {
  return timetableOf(practice, practice.groups.length, practice.order);
}

/** From the first to the last minute. */
export function practiceMinutes(practice: Practice): number {
  return partsOf(practice).at(-1)?.end ?? 0;
}

/** Something that cannot be done at once. */
export interface Clash {
  /** Of the parts. */
  part: number;
  what: 'station' | 'place' | 'coaches';
  /** Which groups, from 0. */
  groups: number[];
}

/** What of a practice cannot be: two groups at one station or place, or too few coaches. */
export function clashesOf(practice: Practice): Clash[] {
  return partsOf(practice).flatMap(({ groups }, part): Clash[] => {
    const placesOf = (name: string): readonly string[] =>
      isStation(name) ? STATIONS[name].places : [];
    const clashes = groups.flatMap((name, group): Clash[] =>
      groups.slice(0, group).flatMap((other, before): Clash[] => {
        if (other === name) return [{ part, what: 'station', groups: [before, group] }];
        const shared = placesOf(other).some((place) => placesOf(name).includes(place));
        return shared ? [{ part, what: 'place', groups: [before, group] }] : [];
      }),
    );
    const needed = groups.reduce(
      (sum, name) => sum + (isStation(name) ? STATIONS[name].coaches : 0),
      0,
    );
    return needed > practice.coaches
      ? [...clashes, { part, what: 'coaches', groups: groups.map((_, group) => group) }]
      : clashes;
  });
}

/** How often each of a group does a station in a slot; null for an own station: it has no count. */
export function repsAt(practice: Practice, name: string, group: number): number | null {
  if (!isStation(name)) return null;
  const seconds = (practice.slotMinutes - practice.changeMinutes) * 60;
  return repsIn(seconds, Math.max(1, practice.groups[group]?.length ?? 1), STATIONS[name]);
}

/** Full sprints that each of a group runs. */
export function sprintsIn(practice: Practice, group: number): number {
  return practice.order.reduce(
    (sum, name) =>
      sum + (isStation(name) ? STATIONS[name].sprints * (repsAt(practice, name, group) ?? 0) : 0),
    0,
  );
}

/**
 * Timed throws of each arm over the whole practice: they throw for every group. Infinity where stations need an arm
 * and there is none.
 */
export function throwsIn(practice: Practice, arm: Arm, arms: number): number {
  const all = practice.order.reduce((sum, name) => {
    const each = isStation(name) ? (STATIONS[name].throwsPerRep[arm] ?? 0) : 0;
    if (each === 0) return sum;
    return practice.groups.reduce(
      (more, group, at) => more + (repsAt(practice, name, at) ?? 0) * group.length * each,
      sum,
    );
  }, 0);
  return all === 0 ? 0 : Math.ceil(all / arms);
}

/** Where the clock of a practice stands, so many minutes after its start. */
export function partAt(practice: Practice, minutes: number): { part: number; left: number } | null {
  const parts = partsOf(practice);
  // Between two parts they change over: it belongs to what comes.
  const part = parts.findIndex(({ end }) => minutes < end);
  return part < 0 ? null : { part, left: (parts[part]?.end ?? 0) - minutes };
}
