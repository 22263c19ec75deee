import type { Game } from '@bradyon/contract/games';
import type { Side, Situation } from '@bradyon/core/games';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { Empty, Failure, Loading, longDate, useTitle } from '../../ui/index.ts';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import './GamesPage.scss';
import { GameTabs } from './GameTabs.tsx';
import { inningWords } from './situationWords.ts';
import { useGameNow, useGames } from './useGame.ts';

/** So many are read at once: each brings its entries. */
const AT_ONCE = 8;

/** Games to come, running and played, the newest first. */
export function GamesPage() {
  useTitle('Games');
  const team = useTeam();
  const { games, isLoading, error, retry } = useGames(team.id);
  const [count, setCount] = useState(AT_ONCE);
  if (error) return <Failure error={error} retry={retry} />;
  if (isLoading) return <Loading what="your games" />;
  return (
    <>
      <div className="page-head">
        <h1>Games</h1>
        <GameTabs />
        <Link className="btn btn-primary" to="new">
          <Plus size={18} aria-hidden="true" /> New game
        </Link>
      </div>
      {games.length === 0 ? (
        <Empty title="No games yet.">
          <p>Open one to follow it pitch by pitch, here and on the coaches’ phones.</p>
          <Link className="btn btn-primary" to="new">
            New game
          </Link>
        </Empty>
      ) : (
        <ul className="game-list">
          {games.slice(0, count).map((game) => (
            <GameRow key={game.id} game={game} />
          ))}
        </ul>
      )}
      {games.length > count && (
        <Button
          variant="outline-primary"
          onClick={() => {
            setCount(count + AT_ONCE);
          }}
        >
          Show more
        </Button>
      )}
    </>
  );
}

function GameRow({ game }: { game: Game }) {
  const team = useTeam();
  const { opponents } = usePeople(team.id);
  const { now, isLoading } = useGameNow(team.id, game.id);
  const opponent = opponents.find(({ id }) => id === game.opponentId)?.name ?? 'Opponent';
  const ours: Side = game.weAreHome ? 'home' : 'away';
  const { situation } = now;
  const isOver = situation?.over != null;
  return (
    <li className="card-box game-row">
      <Link to={isOver ? `${game.id}/box` : game.id} className="game-row-link">
        <strong>
          {game.weAreHome ? 'vs.' : 'at'} {opponent}
        </strong>
        <span className="quiet">{longDate(game.startsAt)}</span>
      </Link>
      <span className="game-row-stands" aria-busy={isLoading}>
        {isLoading ? 'Loading...' : standsWords(situation, ours)}
      </span>
      <span className="game-row-ways">
        <Link className="btn btn-outline-primary" to={`${game.id}/sheet`}>
          Sheet
        </Link>
        <Link
          className={isOver ? 'btn btn-outline-primary' : 'btn btn-primary'}
          to={isOver ? `${game.id}/box` : game.id}
        >
          {isOver ? 'Box' : 'Open'}
        </Link>
      </span>
    </li>
  );
}

/** "Won 6–4", "Top 5, down 2–3", "To play". */
export function standsWords(situation: Situation | null, ours: Side): string {
  if (!situation) return 'To play';
  const { runs, over, slot, line } = situation;
  const [us, them] = ours === 'home' ? [runs.home, runs.away] : [runs.away, runs.home];
  const score = `${String(us)}–${String(them)}`;
  if (over) {
    if (over.winner === null) return `Tied ${score}`;
    return `${over.winner === ours ? 'Won' : 'Lost'} ${score}`;
  }
  if (slot === 'T1.1.1' && line.away.length <= 1 && us + them === 0) return 'To play, lineups set';
  const how = us === them ? 'tied' : us > them ? 'up' : 'down';
  return `${inningWords(situation)}, ${how} ${score}`;
}
