import type { Opponent, Person } from '@bradyon/core/people';
import type { TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { request } from '../../api/index.ts';

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
    queryFn: () => request<Person[]>('GET', `/api/teams/${teamId}/people`),
  });
  const opponents = useQuery({
    queryKey: ['opponents', teamId],
    queryFn: () => request<Opponent[]>('GET', `/api/teams/${teamId}/opponents`),
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
  return useMutation({
    mutationFn: ({ row, isNew }: { row: T; isNew: boolean }) => {
      const base = `/api/teams/${teamId}/${what}`;
      return isNew ? request<T>('POST', base, row) : request<T>('PUT', `${base}/${row.id}`, row);
    },
    onSuccess: (saved) => {
      client.setQueryData<T[]>([what, teamId], (rows) => [
        ...(rows ?? []).filter(({ id }) => id !== saved.id),
        saved,
      ]);
    },
  });
}

export function useSavePerson(teamId: TeamId) {
  return useSaveOf<Person>('people', teamId);
}

export function useSaveOpponent(teamId: TeamId) {
  return useSaveOf<Opponent>('opponents', teamId);
}
