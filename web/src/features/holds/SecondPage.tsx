import { picksOn, WORTH_A_PICK } from '@bradyon/core/holds';
import { CUES, HIPS, type Cue, type Hips, type SecondPick } from '@bradyon/core/leads';
import { useState } from 'react';
import {
  Choice,
  distance,
  Empty,
  Failure,
  Loading,
  percent,
  seconds,
  Stepper,
  useTitle,
} from '../../ui/index.ts';
import { halfFeet } from '../../ui/field/index.ts';
import { LeadSeen, spreadOfEstimate } from '../leads/index.ts';
import { standsInFor } from '../people/index.ts';
import './Holds.scss';
import { HoldTabs } from './HoldTabs.tsx';
import { useHold, type Hold } from './useHold.ts';
import { WhoHolds } from './WhoHolds.tsx';

/** Which pick works at second: by lead, the shortstop's hips and depth. */
export function SecondPage() {
  useTitle('Hold at second');
  const hold = useHold();
  if (hold.error) return <Failure error={hold.error} retry={hold.retry} />;
  if (hold.isLoading) return <Loading what="your times" />;
  return (
    <>
      <div className="page-head">
        <h1>Hold at second</h1>
        <HoldTabs />
      </div>
      {hold.team.ruleset.leadRule === 'open' ? (
        <>
          <WhoHolds hold={hold} />
          <Picks hold={hold} />
        </>
      ) : (
        <Empty title="Nobody leads off under your rules, so there is no pick at second." />
      )}
    </>
  );
}

const HIPS_TEXT: Record<Hips, string> = { inside: 'Inside', even: 'Even', outside: 'Outside' };
const CUE_TEXT: Record<Cue, string> = { coach: 'Coach calls it', turn: 'Sees the turn' };
const DEPTHS = ['3', '8', '15'] as const;
const [SHORTEST, LONGEST] = [8, 25];
const SECOND_BASEMAN_FEET = 25;

/** Who starts it, and what the pitcher does when it does not come off. */
const PICK_TEXT: Record<SecondPick, { name: string; how: string; else: string }> = {
  daylight: {
    name: 'Daylight',
    how: 'The shortstop breaks behind the runner. Throw when you see daylight.',
    else: 'No daylight: step off, and let the shortstop reset.',
  },
  timing: {
    name: 'Count',
    how: 'Agree on the count first. The catcher starts it; all go on the count.',
    else: 'Nobody at the bag: step off. Don’t hold on.',
  },
  insideTurn: {
    name: 'Inside turn',
    how: 'Lift as to pitch, and turn. The nearer infielder covers.',
    else: 'Nobody covers: finish the turn and step off next time.',
  },
};

function Picks({ hold }: { hold: Hold }) {
  const { leads, names } = hold;
  const seen = leads.looks.known(names.runner, 'second');
  const [tried, setTried] = useState<{ runnerId: string; feet: number } | null>(null);
  const leadFeet =
    tried?.runnerId === names.runner.id
      ? tried.feet
      : halfFeet(seen?.feet ?? leads.looks.usualFeet('second'), SHORTEST, LONGEST);
  const [hips, setHips] = useState<Hips>('even');
  const [depth, setDepth] = useState<(typeof DEPTHS)[number]>('8');
  const [cue, setCue] = useState<Cue>('turn');
  const move = leads.moveOf(names.pitcher, 'second');
  if (!move) return <p>No pickoffs at this level.</p>;
  const picks = picksOn({
    level: leads.times.field.level,
    leadFeet,
    hips,
    depthFeet: Number(depth),
    secondBasemanFeet: SECOND_BASEMAN_FEET,
    cue,
    spin: spreadOfEstimate(move),
    own: leads.returnOf(names.runner),
  });
  const [best] = picks;
  return (
    <>
      <div className="control-row hold-who">
        <Stepper
          label="Their lead"
          value={leadFeet}
          step={0.5}
          text={distance}
          min={SHORTEST}
          max={LONGEST}
          onChange={(feet) => {
            setTried({ runnerId: names.runner.id, feet });
          }}
          note={seen ? `${String(seen.looks)} seen` : undefined}
        />
        <Choice
          label="Shortstop’s hips"
          showLabel
          value={hips}
          options={HIPS.map((value) => ({ value, text: HIPS_TEXT[value] }))}
          onChange={setHips}
        />
        <Choice
          label="Shortstop’s depth"
          showLabel
          value={depth}
          options={DEPTHS.map((value) => ({ value, text: distance(Number(value)) }))}
          onChange={setDepth}
        />
        <Choice
          label="The runner"
          showLabel
          value={cue}
          options={CUES.map((value) => ({ value, text: CUE_TEXT[value] }))}
          onChange={setCue}
        />
      </div>
      {!standsInFor(names.runner) && (
        <section className="card-box hold-seen">
          <LeadSeen runner={names.runner} base="second" />
        </section>
      )}
      {best && (
        <section className="card-box hold-answer">
          <p className="hold-first" role="status">
            {best.chance < WORTH_A_PICK
              ? `No pick gets them at ${distance(leadFeet)}. Look, and pitch.`
              : `${PICK_TEXT[best.pick].name}: out ${percent(best.chance)} of the time.`}
          </p>
          {best.chance >= WORTH_A_PICK && (
            <p>
              {PICK_TEXT[best.pick].how} {PICK_TEXT[best.pick].else}
            </p>
          )}
          <table className="hold-board">
            <thead>
              <tr>
                <th scope="col">Pick</th>
                <th scope="col">Out</th>
                <th scope="col">How</th>
              </tr>
            </thead>
            <tbody>
              {picks.map(({ pick, chance }) => (
                <tr key={pick}>
                  <th scope="row">{PICK_TEXT[pick].name}</th>
                  <td className="figure">{percent(chance)}</td>
                  <td>{PICK_TEXT[pick].how}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="quiet">
            Turn to second {seconds(move.meanSeconds)}. Throwing to an empty bag, or an unfinished
            turn, can be a balk: the book and the umpire decide.
          </p>
        </section>
      )}
    </>
  );
}
