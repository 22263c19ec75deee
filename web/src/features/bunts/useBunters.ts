import type { BuntTryRecord, GameBunt } from '@bradyon/contract/bunts';
import { ownBunting, type BuntSkill, type BuntTry, type OwnBunting } from '@bradyon/core/bunts';
import type { BuntTryId, PersonId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import { newId, request, standing } from '../../api/index.ts';
import { buntsKept, buntWrite } from './writes.ts';

const NO_BUNTS: GameBunt[] = [];

/**
 * Everybody's bunts, in practice and in games, those that wait to be sent too.
 * @param isAsked false: for whoever may not see them
 */
export function useBunters(teamId: TeamId, isAsked = true) {
  const list = buntsKept(teamId);
  const { error, refetch } = useQuery({
    queryKey: ['bunts', teamId],
    queryFn: () => list.sync(),
    enabled: isAsked,
    meta: { onlyHere: true },
  });
  const count = useSyncExternalStore(
    (tell) => list.onChange(tell),
    () => list.rows.size,
  );
  const games = useQuery({
    queryKey: ['games-bunts', teamId],
    queryFn: () => request<GameBunt[]>('GET', `/api/teams/${teamId}/games/bunts`),
    enabled: isAsked,
  });
  const waiting = buntWrite.useWaiting(teamId);
  const practice = useMemo(() => {
    const rows = new Map<string, BuntTryRecord>(count === 0 ? [] : list.rows);
    for (const each of waiting) rows.set(each.id, each);
    return standing(rows.values());
  }, [list, count, waiting]);
  const inGames = games.data ?? NO_BUNTS;
  const of = (personId: PersonId): BuntTry[] => [
    ...practice.filter((each) => each.personId === personId),
    ...inGames.filter((each) => each.personId === personId),
  ];
  return {
    practice,
    inGames,
    of,
    /** His own figures in place of the level's, as far as there are enough; null person: the level's. */
    skill: (personId: PersonId | undefined, level: BuntSkill): OwnBunting =>
      ownBunting(personId ? of(personId) : [], level),
    add: (personId: PersonId, bunt: BuntTry): void => {
      const takenAt = new Date().toISOString();
      buntWrite.send(teamId, { ...bunt, id: newId<BuntTryId>(), personId, undoes: null, takenAt });
    },
    undo: (bunt: BuntTryRecord): void => {
      const takenAt = new Date().toISOString();
      buntWrite.send(teamId, { ...bunt, id: newId<BuntTryId>(), undoes: bunt.id, takenAt });
    },
    refresh: async (): Promise<void> => {
      await refetch();
    },
    error: practice.length === 0 ? (error ?? games.error) : null,
    retry: () => {
      void refetch();
      void games.refetch();
    },
  };
}
