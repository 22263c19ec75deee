import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../../vectors/race/special.json';
import { normalCdf, studentCdf, studentQuantile } from './index.ts';

describe('the distributions', () => {
  it('agree with the figures computed elsewhere', () => {
    for (const { x, p } of vectors.normCdf) {
      expect(Math.abs(normalCdf(x) - p)).toBeLessThan(vectors.tolerance);
    }
    for (const { x, nu, p } of vectors.tCdf) {
      expect(Math.abs(studentCdf(x, nu) - p)).toBeLessThan(vectors.tolerance);
    }
    for (const { p, nu, x } of vectors.tInv) {
      expect(Math.abs(studentQuantile(p, nu) - x)).toBeLessThan(vectors.tolerance);
    }
  });

  it('invert each other', () => {
    const chance = fc.double({ min: 0.01, max: 0.99, noNaN: true });
    const freedom = fc.double({ min: 4, max: 200, noNaN: true });
    fc.assert(
      fc.property(chance, freedom, (p, nu) => {
        expect(studentCdf(studentQuantile(p, nu), nu)).toBeCloseTo(p, 8);
      }),
    );
  });

  it('take endless freedom to be the normal distribution', () => {
    expect(studentCdf(1, Number.POSITIVE_INFINITY)).toBe(normalCdf(1));
  });

  it('refuse what makes no sense', () => {
    expect(() => studentCdf(1, 0)).toThrow('above 0');
    expect(() => studentQuantile(1, 5)).toThrow('between 0 and 1');
  });
});
