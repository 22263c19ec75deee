import { describe, expect, it } from 'vitest';
import { bestLeadWords, inThrows, oneIn } from './words.ts';

describe('a chance to be picked', () => {
  it('is said as coaches say it, in no more figures than there is reason for', () => {
    expect(inThrows(0.02)).toBe('out on 1 throw in 50');
    expect(inThrows(0.00196)).toBe('out on 1 throw in 510');
    expect(inThrows(0.3)).toBe('out on 1 throw in 3');
    expect(inThrows(0.55)).toBe('out on 6 throws in 10');
    expect([0.02, 0.55, 0.0001].map(oneIn)).toEqual(['1 in 50', '6 in 10', 'under 1 in 1000']);
    expect(inThrows(0.00001)).toBe('out on fewer than 1 throw in 1000');
  });
});

describe('a best lead', () => {
  it('is said with the leads that are as good, or that there is none', () => {
    expect(bestLeadWords({ leadFeet: 12.75, fromFeet: 12.25, toFeet: 13 })).toBe(
      'Best overall: 12.5\u00a0ft, about as good from 12\u00a0ft to 13\u00a0ft.',
    );
    expect(bestLeadWords(null)).toContain('safe one');
  });
});
