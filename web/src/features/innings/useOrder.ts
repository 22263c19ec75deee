import type { BattingOrder } from '@bradyon/contract/innings';
import type { Kept } from '@bradyon/contract/kept';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { currentOf, request } from '../../api/index.ts';
import { notify } from '../../ui/index.ts';

const NONE: PersonId[] = [];

/** Who bats when, as the staff set it; empty while nobody has. What is moved is shown at once. */
export function useOrder(teamId: TeamId) {
  const client = useQueryClient();
  const queryKey = ['batting-order', teamId];
  const path = `/api/teams/${teamId}/batting-order`;
  const { data, error, refetch } = useQuery({
    queryKey,
    queryFn: () => request<Kept<BattingOrder>>('GET', path),
  });
  const save = useMutation({
    // One after the other: the last drop is what stays.
    scope: { id: `batting-order ${teamId}` },
    mutationFn: (order: BattingOrder) =>
      request<Kept<BattingOrder>>('PUT', path, {
        ...order,
        version: client.getQueryData<Kept<BattingOrder>>(queryKey)?.version ?? 0,
      }),
    onMutate: (order) => {
      // Before the next frame, so that a dropped batter does not jump back for a moment.
      void client.cancelQueries({ queryKey }, { revert: false });
      const before = client.getQueryData<Kept<BattingOrder>>(queryKey);
      client.setQueryData(queryKey, { ...order, version: before?.version ?? 0 });
      return before;
    },
    onSuccess: ({ version }) => {
      // What was dropped since stays on the screen: it is on its way.
      client.setQueryData<Kept<BattingOrder>>(queryKey, (now) => now && { ...now, version });
    },
    onError: (error, _order, before) => {
      client.setQueryData(queryKey, currentOf<Kept<BattingOrder>>(error) ?? before);
      notify(`The order was not saved: ${error.message}`);
    },
  });
  return {
    ids: data?.personIds ?? NONE,
    setIds: (personIds: PersonId[]) => {
      save.mutate({ personIds });
    },
    isLoading: data === undefined && error === null,
    error: data === undefined ? error : null,
    retry: () => void refetch(),
  };
}
