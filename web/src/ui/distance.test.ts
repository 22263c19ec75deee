import { afterEach, describe, expect, it } from 'vitest';
import {
  distance,
  distanceAsTaken,
  distanceDown,
  distanceText,
  inUnit,
  showDistancesIn,
  typedFeet,
} from './distance.ts';

afterEach(() => {
  showDistancesIn('ft');
});

describe('a length in feet', () => {
  it.each([
    [2.9, '3\u00a0ft'],
    [-2.9, '3\u00a0ft'],
    [4.3, '4.5\u00a0ft'],
    [0.2, '0\u00a0ft'],
  ])('of %f is said to the half foot', (feet, words) => {
    expect(distance(feet)).toBe(words);
  });

  it('is rounded down where it is the longest a lead may be', () => {
    expect(distanceDown(12.99)).toBe('12.5\u00a0ft');
    expect(distanceDown(13)).toBe('13\u00a0ft');
  });

  it('is typed and shown as it was taken', () => {
    expect(typedFeet(' 11,25 ')).toBe(11.25);
    expect(distanceAsTaken(11.25)).toBe('11.25\u00a0ft');
    expect(typedFeet('')).toBeNull();
    expect(typedFeet('far')).toBeNaN();
  });
});

describe('a length in meters', () => {
  it('is said to the tenth, and down where it is the longest a lead may be', () => {
    showDistancesIn('m');
    expect(inUnit(90)).toBeCloseTo(27.432, 9);
    expect(distance(12)).toBe('3.7\u00a0m');
    expect(distanceDown(12)).toBe('3.6\u00a0m');
    expect(distanceAsTaken(60)).toBe('18.29\u00a0m');
  });

  it('is typed in meters and kept in feet', () => {
    showDistancesIn('m');
    expect(typedFeet('3,5')).toBe(11.48);
    expect(distanceText(typedFeet('3.5') ?? 0)).toBe('3.5');
  });
});
