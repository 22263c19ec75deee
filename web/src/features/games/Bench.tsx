import { LISTENERS } from '@bradyon/core/advice';
import { Link } from 'react-router';
import { BeforeGame } from './BeforeGame.tsx';
import { PitchLog } from './PitchLog.tsx';
import { PlaysTable } from './PlaysTable.tsx';
import { RaceBox } from './RaceBox.tsx';
import { SayIt, SignButtons } from './SayIt.tsx';
import { TapBar } from './TapBar.tsx';
import type { Desk } from './useDesk.ts';
import type { Taps } from './useTaps.ts';
import { useGame } from './useGame.ts';
import { WatchPanel } from './WatchPanel.tsx';
import { WhoPlays } from './WhoPlays.tsx';

const LOG = 10;

/** The desk: the watch, the race, what is worth doing, what to say, and a tap for what happens. */
export function Bench({ desk, taps }: { desk: Desk; taps: Taps }) {
  const { now, situation } = useGame();
  const hasBegun = now.events.some(({ kind }) => kind === 'pitch');
  return (
    <div className="desk">
      <div className="desk-watch card-box">
        <WatchPanel desk={desk} />
        <WhoPlays desk={desk} />
      </div>
      <div className="desk-race card-box">
        <RaceBox desk={desk} />
        <PlaysTable desk={desk} />
      </div>
      <div className="desk-say card-box">
        {hasBegun || situation.over ? null : <BeforeGame desk={desk} />}
        <SayIt desk={desk} listeners={LISTENERS} />
        <SignButtons desk={desk} />
      </div>
      <div className="desk-taps card-box">
        <TapBar taps={taps} />
        <div className="desk-log">
          <PitchLog most={LOG} />
          <Link to="log" className="btn btn-outline-primary">
            Log
          </Link>
        </div>
      </div>
    </div>
  );
}
