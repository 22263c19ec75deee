import type { RepRecord } from '@bradyon/contract/drills';
import { repsOf, type KeptRep, type Rep } from '@bradyon/core/drills';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useRepTally } from './writes.ts';

export type Reps = ReturnType<typeof useReps>;

/** Everybody's reps, those that wait to be sent too. */
export function useReps(teamId: TeamId) {
  const { rows, add, undo, isLoading, error, retry } = useRepTally(teamId);
  return {
    rows,
    of: <D extends Rep['drill']>(
      personId: PersonId | null,
      drill: D,
    ): KeptRep<Extract<Rep, { drill: D }>>[] =>
      repsOf(
        rows.filter((each) => each.personId === personId),
        drill,
      ),
    add: (personId: PersonId | null, rep: Rep): void => {
      add({ personId, rep });
    },
    undo: (row: RepRecord): void => {
      undo(row);
    },
    isLoading: isLoading && rows.length === 0,
    error: rows.length === 0 ? error : null,
    retry,
  };
}
