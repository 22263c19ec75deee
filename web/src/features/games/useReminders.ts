import { SHIPPED, type Reminder } from '@bradyon/core/advice';
import type { Reminders } from '@bradyon/contract/advice';
import type { Kept } from '@bradyon/contract/kept';
import type { TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { currentOf, request } from '../../api/index.ts';
import { notify } from '../../ui/index.ts';

const NOTHING: Reminders = { off: [], own: [], words: [] };

/** The shipped reminders with what the team changed of them. */
export function withChanges({ off, own, words }: Reminders): Reminder[] {
  const said = new Map(words.map(({ id, say }) => [id, say]));
  const shipped = SHIPPED.filter(({ id }) => !off.includes(id)).map((reminder) => ({
    ...reminder,
    say: said.get(reminder.id) ?? reminder.say,
  }));
  return [...shipped, ...own];
}

/** What is said in a game of this team, and the way to change it. */
export function useReminders(teamId: TeamId) {
  const client = useQueryClient();
  const queryKey = ['reminders', teamId];
  const path = `/api/teams/${teamId}/reminders`;
  const { data, error, refetch } = useQuery({
    queryKey,
    queryFn: () => request<Kept<Reminders>>('GET', path),
  });
  const changes = data ?? NOTHING;
  const save = useMutation({
    scope: { id: `reminders ${teamId}` },
    mutationFn: (next: Reminders) =>
      request<Kept<Reminders>>('PUT', path, {
        ...next,
        version: client.getQueryData<Kept<Reminders>>(queryKey)?.version ?? 0,
      }),
    onMutate: (next) => {
      const before = client.getQueryData<Kept<Reminders>>(queryKey);
      client.setQueryData(queryKey, { ...next, version: before?.version ?? 0 });
      return before;
    },
    onSuccess: (saved) => {
      client.setQueryData(queryKey, saved);
    },
    onError: (failure, _next, before) => {
      client.setQueryData(queryKey, currentOf<Kept<Reminders>>(failure) ?? before);
      notify(`Reminders were not saved: ${failure.message}`);
    },
  });
  return {
    rules: useMemo(() => withChanges(changes), [changes]),
    changes: { off: changes.off, own: changes.own, words: changes.words },
    save: (next: Reminders) => {
      save.mutate(next);
    },
    isLoading: data === undefined && error === null,
    error: data === undefined ? error : null,
    retry: () => void refetch(),
  };
}
