import type { GameId } from '@bradyon/core/units';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { Empty, Failure, Loading } from '../../ui/index.ts';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { GameOpen, useGameInHand, useGameNow, useGames } from './useGame.ts';

/** The pages beside the desk of one game: they show once it is there and open. */
export function OpenedGame({ children }: { children: ReactNode }) {
  const team = useTeam();
  const gameId = useParams()['gameId'] as GameId;
  const games = useGames(team.id);
  const people = usePeople(team.id);
  const { now, isLoading, error, retry } = useGameNow(team.id, gameId);
  const game = games.games.find(({ id }) => id === gameId);
  const inHand = useGameInHand(game, now);
  if (error && !game) return <Failure error={error} retry={retry} />;
  if (games.isLoading || people.isLoading || isLoading) return <Loading what="the game" />;
  if (!inHand) {
    return (
      <Empty title={game ? 'The lineups are not set.' : 'There is no such game.'}>
        <Link className="btn btn-primary" to={`/teams/${team.id}/games${game ? '/new' : ''}`}>
          {game ? 'Set lineups' : 'See your games'}
        </Link>
      </Empty>
    );
  }
  return <GameOpen value={inHand}>{children}</GameOpen>;
}
