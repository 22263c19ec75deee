import { describe, expect, it } from 'vitest';
import {
  constant,
  contract,
  email,
  flag,
  id,
  instant,
  jsonObject,
  listContract,
  listOf,
  MOST_MISFITS,
  nullable,
  number,
  oneOf,
  oneShapeOf,
  optional,
  required,
  rowsOf,
  text,
  type Misfit,
  type Rule,
} from './rule.ts';

const SAY = 'Say it right.';
/** What a rule makes of a value; null: refused. */
const readBy = (rule: Rule<never>, value: unknown): { kept: unknown } | null => {
  const found: Misfit[] = [];
  const kept: unknown = rule.read(value, '', found);
  return found.length === 0 ? { kept } : null;
};

describe.each<[string, Rule<never>, unknown[], unknown[]]>([
  ['text', text(SAY, { max: 3 }), ['a', ' abc '], ['', 'abcd', 7, null, '  ']],
  ['text that may be empty', text(SAY, { min: 0, max: 3 }), ['', 'abc'], ['abcd']],
  [
    'text without control signs',
    text(SAY, { max: 9 }),
    ['a b', '\u{1F94E}'],
    ['a\u0000b', 'a\nb', 'a\ud800', '\udc00b'],
  ],
  ['e-mail', email(SAY), ['coach@example.org'], ['coach', `${'a'.repeat(250)}@b.org`, 7]],
  [
    'number',
    number(SAY, { min: 0, max: 2 }),
    [0, 1.5, 2],
    [-1, 3, '1', Number.NaN, { toString: 1 }],
  ],
  ['whole number', number(SAY, { min: 0, max: 9, whole: true }), [3], [3.5]],
  ['rounded number', number(SAY, { min: 0.1, max: 2, decimals: 1 }), [0.06, 2.04], [0.04, 2.06]],
  ['constant', constant(true), [true], [false, 'true', 1]],
  ['flag', flag(SAY), [true, false], ['true', 1, null]],
  ['one of', oneOf(['go', 'stay'], SAY), ['go'], ['GO', 'run', null]],
  ['nullable', nullable(flag(SAY)), [null, true], ['null', 1]],
  [
    'id',
    id(),
    ['0b6f1c1e-7a52-4f0e-9d0a-2f9c7c1f3a55', '0B6F1C1E-7A52-4F0E-9D0A-2F9C7C1F3A55'],
    ['x', 7, '{0b6f1c1e-7a52-4f0e-9d0a-2f9c7c1f3a55}', '0b6f1c1e7a524f0e9d0a2f9c7c1f3a55'],
  ],
  [
    'instant',
    instant(SAY),
    ['2031-05-01T17:30:00.000Z', '2031-05-01T17:30+02', '1970-01-01T00:00:00Z'],
    ['today', 5, '0206-05-01T17:30:00Z', '2100-01-01T00:00:00Z', '2031-05-01', '2031-13-01T00:00Z'],
  ],
  ['list of', listOf(oneOf(['P', 'C'], SAY), 2), [[], ['P', 'C']], [['P', 'P'], ['X'], 'P']],
  [
    'rows of',
    rowsOf(contract<{ a: string }>({ a: required(text(SAY, { max: 3 })) }), 2),
    [[], [{ a: 'x' }, { a: 'x' }]],
    [[{ a: 'x' }, { a: 'x' }, { a: 'x' }], [{ b: 'x' }], {}],
  ],
] as [string, Rule<never>, unknown[], unknown[]][])('%s', (_name, rule, accepted, refused) => {
  it.each(accepted.map((value) => ({ value })))('accepts $value', ({ value }) => {
    expect(readBy(rule, value)).not.toBeNull();
  });
  it.each(refused.map((value) => ({ value })))('refuses $value', ({ value }) => {
    expect(readBy(rule, value)).toBeNull();
  });
});

describe('what a rule keeps', () => {
  it.each([
    [text(SAY, { max: 9 }), ' Dara ', 'Dara'],
    [number(SAY, { min: -1, max: 9, decimals: 3 }), 1.9504, 1.95],
    [number(SAY, { min: -1, max: 9, decimals: 1 }), -0.04, 0],
    [number(SAY, { min: -1, max: 9 }), -0, 0],
    [instant(SAY), '2031-05-01T19:30:00.1239+02:00', '2031-05-01T17:30:00.123Z'],
    [id(), '0B6F1C1E-7A52-4F0E-9D0A-2F9C7C1F3A55', '0b6f1c1e-7a52-4f0e-9d0a-2f9c7c1f3a55'],
  ] as [Rule<never>, unknown, unknown][])('is what can be sent again (%#)', (rule, value, kept) => {
    expect(readBy(rule, value)).toEqual({ kept });
    expect(Object.is(readBy(rule, value)?.kept, kept)).toBe(true);
    expect(readBy(rule, kept)).toEqual({ kept });
  });
});

interface Thing {
  name: string;
  count: number | null;
  note?: string;
}
const thing = contract<Thing>(
  {
    name: required(text('Enter a name.', { max: 5 })),
    count: required(nullable(number('Enter a count.', { min: 0, max: 9 }))),
    note: optional(text('Enter a note.', { max: 5 })),
  },
  ({ count, note }) =>
    count === 0 && note ? { path: 'note', message: 'Nothing needs no note.' } : null,
);

describe('contract', () => {
  it('gives back what fits, trimmed', () => {
    expect(thing.check({ name: ' Dara ', count: null })).toEqual({
      ok: true,
      value: { name: 'Dara', count: null },
    });
  });

  it('names everything that does not fit, in the words of the field', () => {
    expect(thing.check({ count: 12, extra: 1 })).toEqual({
      ok: false,
      errors: [
        { path: 'name', message: 'Enter a name.' },
        { path: 'count', message: 'Enter a count.' },
        { path: 'extra', message: 'Remove this: extra is not a field here.' },
      ],
    });
  });

  it('asks the whole only when the parts fit', () => {
    expect(thing.check({ name: 'A', count: 0, note: 'x' })).toEqual({
      ok: false,
      errors: [{ path: 'note', message: 'Nothing needs no note.' }],
    });
  });

  it.each([null, undefined, 7, 'x', []])('refuses %j as a whole', (value) => {
    expect(thing.check(value).ok).toBe(false);
  });

  it('stops at a score of mistakes, however many there are, and repeats no long name', () => {
    const lists = contract<{ rows: Thing[] }>({ rows: required(rowsOf(thing, 10)) });
    const long = lists.check({ rows: Array.from({ length: 100_000 }, () => 1) });
    expect(long).toMatchObject({ ok: false, errors: [{ path: 'rows' }] });
    const keys = Object.fromEntries(
      Array.from({ length: 500 }, (_, key) => [`k${String(key)}`, 1]),
    );
    for (const many of [{ rows: Array.from({ length: 10 }, () => ({ ...keys })) }, keys]) {
      const checked = lists.check(many);
      expect(checked.ok ? 0 : checked.errors.length).toBe(MOST_MISFITS);
    }
    const shouting = thing.check({ name: 'A', count: 1, ['x'.repeat(10_000)]: 1 });
    expect(JSON.stringify(shouting).length).toBeLessThan(300);
  });

  it('makes its demand on the whole wherever it stands, and says where', () => {
    const nested = contract<{ rows: Thing[] }>({ rows: required(rowsOf(thing, 3)) });
    const bad = { name: 'A', count: 0, note: 'x' };
    expect(nested.check({ rows: [{ name: 'B', count: 1 }, bad] })).toEqual({
      ok: false,
      errors: [{ path: 'rows.1.note', message: 'Nothing needs no note.' }],
    });
  });

  it('does not take what is inherited for a field', () => {
    expect(thing.check(JSON.parse('{"name":"A","count":1,"__proto__":{"note":"x"}}')).ok).toBe(
      false,
    );
    expect(thing.check(Object.create({ name: 'A', count: 1 })).ok).toBe(false);
  });

  it('tells one shape of several by its word', () => {
    type Step = { step: 'add'; n: number } | { step: 'drop' };
    const rule = oneShapeOf<Step, 'step'>('step', {
      add: contract<{ step: 'add'; n: number }>({
        step: required(oneOf(['add'], '')),
        n: required(number('Enter n.', { min: 0, max: 9 })),
      }),
      drop: contract<{ step: 'drop' }>({ step: required(oneOf(['drop'], '')) }),
    });
    const steps = listContract(rule);
    expect(steps.check([{ step: 'add', n: 1 }, { step: 'drop' }]).ok).toBe(true);
    for (const [value, path] of [
      [{ step: 'add' }, '0.n'],
      [{ step: 'drop', n: 1 }, '0.n'],
      [{ step: 'constructor' }, '0.step'],
      [{ step: { toString: 1 } }, '0.step'],
      [{}, '0.step'],
      [7, '0.step'],
    ]) {
      expect(steps.check([value])).toMatchObject({ ok: false, errors: [{ path }] });
    }
  });

  it('takes an empty list', () => {
    expect(listContract(thing).check([])).toEqual({ ok: true, value: [] });
  });

  it('checks every row of a list', () => {
    const checked = listContract(thing).check([{ name: 'A', count: 1 }, { name: 'B' }]);
    expect(checked).toEqual({
      ok: false,
      errors: [{ path: '1.count', message: 'Enter a count.' }],
    });
  });

  it('does not build when the fields disagree with the interface', () => {
    const name = required(text('', { max: 5 }));
    const count = required(nullable(number('', { min: 0, max: 9 })));
    const note = optional(text('', { max: 5 }));
    // @ts-expect-error a field is missing
    contract<Thing>({ name, count });
    // @ts-expect-error a field too many
    contract<Thing>({ name, count, note, more: name });
    // @ts-expect-error null is forgotten
    contract<Thing>({ name, count: required(number('', { min: 0, max: 9 })), note });
    // @ts-expect-error optional is made required
    contract<Thing>({ name, count, note: required(text('', { max: 5 })) });
    // @ts-expect-error a literal too few
    contract<{ a: 'x' | 'y' }>({ a: required(oneOf(['x'], '')) });
    // @ts-expect-error a literal too many
    contract<{ a: 'x' }>({ a: required(oneOf(['x', 'y'], '')) });
    expect(thing.check({ name: 'A', count: 1 }).ok).toBe(true);
  });
});

describe('an object of any fields', () => {
  const rule = contract<{ told: Record<string, unknown> }>({
    told: required(jsonObject('Send what happened.', 200)),
  });
  const check = (told: unknown) => rule.check({ told });

  it('is kept as JSON has it', () => {
    expect(check({ result: 'ball', runners: [{ from: 'first' }] }).ok).toBe(true);
    expect(check({ gone: undefined, far: Number.POSITIVE_INFINITY })).toEqual({
      ok: true,
      value: { told: { far: null } },
    });
  });

  it.each([
    [null],
    [[]],
    ['text'],
    [{ long: 'x'.repeat(200) }],
    [{ nul: 'a\u0000b' }],
    [{ half: '\ud800' }],
    [JSON.parse(`${'{"a":'.repeat(20)}1${'}'.repeat(20)}`)],
  ])('is refused where the database could not keep it: %j', (told) => {
    expect(check(told)).toMatchObject({ ok: false, errors: [{ path: 'told' }] });
  });
});
