import { describe, expect, it } from 'vitest';
import { keepLast, sameProps } from './keepLast.ts';

describe('sameProps', () => {
  it('takes lists of the same items for the same, and nothing else', () => {
    const one = {};
    expect(sameProps({ a: 1, list: [one] }, { a: 1, list: [one] })).toBe(true);
    expect(sameProps({ a: 1, list: [one] }, { a: 1, list: [{}] })).toBe(false);
    expect(sameProps({ a: 1 }, { a: 1, b: 2 })).toBe(false);
  });
});

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
