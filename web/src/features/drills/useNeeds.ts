import type { PracticePlayer } from '@bradyon/core/drills';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import { useBunters } from '../bunts/index.ts';
import { useDives } from '../leads/index.ts';
import { useReadings } from '../timing/index.ts';
import type { DrillsInView } from './DrillPage.tsx';
import { needsOf } from './needsOf.ts';

/** What each player lacks, from everything that is measured of them. */
export function useNeeds({ team, reps }: DrillsInView): {
  of: (person: Person) => PracticePlayer<PersonId>;
  isLoading: boolean;
} {
  const readings = useReadings(team.id);
  const bunters = useBunters(team.id);
  const dives = useDives(team.id);
  const [now] = useState(() => new Date());
  return {
    of: (person) =>
      needsOf(
        {
          person,
          readings: readings.of(person.id),
          reps: reps.rows.filter(({ personId }) => personId === person.id),
          bunts: bunters.of(person.id),
          lastDive: dives.of(person.id)[0]?.takenAt ?? null,
        },
        {
          level: team.level,
          leavesAtRelease: team.ruleset.leadRule === 'atRelease',
          buntAllowed: team.ruleset.buntAllowed,
          now,
        },
      ),
    isLoading: readings.isLoading || dives.isLoading,
  };
}
