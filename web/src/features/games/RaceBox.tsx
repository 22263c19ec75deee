import { footWorth, roundedUp } from '@bradyon/core/steals';
import { memo } from 'react';
import { distance, percent, RaceView, seconds, VerdictBadge } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import { gapOf, lanesOf, wordsOf } from '../steals/index.ts';
import { BookLine } from './BookLine.tsx';
import type { Desk } from './useDesk.ts';
import { GameOpen, useGame, type GameInHand } from './useGame.ts';

/** Whether the runner goes: the word, the figure and what it needs. */
export const VerdictLine = memo(function VerdictLine({ desk }: { desk: Desk }) {
  const { weBat } = useGame();
  const { race, needed, isTie } = desk;
  if (!race) {
    return <p className="race-none quiet">Nobody on with a base to steal.</p>;
  }
  const { steal, runner, base } = race;
  const slowest = steal.slowestPitchSeconds;
  return (
    <div className="race-verdict">
      <VerdictBadge verdict={steal.verdict} />
      <div role="status" className="race-words">
        <p className="race-first">
          <strong>{percent(steal.chance)} safe</strong>, needs {percent(needed)}
          {isTie && ', too close to call'}
        </p>
        <p>
          {weBat ? runner.name : `Their ${personLabel(runner)}`} to {base}.{' '}
          {slowest !== null && slowest > 0 && (
            <span>
              {weBat ? 'Go if' : 'Stops if you are under'} {seconds(roundedUp(slowest))}
              {weBat ? ' or slower.' : '.'}
            </span>
          )}
        </p>
      </div>
    </div>
  );
});

/** The race of the runner who matters, with the verdict above it. @param behind what is drawn under the verdict */
export function RaceBox({
  desk,
  behind,
}: {
  desk: Desk;
  behind: { desk: Desk; game: GameInHand };
}) {
  const isOn = desk.race !== null && behind.desk.race !== null;
  return (
    <section className="race-box" aria-label="The race">
      <div className="race-head">
        <VerdictLine desk={desk} />
        {isOn && (
          <GameOpen value={behind.game}>
            <RaceUnder desk={behind.desk} />
          </GameOpen>
        )}
      </div>
      {isOn && <RaceDrawn desk={behind.desk} />}
    </section>
  );
}

const RaceUnder = memo(function RaceUnder({ desk }: { desk: Desk }) {
  const { safeLeadFeet, situation } = desk;
  const { weBat } = useGame();
  return (
    <p className="race-under">
      {weBat && <BookLine desk={desk} />}
      {safeLeadFeet !== null && <span>Safe lead {distance(safeLeadFeet)}</span>}
      {situation.picksLeft !== null && <span>{situation.picksLeft} throws over left</span>}
      {situation.picks > 0 && <span>{situation.picks} over to this batter</span>}
    </p>
  );
});

const RaceDrawn = memo(function RaceDrawn({ desk }: { desk: Desk }) {
  const { race, needed, pitcher, catcher } = desk;
  if (!race) return null;
  const { steal, base, question, runner } = race;
  const names = { pitcher, catcher, runner };
  const foot = footWorth(question, steal);
  const words = wordsOf({
    steal,
    base,
    style: question.style,
    names,
    needed,
    footSeconds: foot.seconds,
  });
  return (
    <RaceView
      lanes={lanesOf(steal.legs)}
      gapWords={words.gap}
      gapGood={gapOf(steal.legs) >= 0}
      twin={words.twin}
      size="compact"
    />
  );
});
