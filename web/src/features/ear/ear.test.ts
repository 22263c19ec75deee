import { EAR_PLANS, type HeardChain } from '@bradyon/core/ear';
import { feetBetween } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { delayOf } from './delay.ts';
import { atBase, inOutfield, standAt, standOf } from './standing.ts';
import { doubtOf, type Listening } from './useEar.ts';
import { celsius, chainText, fahrenheit, PLAN_WORDS, wayText } from './words.ts';

describe('the device’s own delay', () => {
  const played = [1, 1.5, 2, 2.5, 3, 3.5];
  const back = (late: readonly number[]) => played.map((at, nth) => at + (late[nth] ?? 0));

  it('is the middle of the clicks that agree; one cough among them does not count', () => {
    expect(delayOf(back([0.06, 0.061, 0.06, 0.062, 0.06, 0.061]), played)).toBeCloseTo(0.061, 3);
    expect(delayOf([...back([0.06, 0.061, 0.06, 0.062, 0.06, 0.061]), 1.02], played)).toBeCloseTo(
      0.061,
      3,
    );
    expect(delayOf([1.02, ...back([9, 0.061, 0.06, 0.062, 0.06, 0.061])], played)).toBeCloseTo(
      0.061,
      3,
    );
  });

  it('is not told when too few come back, or they do not agree', () => {
    expect(delayOf([], played)).toBeNull();
    expect(delayOf(back([0.06, 0.061, 0.06]).slice(0, 3), played)).toBeNull();
    expect(delayOf(back([0.02, 0.09, 0.15, 0.2, 0.25, 0.3]), played)).toBeNull();
  });
});

describe('where the coach stands', () => {
  it('is behind the backstop until they say', () => {
    const stand = standOf({ byTeam: {}, celsius: 20 }, 'ours' as never, 90);
    expect(feetBetween(stand.place, { x: 0, y: 0 })).toBeCloseTo(29.7, 1);
    // On shorter bases everything is nearer.
    expect(feetBetween(standAt('backstop', 60), { x: 0, y: 0 })).toBeCloseTo(19.8, 1);
  });

  it('and where it sounds: bases, and outfielders where they play', () => {
    expect(atBase('second', 60).place).toEqual({ x: 60, y: 60 });
    expect(atBase('home', 60).place).toEqual({ x: 0, y: 0 });
    expect(atBase('third', 90).place).toEqual({ x: 0, y: 90 });
    const left = inOutfield({ positions: ['SS', 'LF'] }, 'hs');
    expect(left.place.y).toBeGreaterThan(left.place.x);
    expect(left.sdFeet).toBeGreaterThan(atBase('home', 90).sdFeet);
    expect(inOutfield(null, 'hs').place.x).toBeCloseTo(inOutfield(null, 'hs').place.y, 6);
  });

  it('says how far a time may be off: the device counts only beside a thumb', () => {
    const listening = (planName: Listening['planName']): Listening => ({
      planName,
      sources: [atBase('home', 90), atBase('home', 90), atBase('second', 90)],
      stand: standOf({ byTeam: {}, celsius: 20 }, 'ours' as never, 90),
      bounds: () => ({ min: 0, max: 9 }),
      ownerOf: () => null,
    });
    const battery = listening('battery');
    expect(doubtOf(battery, 0, 'typical')).toBeGreaterThan(doubtOf(battery, 0, 'measured'));
    expect(doubtOf(battery, 1, 'typical')).toBe(doubtOf(battery, 1, 'measured'));
  });
});

describe('words', () => {
  const chain = (...splits: HeardChain['splits'][number][]): HeardChain => ({
    moments: [],
    splits,
    isSure: true,
  });

  it('say what was heard', () => {
    expect(
      chainText(chain({ kind: 'delivery', seconds: 1.423 }, { kind: 'pop', seconds: 2.08 })),
    ).toBe('Delivery 1.42, pop 2.08');
    expect(Object.keys(PLAN_WORDS)).toEqual(expect.arrayContaining(Object.keys(EAR_PLANS)));
  });

  it('say what the sound’s way does, both ways round', () => {
    expect(wayText(0.113)).toMatch(/\.11\ss too far apart.*taken off/);
    expect(wayText(-0.05)).toMatch(/\.05\ss too close together.*added/);
    expect(wayText(0.002)).toMatch(/as long/);
  });

  it('say how warm it is as coaches do', () => {
    expect(fahrenheit(20)).toBe(68);
    expect(celsius(fahrenheit(35))).toBeCloseTo(35, 6);
    expect(fahrenheit(celsius(73))).toBe(73);
  });
});
