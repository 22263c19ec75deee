import type { BattingRecord } from '@bradyon/contract/innings';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { request } from '../../api/index.ts';

const NONE: BattingRecord[] = [];

/** Seasons at bat of a team and whom it plays. */
export function useBatting(teamId: TeamId) {
  const client = useQueryClient();
  const key = ['batting', teamId];
  const { data, error, refetch } = useQuery({
    queryKey: key,
    queryFn: () => request<BattingRecord[]>('GET', `/api/teams/${teamId}/batting`),
  });
  const put = (personId: PersonId, record: BattingRecord | null): void => {
    client.setQueryData<BattingRecord[]>(key, (rows) => [
      ...(rows ?? []).filter((row) => row.personId !== personId),
      ...(record ? [record] : []),
    ]);
  };
  const save = useMutation({
    mutationFn: (record: BattingRecord) =>
      request<BattingRecord>('PUT', `/api/teams/${teamId}/batting/${record.personId}`, record),
    // Shown at once, and taken back if it is refused.
    onMutate: (record) => {
      const before = data?.find((row) => row.personId === record.personId) ?? null;
      put(record.personId, record);
      return before;
    },
    onError: (_error, { personId }, before) => {
      put(personId, before ?? null);
    },
  });
  const remove = useMutation({
    mutationFn: (personId: PersonId) =>
      request('DELETE', `/api/teams/${teamId}/batting/${personId}`),
    onSuccess: (_answer, personId) => {
      put(personId, null);
    },
  });
  return {
    all: data ?? NONE,
    of: (personId: PersonId): BattingRecord | null =>
      data?.find((row) => row.personId === personId) ?? null,
    save,
    remove,
    isLoading: data === undefined && error === null,
    error: data === undefined ? error : null,
    retry: () => void refetch(),
  };
}
