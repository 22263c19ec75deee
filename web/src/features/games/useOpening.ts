import type { EventOf, LineUp } from '@bradyon/core/games';
import type { Game } from '@bradyon/contract/games';
import type { GameId, OpponentId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { liveGame } from './liveGame.ts';
import { keptEntries } from './writes.ts';

/** How a game was opened, its last word on it; null: it is not, or there is no such game. */
function useOpening(teamId: TeamId, gameId: GameId | null) {
  const { data, isPending } = useQuery({
    queryKey: ['opening', teamId, gameId],
    enabled: gameId !== null,
    queryFn: async (): Promise<EventOf<'opened'> | null> => {
      if (gameId === null) return null;
      // Without a network what is kept here has to do.
      await keptEntries(teamId, gameId)
        .sync()
        .catch(() => undefined);
      const { events, reading } = liveGame(teamId, gameId).getState().stands;
      if (!reading.state) return null;
      const refused = new Set(reading.flagged.map(({ id }) => id));
      const opened = events.filter((event) => event.kind === 'opened' && !refused.has(event.id));
      return (opened.at(-1) as EventOf<'opened'> | undefined) ?? null;
    },
    meta: { onlyHere: true },
    networkMode: 'always',
    staleTime: 0,
  });
  return { opened: data ?? null, isLoading: gameId !== null && isPending };
}

/** The lineups of the last game: ours of any, theirs of the last against them. */
export function useLastLineUps(
  teamId: TeamId,
  games: readonly Game[],
  opponentId: OpponentId | null,
): { ours: LineUp | null; theirs: LineUp | null; isLoading: boolean } {
  const played = games.filter(({ lastSeq }) => lastSeq > 0);
  const any = useOpening(teamId, played[0]?.id ?? null);
  const against =
    opponentId === null ? undefined : played.find((game) => game.opponentId === opponentId);
  const same = useOpening(teamId, against?.id ?? null);
  const sideOf = (opened: EventOf<'opened'> | null, isOurs: boolean): LineUp | null => {
    if (!opened) return null;
    return (opened.ours === 'home') === isOurs ? opened.home : opened.away;
  };
  return {
    ours: sideOf(any.opened, true),
    theirs: sideOf(same.opened, false),
    isLoading: any.isLoading || same.isLoading,
  };
}
