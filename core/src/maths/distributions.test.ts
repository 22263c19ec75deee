import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../../vectors/race/special.json';
import { normalCdf, studentCdf, studentQuantile } from './index.ts';
import { normalQuantile, tabledNormalCdf, tabledNormalQuantile } from './normals.ts';

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

  it('come from a table as from the formula, in the tails as well', () => {
    for (let x = -7; x <= 7; x += 0.0037) {
      expect(Math.abs(tabledNormalCdf(x) - normalCdf(x))).toBeLessThan(4e-7);
    }
    const chance = fc.oneof(
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: -9, max: -0.4, noNaN: true }).map((power) => 10 ** power),
    );
    fc.assert(
      fc.property(chance, fc.boolean(), (share, isHigh) => {
        const p = isHigh ? 1 - share : share;
        const [own, exact] = [tabledNormalQuantile(p), normalQuantile(p)];
        if (Number.isFinite(exact)) expect(Math.abs(own - exact)).toBeLessThan(2e-5);
        else expect(own).toBe(exact);
      }),
      { numRuns: 10_000 },
    );
  });

  it('refuse what makes no sense', () => {
    expect(() => studentCdf(1, 0)).toThrow('above 0');
    expect(() => studentQuantile(1, 5)).toThrow('between 0 and 1');
  });
});
