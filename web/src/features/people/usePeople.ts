import type { Kept } from '@bradyon/contract/kept';
import type { Opponent, Person } from '@bradyon/core/people';
import type { TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { currentOf, request } from '../../api/index.ts';

interface People {
  people: Person[];
  opponents: Opponent[];
  isLoading: boolean;
  error: Error | null;
  retry: () => void;
}

/** Everybody the team knows, ours and theirs, retired ones too. */
export function usePeople(teamId: TeamId): People {
  const people = useQuery({
    queryKey: ['people', teamId],
    queryFn: () => request<Kept<Person>[]>('GET', `/api/teams/${teamId}/people`),
  });
  const opponents = useQuery({
    queryKey: ['opponents', teamId],
    queryFn: () => request<Kept<Opponent>[]>('GET', `/api/teams/${teamId}/opponents`),
  });
  const hasAll = people.data !== undefined && opponents.data !== undefined;
  const error = hasAll ? null : (people.error ?? opponents.error);
  return {
    people: people.data ?? [],
    opponents: opponents.data ?? [],
    isLoading: !hasAll && error === null,
    error,
    retry: () => {
      void people.refetch();
      void opponents.refetch();
    },
  };
}

export function usePerson(teamId: TeamId, personId: string | undefined): Person | undefined {
  return usePeople(teamId).people.find(({ id }) => id === personId);
}

/** Saves somebody or some opponent, new or changed. Sending the same new one twice makes one. */
function useSaveOf<T extends { id: string }>(what: 'people' | 'opponents', teamId: TeamId) {
  const client = useQueryClient();
  const put = (saved: Kept<T>): void => {
    client.setQueryData<Kept<T>[]>([what, teamId], (rows) => [
      ...(rows ?? []).filter(({ id }) => id !== saved.id),
      saved,
    ]);
  };
  return useMutation({
    // One after the other: the second is made from what the first left.
    scope: { id: `${what} ${teamId}` },
    mutationFn: ({ row, isNew }: { row: T; isNew: boolean }) => {
      const base = `/api/teams/${teamId}/${what}`;
      if (isNew) return request<Kept<T>>('POST', base, row);
      // The version that is on the screen: forms follow what is kept.
      const version = client
        .getQueryData<Kept<T>[]>([what, teamId])
        ?.find(({ id }) => id === row.id)?.version;
      return request<Kept<T>>('PUT', `${base}/${row.id}`, { ...row, version: version ?? 0 });
    },
    onSuccess: put,
    onError: (error) => {
      const current = currentOf<Kept<T>>(error);
      if (current) put(current);
    },
  });
}

export function useSavePerson(teamId: TeamId) {
  return useSaveOf<Person>('people', teamId);
}

export function useSaveOpponent(teamId: TeamId) {
  return useSaveOf<Opponent>('opponents', teamId);
}
