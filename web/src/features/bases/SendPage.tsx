import {
  APPROACHES,
  bagsOf,
  OUTFIELD,
  outfielderFor,
  planSend,
  SENDS,
  turnDepth,
  type HitSpeed,
  type Send,
  type SendPlan,
  type SendQuestion,
} from '@bradyon/core/bases';
import Form from 'react-bootstrap/Form';
import { useId } from 'react';
import { Choice, distance, How, percent, PickOne, RaceView } from '../../ui/index.ts';
import { ARM_LOOKS, useBasesDraft, type ArmLook } from './basesStore.ts';
import { BasesPage } from './BasesPage.tsx';
import { SendField } from './SendField.tsx';
import type { BasesInView } from './useBases.ts';
import {
  APPROACH_TEXT,
  ARM_TEXT,
  armText,
  ballThere,
  BAG_TEXT,
  DIRECTIONS,
  FIELD_TEXT,
  gapWords,
  habitWords,
  HIT_TEXT,
  lanesOf,
  nameOf,
  needText,
  pastText,
  SEND_TEXT,
  verdictText,
} from './words.ts';

const HITS = ['soft', 'medium', 'hard'] as const satisfies readonly HitSpeed[];

/** The sends that the bases leave; the batter may always stretch a single. */
function sendsFor(bases: number): Send[] {
  return SENDS.filter(
    (send) =>
      send === 'stretchToSecond' ||
      (send === 'secondToHome' ? (bases & 2) !== 0 : (bases & 1) !== 0 && (bases & 2) === 0),
  );
}

/** Send the runner or hold: the chance, what it needs, and where the last stop is. */
export function SendPage() {
  return (
    <BasesPage title="Send or hold" controls={(view) => <SendControls view={view} />}>
      {(view) => <SendAnswer view={view} />}
    </BasesPage>
  );
}

function SendControls({ view }: { view: BasesInView }) {
  const { draft, situation } = view;
  const sends = sendsFor(situation.bases);
  return (
    <>
      <Choice
        label="Who is sent"
        value={sends.find((send) => send === draft.send) ?? sends[0] ?? 'stretchToSecond'}
        options={sends.map((value) => ({ value, text: SEND_TEXT[value] }))}
        onChange={(send) => {
          useBasesDraft.setState({ send });
        }}
      />
      <PickOne
        label="Arm"
        value={draft.arm}
        options={ARM_LOOKS.map((value) => ({ value, text: ARM_TEXT[value] }))}
        onChange={(arm) => {
          useBasesDraft.setState({ arm: arm as ArmLook });
        }}
      />
      <PickOne
        label="Cutoff man"
        value={draft.cutoff ? 'there' : 'missed'}
        options={[
          { value: 'there', text: 'There' },
          { value: 'missed', text: 'Missed' },
        ]}
        onChange={(cutoff) => {
          useBasesDraft.setState({ cutoff: cutoff === 'there' });
        }}
      />
    </>
  );
}

/** Another question than the one asked, for one row of the table. */
function other(question: SendQuestion, change: Partial<SendQuestion>): SendPlan {
  return planSend({ ...question, ...change });
}

function SendAnswer({ view }: { view: BasesInView }) {
  const { draft, situation, team, figures, on, gaitOf, odds } = view;
  const sends = sendsFor(situation.bases);
  const send = sends.find((each) => each === draft.send) ?? sends[0] ?? 'stretchToSecond';
  const bags = bagsOf(send);
  const fielder = outfielderFor(draft.degrees);
  const arm = view.armOf(fielder);
  const person = send === 'stretchToSecond' ? odds.up?.person : on[send === 'secondToHome' ? 2 : 1];
  const name = nameOf(person, 'Runner');
  const question: SendQuestion = {
    send,
    bases: situation.bases,
    outs: situation.outs as 0 | 1 | 2,
    ruleset: team.ruleset,
    figures,
    degrees: draft.degrees,
    hit: draft.hit,
    outfielderAt: view.spotOf(fielder),
    approach: draft.approach,
    bobbled: draft.bobbled,
    armMph: arm.mph,
    cutoff: draft.cutoff,
    habits: view.habitsFor(fielder),
    runner: gaitOf(person),
    value: view.value,
  };
  const plan = planSend(question);
  const habits = habitWords(question.habits);
  const { alert, sleepy } = plan.stops;
  const mirrored = {
    degrees: 90 - draft.degrees,
    outfielderAt: view.spotOf(outfielderFor(90 - draft.degrees)),
    armMph: view.armOf(outfielderFor(90 - draft.degrees)).mph,
    habits: view.habitsFor(outfielderFor(90 - draft.degrees)),
  };
  const otherField = FIELD_TEXT[outfielderFor(90 - draft.degrees)];
  const rows = [
    ...(draft.bobbled === true
      ? []
      : [{ text: 'bobbled', plan: other(question, { bobbled: true }) }]),
    ...([0, 1, 2] as const)
      .filter((outs) => outs !== question.outs)
      .map((outs) => ({
        text: ['nobody out', 'one out', 'two out'][outs] ?? '',
        plan: other(question, { outs }),
      })),
    ...(draft.approach === 'away'
      ? []
      : [{ text: 'outfielder going away', plan: other(question, { approach: 'away' }) }]),
    ...(fielder === 'CF'
      ? []
      : [{ text: `the same ball to ${otherField}`, plan: other(question, mirrored) }]),
  ];
  return (
    <div className="bases-two">
      <section className="card-box">
        <BallChoices view={view} />
        <SendField view={view} plan={plan} send={send} name={name} />
        <Depth view={view} question={question} />
      </section>
      <div className="bases-side">
        <section className="card-box bases-answer">
          <p className={`bases-call bases-${plan.verdict}`}>{verdictText(plan.verdict)}</p>
          <div role="status">
            <p className="bases-why">
              {percent(plan.safe)} safe, {needText(plan.need)}
            </p>
            <p>
              Anywhere from {percent(plan.low)} to {percent(plan.high)}. {armText(fielder, arm)}.
            </p>
            {habits !== null && <p className="quiet">{habits}</p>}
          </div>
        </section>
        <section className="card-box">
          <RaceView
            lanes={lanesOf(plan, name, bags)}
            gapWords={gapWords(plan, question.runner.topSpeed)}
            gapGood={ballThere(plan) >= plan.runSeconds}
            twin={`${gapWords(plan, question.runner.topSpeed)}, throw on line.`}
            size="compact"
          />
        </section>
        <section className="card-box">
          <h2>Your place</h2>
          <p>
            {alert
              ? `Last stop: ${pastText(alert.feet, bags.turned)}. After it there is no way back if they are awake.`
              : 'No safe stop: decide before the turn.'}{' '}
            {sleepy && alert && sleepy.feet > alert.feet
              ? `Sleepy defense: ${distance(sleepy.feet - alert.feet)} more.`
              : ''}
          </p>
          {send === 'secondToHome' && alert && (
            <p>
              Stand {distance(alert.coachFeet)} down the line, where {name} sees you through the
              turn.
            </p>
          )}
          {send === 'secondToHome' && on[1] && (
            <p>
              {nameOf(on[1], 'The runner behind')} looks at you too. Say the name, then the signal:
              one stop sign can stop both.
            </p>
          )}
          <p className="quiet">
            Ready to stop, {name} is there in {plan.controlledSeconds.toFixed(2)} s and{' '}
            {percent(plan.controlledSafe)} safe.
          </p>
        </section>
        <section className="card-box">
          <h2>Where it turns</h2>
          <table className="bases-table">
            <tbody>
              {rows.map((row) => (
                <tr key={row.text}>
                  <th scope="row">{row.text}</th>
                  <td className="figure">{percent(row.plan.safe)}</td>
                  <td>{needText(row.plan.need)}</td>
                  <td>
                    <strong>{verdictText(row.plan.verdict).toLowerCase()}</strong>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <Sayings question={question} plan={plan} />
          <How>
            <p>
              The ball rolls out, the outfielder meets it and throws; the cutoff man lets it go or
              cuts it. The band is the runner .20 s quicker or slower.{' '}
              {send === 'secondToHome'
                ? ''
                : `Sends to ${BAG_TEXT[bags.target]} were never checked against real plays.`}
            </p>
          </How>
        </section>
      </div>
    </div>
  );
}

/** Old sayings put to the numbers of this ball. */
function Sayings({ question, plan }: { question: SendQuestion; plan: SendPlan }) {
  const early = other(question, { outs: 0 });
  const { alert } = plan.stops;
  const cut = plan.play.cutoffAt;
  return (
    <>
      <h2>Old sayings</h2>
      <p>
        <strong>Never send with nobody out.</strong>{' '}
        {early.verdict === 'send'
          ? `Not here: ${percent(early.safe)} safe, ${needText(early.need)}.`
          : `True here: ${percent(early.safe)} safe, ${needText(early.need)}.`}
      </p>
      {cut && alert && (
        <p>
          <strong>Wait for the cutoff man.</strong>{' '}
          {alert.seconds < plan.ball.released
            ? 'Too late here: the last stop comes before the throw leaves the hand.'
            : 'You can: the last stop comes after the throw.'}
        </p>
      )}
    </>
  );
}

function BallChoices({ view: { draft } }: { view: BasesInView }) {
  const nearest = DIRECTIONS.reduce((best, each) =>
    Math.abs(each.degrees - draft.degrees) < Math.abs(best.degrees - draft.degrees) ? each : best,
  );
  return (
    <div className="control-row bases-ball">
      <PickOne
        label="Ball to"
        value={String(nearest.degrees)}
        options={DIRECTIONS.map(({ degrees, text }) => ({ value: String(degrees), text }))}
        onChange={(degrees) => {
          useBasesDraft.setState({ degrees: Number(degrees) });
        }}
      />
      <Choice
        label="How hard"
        value={draft.hit}
        options={HITS.map((value) => ({ value, text: HIT_TEXT[value] }))}
        onChange={(hit) => {
          useBasesDraft.setState({ hit });
        }}
      />
      <Choice
        label="Outfielder"
        value={draft.approach}
        options={APPROACHES.map((value) => ({ value, text: APPROACH_TEXT[value] }))}
        onChange={(approach) => {
          useBasesDraft.setState({ approach });
        }}
      />
      <Choice
        label="Handled"
        value={draft.bobbled === null ? 'unknown' : draft.bobbled ? 'bobbled' : 'clean'}
        options={[
          { value: 'unknown', text: 'Not seen' },
          { value: 'clean', text: 'Clean' },
          { value: 'bobbled', text: 'Bobbled' },
        ]}
        onChange={(handled) => {
          useBasesDraft.setState({ bobbled: handled === 'unknown' ? null : handled === 'bobbled' });
        }}
      />
    </div>
  );
}

/** How deep the outfielder plays, and where the answer turns. */
function Depth({ view, question }: { view: BasesInView; question: SendQuestion }) {
  const id = useId();
  const fielder = outfielderFor(question.degrees);
  const { x, y } = question.outfielderAt;
  const feet = Math.hypot(x, y);
  const usual = view.figures.outfieldDepth;
  const [least, most] = [Math.round(usual * 0.6), Math.round(usual * 1.25)];
  const turns = turnDepth(question, least, most);
  return (
    <div className="bases-depth">
      <label htmlFor={id}>
        {OUTFIELD.includes(fielder) ? `${FIELD_TEXT[fielder]} fielder` : ''} at {distance(feet)}.{' '}
        {turns === null
          ? 'Hold at any depth.'
          : turns <= least
            ? 'Send at any depth.'
            : `Send from ${distance(Math.round(turns))}.`}
      </label>
      <Form.Range
        id={id}
        min={least}
        max={most}
        step={1}
        value={Math.round(feet)}
        onChange={({ target }) => {
          const share = Number(target.value) / feet;
          useBasesDraft.setState(({ moved }) => ({
            moved: { ...moved, [fielder]: { x: x * share, y: y * share } },
          }));
        }}
      />
    </div>
  );
}
