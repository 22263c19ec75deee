import { FLAG_CHANCE } from './belief.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import flags from '../../vectors/race/flags.json';
import predictive from '../../vectors/race/posterior-predictive.json';
import reps from '../../vectors/race/reps-needed.json';
import { makeRandom, normalDraw } from '../maths/index.ts';
import {
  LEVELS,
  believe,
  estimate,
  flagReadings,
  meanInterval,
  nextReadingTail,
  predictNext,
  repsNeeded,
  type LevelName,
  type TimedSeconds,
  type TypicalTime,
} from './index.ts';

/** The vectors' names of kinds. */
function priorOf(level: string, kind: string): TypicalTime {
  const { delivery, popSecond, stealSecond, pickRightHander } = LEVELS[level as LevelName];
  const prior = { delivery, pop2: popSecond, run2: stealSecond, pick1R: pickRightHander }[kind];
  if (!prior) throw new Error(`no prior for ${kind}`);
  return prior;
}
const usualOf = ({ sd, bias }: { sd: number; bias: number }) => ({
  biasSeconds: bias,
  sdSeconds: sd,
});
const timed = (readings: number[], timer: { sd: number; bias: number }): TimedSeconds[] =>
  readings.map((seconds) => ({ seconds, timer: usualOf(timer) }));

describe('what is believed of a population', () => {
  it.each(predictive.cases)('of $level $kind agrees with the agreed figures', (agreed) => {
    const { level, kind, readings, timer } = agreed;
    const near = (value: number, expected: number | undefined): void => {
      expect(Math.abs(value - (expected ?? Number.NaN))).toBeLessThan(predictive.tolerance);
    };
    const belief = believe(priorOf(level, kind), timed(readings, timer), usualOf(timer));
    near(belief.meanSeconds, agreed.posterior.m);
    near(belief.weight, agreed.posterior.k);
    near(belief.freedomHalf, agreed.posterior.a);
    near(belief.scatter, agreed.posterior.b);
    const next = predictNext(belief);
    near(next.meanSeconds, agreed.predictive.mean);
    near(next.sdSeconds, agreed.predictive.sd);
    near(next.scaleSeconds, agreed.predictive.scale);
    near(next.freedom, agreed.predictive.nu);
    near(next.meanSdSeconds, agreed.predictive.meanSd);
    near(next.spreadSeconds, agreed.predictive.aleatorySd);
    meanInterval(belief, 0.8).forEach((end, index) => {
      near(end, agreed.mean80[index]);
    });
    meanInterval(belief, 0.95).forEach((end, index) => {
      near(end, agreed.mean95[index]);
    });
    // The tail of a reading .2 s above the mean.
    const tail = nextReadingTail(belief, belief.meanSeconds + 0.2);
    near(tail.z, agreed.nextReadingTail.z);
    near(tail.p, agreed.nextReadingTail.p);
  });

  it.each(reps.cases)('needs $reps of $level $kind at $timerSd, $credible', (agreed) => {
    const { level, kind, timerSd, half, credible } = agreed;
    const belief = believe(priorOf(level, kind), [], { biasSeconds: 0, sdSeconds: timerSd });
    expect(repsNeeded(belief, half, credible)).toBe(agreed.reps);
  });

  it.each(flags.cases)(
    'flags of $readings what was agreed',
    ({ level, kind, readings, timer, flags: agreed }) => {
      expect(flagReadings(priorOf(level, kind), timed(readings, timer), usualOf(timer))).toEqual(
        agreed,
      );
    },
  );
});

const prior = LEVELS.hs.delivery;
const typical = { biasSeconds: 0, sdSeconds: 0.05 };
const anyTimer = fc.record({
  biasSeconds: fc.double({ min: -0.1, max: 0.1, noNaN: true }),
  sdSeconds: fc.double({ min: 0.005, max: 0.12, noNaN: true }),
});
const anyTime = fc.record({
  seconds: fc.double({ min: 1, max: 2.2, noNaN: true }),
  timer: anyTimer,
});
const anyTimes = fc.array(anyTime, { minLength: 1, maxLength: 40 });

it('a flag is raised on one reading in twenty that is right', () => {
  expect(FLAG_CHANCE).toBe(flags.alpha);
});

describe('estimates', () => {
  it('lie between the prior and the data', () => {
    fc.assert(
      fc.property(anyTimes, (times) => {
        const own = times.map(({ seconds, timer }) => seconds - timer.biasSeconds);
        const mean = estimate(prior, times, typical)?.meanSeconds ?? Number.NaN;
        expect(mean).toBeGreaterThanOrEqual(Math.min(prior.mean, ...own) - 1e-9);
        expect(mean).toBeLessThanOrEqual(Math.max(prior.mean, ...own) + 1e-9);
      }),
    );
  });

  it('are less in doubt the more readings of one player there are', () => {
    fc.assert(
      fc.property(fc.nat(), fc.integer({ min: 1, max: 12 }), (seed, count) => {
        const random = makeRandom(seed);
        const own = normalDraw(random, prior.mean, prior.sdBetween);
        const times = Array.from({ length: 8 * count }, () => ({
          seconds: normalDraw(random, own, Math.hypot(prior.sdWithin, typical.sdSeconds)),
          timer: typical,
        }));
        const few = estimate(prior, times.slice(0, count), typical);
        const many = estimate(prior, times, typical);
        expect(many?.meanSdSeconds).toBeLessThan(few?.meanSdSeconds ?? 0);
        expect(many?.priorShare).toBeLessThan(few?.priorShare ?? 0);
      }),
    );
  });

  it('need fewer more for a wider band, and none once they are good', () => {
    fc.assert(
      fc.property(anyTimes, (times) => {
        const belief = believe(prior, times, typical);
        const needed = [0.02, 0.03, 0.06].map((half) => repsNeeded(belief, half, 0.8));
        expect(needed).toEqual(needed.toSorted((a, b) => b - a));
        const half = meanInterval(belief, 0.8)[1] - belief.meanSeconds;
        expect(repsNeeded(belief, half + 1e-9, 0.8)).toBe(0);
      }),
    );
  });

  it('do not depend on the order', () => {
    fc.assert(
      fc.property(anyTimes, (times) => {
        const forth = estimate(prior, times, typical);
        const back = estimate(prior, times.toReversed(), typical);
        expect(back?.meanSeconds).toBeCloseTo(forth?.meanSeconds ?? 0, 12);
        expect(back?.giveOrTakeSeconds).toBeCloseTo(forth?.giveOrTakeSeconds ?? 0, 12);
        expect(flagReadings(prior, times.toReversed(), typical)).toEqual(
          flagReadings(prior, times, typical).toReversed(),
        );
      }),
    );
  });

  it('take a known bias of the timer out', () => {
    fc.assert(
      fc.property(anyTimes, fc.double({ min: -0.2, max: 0.2, noNaN: true }), (times, shift) => {
        const shifted = times.map(({ seconds, timer }) => ({
          seconds: seconds + shift,
          timer: { ...timer, biasSeconds: timer.biasSeconds + shift },
        }));
        expect(estimate(prior, shifted, typical)?.meanSeconds).toBeCloseTo(
          estimate(prior, times, typical)?.meanSeconds ?? 0,
          9,
        );
      }),
    );
  });

  it('heed a precise timer more than a shaky one', () => {
    const at = (seconds: number, sdSeconds: number) => ({
      seconds,
      timer: { biasSeconds: 0, sdSeconds },
    });
    const mean = (times: TimedSeconds[]) => estimate(prior, times, typical)?.meanSeconds ?? 0;
    expect(mean([at(1.3, 0.01), at(1.5, 0.1)])).toBeLessThan(mean([at(1.3, 0.1), at(1.5, 0.01)]));
  });

  it('are never NaN, and flag at most a third beside those out of bounds', () => {
    fc.assert(
      fc.property(anyTimes, (times) => {
        const found = estimate(prior, times, typical);
        for (const value of Object.values(found ?? {}).flat()) expect(value).not.toBeNaN();
        const marked = flagReadings(prior, times, typical);
        const within = marked.filter((flag, index) => {
          const { seconds = 0, timer } = times[index] ?? {};
          const own = seconds - (timer?.biasSeconds ?? 0);
          return flag && own >= prior.min && own <= prior.max;
        });
        expect(within.length).toBeLessThanOrEqual(Math.max(1, Math.floor(times.length / 3)));
      }),
    );
  });

  it('without a prior are the mean of the readings, and without either nothing', () => {
    const times = [3.1, 3.3, 3.5].map((seconds) => ({ seconds, timer: typical }));
    const found = estimate(null, times, typical);
    expect(found?.meanSeconds).toBeCloseTo(3.3, 6);
    expect(found?.priorShare).toBeLessThan(0.01);
    expect(estimate(null, [], typical)).toBeNull();
    expect(estimate(prior, [], typical)).toMatchObject({ count: 0, priorShare: 1 });
  });
});
