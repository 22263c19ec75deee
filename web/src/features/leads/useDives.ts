import type { TestDiveRecord } from '@bradyon/contract/leads';
import type { TestDive } from '@bradyon/core/leads';
import type { PersonId, TeamId, TestDiveId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { newId, request } from '../../api/index.ts';
import { notify } from '../../ui/index.ts';
import { diveWrite, divesKey } from './writes.ts';

const NONE: TestDiveRecord[] = [];

/** The test dives of a team, those not saved yet included, the newest first. */
export function useDives(teamId: TeamId) {
  const client = useQueryClient();
  const posted = diveWrite.useWaiting(teamId);
  const key = divesKey(teamId);
  const { data, error, refetch } = useQuery({
    queryKey: key,
    queryFn: () => request<TestDiveRecord[]>('GET', `/api/teams/${teamId}/test-dives`),
  });
  const kept = data ?? NONE;
  const known = new Set(kept.map(({ id }) => id));
  const waiting = posted.filter(({ id }) => !known.has(id));
  const all = waiting.length === 0 ? kept : [...waiting.toReversed(), ...kept];
  const takeBack = useMutation({
    mutationFn: (id: TestDiveId) => request('DELETE', `/api/teams/${teamId}/test-dives/${id}`),
    onSuccess: (_answer, id) => {
      client.setQueryData<TestDiveRecord[]>(key, (rows) => rows?.filter((row) => row.id !== id));
    },
    onError: ({ message }) => {
      notify(`Not undone: ${message}`);
    },
  });
  return {
    of: (personId: PersonId): TestDiveRecord[] => all.filter((dive) => dive.personId === personId),
    add: (personId: PersonId, dive: TestDive): void => {
      const takenAt = new Date().toISOString();
      diveWrite.send(teamId, { ...dive, id: newId<TestDiveId>(), personId, takenAt });
    },
    takeBack: (id: TestDiveId): void => {
      takeBack.mutate(id);
    },
    isLoading: data === undefined && error === null,
    error: data === undefined ? error : null,
    retry: () => void refetch(),
  };
}
