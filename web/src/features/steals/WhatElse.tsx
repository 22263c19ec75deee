import { chanceSafe, needsOf, pitchesFor, readyRace } from '@bradyon/core/race';
import {
  judgeSteal,
  mixFigures,
  PITCHOUT_COSTS_RUNS,
  raceOf,
  roundedUp,
  sharpestNext,
  SLIDE_STEP_COSTS_RUNS,
  STEAL_SWING_RUNS,
  type Judging,
  type Steal,
  type StealQuestion,
} from '@bradyon/core/steals';
import { distance, percent, seconds } from '../../ui/index.ts';
import { legOwner, type Names } from './words.ts';

interface Props {
  steal: Steal;
  question: StealQuestion;
  judging: Judging;
  names: Names;
  foot: { seconds: number; chance: number };
  needed: number;
}

/** What the answer moves with, what it would take, and the plain sum beside it. */
export function WhatElse(props: Props) {
  return (
    <div className="steal-else">
      <Worth {...props} />
      <WouldTake {...props} />
      <PlainSum {...props} />
      <Guessing {...props} />
    </div>
  );
}

const points = (chance: number): string => String(Math.round(Math.abs(chance) * 100));

function Worth({ steal, question, judging, names, foot }: Props) {
  const tenth = steal.chanceWith(0.05) - steal.chanceWith(-0.05);
  const sharper = sharpestNext(question, steal, judging);
  return (
    <section className="card-box">
      <h2>What changes it</h2>
      <dl className="steal-list">
        <div>
          <dt>A tenth of a second</dt>
          <dd className="figure">{points(tenth)} points</dd>
        </div>
        {question.field.ruleset.leadRule === 'open' && (
          <div>
            <dt>One more foot of lead</dt>
            <dd className="figure">{points(foot.chance)} points</dd>
          </div>
        )}
      </dl>
      <p className="quiet">
        {sharper
          ? `Three more ${legOwner(sharper.leg, names)} would help most, to about ${String(Math.round(sharper.low * 100))} to ${percent(sharper.high)}.`
          : 'More timing would hardly change it.'}
      </p>
    </section>
  );
}

function WouldTake({ steal, question, judging, needed, foot }: Props) {
  const { legs, lacksSeconds } = steal;
  if (lacksSeconds === null || legs.surprise !== null) return null;
  const race = raceOf(legs, question.field.level, judging.pitches);
  const needs = needsOf(race, readyRace(race), needed);
  if (!needs) return null;
  const lead = legs.start.leadFeet + lacksSeconds / foot.seconds;
  const rows: [string, string][] = [
    ...(needs.deliverySeconds === null
      ? []
      : [['Pitch at least', seconds(roundedUp(needs.deliverySeconds))] as [string, string]]),
    ...(legs.pop
      ? [['Throw at least', seconds(roundedUp(needs.popSeconds))] as [string, string]]
      : []),
    ['Run at most', seconds(-roundedUp(-needs.runSeconds))],
    ...(question.field.ruleset.leadRule === 'open' && question.base === 'second' && lead > 0
      ? [['Lead at least', distance(Math.ceil(lead * 2) / 2)] as [string, string]]
      : []),
    ['Jump at most', seconds(-roundedUp(-needs.jumpSeconds))],
  ];
  return (
    <section className="card-box">
      <h2>Any one of these makes it {percent(needed)}</h2>
      <dl className="steal-list">
        {rows.map(([name, figure]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd className="figure">{figure}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** The school of the plain sum, and where it misleads. */
function PlainSum({ steal, question, judging, needed }: Props) {
  const { legs } = steal;
  if (!legs.pop || legs.surprise !== null) return null;
  const race = raceOf(legs, question.field.level, judging.pitches);
  const { plainSeconds, parts } = chanceSafe(race);
  const cushion = plainSeconds + (steal.lacksSeconds ?? 0);
  const share = (name: string): number =>
    parts.filter((part) => part.throw === name).reduce((sum, { weight }) => sum + weight, 0);
  const says = plainSeconds >= 0 ? 'go' : 'stay';
  return (
    <section className="card-box">
      <h2>The quick math</h2>
      <p>
        {legs.pitch ? 'Pitch plus throw minus run' : 'Throw minus run'}:{' '}
        <strong className="figure">{seconds(plainSeconds)}</strong>, so it says {says}.
      </p>
      <p className="quiet">
        {steal.lacksSeconds !== null &&
          `Here ${percent(needed)} takes a sum of ${seconds(cushion)}. `}
        The quick math leaves out the jump, the tag and how much times vary, and that{' '}
        {percent(share('offLine'))} of throws are off line and {percent(share('wild'))} away.
      </p>
    </section>
  );
}

/** Pitch-outs and slide steps cost them something: how often he may run before they pay. */
function Guessing({ question, judging, needed }: Props) {
  const { legs } = judgeSteal(question, judging);
  if (!legs.pitch || !legs.pop || question.base === 'home') return null;
  const usual = judgeSteal(
    { ...question, style: 'legLift' },
    { ...judging, pitches: pitchesFor({ count: null }) },
  );
  const out = judgeSteal(
    { ...question, style: 'legLift' },
    { ...judging, pitches: pitchesFor({ pitch: 'pitchout' }) },
  );
  const slide = judgeSteal(
    { ...question, style: 'slideStep' },
    { ...judging, pitches: pitchesFor({ count: null }) },
  );
  const costRuns = needed * STEAL_SWING_RUNS;
  const against = (chanceCountered: number, counterRuns: number) =>
    mixFigures({
      chanceUsual: usual.chance,
      chanceCountered,
      gainRuns: STEAL_SWING_RUNS - costRuns,
      costRuns,
      counterRuns,
    });
  const open = question.field.ruleset.leadRule === 'open';
  const pitchout = against(out.chance, PITCHOUT_COSTS_RUNS);
  const slideStep = open ? against(slide.chance, SLIDE_STEP_COSTS_RUNS) : null;
  return (
    <section className="card-box">
      <h2>Keep them guessing</h2>
      <p>
        {pitchout
          ? `Run on fewer than ${oneIn(pitchout.runUnder)} and a pitch-out does not pay for them.`
          : 'A pitch-out would not even help them.'}{' '}
        {slideStep &&
          `For a slide step it is ${oneIn(slideStep.runUnder)}, if it costs them the usual amount at the plate.`}
      </p>
      <p className="quiet">
        {pitchout && usual.chance > needed
          ? `Running pays as long as they pitch out on fewer than ${oneIn(pitchout.counteredUnder)}.`
          : 'Running does not pay even against a normal pitch.'}
      </p>
    </section>
  );
}

/** A share as coaches say it. @example oneIn(0.2) // '1 in 5' */
function oneIn(share: number): string {
  if (share >= 0.95) return 'every pitch';
  if (share > 0.5) return `${String(Math.round(share * 10))} in 10`;
  return `1 in ${String(Math.max(2, Math.round(1 / Math.max(share, 0.01))))}`;
}
