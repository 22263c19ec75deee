import type { TestDiveRecord } from '@bradyon/contract/leads';
import type { ThumbRepDraft, Together, TogetherTimeDraft } from '@bradyon/contract/thumb';
import type { AsideReason, Reading, ReadingDraft } from '@bradyon/core/timing';
import type { ReadingId, TeamId, TogetherId } from '@bradyon/core/units';
import {
  useMutationState,
  useQueryClient,
  type Mutation,
  type QueryClient,
} from '@tanstack/react-query';
import { useCallback } from 'react';
import { notify } from '../ui/index.ts';
import { newId } from './ids.ts';
import { forgetWrite, keepWrite, keptWrites } from './journal.ts';
import { RefusedError, request } from './request.ts';

/** A write on its way to the server. Safe to send twice: everything goes by its own id. */
export type OutboxItem =
  | ({ teamId: TeamId } & (
      | { write: 'reading'; draft: ReadingDraft }
      | { write: 'judge'; readingId: ReadingId; reason: AsideReason | null; vouched: boolean }
      | { write: 'togetherTime'; togetherId: TogetherId; draft: TogetherTimeDraft }
      | { write: 'testDive'; draft: TestDiveRecord }
    ))
  | { write: 'thumbRep'; draft: ThumbRepDraft };

/** An item with the name it is kept under on the device. */
type Posted = OutboxItem & { key: string };

const KEY = ['outbox'] as const;
const LONGEST_PAUSE_MS = 8000;

/** Signing in again lets a 401 through; too many tries pass with time. */
function mayGoThroughLater(error: unknown): boolean {
  return !(error instanceof RefusedError) || [401, 429].includes(error.problem.status);
}

function send(item: OutboxItem): Promise<unknown> {
  switch (item.write) {
    case 'reading':
      return request('POST', `/api/teams/${item.teamId}/readings`, item.draft);
    case 'judge':
      return request('PUT', `/api/teams/${item.teamId}/readings/${item.readingId}/aside`, {
        reason: item.reason,
        vouched: item.vouched,
      });
    case 'togetherTime':
      return request(
        'POST',
        `/api/teams/${item.teamId}/together/${item.togetherId}/times`,
        item.draft,
      );
    case 'testDive':
      return request('POST', `/api/teams/${item.teamId}/test-dives`, item.draft);
    case 'thumbRep':
      return request('POST', '/api/thumbs', item.draft);
  }
}

/**
 * Puts a change into a list that is kept. A list on its way is asked for anew: it may have left
 * the server before the change came, and must not take it back.
 */
async function change<T>(
  client: QueryClient,
  queryKey: readonly string[],
  changed: (kept: T[]) => T[],
): Promise<void> {
  const isOnItsWay = client.isFetching({ queryKey }) > 0;
  if (isOnItsWay) await client.cancelQueries({ queryKey });
  client.setQueryData<T[]>(queryKey, (kept) => kept && changed(kept));
  if (isOnItsWay) void client.invalidateQueries({ queryKey });
}

/** Puts what the server answered where the screens look for it. */
async function remember(client: QueryClient, answer: unknown, item: OutboxItem): Promise<void> {
  switch (item.write) {
    case 'reading':
    case 'judge': {
      const reading = answer as Reading;
      return change<Reading>(client, ['readings', item.teamId], (kept) => [
        reading,
        ...kept.filter(({ id }) => id !== reading.id),
      ]);
    }
    case 'togetherTime': {
      const round = answer as Together;
      return change<Together>(client, ['together', item.teamId], (kept) =>
        kept.map((known) => (known.id === round.id ? round : known)),
      );
    }
    case 'testDive':
      return change<TestDiveRecord>(client, ['testDives', item.teamId], (kept) => [
        item.draft,
        ...kept.filter(({ id }) => id !== item.draft.id),
      ]);
    case 'thumbRep':
      void client.invalidateQueries({ queryKey: ['thumbs'] });
      return change<ThumbRepDraft>(client, ['thumb'], (kept) => [
        ...kept.filter(({ id }) => id !== item.draft.id),
        item.draft,
      ]);
  }
}

/**
 * All taps go through one line, in order. It waits while the network is away, goes on trying while
 * the server is, and is kept over a reload: in the journal from the moment of the tap.
 */
export function setUpOutbox(client: QueryClient): void {
  client.setMutationDefaults(KEY, {
    mutationFn: (item: Posted) => send(item),
    scope: { id: 'outbox' },
    gcTime: Number.POSITIVE_INFINITY,
    retry: (_failures, error) => mayGoThroughLater(error),
    retryDelay: (failures) => Math.min(500 * 2 ** failures, LONGEST_PAUSE_MS),
    onSuccess: (answer: unknown, item: Posted) => remember(client, answer, item),
    onError: (error) => {
      notify(`Not saved: ${error.message}`);
    },
    onSettled: (_answer, _error, item: Posted) => {
      forgetWrite(item.key);
    },
  });
}

/** Whether a write still has to reach the server. */
function isWaiting(mutation: Mutation): boolean {
  return mutation.state.status === 'pending';
}

/** Sends what a reload interrupted, in the order in which it was tapped. */
export function resumeOutbox(client: QueryClient): void {
  for (const { key, item } of keptWrites<OutboxItem>()) post(client, { ...item, key });
}

function post(client: QueryClient, item: Posted): void {
  // Its outcome is told through onSuccess and onError.
  client
    .getMutationCache()
    .build(client, { mutationKey: KEY })
    .execute(item)
    .catch(() => undefined);
}

/** Puts a write into the outbox. Whoever sends is not drawn again for what becomes of it. */
export function useSend(): (item: OutboxItem) => void {
  const client = useQueryClient();
  return useCallback(
    (item) => {
      const key = newId();
      keepWrite(key, item);
      post(client, { ...item, key });
    },
    [client],
  );
}

/** What has not reached the server yet, in the order in which it was tapped. */
export function useOutbox(): OutboxItem[] {
  return useMutationState({
    filters: { mutationKey: KEY, predicate: isWaiting },
    select: (mutation) => mutation.state.variables as OutboxItem,
  });
}
