import { holding, type Holding } from '@bradyon/core/holds';
import type { Person } from '@bradyon/core/people';
import { pitchesFor } from '@bradyon/core/race';
import type { StealQuestion } from '@bradyon/core/steals';
import { RotateCw } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { LeadSeen, useLeads } from '../leads/index.ts';
import { standsInFor } from '../people/index.ts';
import { GiveSeries } from '../signs/index.ts';
import { useTeam } from '../teams/index.ts';
import './Holds.scss';
import { distance } from '../../ui/index.ts';
import { behindNow } from './behind.ts';
import { drawHolds } from './draw.ts';
import { usePlan, type HoldShares } from './usePlan.ts';
import { END_TEXT, looksText, oneIn, seriesPlay, takesText } from './words.ts';

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
  const isOpen = team.ruleset.leadRule === 'open';
  // The last one is kept back: used up, the runner is free.
  const often = picksLeft !== null && picksLeft <= 1 ? 0 : plan.often;
  return (
    <section className="hold-now" aria-label="Hold">
      <p className="hold-now-answer">{takesText(found)}</p>
      {!standsInFor(names.runner) && question.base !== 'home' && (
        <LeadSeen runner={names.runner} base={question.base === 'second' ? 'first' : 'second'} />
      )}
      {(question.base === 'second' || !isOpen) && (
        <NextHold key={nth} plan={{ ...plan, often }} found={found} />
      )}
      {question.base === 'second' && !isOpen && (
        <p>
          Throw behind if they are more than{' '}
          {distance(behindNow({ leads, names }, plan.stakes).paysFromFeet)} off at the mitt.
        </p>
      )}
      {question.base === 'third' && isOpen && (
        <Link to={`/teams/${team.id}/hold/second`}>Which pick works at second</Link>
      )}
    </section>
  );
}

function NextHold({ plan, found }: { plan: HoldShares; found: Holding }) {
  const { ruleset } = useTeam();
  const isOpen = ruleset.leadRule === 'open';
  const [[hold], setHold] = useState(() => drawHolds(1, plan, ruleset));
  if (!hold) return null;
  const { seconds, ends, looks } = hold;
  return (
    <>
      <div className="hold-now-next">
        <p>
          Next {isOpen ? 'hold' : 'pause'} <strong className="figure">{seconds.toFixed(1)}</strong>
          {'\u00a0'}s, {isOpen && `${looksText(looks).toLowerCase()}, `}
          {END_TEXT[ends].toLowerCase()}
        </p>
        <Button
          variant="outline-primary"
          aria-label="Another"
          onClick={() => {
            setHold(drawHolds(1, plan, ruleset));
          }}
        >
          <RotateCw size={20} aria-hidden="true" />
        </Button>
      </div>
      <GiveSeries play={seriesPlay(hold, found.takes)} />
      <p className="quiet">
        {isOpen && (plan.often > 0 ? `Throw over about ${oneIn(plan.often)}. ` : 'No throw over. ')}
        The stop has to be complete: the umpire decides.
      </p>
    </>
  );
}
