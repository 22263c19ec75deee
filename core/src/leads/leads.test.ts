import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import daylightVectors from '../../vectors/race/daylight.json';
import constants from '../../vectors/race/levels.json';
import safeLead from '../../vectors/race/safe-lead.json';
import secondaryVectors from '../../vectors/race/secondary.json';
import { aReading } from '../../test/aReading.ts';
import { normalCdf } from '../maths/index.ts';
import { PRESETS } from '../rules/index.ts';
import { populationsOf } from '../sprint/index.ts';
import { LEVELS, type LevelName } from '../timing/index.ts';
import {
  bestLead,
  MODE_EFFECTS,
  STRIDE_RULES,
  chanceOnTime,
  chancePicked,
  coverOfThird,
  daylight,
  longestDaylightLead,
  hipsOf,
  judgeLeaving,
  knownLead,
  longestLead,
  longestLeadBetween,
  momentOf,
  ownReturn,
  picksAtSecond,
  rangeShown,
  returnSeconds,
  secondaryPlan,
  stepsToLead,
  THROWS_OVER,
  tradeOff,
  usualLookFeet,
  walkOffThird,
  type Corner,
  type LeadMode,
  type Stance,
  type Stride,
  type TestDive,
  type Throw,
} from './index.ts';

const MODES: Record<string, LeadMode> = {
  'two-way': 'twoWay',
  'one-way': 'oneWay',
  going: 'going',
};
const standing = { corner: 'back', mode: 'twoWay', awaySpeed: 0 } as const;
const near = (value: number, expected: number, tolerance: number): void => {
  expect(Math.abs(value - expected), `${String(value)} for ${String(expected)}`).toBeLessThan(
    tolerance,
  );
};

describe('a throw to first', () => {
  it('has the agreed returns, chances and longest leads', () => {
    for (const { level: name, hand, mode, corner, risk, pick, ...expected } of safeLead.cases) {
      const level = LEVELS[name as LevelName];
      const stance: Stance = {
        leadFeet: 11,
        corner: corner as Corner,
        mode: MODES[mode] ?? 'twoWay',
        awaySpeed: 0,
      };
      const leftHander = hand === 'L';
      const throwing = { meanSeconds: pick.mean, sdSeconds: pick.sd };
      const toBase = { stance, level, throwing, leftHander };
      near(returnSeconds(stance, level, leftHander), expected.returnAt11, safeLead.tolerance);
      near(chancePicked(toBase), expected.pAt11, safeLead.tolerance);
      near(longestLead(toBase, risk), expected.maxLead, safeLead.tolerance);
    }
  });

  it('behind a runner who drifts has the agreed chances', () => {
    for (const { level: name, pick, lead, v0Away, corner, p } of safeLead.snap) {
      const level = LEVELS[name as LevelName];
      const stance: Stance = {
        ...standing,
        corner: corner as Corner,
        leadFeet: lead,
        awaySpeed: v0Away,
      };
      const throwing = { meanSeconds: pick.mean, sdSeconds: pick.sd };
      near(chancePicked({ stance, level, throwing, leftHander: false }), p, safeLead.tolerance);
    }
  });
});

describe('a throw to second that somebody has to cover', () => {
  it('has the agreed chances and longest leads', () => {
    for (const { level: name, ball, fielder, risk, corner, maxLead, pAt15 } of safeLead.second) {
      const level = LEVELS[name as LevelName];
      const { dist, react, reactSd, moveSd } = fielder;
      const toBase = {
        stance: { ...standing, corner: corner as Corner, leadFeet: 15 },
        level,
        throwing: { meanSeconds: ball.mean, sdSeconds: ball.sd },
        leftHander: false,
        cover: {
          feet: dist,
          reactSeconds: react,
          sdSeconds: Math.hypot(reactSd, moveSd),
          reachFeet: 3,
        },
      };
      near(chancePicked(toBase), pAt15, safeLead.tolerance);
      near(longestLead(toBase, risk), maxLead, safeLead.tolerance);
    }
  });
});

describe('daylight', () => {
  it('has the agreed times, chances and longest leads', () => {
    for (const { level: name, lead, cue, offset, depth, expected } of daylightVectors.cases) {
      const level = LEVELS[name as LevelName];
      const spin = {
        meanSeconds: level.pickSecond?.mean ?? 0,
        sdSeconds: level.pickSecond?.sdWithin ?? 0,
      };
      const pick = {
        level,
        cue: cue as 'coach' | 'turn',
        offsetFeet: offset,
        depthFeet: depth,
        spin,
      };
      const found = daylight({ ...pick, leadFeet: lead });
      near(found.shortstopSeconds, expected.ss, daylightVectors.tolerance);
      near(found.runnerSeconds, expected.runner, daylightVectors.tolerance);
      near(found.ballSeconds, expected.ball, daylightVectors.tolerance);
      near(found.chanceDaylight, expected.pDaylight, daylightVectors.tolerance);
      near(found.chancePicked, expected.pPicked, daylightVectors.tolerance);
      near(longestDaylightLead(pick, 0.02), expected.safeLead, daylightVectors.tolerance);
    }
  });
});

describe('a throw that goes away', () => {
  it('wins the runner a base half of the time, in what a lead is worth', () => {
    const level = { ...LEVELS.hs, throws: { ...LEVELS.hs.throws, wild: 0.3 } };
    const throwing = { meanSeconds: 1.05, sdSeconds: 0.08 };
    const toBase = { stance: { ...standing, leadFeet: 8 }, level, throwing, leftHander: false };
    const safeAt = (feet: number): number => 0.62 + feet / 60;
    const stakes = { gain: 0.2, cost: 0.5 };
    // Played out pitch by pitch: thrown over, picked, thrown away, or pitched.
    const worth = (leadFeet: number): number => {
      const picked = chancePicked({ ...toBase, stance: { ...standing, leadFeet } });
      const safe = safeAt(leadFeet);
      const going = Math.max(0, safe * stakes.gain - (1 - safe) * stakes.cost);
      const often = Math.min(0.9, 0.3 + 0.12 * Math.max(0, leadFeet - 11));
      let value = 0;
      for (let round = 0; round < 2000; round += 1) {
        const thrown = 0.15 * stakes.gain - picked * stakes.cost + (1 - picked - 0.15) * value;
        value = often * thrown + (1 - often) * going;
      }
      return value;
    };
    const leads = Array.from({ length: 41 }, (_, step) => 6 + step / 4);
    const best = leads.reduce((most, each) => (worth(each) > worth(most) ? each : most));
    const found = bestLead(toBase, safeAt, stakes, 0.3, [6, 16]);
    expect(found?.leadFeet).toBe(best);
    const alike = leads.filter((each) => worth(each) >= worth(best) - 0.05 * stakes.gain);
    expect([found?.fromFeet, found?.toFeet]).toEqual([alike[0], alike.at(-1)]);
  });
});

describe('the agreed constants of leads', () => {
  it('are what they were agreed to be', () => {
    for (const [name, { dReact, dJump, jumpSd }] of Object.entries(constants.MODE)) {
      expect(MODE_EFFECTS[MODES[name] ?? 'twoWay']).toEqual({
        reactSeconds: dReact,
        jumpSeconds: dJump,
        jumpSdSeconds: jumpSd,
      });
    }
    for (const [name, { ft, sec, v }] of Object.entries(constants.STRIDE)) {
      expect(STRIDE_RULES[name as Stride]).toMatchObject({
        feet: ft,
        seconds: sec,
        speedAtLanding: v,
      });
    }
    expect(-LEVELS.hs.slideStepSavesSeconds).toBe(constants.SLIDE_STEP);
  });
});

describe('the secondary lead', () => {
  it('has the agreed timetables', () => {
    for (const { delivery, primary, n, style, lefty, expected } of secondaryVectors.cases) {
      const plan = secondaryPlan({
        deliverySeconds: delivery,
        primaryFeet: primary,
        stride: style as Stride,
        shuffles: n,
        leftHander: lefty,
      });
      near(plan.startSeconds, expected.start, secondaryVectors.tolerance);
      near(plan.stepFeet, expected.stepFt, secondaryVectors.tolerance);
      near(plan.stepSeconds, expected.stepSec, secondaryVectors.tolerance);
      near(plan.endFeet, expected.endLead, secondaryVectors.tolerance);
      near(plan.endFeet - primary, expected.gained, secondaryVectors.tolerance);
      expect(plan.landings).toHaveLength(expected.n);
      expect([n, style]).toEqual([expected.n, expected.style]);
      expect(plan.hurried).toBe(expected.tooEarly);
      expect(plan.speedAtLanding).toBe(expected.speedAtLanding);
      for (const [index, landing] of expected.landings.entries()) {
        near(plan.landings[index] ?? 0, landing, secondaryVectors.tolerance);
      }
    }
  });

  it('lands on time as often as agreed', () => {
    const { sdDelivery, sdRunner, w, p } = secondaryVectors.pOnTime;
    near(chanceOnTime(sdDelivery, sdRunner, w), p, secondaryVectors.tolerance);
  });
});

describe('a throw to third', () => {
  it('leaves about as much as the third baseman is off, from 12 ft on', () => {
    const agreed: [number, number, number][] = [
      [10, 11.5, 12.5],
      [15, 14.5, 15.7],
      [20, 18.1, 19.4],
      [25, 21.5, 23],
    ];
    for (const name of ['pro', 'college', 'hs', 'u14'] as const) {
      const level = LEVELS[name];
      const pick = level.pickRightHander;
      const throwing = { meanSeconds: (pick?.mean ?? 0) - 0.05, sdSeconds: pick?.sdWithin ?? 0 };
      for (const [feet, least, most] of agreed) {
        const stance: Stance = { ...standing, leadFeet: 10 };
        const toBase = { stance, level, throwing, leftHander: false, cover: coverOfThird(feet) };
        const lead = longestLead(toBase, 0.01);
        expect(lead).toBeGreaterThan(least - 0.35);
        expect(lead).toBeLessThan(most + 0.35);
      }
    }
  });
});

describe('any lead', () => {
  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  const anyThrow: fc.Arbitrary<Throw> = fc.record({
    level: fc.constantFrom(...Object.values(LEVELS)),
    stance: fc.record({
      leadFeet: number(0, 30),
      corner: fc.constantFrom<Corner>('back', 'front'),
      mode: fc.constantFrom<LeadMode>('twoWay', 'oneWay', 'going'),
      awaySpeed: number(0, 8),
    }),
    throwing: fc.record({ meanSeconds: number(0.6, 2.4), sdSeconds: number(0.02, 0.3) }),
    leftHander: fc.boolean(),
  });

  it('has a chance from 0 to 1 that never falls with more lead, with or without a man to cover', () => {
    fc.assert(
      fc.property(anyThrow, number(0, 10), number(0, 40), (toBase, more, feet) => {
        const longer = { ...toBase.stance, leadFeet: toBase.stance.leadFeet + more };
        for (const each of [toBase, { ...toBase, cover: coverOfThird(feet) }]) {
          const chance = chancePicked(each);
          expect(chance).toBeGreaterThanOrEqual(-1e-12);
          expect(chance).toBeLessThanOrEqual(1 + 1e-9);
          expect(chancePicked({ ...each, stance: longer })).toBeGreaterThanOrEqual(chance - 1e-9);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('at the longest safe lead is picked just as often as the risk taken', () => {
    fc.assert(
      fc.property(anyThrow, number(0.005, 0.3), (toBase, risk) => {
        const leadFeet = longestLead(toBase, risk);
        fc.pre(leadFeet > 4.01 && leadFeet < 29.99);
        const chance = chancePicked({ ...toBase, stance: { ...toBase.stance, leadFeet } });
        expect(Math.abs(chance - risk)).toBeLessThan(1e-3);
      }),
      { numRuns: 200 },
    );
    const level = LEVELS.hs;
    const throwing = { meanSeconds: 1.1, sdSeconds: 0.08 };
    const toBase = { stance: { ...standing, leadFeet: 10 }, level, throwing, leftHander: false };
    expect(() => longestLead(toBase, 0)).toThrow('between 0 and 1');
  });

  it('lies between what the doubt of the times allows, and the doubt narrows it', () => {
    const level = LEVELS.hs;
    const stance: Stance = { ...standing, leadFeet: 10 };
    const move = (meanSdSeconds: number) => ({
      meanSeconds: 1.1,
      spreadSeconds: 0.08,
      meanSdSeconds,
      sdSeconds: Math.hypot(0.08, meanSdSeconds),
      freedom: 20,
    });
    const own = { laterSeconds: 0, sdSeconds: 0.03 };
    const between = (meanSd: number) =>
      longestLeadBetween({ stance, level, throwing: move(meanSd), leftHander: false, own }, 0.02);
    const [short, long] = between(0.06);
    const safe = longestLead({ stance, level, throwing: move(0.06), leftHander: false, own }, 0.02);
    expect(short).toBeLessThan(safe);
    expect(safe).toBeLessThan(long);
    const [shorter, longer] = between(0.02);
    expect(longer - shorter).toBeLessThan(long - short);
  });

  it('costs more coming back than it wins going, side by side', () => {
    const level = LEVELS.hs;
    const throwing = { meanSeconds: 1.1, sdSeconds: 0.08 };
    const toBase = { stance: { ...standing, leadFeet: 0 }, level, throwing, leftHander: false };
    const points = tradeOff(toBase, (feet) => feet / 20, [10, 11, 12]);
    expect(points.map(({ leadFeet }) => leadFeet)).toEqual([10, 11, 12]);
    expect(points[2]?.picked).toBeGreaterThan((points[1]?.picked ?? 1) * 3);
    expect(points[2]?.safe).toBe(0.6);
  });

  it('the best lead is shorter the more often he throws over, and the more an out costs', () => {
    const level = LEVELS.hs;
    const throwing = { meanSeconds: 1.1, sdSeconds: 0.08 };
    const toBase = { stance: { ...standing, leadFeet: 0 }, level, throwing, leftHander: false };
    // A quick runner: about .04 s a foot, by the deviation of a close race.
    const safeAt = (feet: number) => normalCdf(0.7 + (feet - 11.5) * 0.27);
    const best = (throwsOver: number, cost = 0.42) =>
      bestLead(toBase, safeAt, { gain: 0.18, cost }, throwsOver, [6, 16]);
    const feet = Object.values(THROWS_OVER).map((share) => best(share)?.leadFeet ?? 0);
    expect(feet).toEqual(feet.toSorted((a, b) => b - a));
    // Agreed for a quick runner: 12 to 13.25 ft, within a foot as the race is not the same.
    for (const each of feet) expect(Math.abs(each - 12.6)).toBeLessThan(1.7);
    const usual = best(0.3);
    expect(best(0.3, 0.5)?.leadFeet).toBeLessThanOrEqual(usual?.leadFeet ?? 0);
    expect(usual?.fromFeet).toBeLessThanOrEqual(usual?.leadFeet ?? 0);
    expect(usual?.toFeet).toBeGreaterThanOrEqual(usual?.leadFeet ?? 0);
    // An out that costs so much that going never pays: no lead is the best one.
    expect(best(0.3, 90)).toBeNull();
  });
});

describe('a runner’s own way back', () => {
  const field = { level: LEVELS.hs, ruleset: PRESETS.fullSizeSeven };
  const person = { throws: 'right', bats: 'right' } as const;
  const dive = (
    leadFeet: number,
    result: TestDive['result'],
    inchesShort: number | null = null,
  ) => ({
    leadFeet,
    result,
    inchesShort,
  });
  const of = (dives: TestDive[], seconds: number[] = []) =>
    ownReturn(
      person,
      populationsOf(
        person,
        seconds.map((each) => aReading({ kind: 'diveBack', seconds: each, leadFeet: 11.5 })),
        field,
        new Map(),
      ),
      dives,
      field,
    );

  it('is typical without evidence, and says how little is known', () => {
    expect(of([])).toMatchObject({ laterSeconds: 0, timed: 0, dived: 0 });
    expect(of([]).sdSeconds).toBeCloseTo(0.07, 2);
  });

  it('follows the test dive: elbow over is quicker, inches short is slower, and each makes it surer', () => {
    expect(rangeShown(dive(11, 'elbowOver'))).toBe(12.25);
    expect(rangeShown(dive(11, 'short', 6))).toBe(10.5);
    const [over, on, short] = [
      of([dive(11, 'elbowOver')]),
      of([dive(11, 'handOn')]),
      of([dive(11, 'short', 9)]),
    ];
    expect(over.laterSeconds).toBeLessThan(on.laterSeconds);
    expect(on.laterSeconds).toBeLessThan(short.laterSeconds);
    expect(on.laterSeconds).toBeCloseTo(0, 2);
    expect(of([dive(11, 'handOn'), dive(11, 'handOn')]).sdSeconds).toBeLessThan(on.sdSeconds);
  });

  it('follows his timed dives', () => {
    const quick = of([], [0.7, 0.72, 0.69, 0.71]);
    expect(quick.laterSeconds).toBeLessThan(-0.1);
    expect(quick).toMatchObject({ timed: 4, dived: 0 });
  });
});

describe('footwork', () => {
  it('goes right, left, square, then creeps to the lead', () => {
    const steps = stepsToLead(11.5);
    expect(steps.slice(0, 3).map(({ foot }) => foot)).toEqual(['right', 'left', 'right']);
    const [right, left] = steps.slice(-2);
    expect(((right?.feet ?? 0) + (left?.feet ?? 0)) / 2).toBeCloseTo(11.5, 9);
    expect(stepsToLead(6)).toHaveLength(3);
    expect(() => stepsToLead(0)).toThrow('above 0 ft');
  });

  it('walks off third right, left, right, the right foot down as the ball is over the plate', () => {
    const walk = walkOffThird(1.4, 8);
    expect(walk.steps.map(({ foot }) => foot)).toEqual(['right', 'left', 'right']);
    expect(walk.steps.at(-1)?.landsSeconds).toBeCloseTo(1.36, 9);
    expect(walk.endFeet).toBeCloseTo(15.8, 9);
    expect(walk.beforeFirstMove).toBe(false);
    expect(walkOffThird(1.1, 8).beforeFirstMove).toBe(true);
    expect(() => walkOffThird(0, 8)).toThrow('above 0 s');
  });
});

describe('second base', () => {
  const level = LEVELS.hs;
  const at = (alongFeet: number, behindFeet = 0) => ({ alongFeet, behindFeet });
  const asked = {
    level,
    runner: at(15),
    shortstop: at(11, 8),
    secondBasemanFeet: 30,
    cue: 'turn',
    spin: { meanSeconds: 1.27, sdSeconds: 0.09 },
  } as const;

  it('reads the shortstop’s hips', () => {
    expect(hipsOf(at(15), at(11))).toBe('inside');
    expect(hipsOf(at(15), at(15.5))).toBe('even');
    expect(hipsOf(at(15), at(21))).toBe('outside');
  });

  it('is safer with the coach calling the break, and with the shortstop deep and outside', () => {
    const daylightAt = (parts: Partial<Parameters<typeof picksAtSecond>[0]>) =>
      picksAtSecond({ ...asked, ...parts }, 0.02)[0];
    const own = daylightAt({});
    expect(daylightAt({ cue: 'coach' })?.longestFeet).toBeGreaterThan(
      (own?.longestFeet ?? 99) + 1.5,
    );
    const deep = daylightAt({ shortstop: at(20, 15) });
    expect(deep?.chance).toBeLessThan(own?.chance ?? 0);
  });

  it('risks more the farther he is, and deep counts as far', () => {
    const chances = (runner: { alongFeet: number; behindFeet: number }) =>
      picksAtSecond({ ...asked, runner }, 0.02).map(({ chance }) => chance);
    const [near, far, deep] = [chances(at(13)), chances(at(18)), chances(at(13, 12))];
    for (const index of [0, 1, 2]) {
      expect(far[index]).toBeGreaterThan(near[index] ?? 1);
    }
    expect(deep[1]).toBeGreaterThan(near[1] ?? 1);
  });
});

describe('leaving with the release', () => {
  const leave = (meanSeconds: number, sdSeconds: number) => ({
    meanSeconds,
    sdSeconds,
    freedom: 20,
    meanSdSeconds: 0.02,
    spreadSeconds: sdSeconds,
  });

  it('is an out when early and feet when late, and the aim lies between', () => {
    const { chanceEarly, feetLost, aimSeconds } = judgeLeaving(leave(0.05, 0.05), 23, 0.02);
    expect(chanceEarly).toBeCloseTo(0.025, 2);
    expect(feetLost).toBeCloseTo(1.15, 9);
    expect(judgeLeaving(leave(aimSeconds, 0.05), 23, 0.02).chanceEarly).toBeCloseTo(0.02, 3);
    expect(judgeLeaving(leave(-0.05, 0.05), 23, 0.02)).toMatchObject({ feetLost: 0 });
    expect(judgeLeaving(leave(0, 0.02), 23, 0.02).aimSeconds).toBeLessThan(aimSeconds);
    expect(() => judgeLeaving(leave(0, 0.02), 23, 0)).toThrow('between 0 and 1');
  });
});

describe('leads that were seen', () => {
  const feet = fc.double({ min: 0, max: 40, noNaN: true });

  it('are nobody’s lead while nothing was seen', () => {
    expect(knownLead([], 11.5)).toBeNull();
  });

  it('move the usual lead toward what was seen, and farther the more looks there are', () => {
    const one = knownLead([15], 11.5);
    const many = knownLead(Array<number>(20).fill(15), 11.5);
    // One look and what is usual of runners count for the same.
    expect(one?.feet).toBeCloseTo(13.25, 1);
    expect(many?.feet).toBeCloseTo(14.83, 1);
    expect(many?.giveOrTakeFeet).toBeLessThan(one?.giveOrTakeFeet ?? 0);
    expect(many?.looks).toBe(20);
  });

  it('lie between the usual lead and the looks, in whatever order they came', () => {
    fc.assert(
      fc.property(fc.array(feet, { minLength: 1, maxLength: 30 }), feet, (seen, usual) => {
        const known = knownLead(seen, usual)?.feet ?? Number.NaN;
        expect(known).toBeGreaterThanOrEqual(Math.min(...seen, usual) - 1e-9);
        expect(known).toBeLessThanOrEqual(Math.max(...seen, usual) + 1e-9);
        expect(knownLead(seen.toReversed(), usual)?.feet).toBeCloseTo(known, 9);
      }),
    );
  });

  it('are looked at when the pitcher is set, and where nobody leads off at the mitt', () => {
    const { fullSizeSeven: baseball, fastpitch43: softball } = PRESETS;
    expect([momentOf(baseball), momentOf(softball)]).toEqual(['set', 'mitt']);
    expect(usualLookFeet('first', baseball)).toBe(11.5);
    expect(usualLookFeet('second', baseball)).toBe(16);
    expect(usualLookFeet('first', softball)).toBe(9);
    expect(usualLookFeet('first', { ...baseball, leadRule: 'reachesBatter' })).toBe(4.5);
  });
});
