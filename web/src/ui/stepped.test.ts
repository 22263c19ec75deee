import { describe, expect, it } from 'vitest';
import { stepped } from './stepped.ts';

describe('a step of a figure', () => {
  it('ends at its limits, whichever way it goes', () => {
    const limits = { min: 1, max: 12 };
    expect(stepped(11.5, 1, limits)).toBe(12);
    expect(stepped(1.5, -1, limits)).toBe(1);
    expect(stepped(40, -1, limits)).toBe(12);
    expect(stepped(5, 1, limits)).toBe(6);
  });

  it('leaves no dust of decimals', () => {
    expect(stepped(0.1, 0.2, { min: 0, max: 1 })).toBe(0.3);
  });
});
