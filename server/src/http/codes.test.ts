import { describe, expect, it } from 'vitest';
import { hashCode, makeCode } from './codes.ts';

describe('invitation codes', () => {
  it('hold only letters and figures that nobody mistakes for one another', () => {
    for (let round = 0; round < 200; round += 1) {
      expect(makeCode()).toMatch(/^[2-9A-HJKMNP-Z]{4}-[2-9A-HJKMNP-Z]{4}$/);
    }
  });

  it('are the same code however they are typed, and another when a letter differs', () => {
    const kept = hashCode('K7QD-93XM');
    expect(hashCode(' k7qd 93xm')).toEqual(kept);
    expect(hashCode('K7QD93XM')).toEqual(kept);
    expect(hashCode('K7QD-93XN')).not.toEqual(kept);
  });
});
