import {
  FIELDER_LOOKS,
  OUTFIELD,
  planSend,
  turnDepth,
  type HitSpeed,
  type Outfielder,
  type SendQuestion,
} from '@bradyon/core/bases';
import { Link } from 'react-router';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Choice, distance, Empty, Sheet, TapButton } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import { BasesPage } from './BasesPage.tsx';
import type { BasesInView } from './useBases.ts';
import { armText, FIELD_TEXT, habitWords, HIT_TEXT, LOOK_TEXT, pastText } from './words.ts';

const HITS = ['soft', 'medium', 'hard'] as const satisfies readonly HitSpeed[];
const DEGREES = { LF: 70, CF: 45, RF: 20 } as const;
/** Not looking so often, and never behind, is a habit: half of them would have looked by chance. Judgment. */
const LEAST_LOOKS = 4;

/** Their outfield on one sheet for the third-base coach. */
export function ArmsPage() {
  return <BasesPage title="Their arms">{(view) => <Arms view={view} />}</BasesPage>;
}

function Arms({ view }: { view: BasesInView }) {
  const { team, odds, situation } = view;
  const known = OUTFIELD.filter((fielder) => view.armOf(fielder, 'timed').count > 0);
  return (
    <>
      {known.length === 0 && (
        <div className="no-print">
          <Empty title="No arms timed yet">
            <p>
              The sheet below uses typical arms. Time theirs between innings with the{' '}
              <Link to={`/teams/${team.id}/timing`}>outfield watch</Link>.
            </p>
          </Empty>
        </div>
      )}
      <Looks view={view} />
      <Sheet title="Their arms">
        {() => (
          <>
            <h2>Send from second: {odds.theirs.name}</h2>
            <p>
              {['Nobody out', 'One out', 'Two out'][situation.outs]}. Typical runner, cutoff man
              there. Send when the outfielder plays this deep or deeper.
            </p>
            <table className="bases-table">
              <thead>
                <tr>
                  <th scope="col">Outfielder</th>
                  {HITS.map((hit) => (
                    <th key={hit} scope="col">
                      {HIT_TEXT[hit]}
                    </th>
                  ))}
                  <th scope="col">Last stop</th>
                </tr>
              </thead>
              <tbody>
                {OUTFIELD.map((fielder) => (
                  <Row key={fielder} view={view} fielder={fielder} />
                ))}
              </tbody>
            </table>
            <p>
              Last stop: medium ball, runner ready to stop, defense awake unless seen otherwise.
              Count the outs, read the outfielder&rsquo;s feet, decide by the last stop. The
              league&rsquo;s book decides.
            </p>
          </>
        )}
      </Sheet>
    </>
  );
}

/** A tap for what an outfielder does, between innings or on a ball. */
function Looks({ view: { looks, outfielderOf } }: { view: BasesInView }) {
  const [fielder, setFielder] = useState<Outfielder>('LF');
  const person = outfielderOf(fielder);
  const own = looks.tapped.filter(({ personId }) => personId === person?.id);
  const last = own.at(-1);
  return (
    <section className="card-box bases-looks no-print">
      <h2>What do they do?</h2>
      {looks.isMissing && (
        <p className="quiet">
          What was seen before is not all on this device. It comes with the next connection; what
          you tap is kept.
        </p>
      )}
      <Choice
        label="Outfielder"
        value={fielder}
        options={OUTFIELD.map((value) => ({ value, text: value }))}
        onChange={setFielder}
      />
      {person ? (
        <>
          <div className="tap-grid">
            {FIELDER_LOOKS.map((look) => (
              <TapButton
                key={look}
                className="tap-quiet"
                onTap={() => {
                  looks.add(person.id, look);
                }}
              >
                {LOOK_TEXT[look]}
              </TapButton>
            ))}
          </div>
          <div className="control-row">
            {last && (
              <Button
                variant="outline-primary"
                onClick={() => {
                  looks.undo(last);
                }}
              >
                Undo the last one
              </Button>
            )}
            <span role="status">
              {last
                ? `Last: ${LOOK_TEXT[last.look].toLowerCase()}. ${personLabel(person)}, ${String(own.length)} counted.`
                : `Nothing counted for ${personLabel(person)} yet. One tap for each thing you see.`}
            </span>
          </div>
        </>
      ) : (
        <p>Nobody on their roster plays {FIELD_TEXT[fielder]} field. Add the player under Team.</p>
      )}
    </section>
  );
}

function Row({ view, fielder }: { view: BasesInView; fielder: Outfielder }) {
  const { team, figures, situation } = view;
  const arm = view.armOf(fielder, 'timed');
  const habits = view.habitsFor(fielder);
  const question = (hit: HitSpeed): SendQuestion => ({
    send: 'secondToHome',
    bases: 2,
    outs: situation.outs as 0 | 1 | 2,
    ruleset: team.ruleset,
    figures,
    degrees: DEGREES[fielder],
    hit,
    outfielderAt: view.spotOf(fielder),
    approach: 'usual',
    bobbled: null,
    armMph: arm.mph,
    cutoff: true,
    habits,
    runner: view.gaitOf(undefined),
    value: view.value,
  });
  const [least, most] = [figures.outfieldDepth * 0.6, figures.outfieldDepth * 1.25];
  const { stops } = planSend(question('medium'));
  const { did, seen } = habits.throwsBehind;
  const isAsleep = seen >= LEAST_LOOKS && did === 0;
  const stop = isAsleep ? stops.sleepy : stops.alert;
  return (
    <tr>
      <th scope="row">
        {arm.person ? personLabel(arm.person) : `${FIELD_TEXT[fielder]} fielder`}
        <br />
        <small>
          {armText(fielder, arm)}. {habitWords(habits)}
        </small>
      </th>
      {HITS.map((hit) => {
        const feet = turnDepth(question(hit), least, most);
        return (
          <td key={hit} className="figure">
            {feet === null ? 'hold' : feet <= least ? 'send' : distance(Math.round(feet))}
          </td>
        );
      })}
      <td>
        {stop ? pastText(stop.feet, 3) : 'before the turn'}
        {isAsleep && ', not looking'}
      </td>
    </tr>
  );
}
