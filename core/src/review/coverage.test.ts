import { describe, expect, it } from 'vitest';
import { makeRandom, normalDraw, type Random } from '../maths/index.ts';
import { LEVELS } from '../timing/index.ts';
import {
  chanceBefore,
  PRIOR_SD,
  REFITTED,
  shippedTheta,
  UNKNOWN_PITCH,
  type Attempt,
  type Theta,
} from './attempt.ts';
import { raceConstantsOf } from './learned.ts';
import { refit } from './refit.ts';

const constants = raceConstantsOf(LEVELS.hs);
const shipped = shippedTheta(constants);
const TIMER_SD = 0.045;
const expit = (x: number): number => 1 / (1 + Math.exp(-x));

/** One attempt played out by the race itself, in a world whose numbers are not the shipped ones. */
function played(random: Random, world: Theta): Attempt {
  const at = (which: number): number => world[which] ?? 0;
  const leg = (mean: number, between: number, within: number) => ({
    mean: normalDraw(random, mean, between),
    doubt: 0.03,
    within,
  });
  const [delivery, pop, run] = [
    leg(1.42, 0.06, 0.05),
    leg(2.15, 0.08, 0.07),
    leg(3.35, 0.15, 0.06),
  ];
  const factor = Math.exp(at(5));
  const really = ({ mean, doubt, within }: typeof delivery, by: number): number =>
    normalDraw(random, normalDraw(random, mean, doubt), within * by);
  const [d, p, r] = [really(delivery, factor), really(pop, factor), really(run, 1)];
  const j = normalDraw(random, at(0), Math.exp(at(1)));
  const wild = Math.min(0.6, Math.max(0.01, expit(at(4)) + UNKNOWN_PITCH.wild));
  const way =
    random() < wild ? 'away' : random() < expit(at(3)) ? ('offLine' as const) : ('onLine' as const);
  const [tag, tagSd] =
    way === 'offLine'
      ? [constants.tagOffSeconds, constants.tagOffSdSeconds]
      : [constants.tagOnSeconds, constants.tagOnSdSeconds];
  const ball =
    d +
    normalDraw(random, 0, UNKNOWN_PITCH.sd) +
    p +
    normalDraw(random, tag * Math.exp(at(2)), tagSd);
  const timed = (seconds: number) => ({
    seconds: normalDraw(random, seconds, TIMER_SD),
    sd: TIMER_SD,
  });
  return {
    toThird: false,
    againstLeft: false,
    slideReckoned: false,
    delivery,
    pop,
    run,
    pitch: UNKNOWN_PITCH,
    timed: random() < 0.3 ? { jump: timed(j) } : {},
    throw: random() < 0.5 ? way : null,
    safe: way === 'away' || ball > j + r,
    weight: 1,
    popTimed: 0,
  };
}

/** A season of attempts; the board says go before each. */
function season(random: Random, world: Theta, count: number): Attempt[] {
  const all: Attempt[] = [];
  while (all.length < count) {
    const attempt = played(random, world);
    if (chanceBefore(attempt, shipped, constants) >= 0.75) all.push(attempt);
  }
  return all;
}

const Z80 = 1.2816;
const SEASONS = 60;
const [JUMP, TAG] = [REFITTED.indexOf('jump'), REFITTED.indexOf('tag')];

describe('seasons in worlds with other numbers, run only where the board said go', () => {
  const random = makeRandom(20_311);
  const seasons = Array.from({ length: SEASONS }, () => {
    const world = REFITTED.map((name, at) => normalDraw(random, shipped[at] ?? 0, PRIOR_SD[name]));
    return { world, found: refit(season(random, world, 60), constants) };
  });

  it('are covered by the intervals as often as they claim', () => {
    for (const which of [JUMP, TAG, REFITTED.indexOf('offLine'), REFITTED.indexOf('away')]) {
      const inside = seasons.filter(
        ({ world, found }) =>
          Math.abs((found.theta[which] ?? 0) - (world[which] ?? 9)) <= Z80 * (found.sd[which] ?? 0),
      ).length;
      // Eight in ten, by sixty seasons: four standard errors.
      expect(inside / SEASONS, REFITTED[which]).toBeGreaterThan(0.6);
      expect(inside / SEASONS, REFITTED[which]).toBeLessThan(0.98);
    }
  });

  it('move the jump toward the truth, far more often than away from it', () => {
    const off = (jump: number, world: Theta): number => Math.abs(jump - (world[JUMP] ?? 0));
    const nearer = seasons.filter(
      ({ world, found }) => off(found.theta[JUMP] ?? 0, world) < off(shipped[JUMP] ?? 0, world),
    ).length;
    expect(nearer).toBeGreaterThan(SEASONS * 0.65);
    const mean = (of: (each: (typeof seasons)[number]) => number): number =>
      seasons.reduce((sum, each) => sum + of(each), 0) / SEASONS;
    const before = mean(({ world }) => off(shipped[JUMP] ?? 0, world));
    const after = mean(({ world, found }) => off(found.theta[JUMP] ?? 0, world));
    expect(after).toBeLessThan(before * 0.7);
    // No lean left of the choice of attempts.
    const lean = mean(({ world, found }) => (found.theta[JUMP] ?? 0) - (world[JUMP] ?? 0));
    expect(Math.abs(lean)).toBeLessThan(0.012);
  });
});
