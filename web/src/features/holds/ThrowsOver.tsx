import type { Holding } from '@bradyon/core/holds';
import { distance } from '../../ui/index.ts';
import { PitchOut } from './PitchOut.tsx';
import type { Hold } from './useHold.ts';
import { SHORTEST_LEAD_FEET, type HoldShares } from './usePlan.ts';
import { oneIn } from './words.ts';

/** Throw over or not, and pitch out when. */
export function ThrowsOver({
  hold,
  found,
  plan,
}: {
  hold: Hold;
  found: Holding;
  plan: HoldShares;
}) {
  const { over, often } = plan;
  const { pickLimit } = hold.team.ruleset;
  return (
    <section className="card-box">
      <h2>Throw over</h2>
      {!over ? (
        <p className="quiet">No pickoffs at this level.</p>
      ) : often === 0 ? (
        <p className="hold-big">
          {over.often > 0 ? 'Keep the last one back.' : 'Don’t. They do not go often enough.'}
        </p>
      ) : (
        <>
          <p className="hold-big">
            About <strong>{oneIn(often)}</strong>
          </p>
          <p>
            {over.leadFeet > SHORTEST_LEAD_FEET
              ? `It holds them to ${distance(over.leadFeet)}.`
              : 'It keeps them at the bag.'}{' '}
            Never throwing gives them {runs(over.atNone - over.worth)} more
            {over.atTwice !== null && `, twice as often ${runs(over.atTwice - over.worth)}`}.
          </p>
        </>
      )}
      {over && pickLimit !== null && (
        <p>
          {pickLimit} allowed. Used up, the runner gains {runs(over.atNone - over.worth)}: keep the
          last one back.
        </p>
      )}
      <PitchOut hold={hold} found={found} plan={plan} />
    </section>
  );
}

/** ".03 runs". */
function runs(value: number): string {
  return `${Math.max(0, value).toFixed(2).replace(/^0/, '')} runs`;
}
