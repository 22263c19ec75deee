import type { StaffThumb } from '@bradyon/contract/thumb';
import type { Team } from '@bradyon/contract/teams';
import type { Person } from '@bradyon/core/people';
import type { Ruleset } from '@bradyon/core/rules';
import {
  conditionsOf,
  populationsOf,
  runnerOf,
  type Conditions,
  type Population,
  type Runner,
} from '@bradyon/core/sprint';
import {
  calibrationsOf,
  type LevelChanges,
  type LevelName,
  type Reading,
  type Thumbs,
} from '@bradyon/core/timing';
import type { PersonId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { request } from '../../api/index.ts';
import { keepLast } from './keepLast.ts';
import { useReadings } from './useReadings.ts';

interface Times {
  /** What somebody's times say together, population by population. */
  of: (person: Person | null | undefined) => Population[];
  /** How somebody runs, by all his runs. */
  runner: (person: Person) => Runner;
  /** What is typical where the team plays, its own numbers in it, and its rules. */
  field: Conditions;
  /** His single times, the newest first. */
  readingsOf: (personId: PersonId | undefined) => Reading[];
  /** What is known of the staff's thumbs. */
  thumbs: Thumbs;
  isLoading: boolean;
  error: Error | null;
  retry: () => void;
}

const thumbsOf = keepLast(
  (staff: readonly StaffThumb[]): Thumbs =>
    new Map(staff.map(({ accountId, reps }) => [accountId, calibrationsOf(reps)])),
);
const UNKNOWN: StaffThumb[] = [];

/** The thumbs of everybody on the staff; unknown ones while that is on its way. */
function useThumbs(teamId: Team['id']): Thumbs {
  const { data } = useQuery({
    queryKey: ['thumbs', teamId],
    queryFn: () => request<StaffThumb[]>('GET', `/api/teams/${teamId}/thumbs`),
  });
  return thumbsOf(teamId, data ?? UNKNOWN);
}

const NOBODY: Population[] = [];

const fieldFor = keepLast((level: LevelName, levelChanges: LevelChanges, ruleset: Ruleset) =>
  conditionsOf({ level, levelChanges, ruleset }),
);

/** Fits a runner's curve, once for each state of his times. */
const runnersFor = keepLast((field: Conditions) => {
  const known = new WeakMap<Population[], Runner>();
  return (person: Person, populations: Population[]): Runner => {
    const kept = known.get(populations);
    if (kept) return kept;
    const runner = runnerOf(person, populations, field);
    // Who was never timed shares one empty list with others of either side of the plate.
    if (populations.length > 0) known.set(populations, runner);
    return runner;
  };
});

/** Somebody's populations, worked out once for each list of their readings. */
const estimatorOf = keepLast((field: Conditions, thumbs: Thumbs) => {
  const known = new WeakMap<Reading[], { person: Person; populations: Population[] }>();
  return (person: Person, own: Reading[]): Population[] => {
    const kept = known.get(own);
    if (kept?.person === person) return kept.populations;
    const populations = populationsOf(person, own, field, thumbs);
    known.set(own, { person, populations });
    return populations;
  };
});

/**
 * All estimates of a team. One person's are worked out when they are first asked for, and again
 * only when something of theirs, a thumb, or the rules change: a tap costs one person, not the roster.
 */
export function useTimes(team: Pick<Team, 'id' | 'level' | 'levelChanges' | 'ruleset'>): Times {
  const { of: readingsOf, isLoading, error, retry } = useReadings(team.id);
  const thumbs = useThumbs(team.id);
  const field = fieldFor(team.id, team.level, team.levelChanges, team.ruleset);
  const estimate = estimatorOf(team.id, field, thumbs);
  const fit = runnersFor(team.id, field);
  // The same object as long as nothing of it changes: what is worked out from it is kept.
  return useMemo(() => {
    const of: Times['of'] = (person) => (person ? estimate(person, readingsOf(person.id)) : NOBODY);
    const runner: Times['runner'] = (person) => fit(person, of(person));
    return { of, runner, field, readingsOf, thumbs, isLoading, error, retry };
  }, [estimate, fit, field, readingsOf, thumbs, isLoading, error, retry]);
}
