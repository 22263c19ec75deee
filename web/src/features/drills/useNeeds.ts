import type { PracticePlayer } from '@bradyon/core/drills';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { needsOfWork, SEASON_GAMES, workOn, type WorkOn } from '@bradyon/core/review';
import { useMemo, useState } from 'react';
import { useBunters } from '../bunts/index.ts';
import { useSeason } from '../games/index.ts';
import { useDives } from '../leads/index.ts';
import { useSignsDue } from '../signs/index.ts';
import { useReadings } from '../timing/index.ts';
import type { DrillsInView } from './DrillPage.tsx';
import { needsOf } from './needsOf.ts';

/** What each player lacks, from everything that is measured of them and from their games. @param sprints what the team lets a player run on a day */
export function useNeeds(
  { team, reps }: DrillsInView,
  sprints: number,
): {
  of: (person: Person) => PracticePlayer<PersonId>;
  isLoading: boolean;
} {
  const readings = useReadings(team.id);
  const bunters = useBunters(team.id);
  const dives = useDives(team.id);
  const signsDue = useSignsDue(team.id);
  const [now] = useState(() => new Date());
  const season = useSeason(team.id);
  const { level, levelChanges, ruleset } = team;
  const calls = season.data?.calls;
  const work = useMemo(
    (): WorkOn[] =>
      calls
        ? workOn(
            calls,
            { level, isOpen: ruleset.leadRule === 'open', now, today: levelChanges },
            SEASON_GAMES,
          )
        : [],
    [calls, level, levelChanges, ruleset, now],
  );
  return {
    of: (person) =>
      needsOf(
        {
          person,
          readings: readings.of(person.id),
          reps: reps.rows.filter(({ personId }) => personId === person.id),
          bunts: bunters.of(person.id),
          lastDive: dives.of(person.id)[0]?.takenAt ?? null,
          signsDue: signsDue(person.id),
          byGames: needsOfWork(work, person.id),
        },
        {
          leavesAtRelease: team.ruleset.leadRule === 'atRelease',
          buntAllowed: team.ruleset.buntAllowed,
          sport: team.ruleset.sport,
          sprints,
          now,
        },
      ),
    // Without a network the games are left out, not waited for.
    isLoading: readings.isLoading || dives.isLoading || season.isLoading,
  };
}
