import type { Game } from '@bradyon/contract/games';
import type { Side } from '@bradyon/core/games';
import { Plus } from 'lucide-react';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { Empty, Failure, Loading, longDate, notify, useTitle } from '../../ui/index.ts';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import './GamesPage.scss';
import { importGame } from './gameFile.ts';
import { GameTabs } from './GameTabs.tsx';
import { PlayDemo } from './PlayDemo.tsx';
import { standsWords } from './standsWords.ts';
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
        <div className="game-row-ways">
          <PlayDemo />
          <ImportGame />
          <Link className="btn btn-primary" to="new">
            <Plus size={18} aria-hidden="true" /> New game
          </Link>
        </div>
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

/** A game from a file: another device's, or another season's. */
function ImportGame() {
  const team = useTeam();
  const { people, opponents } = usePeople(team.id);
  const input = useRef<HTMLInputElement>(null);
  const take = async (file: File): Promise<void> => {
    const { gameFileContract } = await import('@bradyon/contract/gameFile');
    const content: unknown = await file
      .text()
      .then(JSON.parse)
      .catch(() => null);
    const checked = gameFileContract.check(content);
    if (!checked.ok) {
      const [first] = checked.errors;
      notify(`Not imported. ${first?.message ?? 'Choose a game file exported from Bradyon.'}`);
      return;
    }
    importGame(team.id, checked.value, { people, opponents });
    notify('Game imported.');
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        hidden
        accept="application/json,.json"
        aria-label="Game file"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) void take(file);
          target.value = '';
        }}
      />
      <Button variant="outline-primary" onClick={() => input.current?.click()}>
        Import game
      </Button>
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
