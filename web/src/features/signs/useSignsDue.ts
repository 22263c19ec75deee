import { dueSigns, signsNow } from '@bradyon/core/signs';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useState } from 'react';
import { todayNow, useAnswers } from './answers.ts';
import { useSigns } from './useSigns.ts';

/** How many signs each player should see again; null while no signs are laid, or they are not here. */
export function useSignsDue(teamId: TeamId): (personId: PersonId) => number | null {
  const { book } = useSigns(teamId);
  const answers = useAnswers(teamId);
  const [today] = useState(todayNow);
  const system = book && signsNow(book)?.system;
  return (personId) => (system ? dueSigns(system, answers.known(personId), today).length : null);
}
