import { describe, expect, it } from 'vitest';
import { byNumber } from './index.ts';

describe('byNumber', () => {
  it('sorts by shirt number, 0 before 00, those without a number last by name', () => {
    const roster = [
      { number: '', name: 'Zed' },
      { number: '22', name: 'Kofi' },
      { number: '00', name: 'Wren' },
      { number: '4', name: 'Dara' },
      { number: '', name: 'Abel' },
      { number: '0', name: 'Oskar' },
    ];
    expect(roster.toSorted(byNumber).map(({ number, name }) => `${number} ${name}`.trim())).toEqual(
      ['0 Oskar', '00 Wren', '4 Dara', '22 Kofi', 'Abel', 'Zed'],
    );
  });
});
