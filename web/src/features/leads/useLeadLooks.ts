import { momentOf, type LeadBase } from '@bradyon/core/leads';
import type { PersonId } from '@bradyon/core/units';
import { useMemo } from 'react';
import { useTeam } from '../teams/index.ts';
import { leadsSeen } from './leadsSeen.ts';
import { useLeadLookTally } from './writes.ts';

/** How far off their runners were seen, what waits to be sent too. */
export function useLeadLooks() {
  const team = useTeam();
  const { ruleset } = team;
  const moment = momentOf(ruleset);
  // Whoever came in by the code of a game sees nothing of it.
  const tally = useLeadLookTally(team.id, team.role !== 'guest');
  const { rows } = tally;
  const seen = useMemo(() => leadsSeen(rows, ruleset), [rows, ruleset]);
  return {
    ...seen,
    moment,
    add: (personId: PersonId, base: LeadBase, feet: number): void => {
      tally.add({ personId, base, moment, feet });
    },
    undo: tally.undo,
    isLoading: tally.isLoading,
    /** What was seen could not be asked for: the usual leads stand in. */
    isMissing: tally.isMissing && tally.error !== null,
  };
}
