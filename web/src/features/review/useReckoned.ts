import type { KeptTimes, ReckonedReading } from '@bradyon/core/review';
import type { ReadingId } from '@bradyon/core/units';
import { useMemo } from 'react';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useTimes } from '../timing/index.ts';

/** The times that were taken of attempts, as they are worth today: whose are gone or set aside are not there. */
export function useReckoned(calls: readonly KeptTimes[]): {
  readings: Record<ReadingId, ReckonedReading>;
  isLoading: boolean;
} {
  const team = useTeam();
  const times = useTimes(team);
  const { people } = usePeople(team.id);
  const readings = useMemo(() => {
    const wanted = new Set(calls.flatMap(({ timed }) => Object.values(timed)));
    const whose = new Set(
      calls
        .filter(({ timed }) => Object.keys(timed).length > 0)
        .flatMap(({ pitcher, catcher, runner }) => [pitcher, catcher, runner]),
    );
    const found: Record<ReadingId, ReckonedReading> = {};
    for (const person of people) {
      if (!whose.has(person.id)) continue;
      for (const { readings: own, reckonedSeconds, timerSdSeconds } of times.of(person)) {
        for (const [at, { id, asideReason }] of own.entries()) {
          const [seconds, timerSd] = [reckonedSeconds[at], timerSdSeconds[at]];
          if (!wanted.has(id) || asideReason !== null) continue;
          if (seconds === undefined || timerSd === undefined) continue;
          found[id] = { seconds, timerSdSeconds: timerSd };
        }
      }
    }
    return found;
  }, [calls, people, times]);
  return { readings, isLoading: times.isLoading };
}
