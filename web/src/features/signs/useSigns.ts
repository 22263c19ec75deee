import type { Kept } from '@bradyon/contract/kept';
import type { SignBook } from '@bradyon/core/signs';
import type { TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { currentOf, RefusedError, request } from '../../api/index.ts';
import { keepSealed, readSealed } from '../../api/sealed.ts';
import { notify } from '../../ui/index.ts';

/** Signs stay in the memory of a tab only so long after the last screen that shows them. */
const IN_MEMORY_MS = 5 * 60_000;

const keyOf = (teamId: TeamId): readonly [string, TeamId] => ['signs', teamId];
const nameOf = (teamId: TeamId): string => `signs ${teamId}`;

/** The team's signs, from the server, or as this device last had them. They are never kept in clear. */
async function load(teamId: TeamId): Promise<Kept<SignBook>> {
  try {
    const book = await request<Kept<SignBook>>('GET', `/api/teams/${teamId}/signs`);
    await keepSealed(nameOf(teamId), book).catch(() => undefined);
    return book;
  } catch (error) {
    if (error instanceof RefusedError) throw error;
    const kept = await readSealed<Kept<SignBook>>(nameOf(teamId));
    if (!kept) throw error;
    return kept;
  }
}

/** @param isWanted false: nothing is asked, for who may not see them */
export function useSigns(teamId: TeamId, isWanted = true) {
  const { data, error, refetch } = useQuery({
    queryKey: keyOf(teamId),
    queryFn: () => load(teamId),
    meta: { onlyHere: true },
    gcTime: IN_MEMORY_MS,
    enabled: isWanted,
  });
  return {
    book: data ?? null,
    isLoading: data === undefined && error === null,
    error: data === undefined ? error : null,
    retry: () => void refetch(),
  };
}

/** Saves what a change makes of the signs as they are kept now. */
export function useSaveSigns(teamId: TeamId) {
  const client = useQueryClient();
  const put = (book: Kept<SignBook>): void => {
    client.setQueryData(keyOf(teamId), book);
    void keepSealed(nameOf(teamId), book).catch(() => undefined);
  };
  return useMutation({
    // One after the other: the second is made from what the first left.
    scope: { id: `signs ${teamId}` },
    mutationFn: (change: (book: SignBook) => SignBook) => {
      const before = client.getQueryData<Kept<SignBook>>(keyOf(teamId));
      if (!before) throw new Error('The signs are still loading. Try again.');
      const { version, ...book } = before;
      return request<Kept<SignBook>>('PUT', `/api/teams/${teamId}/signs`, {
        ...change(book),
        version,
      });
    },
    onSuccess: put,
    onError: (error) => {
      const current = currentOf<Kept<SignBook>>(error);
      if (current) put(current);
      notify(
        current ? 'Somebody else changed the signs. Check them and save again.' : error.message,
      );
    },
  });
}
