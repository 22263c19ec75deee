import type { LeadLookRecord } from '@bradyon/contract/leads';
import {
  knownLead,
  momentOf,
  usualLookFeet,
  type KnownLead,
  type LeadBase,
} from '@bradyon/core/leads';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { useMemo } from 'react';
import { useTeam } from '../teams/index.ts';
import { useLeadLookTally } from './writes.ts';

/** How far off their runners were seen, what waits to be sent too. */
export function useLeadLooks() {
  const team = useTeam();
  const { ruleset } = team;
  const moment = momentOf(ruleset);
  // Whoever came in by the code of a game sees nothing of it.
  const tally = useLeadLookTally(team.id, team.role !== 'guest');
  const { rows } = tally;
  const seen = useMemo(() => {
    // What was seen under other rules is another lead.
    const byPerson = new Map<PersonId, LeadLookRecord[]>();
    for (const look of rows.filter((each) => each.moment === moment)) {
      byPerson.set(look.personId, [...(byPerson.get(look.personId) ?? []), look]);
    }
    const looksAt = ({ id }: Person, base: LeadBase): LeadLookRecord[] =>
      byPerson.get(id)?.filter((look) => look.base === base) ?? [];
    const known = (person: Person, base: LeadBase): KnownLead | null =>
      knownLead(
        looksAt(person, base).map(({ feet }) => feet),
        usualLookFeet(base, ruleset),
      );
    return {
      /** What was seen of somebody, the oldest first. */
      looksAt,
      usualFeet: (base: LeadBase): number => usualLookFeet(base, ruleset),
      known,
      /**
       * A runner as they lead off first: theirs from where they were seen. A lead of ours is what was agreed, not
       * what was taken.
       */
      led: (person: Person): Person => {
        const lead = moment === 'set' && person.opponentId !== null ? known(person, 'first') : null;
        return lead ? { ...person, leadFeet: lead.feet } : person;
      },
    };
  }, [rows, moment, ruleset]);
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
