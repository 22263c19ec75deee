import { breakEvenOf, baseOut, type Gamble } from '@bradyon/core/innings';
import { useState } from 'react';
import { percent, PickOne } from '../../ui/index.ts';
import { misfitOf, valueOf, type Tables } from './odds.ts';
import type { Situation } from './situation.ts';
import { neededText } from './words.ts';

const MAPS = ['runs', 'score', 'second', 'third'] as const;
type MapName = (typeof MAPS)[number];
const MAP_TEXT: Record<MapName, string> = {
  runs: 'Runs to come',
  score: 'Chance to score',
  second: 'Needed for second',
  third: 'Needed for third',
};
const ROWS = [0, 1, 2, 4, 3, 5, 6, 7];
const ROW_TEXT = [
  'Nobody on',
  'First',
  'Second',
  'First, second',
  'Third',
  'First, third',
  'Second, third',
  'Loaded',
];
const LEADS = [-4, -3, -2, -1, 0, 1, 2, 3, 4];

interface Cell {
  text: string;
  /** 0 pale to 1 strong; null: there is no such thing. */
  share: number | null;
  here: boolean;
}

/** The tables behind it: by bases and outs, or by inning and lead. */
export function Maps({ tables, situation }: { tables: Tables; situation: Situation }) {
  const [shown, setShown] = useState<MapName>('runs');
  const byBases = shown === 'runs' || shown === 'score';
  const columns = byBases ? ['0 out', '1 out', '2 out'] : LEADS.map(leadText);
  const rows = byBases
    ? ROWS.map((bases) => ({
        name: ROW_TEXT[bases] ?? '',
        cells: basesRow(tables, situation, shown, bases),
      }))
    : Array.from({ length: tables.rules.innings }, (_, index) => ({
        name: `Inning ${String(index + 1)}`,
        cells: inningRow(
          tables,
          situation,
          shown === 'second' ? 'stealSecond' : 'stealThird',
          index + 1,
        ),
      }));
  return (
    <section className="card-box odds-maps">
      <div className="odds-maps-head">
        <h2>
          {byBases
            ? 'By bases and outs'
            : `By inning and our lead, ${situation.half}, ${String(situation.outs)} out, he alone on base`}
        </h2>
        <PickOne
          label="Map"
          value={shown}
          options={MAPS.map((value) => ({ value, text: MAP_TEXT[value] }))}
          onChange={(value) => {
            setShown(MAPS.find((each) => each === value) ?? 'runs');
          }}
        />
      </div>
      <div className="odds-scroll" tabIndex={0} role="region" aria-label={MAP_TEXT[shown]}>
        <table className="odds-map">
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">{byBases ? 'Bases' : 'Inning'}</span>
              </th>
              {columns.map((column) => (
                <th key={column} scope="col">
                  {column}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, cells }) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                {cells.map((cell, index) => (
                  <td
                    key={columns[index]}
                    className={cell.here ? 'odds-here' : undefined}
                    style={{ '--share': cell.share ?? 0 } as React.CSSProperties}
                  >
                    {cell.text}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

const MOST_RUNS = 2.5;

function basesRow(
  { expectancies, scoring }: Tables,
  now: Situation,
  shown: MapName,
  bases: number,
): Cell[] {
  return [0, 1, 2].map((outs) => {
    const state = baseOut(bases, outs);
    const here = now.bases === bases && now.outs === outs;
    const runs = expectancies[state] ?? 0;
    const score = scoring[state] ?? 0;
    return shown === 'runs'
      ? { text: runs.toFixed(2), share: Math.min(1, runs / MOST_RUNS), here }
      : { text: percent(score), share: score, here };
  });
}

function inningRow(tables: Tables, now: Situation, gamble: Gamble, inning: number): Cell[] {
  const bases = gamble === 'stealSecond' ? 1 : 2;
  return LEADS.map((lead) => {
    const there: Situation = { ...now, inning, lead, by: 'win' };
    const here = now.inning === inning && now.lead === lead;
    if (misfitOf(tables, there) !== null) return { text: '', share: null, here: false };
    const needed = breakEvenOf(gamble, baseOut(bases, now.outs), valueOf(tables, there))?.needed;
    if (needed === undefined) return { text: '', share: null, here: false };
    const share =
      typeof needed === 'number'
        ? Math.min(1, Math.max(0, (needed - 0.5) * 2))
        : needed === 'always'
          ? 0
          : 1;
    return { text: neededText(needed).replace(' worth it', ''), share, here };
  });
}

function leadText(lead: number): string {
  if (lead === 0) return 'tied';
  return lead > 0 ? `+${String(lead)}` : `−${String(-lead)}`;
}
