import type { Holding } from '@bradyon/core/holds';
import { footWorth } from '@bradyon/core/steals';
import { Link } from 'react-router';
import { Empty, Failure, Loading, RaceView, useTitle } from '../../ui/index.ts';
import { LeadSeen } from '../leads/index.ts';
import { personLabel, standsInFor } from '../people/index.ts';
import { gapOf, lanesOf, wordsOf } from '../steals/index.ts';
import './Holds.scss';
import { HoldTabs } from './HoldTabs.tsx';
import { PitchOut } from './PitchOut.tsx';
import { Plan } from './Plan.tsx';
import { Rhythm } from './Rhythm.tsx';
import { ThrowBehind } from './ThrowBehind.tsx';
import { ThrowsOver } from './ThrowsOver.tsx';
import { useHold, type Hold } from './useHold.ts';
import { usePlan } from './usePlan.ts';
import { WhoHolds } from './WhoHolds.tsx';
import { WindUp } from './WindUp.tsx';
import { answerText } from './words.ts';

/** How do we keep them close? Our battery against one of their runners. */
export function HoldPage() {
  useTitle('Hold');
  const hold = useHold();
  if (hold.error) return <Failure error={hold.error} retry={hold.retry} />;
  if (hold.isLoading) return <Loading what="your times" />;
  const found = hold.holdingOf(hold.names);
  return (
    <>
      <div className="page-head">
        <h1>Hold</h1>
        <HoldTabs />
      </div>
      {found ? (
        <>
          <WhoHolds hold={hold} />
          <Answer hold={hold} found={found} />
          {hold.team.ruleset.leadRule === 'open' ? (
            <Holds hold={hold} found={found} />
          ) : (
            <Leaves hold={hold} found={found} />
          )}
        </>
      ) : (
        <Empty title="Your rules do not allow stealing.">
          <p>If your league does, change it under Team, Rules.</p>
        </Empty>
      )}
    </>
  );
}

function Answer({ hold, found }: { hold: Hold; found: Holding }) {
  const { names, question, judging, team } = hold;
  const { legLift: steal } = found;
  if (!question) return null;
  const foot = footWorth(question, steal);
  const words = wordsOf({
    steal,
    base: 'second',
    style: 'legLift',
    names,
    needed: judging.needed,
    footSeconds: foot.seconds,
  });
  const typical = Object.values(names).flatMap((person) => standsInFor(person) ?? []);
  const untimed = steal.missing.some(({ name }) => name === 'run' || name === 'jump');
  return (
    <section className="card-box hold-answer">
      <p className="hold-first" role="status">
        {answerText(found)}
      </p>
      <RaceView
        lanes={lanesOf(steal.legs)}
        gapWords={words.gap}
        gapGood={gapOf(steal.legs) < 0}
        twin={words.twin}
      />
      {untimed && (
        <p className="quiet">
          {standsInFor(names.runner) ? 'Their runner' : personLabel(names.runner)} is typical of the
          level until timed. <Link to={`/teams/${team.id}/timing`}>Time them across the field</Link>
          .
        </p>
      )}
      {!standsInFor(names.runner) && <LeadSeen runner={names.runner} base="first" />}
      {hold.leads.looks.isMissing && (
        <p className="quiet">
          The leads you noted could not be loaded. Usual leads are shown until they are.
        </p>
      )}
      {typical.includes('pitcher') && <p className="quiet">The pitcher is typical of the level.</p>}
    </section>
  );
}

function Holds({ hold, found }: { hold: Hold; found: Holding }) {
  const plan = usePlan(hold, found);
  return (
    <>
      <div className="hold-two">
        <Rhythm hold={hold} found={found} />
        <ThrowsOver hold={hold} found={found} plan={plan} />
      </div>
      <Plan plan={plan} />
      <p className="quiet">
        A full stop before each pitch. An unfinished move or a throw to an empty bag can be a balk:
        the book and the umpire decide.
      </p>
    </>
  );
}

/** Where nobody leads off they leave with the pitch: what they can time is the windup. */
function Leaves({ hold, found }: { hold: Hold; found: Holding }) {
  const plan = usePlan(hold, found);
  return (
    <>
      <div className="hold-two">
        <WindUp hold={hold} found={found} />
        <section className="card-box">
          <ThrowBehind hold={hold} stakes={plan.stakes} />
          <PitchOut hold={hold} found={found} plan={plan} />
        </section>
      </div>
      <Plan plan={plan} />
      <p className="quiet">
        A full stop with the hands together, and one motion without a pause: an unfinished windup
        can be an illegal pitch. The book and the umpire decide.
      </p>
    </>
  );
}
