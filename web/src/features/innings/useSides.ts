import type { TeamLevel } from '@bradyon/core/innings';
import { usePeople, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { keepLast } from '../timing/index.ts';
import { battersOf, combinedOf, orderOf } from './sides.ts';
import { useBatting } from './useBatting.ts';
import { useOrder } from './useOrder.ts';
import type { PersonId } from '@bradyon/core/units';

const battersFor = keepLast(battersOf);

/**
 * Who bats for us, in order, and whom we face, with what is known of them at bat.
 * @param inGame the order of a game, in place of the one that the staff set
 */
export function useSides(level: TeamLevel, inGame: PersonId[] | null) {
  const team = useTeam();
  const people = usePeople(team.id);
  const batting = useBatting(team.id);
  const order = useOrder(team.id);
  const { onField } = usePlaying(team.id);
  // Somebody of the game who is not here would shift every spot after them.
  const here = new Set(people.people.map(({ id }) => id));
  const bats = inGame?.every((id) => here.has(id))
    ? orderOf(inGame, people.people)
    : orderOf(order.ids, onField.runners);
  const ours = battersFor(team.id, bats, batting.counted, level);
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
    people: people.people,
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
