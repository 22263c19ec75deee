import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../../vectors/signs/rng.json';
import { makeRandom, mean, normalDraw, sampleDeviation } from './index.ts';

describe('makeRandom', () => {
  it.each(vectors.mulberry32 as [number, number[]][])(
    'gives the agreed numbers for seed %i',
    (seed, expected) => {
      const random = makeRandom(seed);
      expect(expected.map(() => random())).toEqual(expected);
    },
  );

  it('draws normal numbers with the mean and deviation asked for', () => {
    const random = makeRandom(7);
    const draws = Array.from({ length: 20_000 }, () => normalDraw(random, 1.4, 0.05));
    expect(mean(draws)).toBeCloseTo(1.4, 2);
    expect(sampleDeviation(draws)).toBeCloseTo(0.05, 2);
  });
});

describe('mean and sampleDeviation', () => {
  const times = fc.array(fc.double({ min: 0.2, max: 9, noNaN: true }), {
    minLength: 2,
    maxLength: 40,
  });

  it('keep the mean between the quickest and the slowest, and the order does not matter', () => {
    fc.assert(
      fc.property(times, (values) => {
        const centre = mean(values);
        expect(centre).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9);
        expect(centre).toBeLessThanOrEqual(Math.max(...values) + 1e-9);
        expect(mean(values.toReversed())).toBeCloseTo(centre, 9);
      }),
    );
  });

  it('do not change the deviation when every time is a tenth later', () => {
    fc.assert(
      fc.property(times, (values) => {
        const later = values.map((value) => value + 0.1);
        expect(sampleDeviation(later)).toBeCloseTo(sampleDeviation(values), 9);
      }),
    );
  });

  it('refuse too few values, naming the need', () => {
    expect(() => mean([])).toThrow('at least one');
    expect(() => sampleDeviation([1.4])).toThrow('at least two');
  });
});
