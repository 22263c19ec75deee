import {
  OUTFIELD,
  planSend,
  turnDepth,
  type HitSpeed,
  type Outfielder,
  type SendQuestion,
} from '@bradyon/core/bases';
import { Link } from 'react-router';
import { distance, Empty, Sheet } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import { BasesPage } from './BasesPage.tsx';
import type { BasesInView } from './useBases.ts';
import { armText, FIELD_TEXT, HIT_TEXT, pastText } from './words.ts';

const HITS = ['soft', 'medium', 'hard'] as const satisfies readonly HitSpeed[];
const DEGREES = { LF: 70, CF: 45, RF: 20 } as const;

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
      <Sheet title="Their arms">
        {() => (
          <>
            <h2>Send from second: {odds.theirs.name}</h2>
            <p>
              {['Nobody out', 'One out', 'Two out'][situation.outs]}. Typical runner, outfielder
              charging, cutoff man there. Send when the outfielder plays this deep or deeper.
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
              Last stop: medium ball, defense awake, runner ready to stop. Count the outs, read the
              outfielder&rsquo;s feet, decide by the last stop. The league&rsquo;s book decides.
            </p>
          </>
        )}
      </Sheet>
    </>
  );
}

function Row({ view, fielder }: { view: BasesInView; fielder: Outfielder }) {
  const { team, figures, situation } = view;
  const arm = view.armOf(fielder, 'timed');
  const question = (hit: HitSpeed): SendQuestion => ({
    send: 'secondToHome',
    bases: 2,
    outs: situation.outs as 0 | 1 | 2,
    ruleset: team.ruleset,
    figures,
    degrees: DEGREES[fielder],
    hit,
    outfielderAt: view.spotOf(fielder),
    approach: 'charging',
    bobbled: null,
    armMph: arm.mph,
    cutoff: true,
    runner: view.gaitOf(undefined),
    value: view.value,
  });
  const [least, most] = [figures.outfieldDepth * 0.6, figures.outfieldDepth * 1.25];
  const stop = planSend(question('medium')).stops.alert;
  return (
    <tr>
      <th scope="row">
        {arm.person ? personLabel(arm.person) : `${FIELD_TEXT[fielder]} fielder`}
        <br />
        <small>{armText(fielder, arm)}</small>
      </th>
      {HITS.map((hit) => {
        const feet = turnDepth(question(hit), least, most);
        return (
          <td key={hit} className="figure">
            {feet === null ? 'hold' : feet <= least ? 'send' : distance(Math.round(feet))}
          </td>
        );
      })}
      <td>{stop ? pastText(stop.feet, 3) : 'before the turn'}</td>
    </tr>
  );
}
