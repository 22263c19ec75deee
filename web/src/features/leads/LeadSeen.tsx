import type { LeadBase } from '@bradyon/core/leads';
import type { Person } from '@bradyon/core/people';
import Button from 'react-bootstrap/Button';
import { distance, distanceText, distanceUnit } from '../../ui/distance.ts';
import { personLabel } from '../people/index.ts';
import './leads.scss';
import { useLeadLooks } from './useLeadLooks.ts';

/** To each side of where the runner is usually seen. Feet. */
const REACH_FEET = 3;

/** How far off one of theirs is: a tap notes it. */
export function LeadSeen({ runner, base }: { runner: Person; base: LeadBase }) {
  const { looksAt, usualFeet, known, moment, add, undo } = useLeadLooks();
  const lead = known(runner, base);
  // Where nobody leads off it tells when to throw behind them at first, and nothing elsewhere.
  if (moment === 'mitt' && base !== 'first') return null;
  const last = looksAt(runner, base).at(-1);
  const middle = Math.max(REACH_FEET, Math.round(lead?.feet ?? usualFeet(base)));
  const what = moment === 'set' ? `Lead off ${base}` : `Off ${base} at the mitt`;
  return (
    <div className="lead-seen" role="group" aria-label={`${what}, ${personLabel(runner)}`}>
      <div className="lead-seen-head">
        <p>
          {what}, {distanceUnit()}
          <span className="quiet">
            {lead
              ? `. About ${distance(lead.feet)}, ${String(lead.looks)} seen.`
              : '. Tap what you see.'}
          </span>
        </p>
        {last && (
          <Button
            variant="link"
            onClick={() => {
              undo(last);
            }}
          >
            Undo {distance(last.feet)}
          </Button>
        )}
      </div>
      <div className="lead-seen-feet">
        {Array.from({ length: 2 * REACH_FEET + 1 }, (_, nth) => {
          const feet = middle - REACH_FEET + nth;
          return (
            <Button
              key={nth}
              variant="outline-primary"
              aria-label={`${what}: ${distance(feet)}`}
              onClick={() => {
                add(runner.id, base, feet);
              }}
            >
              {distanceText(feet)}
            </Button>
          );
        })}
      </div>
    </div>
  );
}
