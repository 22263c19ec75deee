import { pitchOutPays } from '@bradyon/core/advice';
import type { Holding } from '@bradyon/core/holds';
import { FIRST } from '@bradyon/core/innings';
import { pitchesFor } from '@bradyon/core/race';
import { judgeSteal } from '@bradyon/core/steals';
import { useMemo } from 'react';
import Table from 'react-bootstrap/Table';
import { percent } from '../../ui/index.ts';
import { averageValue, useLevel } from '../innings/index.ts';
import type { Hold } from './useHold.ts';

const BALLS = [0, 1, 2, 3];
const STRIKES = [0, 1, 2];
const OUTS = 1;

/** When a pitch-out pays, count by count: what its ball costs there, and what the pitcher usually throws. */
export function PitchOutCounts({ hold, found }: { hold: Hold; found: Holding }) {
  const { question, judging, team } = hold;
  const { level } = useLevel();
  const value = averageValue(team);
  const pitchOut = found.pitchOut.chance;
  const rows = useMemo(() => {
    if (!question) return [];
    const spot = { bases: FIRST, outs: OUTS, value, level, rates: level.rates };
    return BALLS.map((balls) =>
      STRIKES.map((strikes) => {
        const pitches = pitchesFor({ count: { balls, strikes } });
        const usual = judgeSteal(question, { ...judging, pitches }).chance;
        const steal = { gamble: 'stealSecond', usual, pitchOut } as const;
        return pitchOutPays(spot, { balls, strikes }, steal);
      }),
    );
    // What it rests on, by value: the question is made again at each tap.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [pitchOut, found.legLift.chance, value, level, team.neededChance]);
  return (
    <Table size="sm" className="hold-counts">
      <caption>Pays if they go on more than this, one out</caption>
      <thead>
        <tr>
          <th scope="col">Balls</th>
          {STRIKES.map((strikes) => (
            <th key={strikes} scope="col">
              {strikes} {strikes === 1 ? 'strike' : 'strikes'}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, balls) => (
          <tr key={balls}>
            <th scope="row">{balls}</th>
            {row.map((needs, strikes) => (
              <td key={strikes} className="figure">
                {typeof needs === 'number' ? percent(needs) : needs === 'never' ? 'never' : 'any'}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
