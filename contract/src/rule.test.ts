import type { Schema } from 'joi';
import { describe, expect, it } from 'vitest';
import {
  contract,
  flag,
  id,
  instant,
  listContract,
  listOf,
  nullable,
  number,
  oneOf,
  optional,
  required,
  rowsOf,
  text,
} from './rule.ts';

const SAY = 'Say it right.';
const fits = ({ schema }: { schema: Schema }, value: unknown) =>
  schema.required().validate(value).error === undefined;

describe.each<[string, { schema: Schema }, unknown[], unknown[]]>([
  ['text', text(SAY, { max: 3 }), ['a', ' abc '], ['', 'abcd', 7, null, '  ']],
  ['text that may be empty', text(SAY, { min: 0, max: 3 }), ['', 'abc'], ['abcd']],
  ['text without control signs', text(SAY, { max: 9 }), ['a b'], ['a\u0000b', 'a\nb']],
  ['number', number(SAY, { min: 0, max: 2 }), [0, 1.5, 2], [-1, 3, '1', Number.NaN]],
  ['whole number', number(SAY, { min: 0, max: 9, whole: true }), [3], [3.5]],
  ['flag', flag(SAY), [true, false], ['true', 1, null]],
  ['one of', oneOf(['go', 'stay'], SAY), ['go'], ['GO', 'run', null]],
  ['nullable', nullable(flag(SAY)), [null, true], ['null', 1]],
  ['id', id(), ['0b6f1c1e-7a52-4f0e-9d0a-2f9c7c1f3a55'], ['x', 7, '{}']],
  ['instant', instant(SAY), ['2031-05-01T17:30:00.000Z'], ['today', 5]],
  ['list of', listOf(oneOf(['P', 'C'], SAY), 2), [[], ['P', 'C']], [['P', 'P'], ['X'], 'P']],
  [
    'rows of',
    rowsOf(contract<{ a: string }>({ a: required(text(SAY, { max: 3 })) }), 2),
    [[], [{ a: 'x' }, { a: 'x' }]],
    [[{ a: 'x' }, { a: 'x' }, { a: 'x' }], [{ b: 'x' }], {}],
  ],
])('%s', (_name, rule, accepted, refused) => {
  it.each(accepted.map((value) => ({ value })))('accepts $value', ({ value }) => {
    expect(fits(rule, value)).toBe(true);
  });
  it.each(refused.map((value) => ({ value })))('refuses $value', ({ value }) => {
    expect(fits(rule, value)).toBe(false);
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
        { path: 'extra', message: 'Leave this out: extra is not known here.' },
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
