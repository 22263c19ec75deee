import {
  breakEvensAt,
  CAUTION,
  CONTACT,
  contactValue,
  INFIELDS,
  stepWorth,
  baseOut,
  testSayings,
  walkValue,
  type BreakEven,
} from '@bradyon/core/innings';
import { Choice, percent, Stepper, useTitle } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { Diamond } from './Diamond.tsx';
import { Maps } from './Maps.tsx';
import { OddsTabs } from './OddsTabs.tsx';
import { misfitOf, tablesOf, valueOf, type Tables } from './odds.ts';
import './OddsPage.scss';
import { useSituation, type Situation } from './situation.ts';
import { situationWords } from './useNeeded.ts';
import { GAMBLE_TEXT, gainText, neededText, SAYING_TEXT, sayingWords } from './words.ts';

const MOST_INNINGS = 20;
const MOST_LEAD = 15;

/** What an out, a base and a run are worth here, and what each gamble has to be good for. */
export function OddsPage() {
  useTitle('Odds');
  const team = useTeam();
  const { situation, set } = useSituation(team.id);
  const tables = tablesOf(team.id, team.level, team.ruleset);
  const misfit = misfitOf(tables, situation);
  return (
    <>
      <div className="page-head">
        <div>
          <h1>What it is worth</h1>
          <p className="quiet">{situationWords(situation)}. Both teams average for the level.</p>
        </div>
        <OddsTabs />
      </div>
      <div className="odds-two">
        <div className="odds-column">
          <section className="card-box odds-situation">
            <Diamond
              bases={situation.bases}
              onChange={(bases) => {
                set({ bases });
              }}
            />
            <div className="odds-set">
              <Choice
                label="What counts"
                value={situation.by}
                options={[
                  { value: 'win', text: 'Winning' },
                  { value: 'runs', text: 'Runs' },
                ]}
                onChange={(by) => {
                  set({ by });
                }}
              />

              <Choice
                label="Outs"
                value={String(situation.outs)}
                options={['0', '1', '2'].map((value) => ({ value, text: `${value} out` }))}
                onChange={(outs) => {
                  set({ outs: Number(outs) });
                }}
              />
              <Choice
                label="We bat in the"
                value={situation.half}
                options={[
                  { value: 'top', text: 'Top' },
                  { value: 'bottom', text: 'Bottom' },
                ]}
                onChange={(half) => {
                  set({ half });
                }}
              />
              <Stepper
                label="Inning"
                value={situation.inning}
                step={1}
                min={1}
                max={MOST_INNINGS}
                text={String}
                onChange={(inning) => {
                  set({ inning });
                }}
              />
              <Stepper
                label="Our lead"
                value={situation.lead}
                step={1}
                min={-MOST_LEAD}
                max={MOST_LEAD}
                text={(lead) => (lead < 0 ? `−${String(-lead)}` : String(lead))}
                onChange={(lead) => {
                  set({ lead });
                }}
              />
              {misfit && (
                <p className="odds-misfit" role="alert">
                  {misfit}
                </p>
              )}
            </div>
          </section>
          <Batting tables={tables} situation={situation} />
        </div>
        <div className="odds-column">
          <Worth tables={tables} situation={situation} />
          <Gambles tables={tables} situation={situation} />
          <Sayings tables={tables} situation={situation} />
        </div>
      </div>
      <Maps tables={tables} situation={situation} />
      <details className="card-box odds-how">
        <summary>How is this worked out</summary>
        <p>
          From how often each thing happens at this level (hits, walks, outs of each kind, and how
          far runners get on them) the runs still to come are reckoned for every state of bases and
          outs, and from those the chance to win in every inning and score. A gamble needs the
          chance at which going is worth as much as staying: what staying has over an out, against
          what being safe has over an out.
        </p>
        <p>
          {tables.level.note} The figures are good to about three points, so what lies within three
          of another cannot be told from it. Steals and wild pitches of the level are in what
          staying is worth already. Defences do not answer in these numbers: take them as a ranking.
        </p>
      </details>
    </>
  );
}

interface Props {
  tables: Tables;
  situation: Situation;
}

function Worth({ tables, situation }: Props) {
  const { bases, outs } = situation;
  const state = baseOut(bases, outs);
  const win = misfitOf(tables, situation)
    ? null
    : valueOf(tables, { ...situation, by: 'win' })(bases, outs, 0);
  const figures = [
    ['runs still to come', (tables.expectancies[state] ?? 0).toFixed(2)],
    ['at least one run', percent(tables.scoring[state] ?? 0)],
    ['we win', win === null ? 'over' : percent(win)],
  ] as const;
  return (
    <section className="card-box odds-worth" role="status">
      {figures.map(([name, figure]) => (
        <p key={name}>
          <strong className="figure">{figure}</strong> {name}
        </p>
      ))}
    </section>
  );
}

/** Sorted by how little they need; what cannot be worth it stands last. */
function inOrder(found: readonly BreakEven[]): BreakEven[] {
  const rank = ({ needed }: BreakEven): number =>
    needed === 'always' ? -1 : typeof needed === 'number' ? needed : 2;
  return found.toSorted((a, b) => rank(a) - rank(b));
}

function Gambles({ tables, situation }: Props) {
  const { bases, outs } = situation;
  const found = inOrder(breakEvensAt(bases, outs, valueOf(tables, situation)));
  return (
    <section className="card-box">
      <h2>How often it has to work</h2>
      {found.length === 0 ? (
        <p className="quiet">Nobody is on whom a gamble could move.</p>
      ) : (
        <table className="odds-table">
          <tbody>
            {found.map(({ gamble, needed }) => (
              <tr key={gamble}>
                <th scope="row">{GAMBLE_TEXT[gamble]}</th>
                <td className="figure">{neededText(needed)}</td>
                <td className="quiet">{bandText(needed)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function bandText(needed: BreakEven['needed']): string {
  if (typeof needed !== 'number' || needed >= 1) return '';
  const low = Math.max(0, needed - CAUTION);
  return `${String(Math.round(low * 100))} to ${percent(Math.min(0.99, needed + CAUTION))}`;
}

/** What the batter, and whoever pitches to him, may choose. */
function Batting({ tables, situation }: Props) {
  const { bases, outs, by } = situation;
  const value = valueOf(tables, situation);
  const now = value(bases, outs, 0);
  const rows: [string, string][] = [];
  if (bases !== 0 && bases < 4 && outs < 2) {
    const bunt = stepWorth(tables.bunt, baseOut(bases, outs), value) - now;
    rows.push(['Sacrifice instead of swinging', gainText(bunt, by)]);
  }
  if (bases === 4 && outs < 2) {
    for (const infield of INFIELDS) {
      const { go, wait } = contactValue(outs, CONTACT[infield], value);
      rows.push([`Go on contact, infield ${infield}`, gainText(go - wait, by)]);
    }
  }
  rows.push(['An intentional walk, to us', gainText(walkValue(bases, outs, value) - now, by)]);
  return (
    <section className="card-box">
      <h2>At the plate</h2>
      <table className="odds-table">
        <tbody>
          {rows.map(([name, worth]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td className="figure">{worth}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">
        For an average batter and bunter; what a bunt and a ball on contact come to is judgement. A
        squeeze is another thing.
      </p>
    </section>
  );
}

function Sayings({ tables, situation }: Props) {
  const fourDown = { ...situation, lead: -4 };
  const tested = testSayings(valueOf(tables, situation), valueOf(tables, fourDown), tables.bunt);
  return (
    <section className="card-box">
      <h2>Old sayings, here</h2>
      {tested.map((each) => (
        <p key={each.saying} className="odds-saying">
          <strong>{SAYING_TEXT[each.saying]}:</strong>{' '}
          {each.holds ? 'holds here.' : 'does not hold here.'}{' '}
          <span className="quiet">{sayingWords(each, situation.by)}</span>
        </p>
      ))}
    </section>
  );
}
