import type { Desk } from './useDesk.ts';
import { WatchPanel } from './WatchPanel.tsx';
import { WhoPlays } from './WhoPlays.tsx';

/** From the stands: the watch and nothing else. */
export function Stands({ desk }: { desk: Desk }) {
  return (
    <div className="stands">
      <WatchPanel desk={desk} />
      <WhoPlays desk={desk} />
    </div>
  );
}
