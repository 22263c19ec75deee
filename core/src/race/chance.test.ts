import { PITCH_EFFECTS, PITCHES } from './index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import levels from '../../vectors/race/levels.json';
import chances from '../../vectors/race/p-safe.json';
import thresholds from '../../vectors/race/thresholds.json';
import { LEVELS, type LevelName, type DoubtfulSpread } from '../timing/index.ts';
import {
  breakEven,
  chanceAt,
  chanceSafe,
  needsOf,
  readyRace,
  type Pitch,
  type Race,
} from './index.ts';

interface VectorSpread {
  mean: number;
  sd: number;
  nu: number | string;
  meanSd: number;
  aleatorySd: number;
}
interface VectorRace {
  level: string;
  delivery: VectorSpread;
  pop: VectorSpread;
  run: VectorSpread;
  slideStep?: boolean;
  lefty?: boolean;
  jump?: { mean: number; sd: number };
  pitches?: {
    name: string;
    dDelivery: number;
    dPop: number;
    sdExtra: number;
    wildAdd: number;
    weight: number;
  }[];
}

function spread({ mean, sd, nu, meanSd, aleatorySd }: VectorSpread): DoubtfulSpread {
  return {
    meanSeconds: mean,
    sdSeconds: sd,
    freedom: Number(nu),
    meanSdSeconds: meanSd,
    spreadSeconds: aleatorySd,
  };
}

function raceOf(input: VectorRace): Race {
  const level = LEVELS[input.level as LevelName];
  const delivery = spread(input.delivery);
  const left = input.lefty === true;
  return {
    level,
    delivery: { ...delivery, meanSeconds: delivery.meanSeconds - (input.slideStep ? 0.17 : 0) },
    pop: spread(input.pop),
    run: spread(input.run),
    jump: {
      meanSeconds:
        (input.jump?.mean ?? level.jumpSeconds) + (left ? level.jumpLeftHanderSeconds : 0),
      sdSeconds: Math.hypot(
        input.jump?.sd ?? level.jumpSdSeconds,
        left ? level.jumpLeftHanderSdSeconds : 0,
      ),
    },
    ...(input.pitches && {
      pitches: input.pitches.map((each) => ({
        pitch: each.name as Pitch,
        weight: each.weight,
        deliverySeconds: each.dDelivery,
        popSeconds: each.dPop,
        sdSeconds: each.sdExtra,
        wild: each.wildAdd,
      })),
    }),
  };
}

describe('chanceSafe', () => {
  it.each(chances.cases)('agrees with the chance of "$name"', ({ input, expected }) => {
    const found = chanceSafe(raceOf(input));
    const near = (value: number, agreed: number) => {
      expect(Math.abs(value - agreed)).toBeLessThan(chances.tolerance);
    };
    near(found.chance, expected.p);
    near(found.low, expected.lo);
    near(found.high, expected.hi);
    near(found.spareSeconds, expected.margin);
    near(found.perTenth, expected.perTenth);
    // There the coach's sum is of the leg lift, whatever the race is of.
    near(found.plainSeconds + (input.slideStep ? 0.17 : 0), expected.coachMargin);
    // Throws that go away are one part here, whatever was pitched: nobody is out on any of them.
    const wild = expected.parts.filter((each) => each.throw === 'wild');
    const away = found.parts.find((each) => each.throw === 'wild');
    near(
      away?.weight ?? 0,
      wild.reduce((sum, { weight }) => sum + weight, 0),
    );
    for (const { p } of wild) expect(p).toBe(away?.chance);
    expect(found.parts).toHaveLength(expected.parts.length - wild.length + 1);
    for (const part of expected.parts.filter((each) => each.throw !== 'wild')) {
      const name = part.throw === 'on' ? 'onLine' : 'offLine';
      const own = found.parts.find((each) => each.pitch === part.pitch && each.throw === name);
      near(own?.weight ?? 0, part.weight);
      near(own?.chance ?? 0, part.p);
    }
    expect(found.parts.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 12);
  });

  it.each([
    ['pro', [11, 21, 43, 74, 94, 99, 100]],
    ['college', [12, 19, 38, 66, 89, 98, 100]],
    ['hs', [12, 18, 33, 57, 81, 95, 99]],
    ['u14', [21, 29, 42, 59, 76, 89, 96]],
    ['fpCollege', [29, 49, 75, 93, 99, 100, 100]],
    ['fpHs', [35, 51, 70, 86, 95, 99, 100]],
  ] as const)('turns seconds into percents as agreed at %s', (name, percents) => {
    const level = LEVELS[name];
    const exact = (meanSeconds: number, sdSeconds: number): DoubtfulSpread => ({
      meanSeconds,
      sdSeconds,
      freedom: Number.POSITIVE_INFINITY,
      meanSdSeconds: 0,
      spreadSeconds: sdSeconds,
    });
    for (const [index, percent] of percents.entries()) {
      const race: Race = {
        level,
        delivery: exact(level.delivery.mean, level.delivery.sdWithin),
        pop: exact(level.popSecond.mean, level.popSecond.sdWithin),
        run: exact(
          level.delivery.mean + level.popSecond.mean - (index - 3) / 10,
          level.runSdSeconds,
        ),
        jump: { meanSeconds: level.jumpSeconds, sdSeconds: level.jumpSdSeconds },
      };
      expect(Math.abs(chanceSafe(race).chance * 100 - percent)).toBeLessThan(1.01);
    }
  });
});

describe('what is thrown', () => {
  it('changes the race as agreed', () => {
    for (const [name, { name: same, dDelivery, dPop, sdExtra, wildAdd }] of Object.entries(
      levels.PITCHES,
    )) {
      expect(same).toBe(name);
      expect(PITCH_EFFECTS[name as Pitch]).toEqual({
        deliverySeconds: dDelivery,
        popSeconds: dPop,
        sdSeconds: sdExtra,
        wild: wildAdd,
      });
    }
    expect(PITCHES.toSorted()).toEqual(Object.keys(levels.PITCHES).toSorted());
  });
});

describe('what it would take', () => {
  it('agrees with the thresholds worked out elsewhere', () => {
    for (const known of thresholds.cases) {
      const race = raceOf(known.input);
      const needs = needsOf(race, readyRace(race), known.pStar);
      const near = (value: number | null | undefined, agreed: number) => {
        expect(Math.abs((value ?? Number.NaN) - agreed)).toBeLessThan(thresholds.tolerance);
      };
      near(needs?.moreSeconds, known.shift);
      // There a slide step's threshold is said as the leg lift's.
      const slide = (known.input as VectorRace).slideStep ? 0.17 : 0;
      near((needs?.deliverySeconds ?? Number.NaN) + slide, known.slowestDelivery);
      near(needs?.popSeconds, known.pop);
      near(needs?.runSeconds, known.run);
      near(needs?.jumpSeconds, known.jump);
    }
    for (const { gain, cost, p } of thresholds.breakEven)
      expect(breakEven(gain, cost)).toBeCloseTo(p, 12);
  });

  it('is nothing when throws away alone are enough', () => {
    const race = raceOf(thresholds.cases[0]?.input as VectorRace);
    expect(needsOf(race, readyRace(race), 0.05)).toBeNull();
    expect(() => breakEven(0, 1)).toThrow('above 0');
  });
});

describe('any race', () => {
  const seconds = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  const anySpread = (min: number, max: number) =>
    fc
      .record({
        meanSeconds: seconds(min, max),
        meanSdSeconds: seconds(0, 0.3),
        spreadSeconds: seconds(0.005, 0.3),
        freedom: fc.oneof(seconds(10, 60), fc.constant(Number.POSITIVE_INFINITY)),
      })
      .map((each) => ({ ...each, sdSeconds: Math.hypot(each.meanSdSeconds, each.spreadSeconds) }));
  const anyRace: fc.Arbitrary<Race> = fc.record({
    level: fc.constantFrom(...Object.values(LEVELS)),
    delivery: fc.option(anySpread(0.3, 2.4)),
    pop: anySpread(1.2, 3.4),
    run: anySpread(2, 5),
    jump: fc.record({ meanSeconds: seconds(-0.2, 0.6), sdSeconds: seconds(0.01, 0.2) }),
  });
  const later = (spread: DoubtfulSpread, by: number): DoubtfulSpread => ({
    ...spread,
    meanSeconds: spread.meanSeconds + by,
  });

  it('has chances from 0 to 1 that never fall with a slower ball or a quicker runner', () => {
    fc.assert(
      fc.property(anyRace, seconds(0, 0.5), (race, by) => {
        const { chance, low, high } = chanceSafe(race);
        for (const each of [chance, low, high]) {
          expect(each).toBeGreaterThanOrEqual(0);
          expect(each).toBeLessThanOrEqual(1 + 1e-12);
        }
        expect(low).toBeLessThanOrEqual(high);
        const better: Race[] = [
          { ...race, pop: later(race.pop, by) },
          { ...race, run: later(race.run, -by) },
          { ...race, jump: { ...race.jump, meanSeconds: race.jump.meanSeconds - by } },
          ...(race.delivery ? [{ ...race, delivery: later(race.delivery, by) }] : []),
        ];
        // A twentieth of a second has to show, but where only throws away or nothing at all is left.
        const shows = by >= 0.05 && chance > 0.5 && chance < 0.95;
        for (const each of better) {
          const rise = chanceSafe(each).chance - chance;
          expect(rise).toBeGreaterThanOrEqual(shows ? 1e-3 : -1e-9);
        }
      }),
      { numRuns: 400 },
    );
  });

  it('is inverted by what it would take', () => {
    fc.assert(
      fc.property(anyRace, seconds(0.3, 0.97), (race, needed) => {
        const ready = readyRace(race);
        const needs = needsOf(race, ready, needed);
        if (needs === null) return;
        expect(chanceAt(ready, needs.moreSeconds)).toBeCloseTo(needed, 6);
        const run = { ...race.run, meanSeconds: needs.runSeconds };
        expect(chanceSafe({ ...race, run }).chance).toBeCloseTo(needed, 6);
      }),
      { numRuns: 400 },
    );
  });
});
