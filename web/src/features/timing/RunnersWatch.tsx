import {
  plainContext,
  type ReadingKind,
  type StartTechnique,
  type WatchPlanName,
} from '@bradyon/core/timing';
import { commonLeadFeet } from '@bradyon/core/sprint';
import type { TargetBase } from '@bradyon/core/units';
import { Suspense, useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import {
  Choice,
  useKeys,
  distanceAsTaken,
  distanceText,
  distanceUnit,
  typedFeet,
} from '../../ui/index.ts';
import { RunningSelect, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { NobodyToTime, UndoButton, type WatchProps } from './BatteryWatch.tsx';
import { RunnerQueue } from './RunnerQueue.tsx';
import { Latest, Seen } from './Seen.tsx';
import { useLine } from './useLine.ts';
import type { SplitOwner } from './drafts.ts';
import { useWatch } from './useWatch.ts';
import { WatchFace } from './WatchFace.tsx';
import { capital, START_WORDS } from './words.ts';

interface Run {
  value: string;
  text: string;
  plan: WatchPlanName;
  kind: ReadingKind;
  base: TargetBase | null;
}
const FIRST_RUN: Run = {
  value: 'second',
  text: 'Steal of second',
  plan: 'steal',
  kind: 'steal',
  base: 'second',
};
const RUNS: readonly Run[] = [
  FIRST_RUN,
  { value: 'third', text: 'Steal of third', plan: 'steal', kind: 'steal', base: 'third' },
  { value: 'first', text: 'Home to first', plan: 'homeToFirst', kind: 'homeToFirst', base: null },
  {
    value: 'twoBases',
    text: 'First to third',
    plan: 'firstToThird',
    kind: 'firstToThird',
    base: null,
  },
  {
    value: 'score',
    text: 'Second to home',
    plan: 'secondToHome',
    kind: 'secondToHome',
    base: null,
  },
  { value: 'back', text: 'Dive back', plan: 'diveBack', kind: 'diveBack', base: null },
  { value: 'dash', text: 'Sprint', plan: 'dash', kind: 'dash', base: null },
];
const RUNNER_KINDS = RUNS.map(({ kind }) => kind);
const USUAL_DASH_FEET = 60;

/** Runners, ours or theirs, one after the other, with the lead, the distance and the start that were stated. */
export function RunnersWatch({ Lead }: WatchProps) {
  const team = useTeam();
  const { onField } = usePlaying(team.id);
  const { timedRunners: runners } = onField;
  const line = useLine(team.id, runners);
  const { current } = line;
  const [run, setRun] = useState<Run>(FIRST_RUN);
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [start, setStart] = useState<StartTechnique | null>(null);
  const canDive = team.ruleset.leadRule === 'open';
  const runs = RUNS.filter(({ kind }) => kind !== 'diveBack' || canDive);
  const startsTagged = run.kind === 'steal' || run.kind === 'dash';

  const context = { ...plainContext(run.kind), base: run.base };
  const usualLead = commonLeadFeet(context, team.ruleset);
  const isDash = run.kind === 'dash';
  const usualFeet = isDash ? USUAL_DASH_FEET : usualLead;
  const feetText = typed[run.value] ?? (usualFeet === null ? '' : distanceText(usualFeet));
  const feet = typedFeet(feetText);
  const problem = feetProblem(feet, isDash);
  const fits = problem === null;

  const ownerOf = (): SplitOwner | null => {
    const runner = line.now();
    if (!runner || (usualFeet !== null && !fits)) return null;
    return {
      personId: runner.id,
      base: run.base,
      ...(usualLead !== null && { leadFeet: feet }),
      ...(isDash && { fromFeet: 0, toFeet: feet }),
      ...(startsTagged && { start }),
    };
  };
  const hand = useWatch(team.id, run.plan, ownerOf, {
    onKept: line.kept,
    onUndo: line.takenBack,
  });
  const choose = (value: string): void => {
    setRun(runs.find((each) => each.value === value) ?? FIRST_RUN);
  };
  useKeys({
    Space: hand.tap,
    z: hand.undo,
    arrowright: () => {
      line.move(1);
    },
    arrowleft: () => {
      line.move(-1);
    },
    ...Object.fromEntries(
      runs.map(({ value }, index) => [
        String(index + 1),
        () => {
          choose(value);
        },
      ]),
    ),
  });

  const from =
    usualFeet !== null && fits && feet !== null
      ? isDash
        ? `, ${distanceAsTaken(feet)}`
        : ` from ${distanceAsTaken(feet)}`
      : '';
  return (
    <div className="time">
      <div className="time-hand">
        <div className="time-line">
          <RunningSelect />
          <RunnerQueue runners={runners} queue={line.queue} onChange={line.change} />
        </div>
        <WatchFace
          hand={hand}
          about={`${current?.name ?? 'No runner chosen'}, ${run.text.toLowerCase()}${from}`}
        />
        <div className="time-keys time-runs">
          <Choice
            label="Run"
            options={runs.map(({ value, text }, index) => ({
              value,
              text,
              hotkey: String(index + 1),
            }))}
            value={run.value}
            onChange={choose}
          />
          {usualFeet !== null && (
            <FeetField
              isDistance={isDash}
              value={feetText}
              problem={problem}
              onChange={(value) => {
                setTyped({ ...typed, [run.value]: value });
              }}
            />
          )}
          {startsTagged && <StartField start={start} leads={canDive} onChange={setStart} />}
          <UndoButton hand={hand} />
        </div>
      </div>
      <div className="time-seen">
        {current ? (
          <>
            <Seen person={current} role="runner" kinds={[run.kind]} />
            {Lead && current.opponentId !== null && run.kind === 'steal' && (
              <Suspense>
                <Lead runner={current} base={run.base === 'second' ? 'first' : 'second'} />
              </Suspense>
            )}
            <Latest people={runners} kinds={RUNNER_KINDS} />
          </>
        ) : (
          <NobodyToTime who="your players" />
        )}
        <p className="quiet time-care">
          Warm up before the first sprint and rest between tries. Slide and dive only as taught,
          head first only where the league allows it. If it hurts, stop and see a trainer or doctor.
        </p>
      </div>
    </div>
  );
}

/** What to enter instead of a lead or a distance; null: it can be one. */
export function feetProblem(feet: number | null, isDistance: boolean): string | null {
  const [least, most] = isDistance ? [1, 400] : [0, 40];
  if (feet === null ? !isDistance : feet >= least && feet <= most) return null;
  return `Enter ${distanceText(least)} to ${distanceAsTaken(most)} to save times.`;
}

/** A lead or a distance in the unit that the coach measures in. */
export function FeetField({
  isDistance,
  value,
  problem,
  onChange,
}: {
  isDistance: boolean;
  value: string;
  problem: string | null;
  onChange: (value: string) => void;
}) {
  const id = useId();
  return (
    <div className="person-select time-small">
      <label htmlFor={id}>
        {isDistance ? 'Distance' : 'Lead'}, {distanceUnit()}
      </label>
      <Form.Control
        id={id}
        inputMode="decimal"
        value={value}
        isInvalid={problem !== null}
        aria-describedby={`${id}-words`}
        onChange={({ target }) => {
          onChange(target.value);
        }}
      />
      {problem && (
        <Form.Control.Feedback type="invalid" id={`${id}-words`}>
          {problem}
        </Form.Control.Feedback>
      )}
    </div>
  );
}

/** The start, to set one way against the other later. */
export function StartField({
  start,
  leads,
  onChange,
}: {
  start: StartTechnique | null;
  /** Where leads are open other starts are taught than at release. */
  leads: boolean;
  onChange: (start: StartTechnique | null) => void;
}) {
  const id = useId();
  const taught = leads ? (['dropStep', 'crossover'] as const) : (['rocker', 'frontFoot'] as const);
  return (
    <div className="person-select time-small">
      <label htmlFor={id}>Start</label>
      <Form.Select
        id={id}
        value={start ?? ''}
        onChange={({ target }) => {
          onChange(target.value === '' ? null : (target.value as StartTechnique));
        }}
      >
        <option value="">not noted</option>
        {taught.map((each) => (
          <option key={each} value={each}>
            {capital(START_WORDS[each])}
          </option>
        ))}
      </Form.Select>
    </div>
  );
}
