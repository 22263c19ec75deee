import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { swarm } from './swarm.ts';

const anyTimes = fc.array(fc.double({ min: 0.3, max: 5, noNaN: true }), {
  minLength: 1,
  maxLength: 40,
});

describe('swarm', () => {
  it('never lets two dots cover each other, and keeps each on the line at its time', () => {
    fc.assert(
      fc.property(anyTimes, (seconds) => {
        const { dots, xOf } = swarm(seconds, 320);
        dots.forEach((dot, index) => {
          expect(dot.x).toBeCloseTo(xOf(seconds[index] ?? 0), 9);
          expect(dot.x).toBeGreaterThanOrEqual(0);
          expect(dot.x).toBeLessThanOrEqual(320);
          for (const other of dots.slice(index + 1)) {
            expect(other.level !== dot.level || Math.abs(other.x - dot.x) >= 9 - 1e-9).toBe(true);
          }
        });
      }),
    );
  });

  it('does not blow up a small spread', () => {
    const { minSeconds, maxSeconds } = swarm([1.38, 1.39], 320);
    expect(maxSeconds - minSeconds).toBeGreaterThanOrEqual(0.3);
  });
});
