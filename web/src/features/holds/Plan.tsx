import { holdLaw, holdPlan, type PlannedHold } from '@bradyon/core/holds';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { secureRandom } from '../../api/random.ts';
import { useTeam } from '../teams/index.ts';
import type { HoldShares } from './usePlan.ts';
import { END_TEXT, looksText } from './words.ts';

const EIGHT = 8;
const LAW = holdLaw(null);

const drawEight = ({ often, pitchOut }: HoldShares): PlannedHold[] =>
  holdPlan(EIGHT, LAW, { throwOver: often, pitchOut }, secureRandom);

/** The next eight holds, drawn so that they give the runner nothing to time. */
export function Plan({ plan }: { plan: HoldShares }) {
  const team = useTeam();
  const [holds, setHolds] = useState(() => drawEight(plan));
  return (
    <section className="card-box">
      <div className="hold-head">
        <h2>Next eight holds</h2>
        <Button
          variant="outline-primary"
          onClick={() => {
            setHolds(drawEight(plan));
          }}
        >
          Draw again
        </Button>
        <Link className="btn btn-outline-primary" to={`/teams/${team.id}/hold/card`}>
          Hold card
        </Link>
      </div>
      <ol className="hold-plan">
        {holds.map(({ seconds, ends, looks }, nth) => (
          <li key={nth} className={ends === 'pitch' ? '' : 'hold-other'}>
            <span className="figure">{seconds.toFixed(1)}</span>
            <strong>{END_TEXT[ends]}</strong>
            <small>{looksText(looks)}</small>
          </li>
        ))}
      </ol>
      <p className="quiet">
        Seconds from set. Each is drawn by itself: what came tells nothing of what comes.
      </p>
    </section>
  );
}
