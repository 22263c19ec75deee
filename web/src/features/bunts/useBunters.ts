import type { BuntTryRecord, GameBunt } from '@bradyon/contract/bunts';
import { ownBunting, type BuntSkill, type BuntTry, type OwnBunting } from '@bradyon/core/bunts';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { request } from '../../api/index.ts';
import { useBuntTally } from './writes.ts';

const NO_BUNTS: GameBunt[] = [];

/**
 * Everybody's bunts, in practice and in games, those that wait to be sent too.
 * @param isAsked false: for whoever may not see them
 */
export function useBunters(teamId: TeamId, isAsked = true) {
  const { rows: practice, add, undo, refresh, error, retry } = useBuntTally(teamId, isAsked);
  const games = useQuery({
    queryKey: ['games-bunts', teamId],
    queryFn: () => request<GameBunt[]>('GET', `/api/teams/${teamId}/games/bunts`),
    enabled: isAsked,
  });
  const inGames = games.data ?? NO_BUNTS;
  // The same as long as nobody bunted: what is asked of bunts rests on it, at every tap of a game.
  const known = useMemo(() => {
    const of = (personId: PersonId): BuntTry[] => [
      ...practice.filter((each) => each.personId === personId),
      ...inGames.filter((each) => each.personId === personId),
    ];
    return {
      of,
      /** His own figures in place of the level's, as far as there are enough; null person: the level's. */
      skill: (personId: PersonId | undefined, level: BuntSkill): OwnBunting =>
        ownBunting(personId ? of(personId) : [], level),
    };
  }, [practice, inGames]);
  return {
    practice,
    inGames,
    ...known,
    add: (personId: PersonId, bunt: BuntTry): void => {
      add({ ...bunt, personId });
    },
    undo: (bunt: BuntTryRecord): void => {
      undo(bunt);
    },
    refresh,
    error: practice.length === 0 ? (error ?? games.error) : null,
    retry: () => {
      retry();
      void games.refetch();
    },
  };
}
