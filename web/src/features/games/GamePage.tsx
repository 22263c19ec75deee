import { lazy, Suspense } from 'react';
import { useTitle } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { Bench } from './Bench.tsx';
import { Conflicts } from './Conflicts.tsx';
import { Devices } from './Devices.tsx';
import { FirstBase } from './FirstBase.tsx';
import './GamePage.scss';
import { GameStrip } from './GameStrip.tsx';
import { OpenedGame } from './OpenedGame.tsx';
import { usePlace } from './places.ts';
import { Stands } from './Stands.tsx';
import { ThirdBase } from './ThirdBase.tsx';
import { useDesk } from './useDesk.ts';
import { useDevices, useFollow } from './useFollow.ts';
import { useCatchUp, useGame } from './useGame.ts';
import { useOffer } from './useOffer.ts';
import { useTaps } from './useTaps.ts';

const OverBox = lazy(async () => ({ default: (await import('./OverBox.tsx')).OverBox }));

/** A game as it is played, for the place where this device stands. */
export function GamePage() {
  useTitle('Game');
  return (
    <OpenedGame>
      <AtPlace />
    </OpenedGame>
  );
}

function AtPlace() {
  const team = useTeam();
  const game = useGame();
  const gameId = game.game.id;
  const isGuest = team.role === 'guest';
  useCatchUp(team.id, gameId);
  const [place, setPlace] = usePlace(gameId);
  const isLive = useFollow(team.id, gameId);
  const devices = useDevices(team.id, gameId, place);
  const desk = useDesk(game);
  const taps = useTaps(desk, game);
  useOffer(desk, game);
  const { over } = game.situation;
  return (
    <div className={`game game-${place}`}>
      <h1 className="visually-hidden">
        {game.game.weAreHome ? 'Against' : 'At'} {game.opponentName}
      </h1>
      <GameStrip canCorrect={!isGuest && place === 'bench'}>
        <Devices
          devices={devices}
          isLive={isLive}
          isStaff={!isGuest}
          place={place}
          setPlace={setPlace}
          gameId={gameId}
        />
      </GameStrip>
      {!isGuest && <Conflicts />}
      {over !== null && place === 'bench' && (
        <Suspense>
          <OverBox />
        </Suspense>
      )}
      {place === 'bench' && <Bench desk={desk} taps={taps} />}
      {place === 'first' && <FirstBase desk={desk} taps={taps} />}
      {place === 'third' && <ThirdBase desk={desk} taps={taps} />}
      {place === 'stands' && <Stands desk={desk} />}
    </div>
  );
}
