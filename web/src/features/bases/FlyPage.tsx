import {
  flyBall,
  halfwayFor,
  OUTFIELD,
  outfielderFor,
  planTag,
  tagDepth,
  type CatchSeen,
  type Outfielder,
  type TagQuestion,
} from '@bradyon/core/bases';
import Form from 'react-bootstrap/Form';
import { useId } from 'react';
import { Choice, distance, How, percent, PickOne } from '../../ui/index.ts';
import { ARM_LOOKS, useBasesDraft, type ArmLook } from './basesStore.ts';
import { BasesPage } from './BasesPage.tsx';
import type { BasesInView } from './useBases.ts';
import {
  ARM_TEXT,
  armText,
  BAG_TEXT,
  DIRECTIONS,
  FIELD_TEXT,
  nameOf,
  needText,
  SEEN_TEXT,
} from './words.ts';

const SEEN = ['ownEyes', 'shout'] as const satisfies readonly CatchSeen[];
const FROM = [3, 2, 1] as const;

/** A ball in the air: tag, go half way, or freeze. */
export function FlyPage() {
  return (
    <BasesPage title="Fly balls" controls={(view) => <FlyControls view={view} />}>
      {(view) =>
        view.situation.outs === 2 ? (
          <p className="card-box">With two outs nobody tags: run on contact. Set the outs above.</p>
        ) : (
          <Fly view={view} />
        )
      }
    </BasesPage>
  );
}

/** The base asked about; where nobody is on it, the first that is taken, else third. */
function fromOf({ draft, situation }: BasesInView): 1 | 2 | 3 {
  const taken = FROM.filter((base) => situation.bases & (1 << (base - 1)));
  return taken.find((base) => base === draft.tagFrom) ?? taken[0] ?? draft.tagFrom;
}

function FlyControls({ view }: { view: BasesInView }) {
  const { draft, situation } = view;
  const taken = FROM.filter((base) => situation.bases & (1 << (base - 1)));
  return (
    <>
      <Choice
        label="Tagging from"
        value={String(fromOf(view))}
        options={(taken.length > 0 ? taken : FROM).map((base) => ({
          value: String(base),
          text: `From ${BAG_TEXT[base]}`,
        }))}
        onChange={(base) => {
          useBasesDraft.setState({ tagFrom: Number(base) as 1 | 2 | 3 });
        }}
      />
      <Choice
        label="Who sees the catch"
        value={draft.seen}
        options={SEEN.map((value) => ({ value, text: SEEN_TEXT[value] }))}
        onChange={(seen) => {
          useBasesDraft.setState({ seen });
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
    </>
  );
}

/** Somebody on the bag that is asked about, whatever the diamond says. */
function questionOf(
  view: BasesInView,
  fielder: Outfielder,
  degrees: number,
  look?: ArmLook,
): TagQuestion {
  const { draft, situation, team, figures, on, gaitOf } = view;
  const from = fromOf(view);
  return {
    from,
    bases: situation.bases | (1 << (from - 1)),
    outs: situation.outs === 1 ? 1 : 0,
    ruleset: team.ruleset,
    figures,
    degrees,
    feet: feetOf(view),
    momentum: 0.5,
    armMph: view.armOf(fielder, look).mph,
    seen: draft.seen,
    runner: gaitOf(on[from]),
    value: view.value,
  };
}

function feetOf({ draft, figures }: BasesInView): number {
  return draft.flyFeet ?? Math.round(figures.outfieldDepth * 0.9);
}

function Fly({ view }: { view: BasesInView }) {
  const { draft, figures, on, team } = view;
  const id = useId();
  const from = fromOf(view);
  const fielder = outfielderFor(draft.degrees);
  const question = questionOf(view, fielder, draft.degrees);
  const plan = planTag(question);
  const otherEyes = planTag({ ...question, seen: draft.seen === 'shout' ? 'ownEyes' : 'shout' });
  const deepest = Math.round(figures.outfieldDepth * 1.4);
  const goes = plan.safe >= plan.need;
  const half = halfwayFor(question);
  const name = nameOf(on[from], 'the runner');
  const lost = draft.seen === 'ownEyes' ? plan.safe - otherEyes.safe : otherEyes.safe - plan.safe;
  return (
    <div className="bases-two">
      <section className="card-box">
        <div className="control-row bases-ball">
          <PickOne
            label="Ball to"
            value={String(
              DIRECTIONS.reduce((best, each) =>
                Math.abs(each.degrees - draft.degrees) < Math.abs(best.degrees - draft.degrees)
                  ? each
                  : best,
              ).degrees,
            )}
            options={DIRECTIONS.map(({ degrees, text }) => ({ value: String(degrees), text }))}
            onChange={(degrees) => {
              useBasesDraft.setState({ degrees: Number(degrees) });
            }}
          />
        </div>
        <label htmlFor={id}>Caught {distance(feetOf(view))} from home</label>
        <Form.Range
          id={id}
          min={Math.round(team.ruleset.baseDistanceFeet * 1.3)}
          max={deepest}
          step={1}
          value={feetOf(view)}
          onChange={({ target }) => {
            useBasesDraft.setState({ flyFeet: Number(target.value) });
          }}
        />
        <h2>Tag from this deep</h2>
        <DepthTable view={view} deepest={deepest} />
        <Flight view={view} />
      </section>
      <div className="bases-side">
        <section className="card-box bases-answer">
          <p className={`bases-call bases-${goes ? 'send' : 'hold'}`}>
            {goes ? `Tag for ${BAG_TEXT[(from + 1) as 2 | 3 | 4]}` : 'Bluff and stay'}
          </p>
          <div role="status">
            <p className="bases-why">
              {percent(plan.safe)} safe, {needText(plan.need)}
            </p>
            <p>
              Anywhere from {percent(plan.low)} to {percent(plan.high)}.{' '}
              {armText(fielder, view.armOf(fielder))}.
            </p>
          </div>
        </section>
        <section className="card-box">
          <h2>Before it is caught</h2>
          <p>
            Sure catch: on the bag, {name} watching the ball.{' '}
            {from === 3
              ? 'From third, tag on everything in the air.'
              : `In doubt: up to ${distance(half)} off the bag, and back if it is caught.`}
          </p>
          <p>Line drive: freeze. Go only when it is through.</p>
          <p>
            Near the line with the ball in play: go down in foul ground, come back in fair ground.
          </p>
        </section>
        <section className="card-box">
          <h2>Old saying</h2>
          <p>
            <strong>Watch the catch yourself.</strong>{' '}
            {lost > 0.005
              ? `True: a shout comes late and costs ${percent(lost)} of the tags here.`
              : 'No matter here: this one is decided either way.'}
          </p>
          <How>
            <p>
              The throw starts about a second after the catch. Short fly balls come out steeper here
              than most coaches have seen: trust the deep ones more.
            </p>
          </How>
        </section>
      </div>
    </div>
  );
}

const LOOKS = ['weak', 'usual', 'strong'] as const satisfies readonly ArmLook[];

/** From which depth on to tag, by field and arm. */
function DepthTable({ view, deepest }: { view: BasesInView; deepest: number }) {
  const fields = { LF: 70, CF: 45, RF: 20 } as const;
  const text = (fielder: Outfielder, look: ArmLook): string => {
    const feet = tagDepth(questionOf(view, fielder, fields[fielder], look), deepest);
    return feet === null ? 'stay' : distance(Math.round(feet));
  };
  return (
    <table className="bases-table">
      <thead>
        <tr>
          <th scope="col">Field</th>
          {LOOKS.map((look) => (
            <th key={look} scope="col">
              {ARM_TEXT[look]}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {OUTFIELD.map((fielder) => (
          <tr key={fielder}>
            <th scope="row">{FIELD_TEXT[fielder]}</th>
            {LOOKS.map((look) => (
              <td key={look} className="figure">
                {text(fielder, look)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const EXIT_MPH = { baseball: 90, softball: 60 } as const;
const LAUNCH = { baseball: 32, softball: 40 } as const;

/** How long such a ball is up: the time there is to read it. */
function Flight({ view }: { view: BasesInView }) {
  const { sport } = view.team.ruleset;
  const { hangSeconds, carryFeet } = flyBall(EXIT_MPH[sport], LAUNCH[sport], sport);
  return (
    <p className="quiet bases-note">
      A fly ball of {distance(Math.round(carryFeet))} hangs about {hangSeconds.toFixed(1)} s.
    </p>
  );
}
