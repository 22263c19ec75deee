import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useTeam } from '../teams/index.ts';
import { keepLast } from '../timing/index.ts';
import { openGame, type Game, type GameAsked, type GameTables } from './game.ts';
import { inWorker } from './heavy.ts';

const openedFor = keepLast(openGame);

/**
 * A game with its tables, from the worker; until they are there the last ones stand.
 * @param asked null: nothing is asked yet
 */
export function useTables(asked: GameAsked | null): {
  game: Game | null;
  /** Whether it is the one that is asked about. */
  isCurrent: boolean;
  error: Error | null;
  retry: () => void;
} {
  const team = useTeam();
  // Written out once for each question: the library would do so, and slowly, at every render.
  const written = useMemo(() => JSON.stringify(asked), [asked]);
  const { data, isPlaceholderData, error, refetch } = useQuery({
    queryKey: ['game', team.id, written],
    queryFn: async (): Promise<{ asked: GameAsked; tables: GameTables } | null> =>
      asked && { asked, tables: await inWorker((heavy) => heavy.makeTables(asked)) },
    enabled: asked !== null,
    // The last ones of this team, not of the one that was open before.
    placeholderData: (before, query) => (query?.queryKey[1] === team.id ? before : undefined),
    // Nothing of it is asked of the server: it is made once and stays right.
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 10 * 60_000,
    networkMode: 'always',
    structuralSharing: false,
    meta: { onlyHere: true },
  });
  return {
    game: data ? openedFor(team.id, data.asked, data.tables) : null,
    isCurrent: data !== undefined && !isPlaceholderData,
    error,
    retry: () => void refetch(),
  };
}
