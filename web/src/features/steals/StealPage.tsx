import { footWorth } from '@bradyon/core/steals';
import { Link } from 'react-router';
import { Empty, Failure, Loading, RaceView, useTitle, VerdictBadge } from '../../ui/index.ts';
import {
  CatcherSelect,
  FacingSelect,
  personLabel,
  PitcherSelect,
  RunnerSelect,
} from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { HopRisk } from './HopRisk.tsx';
import { NeededChance } from './NeededChance.tsx';
import { OtherRunner } from './OtherRunner.tsx';
import { BallRestsOn, RunRestsOn } from './RestsOn.tsx';
import { StealTabs } from './StealTabs.tsx';
import { Supposing } from './Supposing.tsx';
import { useSteal, type StealInView } from './useSteal.ts';
import { WhatElse } from './WhatElse.tsx';
import { gapOf, lanesOf, wordsOf } from './words.ts';

/** Can he make it? The race, the chance, what he needs, and what it rests on. */
export function StealPage() {
  useTitle('Steal');
  const { ruleset } = useTeam();
  const steal = useSteal();
  if (steal.error) return <Failure error={steal.error} retry={steal.retry} />;
  if (steal.isLoading) return <Loading what="your times" />;
  return (
    <>
      <div className="page-head">
        <h1>Steal {steal.base}</h1>
        <StealTabs />
      </div>
      <div className="steal-who">
        <RunnerSelect />
        <FacingSelect />
        <PitcherSelect label="Pitcher" />
        <CatcherSelect label="Catcher" />
      </div>
      {ruleset.stealAllowed ? (
        <div className="steal-body">
          <Supposing steal={steal} />
          <Answer steal={steal} />
        </div>
      ) : (
        <Empty title="Your rules do not allow stealing.">
          <p>If your league does, change it under Team, Rules.</p>
        </Empty>
      )}
    </>
  );
}

function Answer({ steal }: { steal: StealInView }) {
  const { id: teamId } = useTeam();
  const { view, onField, base, playing, needed } = steal;
  if (!view) {
    return (
      <Empty title="Choose a runner, a pitcher and a catcher.">
        <p>
          {onField.runners.length === 0
            ? 'Your roster is empty. Add your players first.'
            : 'They have no pitcher or catcher yet. Add them first.'}
        </p>
        <Link className="btn btn-primary" to={`/teams/${teamId}/people`}>
          Add players
        </Link>
      </Empty>
    );
  }
  const { names, question, judging } = view;
  const { legs } = view.steal;
  const foot = footWorth(question, view.steal);
  const words = wordsOf({
    steal: view.steal,
    base,
    style: playing.style,
    names,
    needed,
    footSeconds: foot.seconds,
  });
  return (
    <>
      <section className="card-box steal-answer">
        <div className="steal-call">
          <VerdictBadge verdict={view.steal.verdict} />
          <div className="steal-words" role="status">
            <p className="steal-first">{words.answer}</p>
            <p>{words.doubt}</p>
          </div>
          <NeededChance steal={steal} />
        </div>
        <RaceView
          lanes={lanesOf(legs)}
          gapWords={words.gap}
          gapGood={gapOf(legs) >= 0}
          twin={words.twin}
        />
        <p className="steal-threshold">{words.threshold}</p>
        <HopRisk steal={steal} />
      </section>
      <WhatElse
        steal={view.steal}
        question={question}
        judging={judging}
        names={names}
        foot={foot}
        needed={needed}
      />
      <div className="steal-rests">
        <BallRestsOn
          title={`${personLabel(names.pitcher)}, pitcher`}
          personId={names.pitcher.id}
          leg={legs.pitch}
          populations={question.pitcher.populations}
          without={
            legs.surprise
              ? 'The runner goes once the ball is in the mitt, so the pitch does not count here.'
              : 'Nobody may leave before the pitch reaches the batter, so the pitch does not count here.'
          }
          style={playing.style}
          base={playing.base}
        />
        <BallRestsOn
          title={`${personLabel(names.catcher)}, catcher`}
          personId={names.catcher.id}
          leg={legs.pop}
          populations={question.catcher.populations}
          without="Nobody throws. The pitch is the whole race."
          style={playing.style}
          base={playing.base}
        />
        <RunRestsOn
          title={`${personLabel(names.runner)}, runner`}
          person={names.runner}
          leg={legs.run}
          form={question.runner.form}
          field={question.field}
        />
      </div>
      <OtherRunner steal={steal} />
      {!question.field.ruleset.devicesAllowed && (
        <p className="steal-card-hint">
          Your rules allow no devices in the box:{' '}
          <Link to={`/teams/${teamId}/steals/card`}>print the go card</Link>.
        </p>
      )}
      <p className="steal-care quiet">
        Tag and throw are typical for the level
        {legs.jump?.basis === 'timed' ? '' : ', so is the jump'}. Hatched bars are typical, not
        timed. Sliding can hurt: slide only as taught, head-first only where the league allows it,
        helmets on. The umpire and your league&rsquo;s book decide.
      </p>
    </>
  );
}
