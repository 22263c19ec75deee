import type { FielderLookRecord, GameLook } from '@bradyon/contract/bases';
import type { FielderLook } from '@bradyon/core/bases';
import type { FielderLookId, PersonId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import { newId, request, standing } from '../../api/index.ts';
import { looksKept, lookWrite } from './writes.ts';

const NO_LOOKS: GameLook[] = [];

/** What was seen of the outfielders, by the staff and in games, what waits to be sent too. */
export function useLooks(teamId: TeamId) {
  const list = looksKept(teamId);
  const kept = useQuery({
    queryKey: ['looks', teamId],
    queryFn: () => list.sync(),
    meta: { onlyHere: true },
  });
  const games = useQuery({
    queryKey: ['games-looks', teamId],
    queryFn: () => request<GameLook[]>('GET', `/api/teams/${teamId}/games/looks`),
  });
  const count = useSyncExternalStore(
    (tell) => list.onChange(tell),
    () => list.rows.size,
  );
  const waiting = lookWrite.useWaiting(teamId);
  const tapped = useMemo(() => {
    const rows = new Map<string, FielderLookRecord>(count === 0 ? [] : list.rows);
    for (const each of waiting) rows.set(each.id, each);
    return standing(rows.values());
  }, [list, count, waiting]);
  const inGames = games.data ?? NO_LOOKS;
  return {
    tapped,
    /** Everything that was seen of one outfielder. */
    of: (personId: PersonId): FielderLook[] =>
      [...inGames, ...tapped].filter((each) => each.personId === personId).map(({ look }) => look),
    add: (personId: PersonId, look: FielderLook): void => {
      const takenAt = new Date().toISOString();
      lookWrite.send(teamId, { id: newId<FielderLookId>(), personId, undoes: null, look, takenAt });
    },
    undo: (look: FielderLookRecord): void => {
      const takenAt = new Date().toISOString();
      lookWrite.send(teamId, { ...look, id: newId<FielderLookId>(), undoes: look.id, takenAt });
    },
    // A guess shown before what was seen is here would turn under the coach's eyes. Without a connection nothing is
    // on its way, and the usual habits stand: a send does not wait for them.
    isLoading: kept.isLoading || games.isLoading,
    /** Something of what was seen could not be asked for. */
    isMissing: kept.data === undefined || games.data === undefined,
  };
}
