import { LISTENERS } from '@bradyon/core/advice';
import { memo, useMemo } from 'react';
import { Link } from 'react-router';
import { BeforeGame } from './BeforeGame.tsx';
import { HoldGiven } from './HoldGiven.tsx';
import { PitchLog } from './PitchLog.tsx';
import { PlaysTable } from './PlaysTable.tsx';
import { RaceBox } from './RaceBox.tsx';
import { SayIt, SignButtons } from './SayIt.tsx';
import { SignGiven } from './SignGiven.tsx';
import { TapBar } from './TapBar.tsx';
import type { Desk } from './useDesk.ts';
import { useFrameBehind } from './useFrameBehind.ts';
import type { Taps } from './useTaps.ts';
import { GameOpen, useGame } from './useGame.ts';
import { WatchPanel } from './WatchPanel.tsx';
import { WhoPlays } from './WhoPlays.tsx';

const LOG = 10;

/** The desk: the watch, the race, what is worth doing, what to say, and a tap for what happens. */
export function Bench({ desk, taps }: { desk: Desk; taps: Taps }) {
  const game = useGame();
  const now = useMemo(() => ({ desk, game }), [desk, game]);
  // The verdict answers the tap. The rest follows in the next frame, all of it of one moment.
  const behind = useFrameBehind(now);
  const isBehind = behind.game !== game;
  return (
    <div className="desk">
      <div className="desk-watch card-box">
        <GameOpen value={behind.game}>
          <Watch desk={behind.desk} />
          <Who desk={behind.desk} />
          <Sign />
        </GameOpen>
      </div>
      <div className="desk-race card-box" aria-busy={isBehind}>
        <RaceBox desk={desk} behind={behind} />
        <GameOpen value={behind.game}>
          <Plays desk={behind.desk} />
        </GameOpen>
      </div>
      <div className="desk-say card-box" aria-busy={isBehind}>
        <GameOpen value={behind.game}>
          <Say desk={behind.desk} />
          <Held desk={behind.desk} />
        </GameOpen>
      </div>
      <div className="desk-taps card-box">
        <Tapping taps={taps} />
        <GameOpen value={behind.game}>
          <Log />
        </GameOpen>
      </div>
    </div>
  );
}

// What follows a frame behind is drawn then, and not with the verdict too.
const Tapping = memo(TapBar);

const Watch = memo(WatchPanel);

const Who = memo(WhoPlays);

const Sign = memo(SignGiven);

const Plays = memo(PlaysTable);

const Held = memo(HoldGiven);

const Say = memo(function Say({ desk }: { desk: Desk }) {
  const { now, situation } = useGame();
  const hasBegun = now.events.some(({ kind }) => kind === 'pitch');
  return (
    <>
      {hasBegun || situation.over ? null : <BeforeGame desk={desk} />}
      <SayIt desk={desk} listeners={LISTENERS} />
      <SignButtons desk={desk} />
    </>
  );
});

const Log = memo(function Log() {
  return (
    <div className="desk-log">
      <PitchLog most={LOG} />
      <Link to="log" className="btn btn-outline-primary">
        Log
      </Link>
    </div>
  );
});
