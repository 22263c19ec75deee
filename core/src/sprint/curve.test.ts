import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../../vectors/race/sprint-inverse.json';
import { distanceAfter, speedAfter, timeToCover } from './index.ts';

const anyCurve = fc.record({
  topSpeed: fc.double({ min: 15, max: 32, noNaN: true }),
  accelerationSeconds: fc.double({ min: 0.3, max: 1.2, noNaN: true }),
  startSpeed: fc.double({ min: 0, max: 15, noNaN: true }),
});
const anyDistance = fc.double({ min: 0, max: 300, noNaN: true });

describe('timeToCover', () => {
  it.each(vectors.cases)('takes $t s for $d ft at $V ft/s', ({ d, V, tau, v0, t }) => {
    const curve = { topSpeed: V, accelerationSeconds: tau, startSpeed: v0 };
    expect(Math.abs(timeToCover(d, curve) - t)).toBeLessThan(vectors.tolerance);
  });

  it.each(vectors.cases)('is taken back to $back ft from $t s', ({ V, tau, v0, t, back }) => {
    const curve = { topSpeed: V, accelerationSeconds: tau, startSpeed: v0 };
    expect(Math.abs(distanceAfter(t, curve) - back)).toBeLessThan(vectors.tolerance);
  });

  it('is the inverse of distanceAfter', () => {
    fc.assert(
      fc.property(anyDistance, anyCurve, (feet, curve) => {
        expect(distanceAfter(timeToCover(feet, curve), curve)).toBeCloseTo(feet, 8);
      }),
    );
  });

  it('takes next to no time for next to no distance', () => {
    const curve = { topSpeed: 25.639174510508212, accelerationSeconds: 0.7782, startSpeed: 0 };
    for (const feet of [5e-324, 1e-15, 1e-12, 1e-9]) {
      expect(distanceAfter(timeToCover(feet, curve), curve)).toBeCloseTo(feet, 12);
    }
  });

  it('never takes longer from a rolling start', () => {
    fc.assert(
      fc.property(anyDistance, anyCurve, (feet, curve) => {
        const standing = timeToCover(feet, { ...curve, startSpeed: 0 });
        expect(timeToCover(feet, curve)).toBeLessThanOrEqual(standing + 1e-6);
      }),
    );
  });

  it('refuses a distance or a curve that makes no sense, naming the need', () => {
    const curve = { topSpeed: 26, accelerationSeconds: 0.8, startSpeed: 0 };
    expect(() => timeToCover(-1, curve)).toThrow('at least 0 ft');
    expect(() => timeToCover(Number.NaN, curve)).toThrow('at least 0 ft');
    expect(() => timeToCover(90, { ...curve, startSpeed: 27 })).toThrow('start speed');
  });
});

describe('speedAfter', () => {
  it('goes from the start speed toward the top speed', () => {
    const curve = { topSpeed: 26, accelerationSeconds: 0.8, startSpeed: 4 };
    expect(speedAfter(0, curve)).toBe(4);
    expect(speedAfter(9, curve)).toBeCloseTo(26, 3);
  });
});
