import { describe, expect, it } from 'vitest';
import daylightVectors from '../../vectors/race/daylight.json';
import safeLead from '../../vectors/race/safe-lead.json';
import secondaryVectors from '../../vectors/race/secondary.json';
import { LEVELS, type LevelName } from '../timing/index.ts';
import {
  chanceOnTime,
  chancePicked,
  daylight,
  longestDaylightLead,
  longestLead,
  returnSeconds,
  secondaryPlan,
  type Corner,
  type LeadMode,
  type Stance,
  type Stride,
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
    for (const { level: name, pick, lead, v0Away, p } of safeLead.snap) {
      const level = LEVELS[name as LevelName];
      const stance: Stance = { ...standing, leadFeet: lead, awaySpeed: v0Away };
      const throwing = { meanSeconds: pick.mean, sdSeconds: pick.sd };
      near(chancePicked({ stance, level, throwing, leftHander: false }), p, safeLead.tolerance);
    }
  });
});

describe('a throw to second that somebody has to cover', () => {
  it('has the agreed chances and longest leads', () => {
    for (const { level: name, ball, fielder, risk, maxLead, pAt15 } of safeLead.second) {
      const level = LEVELS[name as LevelName];
      const { dist, react, reactSd, moveSd } = fielder;
      const toBase = {
        stance: { ...standing, leadFeet: 15 },
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
