import type { Reading } from '@bradyon/core/timing';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { request, useOutbox } from '../../api/index.ts';
import { useAccount } from '../accounts/index.ts';
import { withOutbox } from './withOutbox.ts';

interface Readings {
  /** The newest first, those set aside included, those not yet saved included. */
  of: (personId: PersonId | undefined) => Reading[];
  isLoading: boolean;
  error: Error | null;
  retry: () => void;
}

const NONE: Reading[] = [];

/** All times of a team as the coach has tapped them: what the server has and what still waits to be saved. */
export function useReadings(teamId: TeamId): Readings {
  const { account } = useAccount();
  const outbox = useOutbox();
  const { data, error, refetch } = useQuery({
    queryKey: ['readings', teamId],
    queryFn: () => request<Reading[]>('GET', `/api/teams/${teamId}/readings`),
  });
  const byPerson = useMemo(() => {
    const mine = outbox.filter((item) => item.teamId === teamId);
    const groups = new Map<PersonId, Reading[]>();
    for (const reading of withOutbox(data ?? NONE, mine, account)) {
      const own = groups.get(reading.personId);
      if (own) own.push(reading);
      else groups.set(reading.personId, [reading]);
    }
    return groups;
  }, [data, outbox, account, teamId]);
  return {
    of: (personId) => (personId && byPerson.get(personId)) ?? NONE,
    isLoading: data === undefined && error === null,
    error: data === undefined ? error : null,
    retry: () => void refetch(),
  };
}
