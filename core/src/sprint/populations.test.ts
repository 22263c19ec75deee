import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aReading } from '../../test/aReading.ts';
import { makeRandom, normalDraw } from '../maths/index.ts';
import { PRESETS, type Ruleset } from '../rules/index.ts';
import {
  LEVELS,
  plainContext,
  type LevelName,
  type Reading,
  type ReadingContext,
  type StartTechnique,
} from '../timing/index.ts';
import type { ReadingId } from '../units/index.ts';
import {
  compareStarts,
  compareStyles,
  missingOf,
  populationsOf,
  secondsPerFoot,
  simulateGateRun,
  typicalTime,
  type Conditions,
} from './index.ts';

const field: Conditions = { level: LEVELS.hs, ruleset: PRESETS.fullSizeSeven };
const person = { throws: 'right', bats: 'right' } as const;
const NOBODY = new Map();
const steal = { ...plainContext('steal'), base: 'second' } as const;
const dash = (toFeet: number) => ({ ...plainContext('dash'), fromFeet: 0, toFeet });

describe('typicalTime', () => {
  const at = (level: LevelName, context: ReadingContext, bats: 'right' | 'left' = 'right') => {
    const ruleset = level.startsWith('fp') ? PRESETS.fastpitch43 : PRESETS.fullSizeSeven;
    return (
      typicalTime(context, { throws: 'right', bats }, { level: LEVELS[level], ruleset })?.mean ?? 0
    );
  };

  // The agreed table of average players: steal of second, home to first right and left, dash.
  it.each([
    ['pro', 3.48, 4.3, 4.14, 180, 6.9],
    ['college', 3.58, 4.41, 4.25, 180, 7.06],
    ['hs', 3.69, 4.55, 4.4, 180, 7.29],
    ['fpCollege', 2.69, 3.21, 3.03, 60, 2.89],
    ['fpHs', 2.86, 3.46, 3.25, 60, 3.09],
  ] as const)('of %s agrees with the agreed table', (level, second, right, left, feet, seconds) => {
    const near = (value: number, agreed: number) => {
      expect(Math.abs(value - agreed), `${value} for ${agreed}`).toBeLessThan(0.0051);
    };
    near(at(level, steal), second);
    near(at(level, plainContext('homeToFirst')), right);
    near(at(level, plainContext('homeToFirst'), 'left'), left);
    // The table's dashes are hand-timed from the first movement.
    near(at(level, dash(feet)) - 0.15, seconds);
  });

  it('differs between runners of a level as the agreed prior does', () => {
    const typical = typicalTime(steal, person, field);
    expect(Math.abs((typical?.sdBetween ?? 0) - 0.174)).toBeLessThan(0.01);
  });

  it('gives a slide step less time, a left-hander a pick of his own, and no pick without leads', () => {
    const delivery = plainContext('delivery');
    expect(at('hs', { ...delivery, style: 'slideStep' })).toBeCloseTo(1.25, 9);
    const pick = { ...plainContext('pick'), base: 'first' } as const;
    expect(typicalTime(pick, { ...person, throws: 'left' }, field)?.mean).toBe(1.18);
    expect(typicalTime(pick, person, { ...field, level: LEVELS.fpHs })).toBeNull();
    expect(typicalTime(plainContext('leave'), person, field)).toBeNull();
  });

  it('of every kind is a sane number under all rules, or null', () => {
    const contexts: ReadingContext[] = [
      steal,
      { ...steal, base: 'third' },
      dash(30),
      { ...dash(30), fromFeet: 10 },
      plainContext('hold'),
      plainContext('diveBack'),
      plainContext('firstToThird'),
      plainContext('secondToHome'),
      plainContext('flight'),
      plainContext('leave'),
    ];
    for (const ruleset of Object.values(PRESETS)) {
      for (const context of contexts) {
        const typical = typicalTime(context, person, { level: LEVELS.u12, ruleset });
        if (!typical) continue;
        expect(typical.mean).toBeGreaterThan(typical.min);
        expect(typical.mean).toBeLessThan(typical.max);
        expect(typical.sdBetween).toBeGreaterThan(0);
      }
    }
  });
});

describe('a foot of lead', () => {
  it('is worth what was agreed going, and costs more coming back', () => {
    expect(secondsPerFoot(steal, field)).toBeCloseTo(0.039, 3);
    const back = secondsPerFoot(plainContext('diveBack'), field);
    expect(back).toBeLessThan(-0.06);
    expect(back).toBeGreaterThan(-0.09);
  });
});

const aSteal = (seconds: number, parts: Partial<Reading> = {}) =>
  aReading({ kind: 'steal', base: 'second', seconds, ...parts });

describe('populationsOf', () => {
  it('reckons steals from different leads to one', () => {
    const near = [aSteal(3.5, { leadFeet: 11.5 })];
    const far = [aSteal(3.5 - 2 * secondsPerFoot(steal, field), { leadFeet: 13.5 })];
    const [a] = populationsOf(person, near, field, NOBODY);
    const [b] = populationsOf(person, far, field, NOBODY);
    expect(a?.leadFeet).toBe(11.5);
    expect(b?.estimate?.meanSeconds).toBeCloseTo(a?.estimate?.meanSeconds ?? 0, 9);
  });

  it('is exactly as before when a reading was set aside and brought back', () => {
    const seconds = fc.array(fc.double({ min: 1.1, max: 1.9, noNaN: true }), {
      minLength: 2,
      maxLength: 20,
    });
    fc.assert(
      fc.property(seconds, fc.nat(), (times, pick) => {
        const before = times.map((time) => aReading({ seconds: time }));
        const index = pick % before.length;
        const aside = before.map((each, at) =>
          at === index ? { ...each, asideReason: 'wrong tap' as const } : each,
        );
        const back = aside.map((each) => ({ ...each, asideReason: null }));
        const [was] = populationsOf(person, before, field, NOBODY);
        const [without] = populationsOf(person, aside, field, NOBODY);
        expect(populationsOf(person, back, field, NOBODY)[0]).toEqual(was);
        expect(without?.estimate?.count).toBe(before.length - 1);
      }),
    );
  });

  it('asks about the wrong tap, and still counts it', () => {
    const readings = [1.4, 1.38, 1.44, 1.41, 1.95].map((seconds, index) =>
      aReading({ seconds, id: String(index) as ReadingId }),
    );
    const [own] = populationsOf(person, readings, field, NOBODY);
    expect([...(own?.doubtful ?? [])]).toEqual(['4']);
    expect(own?.estimate?.count).toBe(5);
    const vouched = readings.map((each) => ({ ...each, vouched: true }));
    expect(populationsOf(person, vouched, field, NOBODY)[0]?.doubtful.size).toBe(0);
  });

  it('knows when the newest that counts was taken', () => {
    const readings = [
      aReading({ takenAt: '2031-04-01T10:00:00Z' }),
      aReading({ takenAt: '2031-05-01T10:00:00Z', asideReason: 'wrong tap' }),
    ];
    expect(populationsOf(person, readings, field, NOBODY)[0]?.newestAt).toBe(
      '2031-04-01T10:00:00Z',
    );
  });
});

describe('compareStarts', () => {
  function startsOf(count: number, quicker: number, seed: number): Reading[] {
    const random = makeRandom(seed);
    const one = (start: StartTechnique, mean: number) =>
      Array.from({ length: count }, () => aSteal(normalDraw(random, mean, 0.06), { start }));
    return [...one('dropStep', 3.6 - quicker), ...one('crossover', 3.6)];
  }
  const compare = (readings: Reading[]) => {
    const [population] = populationsOf(person, readings, field, NOBODY);
    return population ? compareStarts(person, population, field, NOBODY) : null;
  };

  it('tells the quicker one once there are enough, with its doubt', () => {
    const found = compare(startsOf(25, 0.1, 5));
    expect(found).toMatchObject({ tellable: true, first: { start: 'dropStep', count: 25 } });
    expect(found?.quickerSeconds).toBeGreaterThan(0.05);
    expect(found?.giveOrTakeSeconds).toBeLessThan(0.04);
  });

  it('does not tell two equal ones apart, most of the time', () => {
    const told = Array.from({ length: 100 }, (_, seed) => compare(startsOf(6, 0, seed)));
    // A difference that is not there may look likely in at most one case in five.
    expect(told.filter((each) => each?.tellable).length).toBeLessThan(21);
  });

  it('says nothing of a start that was tried once', () => {
    expect(compare([...startsOf(1, 0.1, 1), aSteal(3.5)])).toBeNull();
  });
});

describe('compareStyles', () => {
  const deliveries = (style: 'legLift' | 'slideStep', seconds: number, count: number) =>
    Array.from({ length: count }, (_, nth) =>
      aReading({ style, seconds: seconds + 0.01 * (nth % 3) }),
    );
  const compared = (...readings: Reading[]) =>
    compareStyles(populationsOf(person, readings, field, NOBODY));

  it('says how much quicker the slide step is', () => {
    const found = compared(...deliveries('legLift', 1.42, 12), ...deliveries('slideStep', 1.2, 12));
    expect(found?.quickerSeconds).toBeCloseTo(0.22, 1);
    expect(found?.tellable).toBe(true);
  });

  it('says nothing of a style that was timed once', () => {
    expect(
      compared(...deliveries('legLift', 1.42, 12), ...deliveries('slideStep', 1.2, 1)),
    ).toBeNull();
    expect(compared()).toBeNull();
  });
});

describe('missingOf', () => {
  const now = Date.parse('2031-05-02T10:00:00Z');
  const pitcher = { positions: ['P' as const], opponentId: 'them' as never };

  it('names what was never timed, what needs more, and what is old', () => {
    const readings = [
      aReading({ seconds: 1.4 }),
      ...Array.from({ length: 30 }, () =>
        aReading({ style: 'slideStep', seconds: 1.2, takenAt: '2031-03-01T10:00:00Z' }),
      ),
    ];
    const populations = populationsOf(person, readings, field, NOBODY);
    const needs = missingOf(pitcher, populations, field.ruleset, now).map(({ need }) => need);
    expect(needs).toEqual([
      { more: expect.any(Number) as number },
      { daysOld: 62 },
      { none: true },
    ]);
  });

  it('asks by position and by rules', () => {
    const asked = (positions: ('P' | 'C')[], ours: boolean, ruleset: Ruleset) =>
      missingOf({ positions, opponentId: ours ? null : ('them' as never) }, [], ruleset, now).map(
        ({ context }) => context.kind,
      );
    expect(asked(['C'], false, field.ruleset)).toEqual(['pop']);
    expect(asked(['P'], false, PRESETS.fastpitch43)).toEqual(['flight']);
    expect(asked([], true, PRESETS.fastpitch43)).toEqual(['leave', 'steal', 'homeToFirst']);
  });
});

describe('simulateGateRun', () => {
  it('gives rising times near the truth, and misses a beam now and then', () => {
    const random = makeRandom(9);
    const curve = { topSpeed: 26, accelerationSeconds: 0.8, startSpeed: 0 };
    const runs = Array.from({ length: 400 }, () => simulateGateRun(random, curve, [0, 10, 30, 85]));
    const missed = runs.flat().filter(({ seconds }) => seconds === null).length;
    expect(missed).toBeGreaterThan(30);
    expect(missed).toBeLessThan(120);
    for (const run of runs) {
      expect(run[0]).toEqual({ feet: 0, seconds: 0 });
      const seen = run.flatMap(({ seconds }) => seconds ?? []);
      expect(seen).toEqual(seen.toSorted((a, b) => a - b));
    }
  });
});
