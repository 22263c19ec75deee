import { describe, expect, it } from 'vitest';
import vectors from '../../vectors/race/levels.json';
import { PRESETS } from '../rules/index.ts';
import { aReading } from '../../test/aReading.ts';
import type { PersonId } from '../units/index.ts';
import {
  LEVEL_NAMES,
  constantOf,
  LEVEL_CONSTANT_KEYS,
  LEVEL_CONSTANTS,
  levelOf,
  LEVELS,
  daysSince,
  describeBeamMisfit,
  describeMisfit,
  judgeLeave,
  levelsOf,
  plainContext,
  populationKey,
  rhythmOf,
  splitsOfBeams,
  throwsOn,
  type Beam,
  type LevelName,
  type ReadingDraft,
  type ReadingKind,
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
      jumpLeftHanderSdSeconds: expected.jump.lhpSd,
      tag: {
        onLineSeconds: expected.tagOn,
        onLineSdSeconds: expected.tagOnSd,
        offLineSeconds: expected.tagOff,
        offLineSdSeconds: expected.tagOffSd,
      },
      throws: { onLine: expected.pOn, offLine: expected.pOff, wild: expected.pWild },
      snapToFirst: expected.snap1,
      runSdSeconds: expected.runSd,
      fielder: { topSpeed: expected.fielder.V, accelerationSeconds: expected.fielder.tau },
      topSpeedVariation: expected.cvV,
      accelerationVariation: expected.cvTau,
      contactToRunSeconds: { right: expected.battedDelayR, left: expected.battedDelayL },
      battersBoxFeet: expected.battedX,
      jumpSdSeconds: expected.jump.sd,
      back: {
        reactSeconds: expected.back.react,
        reactSdSeconds: expected.back.reactSd,
        topSpeed: expected.back.V,
        accelerationSeconds: expected.back.tau,
        reachFeet: expected.back.reach,
        moveSdSeconds: expected.back.moveSd,
      },
    });
    // Where nobody may lead there is nobody to pick off.
    const pick = (agreed: { mean: number | null }) => (agreed.mean === null ? null : agreed);
    expect([level.pickRightHander, level.pickLeftHander, level.pickSecond]).toEqual(
      [expected.pick1R, expected.pick1L, expected.spin2].map(pick),
    );
  });

  it.each(agreed)('is played on bases as far apart as agreed at %s', (name, { base }) => {
    const { sport } = LEVELS[name as LevelName];
    const distances = Object.values(PRESETS)
      .filter((preset) => preset.sport === sport)
      .map(({ baseDistanceFeet }) => baseDistanceFeet);
    expect(distances).toContain(base);
  });

  it('says of the levels nobody agreed on that they are only scaled', () => {
    const own = LEVEL_NAMES.filter((name) => !(name in vectors.levels));
    expect(own).toEqual(['u12', 'fpU12']);
    for (const name of own) expect(LEVELS[name].note).toMatch(/scaled down/);
  });

  it('offers each sport its own levels', () => {
    expect(levelsOf('softball')).toEqual(['fpCollege', 'fpHs', 'fpU12']);
    expect(levelsOf('baseball')).toContain('u14');
  });
});

describe('a team’s own constants', () => {
  it('stand in place of the level’s, and nothing else moves', () => {
    const own = levelOf('hs', { topSpeed: 27, 'delivery.mean': 1.5, 'throws.wild': 0.2 });
    expect(own).toEqual({
      ...LEVELS.hs,
      topSpeed: 27,
      delivery: { ...LEVELS.hs.delivery, mean: 1.5 },
      throws: { ...LEVELS.hs.throws, wild: 0.2 },
    });
    expect(levelOf('hs', {})).toEqual(LEVELS.hs);
  });

  it('are each found in every level, inside what they may be', () => {
    for (const level of Object.values(LEVELS)) {
      for (const key of LEVEL_CONSTANT_KEYS) {
        const value = constantOf(level, key);
        expect(value, key).not.toBeNull();
        expect(value).toBeGreaterThanOrEqual(LEVEL_CONSTANTS[key].min);
        expect(value).toBeLessThanOrEqual(LEVEL_CONSTANTS[key].max);
      }
    }
  });

  it('are refused outside of that, by name', () => {
    expect(() => levelOf('hs', { topSpeed: 99 })).toThrow('topSpeed from 10 to 35');
  });
});

describe('describeMisfit', () => {
  type Parts = Parameters<typeof describeMisfit>[0];
  const of = (kind: ReadingKind, seconds: number, parts: Partial<Parts> = {}): Parts => ({
    ...plainContext(kind),
    seconds,
    ...parts,
  });
  const legLift = { style: 'legLift' } as const;

  it.each<[string, Parts, keyof ReadingDraft | null]>([
    ['a whole delivery', of('delivery', 1.4, legLift), null],
    ['a whole pop', of('pop', 2.1, { base: 'second' }), null],
    ['a steal', of('steal', 3.5, { base: 'third', leadFeet: 18, start: 'dropStep' }), null],
    ['home to first', of('homeToFirst', 4.3), null],
    ['a runner who left early', of('leave', -0.2, { start: 'rocker' }), null],
    ['a pick-off to first', of('pick', 1.1, { base: 'first' }), null],
    ['a dash', of('dash', 2.8, { fromFeet: 0, toFeet: 60 }), null],
    ['a dash without its distance', of('dash', 2.8), 'toFeet'],
    ['a dash backwards', of('dash', 2.8, { fromFeet: 60, toFeet: 30 }), 'toFeet'],
    ['a pop over a distance', of('pop', 2.1, { base: 'second', fromFeet: 0, toFeet: 9 }), 'toFeet'],
    ['a delivery of eleven seconds', of('delivery', 11, legLift), 'seconds'],
    ['no time at all', of('delivery', Number.NaN, legLift), 'seconds'],
    ['a pop to nowhere', of('pop', 2.1), 'base'],
    ['a pop to home', of('pop', 2.1, { base: 'home' }), 'base'],
    ['home to first to third', of('homeToFirst', 4.3, { base: 'third' }), 'base'],
    ['a delivery without its style', of('delivery', 1.4), 'style'],
    ['a pop with a slide step', of('pop', 2.1, { base: 'second', style: 'slideStep' }), 'style'],
    ['a pop with a lead', of('pop', 2.1, { base: 'second', leadFeet: 11 }), 'leadFeet'],
    ['a pop with a start', of('pop', 2.1, { base: 'second', start: 'rocker' }), 'start'],
  ])('of %s names the field at fault', (_, parts, path) => {
    expect(describeMisfit(parts)?.path ?? null).toBe(path);
  });
});

describe('populationKey', () => {
  it('keeps apart what cannot be compared, and together what can', () => {
    const keys = [
      aReading(),
      aReading({ style: 'slideStep' }),
      aReading({ kind: 'pop', base: 'second' }),
      aReading({ kind: 'pop', base: 'third' }),
      aReading({ kind: 'dash', fromFeet: 0, toFeet: 60 }),
      aReading({ kind: 'dash', fromFeet: 10, toFeet: 60 }),
    ].map(populationKey);
    expect(new Set(keys).size).toBe(6);
    const steal = { kind: 'steal', base: 'second' } as const;
    expect(populationKey(aReading({ ...steal, leadFeet: 11, start: 'dropStep' }))).toBe(
      populationKey(aReading({ ...steal, leadFeet: 12 })),
    );
  });
});

describe('rhythmOf', () => {
  it('says that an even hold can be timed, a varied one not, and few holds nothing', () => {
    expect(rhythmOf([2.1, 2.3, 2.8, 2])).toMatchObject({ counts: [2, 2, 3, 2], verdict: 'even' });
    expect(rhythmOf([1, 4.2, 2.1, 3.6])?.verdict).toBe('varied');
    expect(rhythmOf([2, 2.1, 2])?.verdict).toBe('few');
    expect(rhythmOf([])).toBeNull();
  });

  it('goes by the last eight', () => {
    const holds = [9, 9, 9, ...Array.from({ length: 8 }, () => 2)];
    expect(rhythmOf(holds)).toMatchObject({ verdict: 'even', meanSeconds: 2 });
  });
});

describe('judgeLeave', () => {
  it.each([
    [-0.2, 'early'],
    [-0.05, 'early'],
    [-0.02, 'close'],
    [0, 'onTime'],
    [0.1, 'onTime'],
    [0.15, 'late'],
  ])('calls %s s %s', (seconds, verdict) => {
    expect(judgeLeave(seconds)).toBe(verdict);
  });
});

describe('throwsOn', () => {
  it('counts what was thrown that day by that person, whether or not the time counts', () => {
    const readings = [
      aReading(),
      aReading({ style: 'slideStep', asideReason: 'did not see it' }),
      aReading({ asideReason: 'wrong tap' }),
      aReading({ kind: 'hold', seconds: 2 }),
      aReading({ kind: 'pick', base: 'first' }),
      aReading({ takenAt: '2031-04-30T10:00:00.000Z' }),
      aReading({ personId: 'another' as PersonId }),
    ];
    const dayOf = (instant: string) => instant.slice(0, 10);
    expect(throwsOn('2031-05-01', 'person' as PersonId, 'pitcher', readings, dayOf)).toBe(3);
    expect(throwsOn('2031-05-01', 'person' as PersonId, 'catcher', readings, dayOf)).toBe(0);
  });
});

describe('the splits of a gate run', () => {
  const run = (...seconds: (number | null)[]): Beam[] =>
    [0, 10, 30, 85].map((feet, index) => ({ feet, seconds: seconds[index] ?? null }));

  it('lie between neighbours, with the whole', () => {
    expect(splitsOfBeams(run(0, 0.91, 1.86, 4.02))).toEqual({
      splits: [
        { fromFeet: 0, toFeet: 10, seconds: 0.91 },
        { fromFeet: 10, toFeet: 30, seconds: 0.95 },
        { fromFeet: 30, toFeet: 85, seconds: 2.16 },
        { fromFeet: 0, toFeet: 85, seconds: 4.02 },
      ],
      missedFeet: [],
    });
  });

  it('leave out what a missed beam would have given, and say so', () => {
    expect(splitsOfBeams(run(0, null, 1.86, 4.02))).toEqual({
      splits: [
        { fromFeet: 30, toFeet: 85, seconds: 2.16 },
        { fromFeet: 0, toFeet: 85, seconds: 4.02 },
      ],
      missedFeet: [10],
    });
    expect(splitsOfBeams(run(0, null, null, null)).splits).toEqual([]);
  });

  it('are refused with the reason when the beams make no sense', () => {
    expect(describeBeamMisfit(run(0, 0.9, 1.9, 4))).toBeNull();
    expect(describeBeamMisfit(run(0, null, 1.9, 1.2))).toContain('rise');
    expect(describeBeamMisfit([{ feet: 0, seconds: 0 }])).toContain('two beams');
    expect(describeBeamMisfit(run(0, 1).toReversed())).toContain('in order');
  });
});

describe('daysSince', () => {
  it('counts whole days, and none for a clock that runs ahead', () => {
    const now = Date.parse('2031-05-30T12:00:00Z');
    expect(daysSince('2031-05-01T11:00:00Z', now)).toBe(29);
    expect(daysSince('2031-06-02T11:00:00Z', now)).toBe(0);
  });
});
