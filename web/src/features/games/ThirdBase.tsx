import type { Listener } from '@bradyon/core/advice';
import { useState } from 'react';
import { PickOne } from '../../ui/index.ts';
import { SendNote } from '../bases/index.ts';
import { PlaysTable } from './PlaysTable.tsx';
import { NoDevices } from './NoDevices.tsx';
import { VerdictLine } from './RaceBox.tsx';
import { SayIt, SignButtons } from './SayIt.tsx';
import { SignGiven } from './SignGiven.tsx';
import { TapBar } from './TapBar.tsx';
import type { Desk } from './useDesk.ts';
import { basesOf } from './situationWords.ts';
import { useGame } from './useGame.ts';
import type { Taps } from './useTaps.ts';

const LISTENERS: readonly Listener[] = [
  'thirdCoach',
  'runnerThird',
  'runnerSecond',
  'batter',
  'field',
];

/** The third-base box: what is on, what each runner needs to hear, and whom the coach is talking to. */
export function ThirdBase({ desk, taps }: { desk: Desk; taps: Taps }) {
  const { game, situation, name, person, weBat } = useGame();
  const on = (['third', 'second', 'first'] as const).filter((base) => situation.bases[base]);
  const [talksTo, setTalksTo] = useState<string>('');
  const spoken = on.find((base) => base === talksTo) ?? on[0];
  const send = desk.odds.game.level.advance.secondToHomeOnSingle;
  const outs = Math.min(2, situation.outs) as 0 | 1 | 2;
  return (
    <div className="third-base">
      <NoDevices />
      <VerdictLine desk={desk} />
      <SignButtons desk={desk} />
      <SignGiven />
      {weBat && on.length > 1 && spoken && (
        <PickOne
          label="Talking to"
          value={spoken}
          options={on.map((base) => ({
            value: base,
            text: `${name(situation.bases[base])}, on ${base}`,
          }))}
          onChange={setTalksTo}
        />
      )}
      {weBat && situation.bases.second && (
        <SendNote
          runner={person(situation.bases.second)}
          bases={basesOf(situation)}
          outs={outs}
          facing={game.opponentId}
          usual={send[outs]}
        />
      )}
      <SayIt desk={desk} listeners={LISTENERS} />
      <PlaysTable desk={desk} />
      <TapBar taps={taps} short />
    </div>
  );
}
