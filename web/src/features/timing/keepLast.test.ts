import { describe, expect, it } from 'vitest';
import { keepLast } from './keepLast.ts';

describe('keepLast', () => {
  it('makes a result once while it is asked the same, for each key', () => {
    let made = 0;
    const sum = keepLast((list: readonly number[], by: number) => {
      made += 1;
      return { value: list.reduce((total, each) => total + each, 0) * by };
    });
    const first = sum('a', [1, 2], 3);
    expect(sum('a', [1, 2], 3)).toBe(first);
    expect(sum('b', [1, 2], 3)).toEqual(first);
    expect(made).toBe(2);
    expect(sum('a', [1, 3], 3)).toEqual({ value: 12 });
    expect(sum('a', [1, 3, 0], 3)).toEqual({ value: 12 });
    expect(made).toBe(4);
  });
});
