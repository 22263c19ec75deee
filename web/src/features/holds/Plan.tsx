import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { useTeam } from '../teams/index.ts';
import { drawHolds } from './draw.ts';
import type { HoldShares } from './usePlan.ts';
import { END_TEXT, looksText } from './words.ts';

const EIGHT = 8;

/** The next eight holds, or pauses where nobody leads off, drawn so that they give the runner nothing to time. */
export function Plan({ plan }: { plan: HoldShares }) {
  const team = useTeam();
  const { ruleset } = team;
  const isOpen = ruleset.leadRule === 'open';
  const [holds, setHolds] = useState(() => drawHolds(EIGHT, plan, ruleset));
  return (
    <section className="card-box">
      <div className="hold-head">
        <h2>{isOpen ? 'Next eight holds' : 'Next eight pitches'}</h2>
        <Button
          variant="outline-primary"
          onClick={() => {
            setHolds(drawHolds(EIGHT, plan, ruleset));
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
            {isOpen && <small>{looksText(looks)}</small>}
          </li>
        ))}
      </ol>
      <p className="quiet">
        {isOpen ? 'Seconds from set.' : 'Seconds with the hands together, before the windup.'} Each
        is drawn by itself: what came tells nothing of what comes.
      </p>
    </section>
  );
}
