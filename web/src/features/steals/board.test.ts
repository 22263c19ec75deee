import type { Person } from '@bradyon/core/people';
import type { Leg, Verdict } from '@bradyon/core/steals';
import type { PersonId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { arrange, mostUnsettled, type BoardCell, type BoardRow } from './board.ts';

const person = (name: string): Person => ({
  id: name as PersonId,
  opponentId: null,
  number: '',
  name,
  throws: 'right',
  bats: 'right',
  positions: [],
  leadFeet: null,
  retired: false,
});
const leg = (meanSeconds: number, count: number): Leg => ({
  name: 'run',
  basis: 'timed',
  count,
  spread: {
    meanSeconds,
    sdSeconds: 0.1,
    freedom: 20,
    meanSdSeconds: 0.05,
    spreadSeconds: 0.08,
  },
});
const cell = (verdict: Verdict, chance: number, run: number, timed: number): BoardCell => ({
  verdict,
  chance,
  spareSeconds: chance - 0.8,
  slowestSeconds: 1.3,
  run: leg(run, 5),
  pitch: leg(1.4, timed),
});
const rows: BoardRow[] = [
  { person: person('Temba'), cells: [cell('stay', 0.3, 3.6, 8), cell('close', 0.7, 3.6, 2)] },
  { person: person('Dara'), cells: [cell('go', 0.85, 3.3, 8), cell('go', 0.9, 3.3, 2)] },
  { person: person('Ines'), cells: [cell('close', 0.75, 3.4, 8), cell('untimed', 0.6, 3.4, 2)] },
];
const names = (parts: Partial<Parameters<typeof arrange>[1]>) =>
  arrange(rows, { sort: 'number', show: 'all', column: 0, ...parts }).map(
    ({ person: { name } }) => name,
  );

describe('arrange', () => {
  it('sorts by what is asked, against the column that is chosen', () => {
    expect(names({})).toEqual(['Temba', 'Dara', 'Ines']);
    expect(names({ sort: 'name' })).toEqual(['Dara', 'Ines', 'Temba']);
    expect(names({ sort: 'run' })).toEqual(['Dara', 'Ines', 'Temba']);
    expect(names({ sort: 'chance' })).toEqual(['Dara', 'Ines', 'Temba']);
    expect(names({ sort: 'chance', column: 1 })).toEqual(['Dara', 'Temba', 'Ines']);
    expect(names({ sort: 'chance', column: -1 })).toEqual(['Dara', 'Ines', 'Temba']);
  });

  it('shows those who go, or nearly', () => {
    expect(names({ show: 'go' })).toEqual(['Dara']);
    expect(names({ show: 'near' })).toEqual(['Dara', 'Ines']);
    expect(names({ show: 'near', column: -1 })).toEqual(['Temba', 'Dara', 'Ines']);
  });
});

describe('mostUnsettled', () => {
  it('names the pitcher whose few times leave most open, and nobody when all are well timed', () => {
    const columns = [person('Ruiz'), person('Achterberg')];
    expect(mostUnsettled(columns, rows)).toMatchObject({
      person: { name: 'Achterberg' },
      timed: 2,
      cells: 2,
    });
    expect(mostUnsettled(columns.slice(0, 1), rows)).toBeNull();
  });
});
