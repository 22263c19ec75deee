import { describe, expect, it } from 'vitest';
import { giveOrTake, seconds, timesCount, percent } from './format.ts';

describe('the words of figures', () => {
  it('give seconds two decimals and hold on to the unit', () => {
    expect(seconds(1.384)).toBe('1.38\u00a0s');
    expect(seconds(0)).toBe('.00\u00a0s');
    expect(seconds(-0.12)).toBe('\u2212.12\u00a0s');
    expect(seconds(-0.001)).toBe('.00\u00a0s');
  });

  it('say give or take as a coach does, without the nought', () => {
    expect(giveOrTake(0.052)).toBe('give or take .05');
    expect(giveOrTake(1.2)).toBe('give or take 1.20');
    expect(timesCount(1)).toBe('1 timed');
  });
});

describe('percent', () => {
  it('is whole, and never certain', () => {
    expect(percent(0.834)).toBe('83%');
    expect(percent(0.9994)).toBe('99+%');
    expect(percent(0)).toBe('0%');
  });
});
