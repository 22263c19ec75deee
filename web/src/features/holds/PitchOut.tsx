import type { Holding } from '@bradyon/core/holds';
import { percent } from '../../ui/index.ts';
import { PitchOutCounts } from './PitchOutCounts.tsx';
import type { Hold } from './useHold.ts';
import type { HoldShares } from './usePlan.ts';

/** What a pitch-out is good for, and on which count. */
export function PitchOut({
  hold,
  found,
  plan: { mix },
}: {
  hold: Hold;
  found: Holding;
  plan: HoldShares;
}) {
  return (
    <>
      <h2>Pitch out</h2>
      {mix ? (
        <>
          <p>
            {found.takes === 'asWeAre' && 'Not needed: they stay as we are. '}
            It makes it {percent(found.pitchOut.chance)}.
          </p>
          <PitchOutCounts hold={hold} found={found} />
        </>
      ) : (
        <p>No better than a pitch here.</p>
      )}
    </>
  );
}
