import { footWorth, stealKinds } from '@bradyon/core/steals';
import { Link } from 'react-router';
import {
  Empty,
  Failure,
  Folded,
  Loading,
  RaceView,
  useTitle,
  VerdictBadge,
} from '../../ui/index.ts';
import { roleLabel, RaceSelects } from '../people/index.ts';
import { WhatIf } from '../suppose/index.ts';
import { useTeam } from '../teams/index.ts';
import { HopRisk } from './HopRisk.tsx';
import { NeededChance } from './NeededChance.tsx';
import { OtherRunner } from './OtherRunner.tsx';
import { BallRestsOn, RunRestsOn } from './RestsOn.tsx';
import { StealTabs } from './StealTabs.tsx';
import { Supposing } from './Supposing.tsx';
import { useSteal, type StealInView } from './useSteal.ts';
import { WhatElse } from './WhatElse.tsx';
import { chosenWords, gapOf, lanesOf, standInWords, wordsOf } from './words.ts';

/** Can the runner make it? The race, the chance, what it needs, and what it rests on. */
export function StealPage() {
  useTitle('Steal');
  const { ruleset } = useTeam();
  const steal = useSteal({ supposing: true });
  if (steal.error) return <Failure error={steal.error} retry={steal.retry} />;
  if (steal.isLoading) return <Loading what="your times" />;
  return (
    <>
      <div className="page-head">
        <h1>Steal {steal.base}</h1>
        <StealTabs />
      </div>
      {steal.view ? (
        <>
          <Folded
            chosen={chosenWords(steal.view.names, {
              base: steal.base,
              kind: steal.kind === stealKinds(ruleset, steal.base)[0] ? null : steal.kind,
              style: ruleset.leadRule === 'open' ? steal.playing.style : null,
            })}
          >
            <RaceSelects />
            <Supposing steal={steal} />
          </Folded>
          <Answer steal={steal} view={steal.view} />
        </>
      ) : (
        <Empty title="Your rules do not allow stealing.">
          <p>If your league does, change it under Team, Rules.</p>
        </Empty>
      )}
    </>
  );
}

function Answer({ steal, view }: { steal: StealInView; view: NonNullable<StealInView['view']> }) {
  const { id: teamId } = useTeam();
  const { base, playing, needed, standIns } = steal;
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
        <div className="steal-under">
          {words.threshold && <p className="steal-threshold">{words.threshold}</p>}
          <WhatIf times={view.whatIf} />
        </div>
        {standIns.length > 0 && (
          <p className="steal-stand-in">
            {standInWords(standIns)} Type your times under What if, or{' '}
            <Link to={`/teams/${teamId}/people`}>add players</Link>.
          </p>
        )}
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
          title={roleLabel(names.pitcher, 'pitcher')}
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
          title={roleLabel(names.catcher, 'catcher')}
          personId={names.catcher.id}
          leg={legs.pop}
          populations={question.catcher.populations}
          without="Nobody throws. The pitch is the whole race."
          style={playing.style}
          base={playing.base}
        />
        <RunRestsOn
          title={roleLabel(names.runner, 'runner')}
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
        Hatched bars are typical or what-if, not timed. Sliding can hurt: slide only as taught,
        head-first only where the league allows it, helmets on. The umpire and your league&rsquo;s
        book decide.
      </p>
    </>
  );
}
