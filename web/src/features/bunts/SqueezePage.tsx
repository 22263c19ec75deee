import {
  breaksFor,
  gridOf,
  groundOf,
  readSqueeze,
  speedToRoll,
  squeezeWorth,
  swingBy,
  type SqueezeClock,
  type SqueezeOutcome,
  type SqueezeTable,
} from '@bradyon/core/bunts';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Choice, Failure, How, Loading, percent, seconds } from '../../ui/index.ts';
import { BuntPage } from './BuntPage.tsx';
import { useBuntDraft } from './buntStore.ts';
import { inBuntWorker } from './heavy.ts';
import { ClockView } from './ClockView.tsx';
import { KEPT, type BuntInView } from './useBunt.ts';
import { againstText, sizeText } from './words.ts';

/** When to break and when to show: the squeeze from set to plate. */
export function SqueezePage() {
  return (
    <BuntPage title="Squeeze" plays={false}>
      {(view) =>
        view.question.outs < 2 && view.question.bases & 4 ? (
          <Squeeze view={view} />
        ) : (
          <p className="card-box">
            A squeeze needs a runner on third and fewer than two outs. Tap third base and the outs
            above.
          </p>
        )
      }
    </BuntPage>
  );
}

const LANES = { third: 70, middle: 45, first: 20 } as const;
type SqueezeLane = keyof typeof LANES;
const LANE_TEXT: Record<SqueezeLane, string> = {
  third: 'Third side',
  middle: 'Middle',
  first: 'First side',
};
const ROLL_FEET = { baseball: 30, softball: 15 } as const;

function Squeeze({ view }: { view: BuntInView }) {
  const asked = {
    ...view.asked,
    play: 'suicide' as const,
    skill: view.skillFor(view.odds.up?.person.id, 'suicide'),
  };
  const key = JSON.stringify(asked);
  const table = useQuery({
    queryKey: ['squeeze', key],
    queryFn: () => inBuntWorker((heavy) => heavy.squeeze(asked)),
    ...KEPT,
  });
  const safety = {
    ...view.asked,
    play: 'safety' as const,
    skill: view.skillFor(view.odds.up?.person.id, 'safety'),
  };
  const beside = useQuery({
    queryKey: ['safety squeeze', JSON.stringify(safety)],
    queryFn: () => inBuntWorker((heavy) => heavy.plan(safety, gridOf(safety, 20, 14))),
    ...KEPT,
  });
  if (table.error) return <Failure error={table.error} retry={() => void table.refetch()} />;
  if (!table.data) return <Loading what="the squeeze" />;
  const plan = beside.data;
  return (
    <Clock view={view} table={table.data} safetyGain={plan ? plan.best.value - plan.swing : null} />
  );
}

function Clock({
  view,
  table,
  safetyGain,
}: {
  view: BuntInView;
  table: SqueezeTable;
  safetyGain: number | null;
}) {
  const { question, figures, draft, situation } = view;
  const [throws, setThrows] = useState(question.pitcherThrows);
  const [lane, setLane] = useState<SqueezeLane>('middle');
  const { sport } = question.ruleset;
  const span = breaksFor(question);
  const clock: SqueezeClock = {
    breakSeconds: Math.max(span.from, draft.breakSeconds),
    showSeconds: draft.showSeconds,
    releaseSeconds: figures.releaseSeconds,
    pitchSeconds: figures.pitchSeconds,
  };
  const aim = {
    degrees: LANES[lane],
    speed: speedToRoll(ROLL_FEET[sport], groundOf(question.surface, figures)),
  };
  const read = (at: SqueezeClock): SqueezeOutcome =>
    readSqueeze(table, {
      clock: at,
      skill: view.skillFor(view.odds.up?.person.id, 'suicide'),
      aim,
      sees: throws === 'right' ? 1 : figures.lefthanderSees,
      figures,
    });
  const outcome = read(clock);
  const worth = (of: SqueezeOutcome): number => squeezeWorth(of, question);
  const best = bestClock(clock, span, (at) => worth(read(at)));
  const swing = swingBy(question)[question.strikes];
  const gain = worth(outcome) - swing;
  const pitchedOut = { ...outcome, score: 0, runnerOut: figures.pitchOutDead, foul: 0 };
  const fooled = worth({ ...pitchedOut, other: 0 }) + (1 - figures.pitchOutDead) * swing - swing;
  return (
    <div className="bunt-two">
      <section className="card-box">
        <div className="control-row bunt-alignments">
          <Choice
            label="Pitcher"
            value={throws}
            options={[
              { value: 'right', text: 'Right-hander' },
              { value: 'left', text: 'Left-hander' },
            ]}
            onChange={setThrows}
          />
          <Choice
            label="Lane"
            value={lane}
            options={(Object.keys(LANES) as SqueezeLane[]).map((value) => ({
              value,
              text: LANE_TEXT[value],
            }))}
            onChange={setLane}
          />
        </div>
        <ClockView
          clock={clock}
          earliestBreak={span.from}
          best={best}
          onBreak={(breakSeconds) => {
            useBuntDraft.setState({ breakSeconds });
          }}
          onShow={(showSeconds) => {
            useBuntDraft.setState({ showSeconds });
          }}
        />
        <dl className="squeeze-bars">
          <Bar name="Run scores" tone="score" share={outcome.score} />
          <Bar name="Runner out" tone="dead" share={outcome.runnerOut} />
          <Bar name="Foul, do it over" tone="foul" share={outcome.foul} />
          <Bar name="Anything else" tone="other" share={Math.max(0, outcome.other)} />
        </dl>
        <p className="quiet bunt-legend">
          Pitched out {percent(outcome.pitchOut)} of the time at this timing. If it is fair and
          down, {percent(outcome.scoreIfFair)} score.
        </p>
      </section>
      <div className="bunt-side">
        <section className="card-box bunt-answer">
          <p className={gain > 0 ? 'bunt-call' : 'bunt-call bunt-call-quiet'}>
            {gain > 0 ? 'Squeeze' : 'Swing away'}
          </p>
          <p className="bunt-why" role="status">
            {percent(outcome.score)} score on this pitch: {againstText(gain, situation.by)}.
          </p>
          <p>
            Best: the runner breaks {whenText(best.breakSeconds)}, the batter shows{' '}
            {whenText(best.showSeconds)}.
          </p>
          <p>Any pitch, anywhere fair: the batter has to get it down.</p>
        </section>
        <section className="card-box bunt-answer">
          <h2>Instead</h2>
          <p>
            Safety squeeze, best spot:{' '}
            {safetyGain === null ? '…' : againstText(safetyGain, situation.by)}.
          </p>
          <p>A pitch-out costs {sizeText(Math.abs(fooled), situation.by)}.</p>
          {sport === 'softball' && <p className="quiet">Softball: good for the order only.</p>}
          <How>
            <p>
              Too early and the pitcher sees it; too late and the runner or the bat is late. The
              curves are guesses: trust their shape, not the digits. Bunt defenses that look a
              runner back are not counted.
            </p>
          </How>
        </section>
      </div>
    </div>
  );
}

function Bar({ name, tone, share }: { name: string; tone: string; share: number }) {
  return (
    <>
      <dt>{name}</dt>
      <dd className={`squeeze-bar squeeze-${tone}`} aria-hidden="true">
        <span style={{ width: `${String(share * 100)}%` }} />
      </dd>
      <dd className="figure">{percent(share)}</dd>
    </>
  );
}

/** To the twentieth of a second: nobody breaks finer. */
const STEP = 0.05;
const LATEST_SHOW = 0.3;
const EARLIEST_SHOW = -0.3;

function bestClock(
  clock: SqueezeClock,
  span: { from: number; to: number },
  worth: (at: SqueezeClock) => number,
): SqueezeClock {
  let [best, most] = [clock, Number.NEGATIVE_INFINITY];
  for (let breakSeconds = span.from; breakSeconds <= span.to + 1e-9; breakSeconds += STEP) {
    for (let show = EARLIEST_SHOW; show <= LATEST_SHOW + 1e-9; show += STEP) {
      const at = { ...clock, breakSeconds, showSeconds: show };
      const value = worth(at);
      if (value > most) [best, most] = [at, value];
    }
  }
  return best;
}

/** A moment against the front foot. @example '.10 s before the foot lands' */
function whenText(at: number): string {
  if (Math.abs(at) < 0.005) return 'as the front foot lands';
  return `${seconds(Math.abs(at))} ${at < 0 ? 'before' : 'after'} the front foot lands`;
}
