import { TARGET_BASES } from '@bradyon/core/units';
import { DELIVERY_STYLES } from '@bradyon/core/timing';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import {
  Choice,
  Empty,
  Failure,
  Loading,
  RaceView,
  seconds,
  useTitle,
  VerdictBadge,
} from '../../ui/index.ts';
import {
  CatcherSelect,
  FacingSelect,
  PitcherSelect,
  RunnerSelect,
  personLabel,
} from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { RestsOn } from './RestsOn.tsx';
import './StealPage.scss';
import { useSteal, type StealInView } from './useSteal.ts';

const BASE_TEXT = { second: 'Second', third: 'Third' };
const STYLE_TEXT = { legLift: 'Leg lift', slideStep: 'Slide step' };

/** Can he make it? The race, the call by the plain sum, and what both rest on. */
export function StealPage() {
  useTitle('Steal');
  const { ruleset } = useTeam();
  const steal = useSteal();
  if (steal.error) return <Failure error={steal.error} retry={steal.retry} />;
  if (steal.isLoading) return <Loading what="the times" />;
  return (
    <>
      <div className="page-head">
        <h1>Steal {steal.playing.base === 'second' ? 'second' : 'third'}</h1>
        <div className="steal-choices">
          <Choice
            label="Base"
            value={steal.playing.base}
            options={TARGET_BASES.map((value) => ({ value, text: BASE_TEXT[value] }))}
            onChange={(base) => {
              steal.pick({ base });
            }}
          />
          {ruleset.leadRule === 'open' && (
            <Choice
              label="Delivery"
              value={steal.playing.style}
              options={DELIVERY_STYLES.map((value) => ({ value, text: STYLE_TEXT[value] }))}
              onChange={(style) => {
                steal.pick({ style });
              }}
            />
          )}
        </div>
      </div>
      <Who />
      {ruleset.stealAllowed ? (
        <Answer steal={steal} />
      ) : (
        <Empty title="Your rules do not allow stealing.">
          <p>If your league does, change it under Team, Rules.</p>
        </Empty>
      )}
    </>
  );
}

function Who() {
  return (
    <div className="steal-who">
      <RunnerSelect />
      <FacingSelect />
      <PitcherSelect label="Pitcher" />
      <CatcherSelect label="Catcher" />
    </div>
  );
}

function Answer({ steal }: { steal: StealInView }) {
  const { id: teamId } = useTeam();
  const { view, lineup } = steal;
  if (!view) {
    return (
      <Empty title="Pick a runner, a pitcher and a catcher.">
        <p>
          {lineup.runners.length === 0
            ? 'Your roster is empty: add your players first.'
            : 'They have no pitcher or catcher yet: add them first.'}
        </p>
        <Link className="btn btn-primary" to={`/teams/${teamId}/people`}>
          Add players
        </Link>
      </Empty>
    );
  }
  const { words, lanes, call } = view;
  return (
    <>
      <section className="card-box steal-answer">
        <div className="steal-call">
          <VerdictBadge verdict={call.verdict} />
          <div className="steal-words" role="status">
            <p className="steal-first">{words.answer}</p>
            <p>{words.sum}</p>
          </div>
        </div>
        <RaceView
          lanes={lanes}
          gapWords={words.gap}
          gapGood={view.race.gapSeconds >= 0}
          twin={words.twin}
        />
        <div className="steal-under">
          <p className="steal-threshold">{words.threshold}</p>
          <NeededMargin steal={steal} />
        </div>
      </section>
      <div className="steal-rests">
        <RestsOn
          title={`${lineup.pitcher ? personLabel(lineup.pitcher) : ''}, pitcher`}
          personId={lineup.pitcher?.id ?? null}
          leg={view.race.ball.find(({ name }) => name === 'delivery' || name === 'flight')}
          population={view.counted.pitcher}
          tone="ball"
        />
        <RestsOn
          title={`${lineup.catcher ? personLabel(lineup.catcher) : ''}, catcher`}
          personId={lineup.catcher?.id ?? null}
          leg={view.race.ball.find(({ name }) => name === 'pop')}
          population={view.counted.catcher}
          tone="ball"
        />
        <RestsOn
          title={`${lineup.runner ? personLabel(lineup.runner) : ''}, runner`}
          personId={lineup.runner?.id ?? null}
          leg={view.race.runner.find(({ name }) => name === 'run')}
          population={view.counted.runner}
          tone="runner"
        />
      </div>
      <p className="steal-care quiet">
        {words.assumed} Sliding can hurt: only trained slides, and head-first only where the league
        allows it. The umpire and the league&rsquo;s book decide.
      </p>
    </>
  );
}

const STEP_SECONDS = 0.02;

function NeededMargin({ steal }: { steal: StealInView }) {
  const { needed, setNeeded, mayChange } = steal;
  const step = (by: number): void => {
    setNeeded(Math.min(0.5, Math.max(0, Math.round((needed + by) * 100) / 100)));
  };
  return (
    <div className="steal-needed" role="group" aria-label="Margin he needs">
      <span className="quiet">Margin he needs</span>
      <Button
        variant="outline-primary"
        aria-label="Ask for less"
        disabled={!mayChange}
        onClick={() => {
          step(-STEP_SECONDS);
        }}
      >
        −
      </Button>
      <output className="figure">{seconds(needed)}</output>
      <Button
        variant="outline-primary"
        aria-label="Ask for more"
        disabled={!mayChange}
        onClick={() => {
          step(STEP_SECONDS);
        }}
      >
        +
      </Button>
    </div>
  );
}
