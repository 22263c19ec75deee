import type { TeamLevel } from '@bradyon/core/innings';
import { usePeople, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { keepLast } from '../timing/index.ts';
import { battersOf, combinedOf, orderOf } from './sides.ts';
import { useBatting } from './useBatting.ts';
import { useOrder } from './useOrder.ts';

const battersFor = keepLast(battersOf);

/** Who bats for us, in order, and whom we face, with what is known of them at bat. */
export function useSides(level: TeamLevel) {
  const team = useTeam();
  const people = usePeople(team.id);
  const batting = useBatting(team.id);
  const order = useOrder(team.id);
  const { onField } = usePlaying(team.id);
  const ours = battersFor(team.id, orderOf(order.ids, onField.runners), batting.counted, level);
  const opponent = people.opponents.find(({ id }) => id === onField.facing);
  const batters = battersFor(
    `${team.id} theirs`,
    opponent
      ? people.people.filter(({ opponentId, retired }) => opponentId === opponent.id && !retired)
      : [],
    batting.counted,
    level,
  );
  return {
    ours,
    theirs: { ...combinedOf(batters, level), name: opponent?.name ?? 'an average team', batters },
    isLoading: people.isLoading || batting.isLoading || order.isLoading,
    error: people.error ?? batting.error ?? order.error,
    retry: () => {
      people.retry();
      batting.retry();
      order.retry();
    },
  };
}
