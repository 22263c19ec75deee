import { NoDevices } from './NoDevices.tsx';
import { VerdictLine } from './RaceBox.tsx';
import { TapBar } from './TapBar.tsx';
import type { Desk } from './useDesk.ts';
import { useGame } from './useGame.ts';
import type { Taps } from './useTaps.ts';
import { WatchPanel } from './WatchPanel.tsx';

/** One thumb in the first-base box: does the runner go, what to say, the watch, and the pitch. */
export function FirstBase({ desk, taps }: { desk: Desk; taps: Taps }) {
  const { weBat, situation } = useGame();
  const anybodyOn = Object.values(situation.bases).some((id) => id !== null);
  return (
    <div className="first-base">
      <NoDevices />
      <VerdictLine desk={desk} />
      {weBat && anybodyOn && <p className="say-line">“{desk.line}”</p>}
      <WatchPanel desk={desk} />
      <TapBar taps={taps} short />
    </div>
  );
}
