import {
  chanceOnTime,
  chancePicked,
  secondaryPlan,
  STRIDES,
  type KnownReturn,
  type SecondaryPlan,
} from '@bradyon/core/leads';
import { Choice, distance, percent, seconds } from '../../ui/index.ts';
import { useLeadDraft } from './leadStore.ts';
import type { Leads, Out } from './useLeads.ts';
import { inThrows, STRIDE_TEXT } from './words.ts';

/** How even a runner's own feet are, and how near to the mitt counts as on time. Judgement. */
const FEET_SD_SECONDS = 0.05;
const ON_TIME_SECONDS = 0.08;

/** The shuffles as the pitcher commits: when each starts and lands, and what they risk. */
export function Secondary({
  leads,
  out: { pitcher },
  leadFeet,
  own,
}: {
  leads: Leads;
  out: Out;
  leadFeet: number;
  own: KnownReturn;
}) {
  const { stride } = useLeadDraft();
  const delivery = leads.deliveryOf(pitcher);
  if (!delivery) return null;
  const leftHander = pitcher.throws === 'left';
  const asked = {
    deliverySeconds: delivery.meanSeconds,
    primaryFeet: leadFeet,
    stride,
    leftHander,
  };
  const full = secondaryPlan(asked);
  // When even hurried shuffles begin before he is committed, one fewer is taken.
  const plan = full.beforeCommit ? secondaryPlan({ ...asked, shuffles: full.shuffles - 1 }) : full;
  const { level } = leads.times.field;
  const behind = (awaySpeed: number): number =>
    chancePicked({
      stance: { leadFeet: plan.endFeet, corner: 'back', mode: 'twoWay', awaySpeed },
      level,
      throwing: {
        meanSeconds: level.snapToFirst.mean,
        sdSeconds: Math.hypot(level.snapToFirst.sdBetween, level.snapToFirst.sdWithin),
      },
      leftHander: false,
      own,
    });
  return (
    <section className="card-box lead-secondary">
      <div className="lead-head">
        <h2>Secondary lead</h2>
        <Choice
          label="Shuffles"
          value={stride}
          options={STRIDES.map((value) => ({ value, text: STRIDE_TEXT[value] }))}
          onChange={(value) => {
            useLeadDraft.setState({ stride: value });
          }}
        />
      </div>
      <Timetable plan={plan} mitt={delivery.meanSeconds} />
      <p>
        {full.beforeCommit && 'The pitch gets there too soon. Take one shuffle fewer. '}
        {plan.hurried && !full.beforeCommit && 'Quick delivery: shorter, quicker shuffles. '}
        Start {seconds(plan.startSeconds)} after the first move. The right foot lands as the ball
        crosses the plate, {distance(plan.endFeet)} off. On time within .08 s:{' '}
        {percent(chanceOnTime(delivery.giveOrTakeSeconds, FEET_SD_SECONDS, ON_TIME_SECONDS))}.
      </p>
      <p className="quiet">
        If the catcher throws behind: {inThrows(behind(plan.speedAtLanding - 1))} while still
        drifting, {inThrows(behind(0))} once stopped. The catcher’s throw to first is typical for
        the level. Shoulders square to the plate.
      </p>
    </section>
  );
}

/** The clock of one pitch: first move, each shuffle, mitt. */
function Timetable({ plan, mitt }: { plan: SecondaryPlan; mitt: number }) {
  const starts = [plan.startSeconds, ...plan.landings.slice(0, -1)];
  return (
    <ol className="timetable" aria-label="Timetable of the shuffles">
      <li>
        <strong className="figure">{seconds(0)}</strong> first move
      </li>
      {plan.landings.map((landing, index) => (
        <li key={landing}>
          <strong className="figure">
            {seconds(starts[index] ?? 0)} to {seconds(landing)}
          </strong>{' '}
          shuffle {index + 1}, {distance(plan.stepFeet)}
        </li>
      ))}
      <li>
        <strong className="figure">{seconds(mitt)}</strong> mitt
      </li>
    </ol>
  );
}
