import { queryClient } from './ServerState.tsx';

/**
 * Puts a change into a list that is kept. A list on its way is asked for once more: it may have left
 * the server before the change came, and must not take it back.
 */
export function changeKept<T>(queryKey: readonly unknown[], changed: (kept: T[]) => T[]): void {
  const isOnItsWay = queryClient.isFetching({ queryKey }) > 0;
  if (isOnItsWay) void queryClient.cancelQueries({ queryKey });
  queryClient.setQueryData<T[]>(queryKey, (kept) => kept && changed(kept));
  if (isOnItsWay) void queryClient.invalidateQueries({ queryKey });
}
