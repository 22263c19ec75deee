import {
  ageAt,
  CALL_DRILLS,
  compareTechniques,
  judgeBlock,
  meanWait,
  paceOf,
  reactionOf,
  seenAgainstHeard,
  startVerdict,
  TECHNIQUES,
  techniquesOf,
  type CallDrillName,
  type RepMeasure,
  type StartRep,
  type Technique,
} from '@bradyon/core/drills';
import type { Person } from '@bradyon/core/people';
import { typedSeconds } from '@bradyon/core/timing';
import type { PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { newId } from '../../api/index.ts';
import {
  Choice,
  FormField,
  giveOrTake,
  hundredths,
  notify,
  PickOne,
  seconds,
  SpreadDots,
  Stepper,
  TapButton,
  useKeys,
} from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import { abba, turnOf } from './caller.ts';
import { DrillPage, type DrillsInView } from './DrillPage.tsx';
import { LinePicker } from './LinePicker.tsx';
import { useAwake } from '../../ui/useAwake.ts';
import { useCaller, type Answer } from './useCaller.ts';
import { CALLS_TEXT, MEASURE_IN_WORDS, MEASURE_TEXT, TECHNIQUE_TEXT } from './words.ts';

const CARE = 'Warm up first. Flat ground, no bats or balls about. Pain means stop.';

/** Starts on a call: how quick, and which first step is quicker. */
export function StartsPage() {
  return (
    <DrillPage title="Starts" care={CARE}>
      {(view) => <Starts view={view} />}
    </DrillPage>
  );
}

/** What is set before a block. */
interface Setting {
  calls: CallDrillName;
  sense: 'heard' | 'seen';
  measure: RepMeasure;
  technique: Technique;
  /** By turns with the other; null: one first step only. */
  against: Technique | null;
  each: number;
}

/** The coach's tap first: it is what most have. */
const MEASURES = ['coachTap', 'ownTap', 'gate'] as const satisfies RepMeasure[];
/** A gate sees who comes through, and not who goes back. */
const hasBack = (calls: CallDrillName): boolean => CALL_DRILLS[calls].shares.back > 0;

const USUAL: Setting = {
  calls: 'go',
  sense: 'heard',
  measure: 'coachTap',
  technique: 'own',
  against: null,
  each: 8,
};
/** Later than this nobody hears a call in time: an earphone or a speaker without a wire. */
const WIRELESS_SECONDS = 0.12;
const WORK_SECONDS = 1.2;
const SETTLE_SECONDS = 5;
const RETURN_SECONDS = 6;

function Starts({ view: { team, players, reps } }: { view: DrillsInView }) {
  const [line, setLine] = useState<PersonId[]>(() => players.slice(0, 1).map(({ id }) => id));
  const [setting, setSetting] = useState(USUAL);
  const [session, setSession] = useState('');
  const set = (change: Partial<Setting>): void => {
    setSetting((now) => ({ ...now, ...change }));
  };
  const { calls, sense, measure, technique, against, each } = setting;
  const stepOf = (nth: number): Technique =>
    against === null
      ? technique
      : abba(Math.floor(nth / Math.max(1, line.length)), [technique, against]);
  const caller = useCaller((answer: Answer) => {
    const personId = turnOf(line, answer.nth);
    if (personId === null) return;
    if (answer.outputLateSeconds > WIRELESS_SECONDS) {
      notify('Not kept: the sound comes late, as over a wireless speaker. Use this phone’s own.');
      return;
    }
    reps.add(personId, {
      drill: 'start',
      session,
      calls,
      technique: stepOf(answer.nth),
      measure,
      call: answer.rep.call,
      sense: sense === 'seen' || calls === 'clapSeen' ? 'seen' : 'heard',
      tapSeconds: answer.tapSeconds,
      outputLateSeconds: Number(answer.outputLateSeconds.toFixed(4)),
      handsSeconds: calls === 'clapSeen' ? Number((answer.rep.handsSeconds ?? 0).toFixed(4)) : 0,
      way: answer.way,
    });
  });
  const { running } = caller;
  useAwake(running !== null && running.phase !== 'over');
  const begin = (): void => {
    const pace = paceOf({
      workSeconds: WORK_SECONDS,
      runners: line.length,
      atOnce: 1,
      meanWaitSeconds: meanWait(calls),
      settleSeconds: SETTLE_SECONDS,
      returnSeconds: RETURN_SECONDS,
      age: ageAt(team.level),
    });
    const id = newId();
    setSession(id);
    caller.start({
      calls,
      sense: calls === 'clapSeen' ? 'seen' : calls === 'clapHeard' ? 'heard' : sense,
      reps: each * line.length,
      // Nobody sees it, so nobody can learn it.
      seed: Number.parseInt(id.slice(0, 8), 16),
      byGate: measure === 'gate',
      restSeconds: pace.everySeconds - WORK_SECONDS - meanWait(calls),
    });
  };
  const chosen = players.find(({ id }) => id === (running ? turnOf(line, running.nth) : line[0]));
  return (
    <div className="drills-two">
      <section className="card-box drills-set">
        <LinePicker players={players} line={line} onChange={setLine} />
        <PickOne
          label="Call"
          value={calls}
          options={(Object.keys(CALL_DRILLS) as CallDrillName[])
            .filter((name) => name !== 'pitcher')
            .map((value) => ({ value, text: CALLS_TEXT[value] }))}
          onChange={(value) => {
            const next = value as CallDrillName;
            set({
              calls: next,
              ...(measure === 'gate' && hasBack(next) && { measure: 'coachTap' as const }),
            });
          }}
        />
        <div className="control-row">
          {calls !== 'clapHeard' && calls !== 'clapSeen' && (
            <Choice
              label="Cue"
              showLabel
              value={sense}
              options={[
                { value: 'heard', text: 'Sound' },
                { value: 'seen', text: 'Screen' },
              ]}
              onChange={(value) => {
                set({ sense: value });
              }}
            />
          )}
          <Choice
            label="Timed by"
            showLabel
            value={measure}
            options={MEASURES.filter((value) => value !== 'gate' || !hasBack(calls)).map(
              (value) => ({
                value,
                text: MEASURE_TEXT[value],
              }),
            )}
            onChange={(value) => {
              set({ measure: value });
            }}
          />
        </div>
        <div className="control-row">
          <PickOne
            label="First step"
            value={technique}
            options={TECHNIQUES.map((value) => ({ value, text: TECHNIQUE_TEXT[value] }))}
            onChange={(value) => {
              set({ technique: value as Technique, against: null });
            }}
          />
          <PickOne
            label="By turns with"
            value={against ?? ''}
            options={[
              { value: '', text: 'Nothing' },
              ...TECHNIQUES.filter((value) => value !== technique).map((value) => ({
                value,
                text: TECHNIQUE_TEXT[value],
              })),
            ]}
            onChange={(value) => {
              set({ against: value === '' ? null : (value as Technique) });
            }}
          />
        </div>
        <Stepper
          label="Calls each"
          value={each}
          step={2}
          min={4}
          max={20}
          text={String}
          onChange={(value) => {
            set({ each: value });
          }}
        />
        <Button size="lg" disabled={line.length === 0} onClick={begin}>
          Start calling
        </Button>
      </section>
      {chosen && (
        <Results
          key={chosen.id}
          person={chosen}
          starts={reps.of(chosen.id, 'start').map(({ rep }) => rep)}
          measure={measure}
        />
      )}
      {running && (
        <Stage
          caller={caller}
          who={chosen}
          next={players.find(({ id }) => id === turnOf(line, running.nth + 1))}
          step={against === null ? null : TECHNIQUE_TEXT[stepOf(running.nth)]}
          hasBack={hasBack(calls)}
          last={
            chosen && running.phase !== 'set'
              ? (reps.of(chosen.id, 'start').at(-1)?.rep ?? null)
              : null
          }
          onUndo={() => {
            const row = reps.rows.findLast(
              ({ personId, rep }) => personId === chosen?.id && rep.drill === 'start',
            );
            if (row) reps.undo(row);
          }}
        />
      )}
    </div>
  );
}

const CUE_WORDS = {
  go: 'GO',
  back: 'BACK',
  hop: 'HOP',
  clap: 'GO',
  relax: 'Relax',
} as const;

/** What a start was, in a word. */
function verdictText(rep: StartRep): string {
  const reaction = reactionOf(rep);
  switch (startVerdict(rep)) {
    case 'good':
    case 'rightBack':
      return reaction === null ? 'Good' : seconds(reaction);
    case 'doubtful':
      return 'Too close to a guess: not counted';
    case 'falseStart':
      return 'False start';
    case 'wrongGo':
      return 'Went without a call to go';
    case 'wrongBack':
      return 'Went back on a go';
    case 'rightHold':
      return 'Held: right';
    case 'missed':
      return 'Missed';
  }
}

/** The whole screen while calls come: what is seen from twenty feet, and where thumbs tap without looking. */
function Stage({
  caller: { running, shown, tap, gate, next: goOn, stop },
  who,
  next,
  step,
  hasBack: mayGoBack,
  last,
  onUndo,
}: {
  caller: ReturnType<typeof useCaller>;
  who: Person | undefined;
  next: Person | undefined;
  step: string | null;
  hasBack: boolean;
  last: StartRep | null;
  onUndo: () => void;
}) {
  const isTapped = running?.plan.byGate === false;
  useKeys({
    Space: (atMs) => {
      if (isTapped) tap(atMs, 'go');
    },
    b: (atMs) => {
      if (isTapped) tap(atMs, 'back');
    },
  });
  if (!running) return null;
  const { phase, nth, block, plan } = running;
  const isSet = phase === 'set';
  // Only a screen cue is seen; a sound is not given away.
  const cue = plan.sense === 'seen' && isSet && plan.calls !== 'clapSeen' ? shown.cue : null;
  return (
    <div className={`starts-stage starts-${cue ?? 'wait'}`} role="dialog" aria-label="Calling">
      <div className="starts-top">
        <span>
          {nth + 1} of {block.length}
        </span>
        <Button variant="outline-primary" onClick={stop}>
          {phase === 'over' ? 'Done' : 'Stop'}
        </Button>
      </div>
      <div className="starts-middle" role="status">
        {isSet ? (
          <>
            <p className="starts-who">{who ? personLabel(who) : ''}</p>
            {step && <p>{step}</p>}
            {plan.calls === 'clapSeen' && <Hands share={shown.hands} />}
            <p className="starts-cue">{cue ? CUE_WORDS[cue] : 'Set'}</p>
          </>
        ) : (
          <>
            <p className="starts-cue">{last ? verdictText(last) : ''}</p>
            {phase === 'over' ? (
              <p>That was the last one.</p>
            ) : (
              <p>Next: {next ? personLabel(next) : ''}</p>
            )}
            <div className="starts-between">
              {phase === 'rest' && <Button onClick={goOn}>Next now</Button>}
              {last && (
                <Button variant="outline-primary" onClick={onUndo}>
                  Undo this one
                </Button>
              )}
            </div>
          </>
        )}
      </div>
      {plan.byGate ? (
        // Before the call there is nothing that a gate could show.
        <GateEntry isOpen={isSet && shown.cue !== null} onGate={gate} />
      ) : (
        <div className="starts-taps">
          {mayGoBack && (
            <TapButton
              className="starts-tap starts-tap-back"
              disabled={!isSet}
              onTap={(atMs) => {
                tap(atMs, 'back');
              }}
            >
              Went back
            </TapButton>
          )}
          <TapButton
            className="starts-tap"
            disabled={!isSet}
            onTap={(atMs) => {
              tap(atMs, 'go');
            }}
          >
            {mayGoBack ? 'Went' : 'First move'}
          </TapButton>
        </div>
      )}
    </div>
  );
}

/** As a beam ten feet away is crossed, and by nobody sooner or later. Seconds. */
const GATE_SECONDS = { min: 0.1, max: 5 } as const;

/** What the gate shows, typed in when it is read. */
function GateEntry({
  isOpen,
  onGate,
}: {
  isOpen: boolean;
  onGate: (seconds: number | null) => void;
}) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  return (
    <Form
      className="starts-gate"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        const typed = typedSeconds(text);
        if (typed === null || typed < GATE_SECONDS.min || typed > GATE_SECONDS.max) {
          setProblem('Enter the seconds on the gate, .1 to 5.');
          return;
        }
        setText('');
        setProblem('');
        onGate(typed);
      }}
    >
      <FormField label="Seconds on the gate" error={problem}>
        {(field) => (
          <Form.Control
            {...field}
            value={text}
            inputMode="decimal"
            autoComplete="off"
            disabled={!isOpen}
            onChange={({ target }) => {
              setText(target.value);
              setProblem('');
            }}
          />
        )}
      </FormField>
      <Button type="submit" disabled={!isOpen}>
        Keep
      </Button>
      <Button
        variant="outline-primary"
        disabled={!isOpen}
        onClick={() => {
          onGate(null);
        }}
      >
        Nobody went
      </Button>
    </Form>
  );
}

/** Two hands that come together. */
function Hands({ share }: { share: number }) {
  const apart = 60 * (1 - share);
  return (
    <svg className="starts-hands" viewBox="-100 -40 200 80" aria-hidden="true">
      <rect x={-28 - apart} y="-34" width="26" height="68" rx="12" />
      <rect x={2 + apart} y="-34" width="26" height="68" rx="12" />
    </svg>
  );
}

function Results({
  person,
  starts,
  measure,
}: {
  person: Person;
  starts: readonly StartRep[];
  measure: RepMeasure;
}) {
  const own = starts.filter((each) => each.measure === measure && each.calls !== 'clapSeen');
  // The last block is what is being worked on; days are set side by side under Progress.
  const last = own.filter(({ session }) => session === own.at(-1)?.session);
  const block = judgeBlock(last);
  const { estimate } = block;
  const seen = seenAgainstHeard(starts);
  const [one, other] = techniquesOf(own);
  const steps = one && other ? compareTechniques(own, one, other) : null;
  const reactions = last
    .filter((rep) => startVerdict(rep) === 'good')
    .flatMap((rep) => reactionOf(rep) ?? []);
  return (
    <section className="card-box">
      <h2>{personLabel(person)}</h2>
      {own.length === 0 ? (
        <p className="quiet">No starts yet, {MEASURE_IN_WORDS[measure]}.</p>
      ) : (
        <>
          <p className="drills-figure">
            {estimate ? (
              <>
                <strong className="figure">{seconds(estimate.typicalSeconds)}</strong>{' '}
                {giveOrTake((estimate.highSeconds - estimate.lowSeconds) / 2)}
              </>
            ) : block.isGuessing ? (
              'Too many early: guessing, not reacting. Slow down.'
            ) : (
              'Five good starts give a figure.'
            )}
          </p>
          {estimate && (
            <SpreadDots
              dots={reactions.map((each, nth) => ({
                key: String(nth),
                seconds: each,
                aside: false,
              }))}
              meanSeconds={estimate.typicalSeconds}
              giveOrTakeSeconds={(estimate.highSeconds - estimate.lowSeconds) / 2}
              tone="runner"
            />
          )}
          <p className="quiet">
            {block.good} good of {block.count}, {block.tooSoon} early, {block.missed} missed or
            wrong.
          </p>
        </>
      )}
      {seen && (
        <p>
          Seeing the hands gains <strong>{hundredths(-seen.differenceSeconds)}&nbsp;s</strong>
          {seen.verdict === 'open' && ', too close to call'}.
        </p>
      )}
      {steps && one && other && (
        <p>
          {steps.verdict === 'open' ? (
            `${TECHNIQUE_TEXT[one]} or ${TECHNIQUE_TEXT[other].toLowerCase()}: too close to call.`
          ) : (
            <>
              <strong>{TECHNIQUE_TEXT[steps.verdict === 'a' ? one : other]}</strong> is quicker by{' '}
              {seconds(Math.abs(steps.differenceSeconds))}.
            </>
          )}
        </p>
      )}
      <p className="quiet">
        {measure === 'gate'
          ? 'From the call to the beam: compare it with the same beam only. It is no reaction.'
          : 'Ten hand-timed starts cannot show a change of .03\u00a0s. Compare within one day.'}
      </p>
    </section>
  );
}
