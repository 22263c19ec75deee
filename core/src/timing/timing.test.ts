import { describe, expect, it } from 'vitest';
import vectors from '../../vectors/race/levels.json';
import {
  LEVEL_NAMES,
  LEVELS,
  describeMisfit,
  levelsOf,
  looksWrong,
  spreadOf,
  type LevelName,
  type ReadingDraft,
} from './index.ts';

describe('LEVELS', () => {
  const agreed = Object.entries(vectors.levels);

  it.each(agreed)('holds the agreed constants of %s', (name, expected) => {
    const level = LEVELS[name as LevelName];
    expect(level).toMatchObject({
      bagSideFeet: expected.bagSide,
      topSpeed: expected.V,
      accelerationSeconds: expected.tau,
      delivery: expected.delivery,
      popSecond: expected.pop2,
      popThird: expected.pop3,
      stealSecond: expected.run2,
      jumpSeconds: expected.jump.mean,
      jumpLeftHanderSeconds: expected.jump.lhpMean,
      tagSeconds: expected.tagOn,
    });
  });

  it('says of the levels nobody agreed on that they are only scaled', () => {
    const own = LEVEL_NAMES.filter((name) => !(name in vectors.levels));
    expect(own).toEqual(['u12', 'fpU12']);
    for (const name of own) expect(LEVELS[name].note).toMatch(/not checked/);
  });

  it('offers each sport its own levels', () => {
    expect(levelsOf('softball')).toEqual(['fpCollege', 'fpHs', 'fpU12']);
    expect(levelsOf('baseball')).toContain('u14');
  });
});

describe('spreadOf', () => {
  it('gives the mean and the give or take of the times', () => {
    const spread = spreadOf([1.36, 1.38, 1.4]);
    expect(spread?.count).toBe(3);
    expect(spread?.meanSeconds).toBeCloseTo(1.38, 9);
    expect(spread?.giveOrTakeSeconds).toBeCloseTo(0.02, 9);
  });

  it('claims nothing about the spread of one time, and nothing at all of none', () => {
    expect(spreadOf([1.4])).toEqual({ count: 1, meanSeconds: 1.4, giveOrTakeSeconds: null });
    expect(spreadOf([])).toBeNull();
  });
});

describe('looksWrong', () => {
  it('asks about a time outside the limits of the level', () => {
    expect(looksWrong({ kind: 'delivery', base: 'second', seconds: 2.4 }, 'hs')).toBe(true);
    expect(looksWrong({ kind: 'delivery', base: 'second', seconds: 1.3 }, 'hs')).toBe(false);
    expect(looksWrong({ kind: 'pop', base: 'third', seconds: 2.7 }, 'hs')).toBe(true);
    expect(looksWrong({ kind: 'pop', base: 'second', seconds: 2.7 }, 'hs')).toBe(false);
    expect(looksWrong({ kind: 'flight', base: 'second', seconds: 0.95 }, 'fpHs')).toBe(true);
  });

  it('does not judge a kind that the level has no limits for', () => {
    expect(looksWrong({ kind: 'homeToFirst', base: null, seconds: 8 }, 'hs')).toBe(false);
    expect(looksWrong({ kind: 'steal', base: 'third', seconds: 2.1 }, 'hs')).toBe(false);
  });
});

describe('describeMisfit', () => {
  type Parts = Parameters<typeof describeMisfit>[0];
  const delivery: Parts = {
    kind: 'delivery',
    seconds: 1.4,
    base: 'second',
    style: 'legLift',
    leadFeet: null,
  };
  const pop: Parts = { ...delivery, kind: 'pop', seconds: 2.1, style: null };

  it.each<[string, Parts, keyof ReadingDraft | null]>([
    ['a whole delivery', delivery, null],
    ['a whole pop', pop, null],
    ['a steal with its lead', { ...pop, kind: 'steal', seconds: 3.5, leadFeet: 11.5 }, null],
    ['home to first', { ...pop, kind: 'homeToFirst', seconds: 4.3, base: null }, null],
    ['a delivery of eleven seconds', { ...delivery, seconds: 11 }, 'seconds'],
    ['a pop to nowhere', { ...pop, base: null }, 'base'],
    ['home to first to third', { ...pop, kind: 'homeToFirst', seconds: 4.3 }, 'base'],
    ['a delivery without its style', { ...delivery, style: null }, 'style'],
    ['a pop with a slide step', { ...pop, style: 'slideStep' }, 'style'],
    ['a pop with a lead', { ...pop, leadFeet: 11 }, 'leadFeet'],
  ])('of %s names the field at fault', (_, parts, path) => {
    expect(describeMisfit(parts)?.path ?? null).toBe(path);
  });
});
