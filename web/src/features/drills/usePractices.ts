import type { PracticeRecord } from '@bradyon/contract/drills';
import type { TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { request } from '../../api/index.ts';
import { notify } from '../../ui/index.ts';
import { withWaiting, type KeptPractice } from './practiceChange.ts';
import { practicesKey, practiceWrite } from './writes.ts';

const NONE: KeptPractice[] = [];

/** Practices of a team, the latest first. What is changed is shown at once, and sent when there is a network. */
export function usePractices(teamId: TeamId) {
  const { data, error, refetch } = useQuery({
    queryKey: practicesKey(teamId),
    queryFn: () => request<KeptPractice[]>('GET', `/api/teams/${teamId}/practices`),
  });
  const waiting = practiceWrite.useWaiting(teamId);
  const practices = useMemo(() => withWaiting(data ?? NONE, waiting), [data, waiting]);
  return {
    practices,
    save: (to: PracticeRecord): void => {
      const from = practices.find(({ id }) => id === to.id) ?? null;
      practiceWrite.send(teamId, { from, to });
    },
    remove: (practice: KeptPractice): void => {
      practiceWrite.send(teamId, { from: practice, to: null });
      notify(`${practice.name} deleted`, () => {
        const { version: _version, ...again } = practice;
        practiceWrite.send(teamId, { from: null, to: again });
      });
    },
    isLoading: data === undefined && error === null && practices.length === 0,
    error: practices.length === 0 && data === undefined ? error : null,
    retry: () => void refetch(),
  };
}
