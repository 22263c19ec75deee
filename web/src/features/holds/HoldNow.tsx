import { holding, holdLaw, holdPlan, type Holding, type PlannedHold } from '@bradyon/core/holds';
import type { Person } from '@bradyon/core/people';
import { pitchesFor } from '@bradyon/core/race';
import type { StealQuestion } from '@bradyon/core/steals';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { secureRandom } from '../../api/random.ts';
import { useLeads } from '../leads/index.ts';
import { GiveSeries } from '../signs/index.ts';
import { useTeam } from '../teams/index.ts';
import './Holds.scss';
import { usePlan, type HoldShares } from './usePlan.ts';
import { END_TEXT, looksText, oneIn, seriesPlay, takesText } from './words.ts';

const LAW = holdLaw(null);

/**
 * While they bat: whether their runner goes, and the next hold, drawn so that there is nothing to time.
 * What is asked of them is what the situation asks: the chance that a steal needs here.
 */
export function HoldNow({
  question,
  needed,
  names,
  picksLeft,
  nth,
}: {
  question: StealQuestion;
  needed: number;
  names: { pitcher: Person; catcher: Person; runner: Person };
  /** Throws over that the book still allows; null: as many as we like. */
  picksLeft: number | null;
  /** Which pitch or throw over it is: each draws another hold. */
  nth: string;
}) {
  const team = useTeam();
  const leads = useLeads({ whatIf: false });
  const judging = { needed, pitches: pitchesFor({ count: null }) };
  const found = holding(question, judging, {
    ...judging,
    pitches: pitchesFor({ pitch: 'pitchout' }),
  });
  const plan = usePlan({ question, judging, leads, names, team }, found);
  // The last one is kept back: used up, the runner is free.
  const often = picksLeft !== null && picksLeft <= 1 ? 0 : plan.often;
  return (
    <section className="hold-now" aria-label="Hold">
      <p className="hold-now-answer">{takesText(found)}</p>
      {team.ruleset.leadRule === 'open' && question.base === 'second' && (
        <NextHold key={nth} plan={{ ...plan, often }} found={found} />
      )}
      {question.base === 'third' && (
        <Link to={`/teams/${team.id}/hold/second`}>Which pick works at second</Link>
      )}
    </section>
  );
}

function draw({ often, pitchOut }: HoldShares): PlannedHold | null {
  return holdPlan(1, LAW, { throwOver: often, pitchOut }, secureRandom)[0] ?? null;
}

function NextHold({ plan, found }: { plan: HoldShares; found: Holding }) {
  const [hold, setHold] = useState(() => draw(plan));
  if (!hold) return null;
  const { seconds, ends, looks } = hold;
  return (
    <>
      <div className="hold-now-next">
        <p>
          Next hold <strong className="figure">{seconds.toFixed(1)}</strong>
          {'\u00a0'}s, {looksText(looks).toLowerCase()}, {END_TEXT[ends].toLowerCase()}
        </p>
        <Button
          variant="outline-primary"
          onClick={() => {
            setHold(draw(plan));
          }}
        >
          Another
        </Button>
      </div>
      <GiveSeries play={seriesPlay(hold, found.takes)} />
      <p className="quiet">
        {plan.often > 0 ? `Throw over about ${oneIn(plan.often)}. ` : 'No throw over. '}
        The stop has to be complete: the umpire decides.
      </p>
    </>
  );
}
