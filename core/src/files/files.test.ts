import { describe, expect, it } from 'vitest';
import { aReading } from '../../test/aReading.ts';
import type { Opponent, Person } from '../people/index.ts';
import type { OpponentId, PersonId } from '../units/index.ts';
import {
  BATTING_COLUMNS,
  matchColumns,
  PERSON_COLUMNS,
  READING_COLUMNS,
  BUNT_COLUMNS,
  readBatting,
  readBunts,
  readPeople,
  readReadings,
  unmatched,
  writeBatting,
  writeBunts,
  writePeople,
  writeReadings,
} from './index.ts';

const otters: Opponent = { id: 'otters' as OpponentId, name: 'Millrace Otters', retired: false };
function person(id: string, parts: Partial<Person> = {}): Person {
  return {
    id: id as PersonId,
    opponentId: null,
    number: '4',
    name: 'Dara Whitlock',
    throws: 'right',
    bats: 'left',
    positions: ['CF'],
    leadFeet: 11.5,
    retired: false,
    ...parts,
  };
}
const nobody = { people: [], opponents: [], ourName: 'Tern Rock Skuas' };
const makeId = (text: string) => `made of ${text}`;
const reasonsOf = (
  rows: readonly ({ line: number } & ({ ok: true } | { ok: false; reasons: string[] }))[],
) => rows.flatMap((row) => (row.ok ? [] : [[row.line, row.reasons[0]]]));

describe('matchColumns', () => {
  it('finds columns however they are called and in whatever order', () => {
    const matching = matchColumns(PERSON_COLUMNS, ['Player', 'POS', 'jersey #', 'Bats']);
    expect(matching).toMatchObject({ name: 0, positions: 1, bats: 3, side: null });
    expect(unmatched(PERSON_COLUMNS, matching)).toEqual([]);
    expect(unmatched(READING_COLUMNS, matchColumns(READING_COLUMNS, ['Name', 'Time']))).toEqual([
      'Timed',
      'Date',
    ]);
  });
});

describe('a roster file', () => {
  const headings = ['Team', 'Number', 'Name', 'Throws', 'Bats', 'Positions', 'Lead'];
  const matching = matchColumns(PERSON_COLUMNS, headings);
  const read = (lines: string[][], known = nobody) => readPeople(lines, matching, known, makeId);

  it('gives people of ours and of opponents, and the opponents it needs', () => {
    const { rows, newOpponents } = read([
      ['', '4', 'Dara Whitlock', 'R', 'L', 'CF'],
      ['Tern Rock Skuas', '00', 'Ines Okafor', '', '', '2B/SS'],
      ['Millrace Otters', '12', 'Silas Ruiz-Hale', 'left', 'switch', 'P'],
    ]);
    const values = rows.map((row) => row.ok && row.value);
    expect(values).toMatchObject([
      { opponentId: null, number: '4', throws: 'right', bats: 'left', positions: ['CF'] },
      { opponentId: null, number: '00', throws: 'right', bats: 'right', positions: ['2B', 'SS'] },
      { opponentId: newOpponents[0]?.id, throws: 'left', bats: 'switch' },
    ]);
    expect(newOpponents.map(({ name }) => name)).toEqual(['Millrace Otters']);
  });

  it('names each bad row with its line and its reason', () => {
    const { rows, newOpponents } = read([
      ['', '4', 'Dara Whitlock', 'R', 'L', 'CF'],
      ['', '5', '', 'R', 'R', 'P'],
      ['', '1234', 'Joon Castellane', 'R', 'R', 'P'],
      ['', '7', 'Temba Moyo', 'both', 'R', 'P'],
      ['Lone Gulls', '8', 'Rafa Brandvold', 'R', 'R', 'QB'],
      ['', '4', 'Somebody Else', 'R', 'R', 'P'],
      ['', '4', 'dara whitlock', 'R', 'R', 'P'],
      ['', '9', 'Pita Faleolo', 'R', 'R', 'P', '90'],
    ]);
    expect(reasonsOf(rows)).toEqual([
      [3, 'Enter a name.'],
      [4, 'Number "1234": enter up to three figures.'],
      [5, 'Throws "both": enter right or left.'],
      [6, expect.stringContaining('Positions "QB"')],
      [7, 'Number 4 is worn by Dara Whitlock.'],
      [8, 'dara whitlock is in this file twice.'],
      [9, 'Lead "90": enter feet, 1 to 30.'],
    ]);
    expect(newOpponents).toEqual([]);
  });

  it('of 500 rows with 20 bad ones gives 480', () => {
    const lines = Array.from({ length: 500 }, (_, index) => [
      '',
      String(index + 100),
      index % 25 === 7 ? '' : `Player ${String(index)}`,
      'R',
      'R',
      'P',
    ]);
    const { rows } = read(lines);
    expect(rows.filter((row) => row.ok)).toHaveLength(480);
    expect(reasonsOf(rows)).toHaveLength(20);
    expect(reasonsOf(rows)[0]).toEqual([9, 'Enter a name.']);
  });

  it('knows whom the team has already, and is its own inverse', () => {
    const people = [
      person('a'),
      person('b', { opponentId: otters.id, number: '', name: 'Vance Tolliver', positions: [] }),
      person('c', { number: '9', name: '=SUM(A1)', retired: true, bats: 'switch' }),
    ];
    const written = writePeople(people, [otters]);
    const titles = Object.keys(written[0] ?? {});
    const lines = written.map((row) => Object.values(row));
    const known = { people: [], opponents: [otters], ourName: 'Skuas' };
    const again = readPeople(lines, matchColumns(PERSON_COLUMNS, titles), known, makeId);
    expect(again.rows.map((row) => row.ok && { ...row.value, id: '' })).toEqual(
      people.map((each) => ({ ...each, id: '' })),
    );
    const second = readPeople(
      lines,
      matchColumns(PERSON_COLUMNS, titles),
      { ...known, people },
      makeId,
    );
    expect(second.rows.every((row) => row.ok && row.alreadyThere)).toBe(true);
  });
});

describe('a file of times', () => {
  const known = {
    people: [
      person('dara'),
      person('silas', { opponentId: otters.id, number: '12', name: 'Silas Ruiz-Hale' }),
      person('twin', { number: '5', name: 'Joon Castellane' }),
      person('other', { number: '6', name: 'Joon Castellane' }),
    ],
    opponents: [otters],
    ourName: 'Tern Rock Skuas',
    readings: [],
  };
  const headings = [
    'Team',
    'No',
    'Name',
    'Timed',
    'Time',
    'Base',
    'Style',
    'Lead',
    'Distance',
    'Day',
  ];
  const matching = matchColumns(READING_COLUMNS, headings);
  const read = (lines: string[][], unit: 'ft' | 'm' = 'ft') =>
    readReadings(lines, matching, known, unit, makeId);

  it('gives times with what goes with them', () => {
    const rows = read([
      [
        'Millrace Otters',
        '12',
        '',
        'Time to the plate',
        '1,38',
        '',
        'leg lift',
        '',
        '',
        '2031-05-01',
      ],
      ['', '', 'dara whitlock', 'steal', '3.42', '2B', '', '11.5', '', '2031-05-01T17:30:00Z'],
      ['', '4', '', 'sprint', '2.8', '', '', '', '60', '2031-05-01 17:30'],
    ]);
    expect(rows.map((row) => row.ok && row.value)).toMatchObject([
      { personId: 'silas', kind: 'delivery', seconds: 1.38, style: 'legLift', method: 'import' },
      {
        personId: 'dara',
        kind: 'steal',
        base: 'second',
        leadFeet: 11.5,
        takenAt: '2031-05-01T17:30:00.000Z',
      },
      { kind: 'dash', fromFeet: 0, toFeet: 60 },
    ]);
  });

  it.each([
    ['2031-05-01T17:30:00+02:00', '2031-05-01T15:30:00.000Z'],
    ['2031-05-01 9:30:15', new Date('2031-05-01T09:30:15').toISOString()],
    ['2031-05-01', new Date('2031-05-01T12:00').toISOString()],
    ['2032-02-29', new Date('2032-02-29T12:00').toISOString()],
    ['2031-02-29', null],
    ['2031-13-01', null],
    ['2031-05-01 25:00', null],
    ['2031-05-01 17:30 at home', null],
    ['May 1', null],
  ])('reads the date %s as %s', (text, instant) => {
    const [row] = read([['', '4', '', 'pop', '2.1', 'second', '', '', '', text]]);
    expect(row?.ok ? row.value.takenAt : null).toBe(instant);
  });

  it('reckons metres', () => {
    const [row] = read([['', '4', '', 'dash', '2.8', '', '', '', '18.288', '2031-05-01']], 'm');
    expect(row?.ok && row.value.toFeet).toBe(60);
  });

  it('names each bad row with its line and its reason', () => {
    const good = ['', '4', '', 'pop', '2.1', 'second', '', '', '', '2031-05-01'];
    const but = (index: number, text: string) =>
      good.map((cell, at) => (at === index ? text : cell));
    const rows = read([
      good,
      but(0, 'Nobody Known'),
      but(1, '99'),
      ['', '', 'Joon Castellane', ...good.slice(3)],
      but(3, 'yawn'),
      but(4, 'quick'),
      but(4, '21'),
      but(5, ''),
      but(9, '1 May'),
      but(9, '2031-02-30'),
    ]);
    expect(reasonsOf(rows)).toEqual([
      [3, 'Team "Nobody Known" is not known: add it first.'],
      [4, '99 is not on the roster. Add the player first.'],
      [5, 'More than one Joon Castellane: enter number and name.'],
      [6, expect.stringContaining('Timed "yawn" is not known')],
      [7, 'Seconds "quick": enter a number.'],
      [8, 'Enter a time from 0.8 to 4 s.'],
      [9, 'Say which base the throw went to.'],
      [10, 'Date: enter it like 2031-05-01 or 2031-05-01 17:30.'],
      [11, 'Date: enter it like 2031-05-01 or 2031-05-01 17:30.'],
    ]);
  });

  it('makes the same ids of the same file, also of two equal rows', () => {
    const row = ['', '4', '', 'pop', '2.1', 'second', '', '', '', '2031-05-01'];
    const ids = () => read([row, row]).map((each) => each.ok && each.value.id);
    expect(ids()).toEqual(ids());
    expect(new Set(ids()).size).toBe(2);
  });

  it('written and read again is there already', () => {
    const reading = aReading({
      id: '0b6f1c1e-7a52-4f0e-9d0a-2f9c7c1f3a55' as never,
      personId: 'dara' as PersonId,
      kind: 'leave',
      seconds: -0.12,
      start: 'rocker',
    });
    const [written = {}] = writeReadings([reading], known.people, known.opponents);
    const [row] = readReadings(
      [Object.values(written).map(String)],
      matchColumns(READING_COLUMNS, Object.keys(written)),
      { ...known, readings: [reading] },
      'ft',
      makeId,
    );
    expect(row).toMatchObject({
      ok: true,
      alreadyThere: true,
      value: { seconds: -0.12, start: 'rocker', takenAt: reading.takenAt },
    });
  });
});

describe('a file of seasons at bat', () => {
  const known = {
    people: [person('dara'), person('otter', { opponentId: otters.id, number: '7', name: 'Oren' })],
    opponents: [otters],
    ourName: 'Tern Rock Skuas',
    batting: [],
  };
  const read = (headings: string[], lines: string[][], before: typeof known | object = {}) =>
    readBatting(lines, matchColumns(BATTING_COLUMNS, headings), { ...known, ...before });

  it('reads ours and theirs; without plate appearances they are put together', () => {
    const rows = read(
      ['Opponent', '#', 'AB', 'H', '2B', 'BB', 'HBP', 'SF', 'K'],
      [
        ['', '4', '40', '12', '3', '6', '1', '2', '9'],
        ['Millrace Otters', '7', '30', '5', '', '', '', '', '11'],
      ],
    );
    expect(rows).toMatchObject([
      { ok: true, value: { personId: 'dara', plateAppearances: 49, hits: 12, walks: 7 } },
      { ok: true, value: { personId: 'otter', plateAppearances: 30, doubles: 0, strikeouts: 11 } },
    ]);
  });

  it('names each bad row with its line and its reason', () => {
    const rows = read(
      ['#', 'PA', 'H', 'BB'],
      [
        ['4', '50', '10', 'x'],
        ['4', '', '10', '0'],
        ['4', '5', '10', '0'],
        ['', '50', '10', '0'],
        ['4', '50', '10', '0'],
        ['4', '50', '10', '0'],
      ],
    );
    expect(reasonsOf(rows)).toEqual([
      [2, 'BB "x": enter a whole number from 0 to 2000.'],
      [3, 'Give plate appearances (PA) or at bats (AB).'],
      [4, expect.stringContaining('add up to more')],
      [5, 'Enter a number or a name.'],
      [7, 'This player is in the file twice.'],
    ]);
  });

  it('written and read again is there already', () => {
    const [first] = read(['#', 'PA', 'H', 'Bunts tried'], [['4', '50', '10', '3']]);
    const season = first?.ok ? first.value : null;
    if (!season) throw new Error('it was read');
    const [written = {}] = writeBatting([season], known.people, known.opponents);
    const cells = Object.values(written).map(String);
    const [again] = read(Object.keys(written), [cells], { batting: [season] });
    expect(again).toEqual({ line: 2, ok: true, value: season, alreadyThere: true });
  });
});

describe('bunts', () => {
  const headings = ['#', 'Result', 'Called', 'Lane', 'Pace', 'Date'];
  const matching = matchColumns(BUNT_COLUMNS, headings);
  const somebody = person('seven', { number: '7' });
  const known = { people: [somebody], opponents: [], ourName: 'Skuas', bunts: [] };
  const makeId = (text: string): string => `id ${text}`;

  it('are read from a file, and the same file again is the same bunts', () => {
    const lines = [
      ['7', 'fair', 'third', 'thirdMiddle', 'soft', '2031-05-01 17:30Z'],
      ['7', 'missed', 'third', '', '', '2031-05-01 17:30Z'],
      ['7', 'missed', 'third', '', '', '2031-05-01 17:30Z'],
    ];
    const rows = readBunts(lines, matching, known, makeId);
    expect(rows.map(({ ok }) => ok)).toEqual([true, true, true]);
    const bunts = rows.flatMap((row) => (row.ok ? [row.value] : []));
    expect(new Set(bunts.map(({ id }) => id)).size).toBe(3);
    const again = readBunts(lines, matching, { ...known, bunts }, makeId);
    expect(again.every((row) => row.ok && row.alreadyThere)).toBe(true);
    const [first] = writeBunts(bunts, [somebody], []);
    const titles = Object.keys(first ?? {});
    const back = readBunts(
      writeBunts(bunts, [somebody], []).map((row) => titles.map((title) => String(row[title]))),
      matchColumns(BUNT_COLUMNS, titles),
      known,
      makeId,
    );
    expect(back.map((row) => row.ok && row.value)).toEqual(bunts);
  });

  it('say what is wrong with a row', () => {
    const reasonsOf = (cells: string[]) => {
      const [row] = readBunts([cells], matching, known, makeId);
      return row && !row.ok ? row.reasons.join(' ') : '';
    };
    expect(reasonsOf(['7', 'fair', '', '', '', '2031-05-01'])).toContain('Lane');
    expect(reasonsOf(['7', '', '', '', '', '2031-05-01'])).toContain('Result');
    expect(reasonsOf(['8', 'foul', '', '', '', '2031-05-01'])).not.toBe('');
    expect(reasonsOf(['7', 'foul', '', '', '', 'someday'])).toContain('Date');
    expect(reasonsOf(['7', 'foul', 'left', '', '', '2031-05-01'])).toContain('Called');
  });
});
