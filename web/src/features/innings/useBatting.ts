import type { BattingRecord } from '@bradyon/contract/innings';
import type { Kept } from '@bradyon/contract/kept';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { currentOf, request } from '../../api/index.ts';

const NONE: BattingRecord[] = [];

/** Seasons at bat of a team and whom it plays. */
export function useBatting(teamId: TeamId) {
  const client = useQueryClient();
  const key = ['batting', teamId];
  const { data, error, refetch } = useQuery({
    queryKey: key,
    queryFn: () => request<Kept<BattingRecord>[]>('GET', `/api/teams/${teamId}/batting`),
  });
  const keptOf = (personId: PersonId): Kept<BattingRecord> | null =>
    client.getQueryData<Kept<BattingRecord>[]>(key)?.find((row) => row.personId === personId) ??
    null;
  const put = (personId: PersonId, record: Kept<BattingRecord> | null): void => {
    client.setQueryData<Kept<BattingRecord>[]>(key, (rows) => [
      ...(rows ?? []).filter((row) => row.personId !== personId),
      ...(record ? [record] : []),
    ]);
  };
  const save = useMutation({
    scope: { id: `batting ${teamId}` },
    mutationFn: (record: BattingRecord) => {
      const path = `/api/teams/${teamId}/batting/${record.personId}`;
      return request<Kept<BattingRecord>>('PUT', path, {
        ...record,
        version: keptOf(record.personId)?.version ?? 0,
      });
    },
    // Shown at once, and taken back if it is refused.
    onMutate: (record) => {
      const before = keptOf(record.personId);
      put(record.personId, { ...record, version: before?.version ?? 0 });
      return before;
    },
    onSuccess: (saved) => {
      put(saved.personId, saved);
    },
    onError: (error, { personId }, before) => {
      put(personId, currentOf<Kept<BattingRecord>>(error) ?? before ?? null);
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
