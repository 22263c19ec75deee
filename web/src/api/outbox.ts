import type { AsideReason, Reading, ReadingDraft } from '@bradyon/core/timing';
import type { ReadingId, TeamId } from '@bradyon/core/units';
import {
  useMutation,
  useMutationState,
  type Mutation,
  type QueryClient,
} from '@tanstack/react-query';
import { notify } from '../ui/index.ts';
import { RefusedError, request } from './request.ts';

/** A write on its way to the server. Safe to send twice: everything goes by its own id. */
export type OutboxItem = { teamId: TeamId } & (
  | { write: 'reading'; draft: ReadingDraft }
  | { write: 'aside'; readingId: ReadingId; reason: AsideReason | null }
);

const KEY = ['outbox'] as const;
const LONGEST_PAUSE_MS = 8000;

/** Signing in again lets a 401 through; too many tries pass with time. */
function mayGoThroughLater(error: unknown): boolean {
  return !(error instanceof RefusedError) || [401, 429].includes(error.problem.status);
}

function send(item: OutboxItem): Promise<Reading> {
  const base = `/api/teams/${item.teamId}/readings`;
  return item.write === 'reading'
    ? request('POST', base, item.draft)
    : request('PUT', `${base}/${item.readingId}/aside`, { reason: item.reason });
}

/**
 * All taps go through one line, in order. It waits while the network is away, goes on trying while
 * the server is, and is kept over a reload.
 */
export function setUpOutbox(client: QueryClient): void {
  client.setMutationDefaults(KEY, {
    mutationFn: (item: OutboxItem) => send(item),
    scope: { id: 'outbox' },
    gcTime: Number.POSITIVE_INFINITY,
    retry: (_failures, error) => mayGoThroughLater(error),
    retryDelay: (failures) => Math.min(500 * 2 ** failures, LONGEST_PAUSE_MS),
    onSuccess: (reading: Reading, item: OutboxItem) => {
      client.setQueryData<Reading[]>(
        ['readings', item.teamId],
        (kept) => kept && [reading, ...kept.filter(({ id }) => id !== reading.id)],
      );
    },
    onError: (error) => {
      notify(`Not saved: ${error.message}`);
    },
  });
}

/** Whether a write still has to reach the server; such writes are kept on the device. */
export function isWaiting(mutation: Mutation): boolean {
  return mutation.state.status === 'pending';
}

/** Sends what a reload interrupted. */
export function resumeOutbox(client: QueryClient): void {
  for (const mutation of client
    .getMutationCache()
    .findAll({ mutationKey: KEY, predicate: isWaiting })) {
    // Its outcome is told through onSuccess and onError, like that of a first try.
    mutation.continue().catch(() => undefined);
  }
}

/** Puts a write into the outbox. */
export function useSend(): (item: OutboxItem) => void {
  return useMutation<Reading, Error, OutboxItem>({ mutationKey: KEY }).mutate;
}

/** What has not reached the server yet, in the order in which it was tapped. */
export function useOutbox(): OutboxItem[] {
  return useMutationState({
    filters: { mutationKey: KEY, status: 'pending' },
    select: (mutation) => mutation.state.variables as OutboxItem,
  });
}
