import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PRESETS } from '../rules/index.ts';
import { aReading } from '../../test/aReading.ts';
import { populationsOf, type Population } from '../sprint/index.ts';
import type { LevelName, Reading, ReadingKind } from '../timing/index.ts';
import { callSteal, raceOf, stealTimes } from './index.ts';

/** Somebody's times of one kind, taken by gates: an estimate close to their mean. */
function times(
  kind: ReadingKind,
  seconds: number[],
  parts: Partial<Reading> = {},
  rules = PRESETS.fullSizeSeven,
  level: LevelName = 'hs',
): Population[] {
  const each = seconds.map((time) => aReading({ kind, seconds: time, base: 'second', ...parts }));
  return populationsOf(
    { throws: 'right', bats: 'right' },
    each,
    { level, ruleset: rules },
    new Map(),
  );
}

/** Deliveries whose estimate is exactly this. */
function estimatedAt(meanSeconds: number): Population[] {
  return times('delivery', [meanSeconds]).map((each) => ({
    ...each,
    estimate: each.estimate && { ...each.estimate, meanSeconds },
  }));
}

/** So many that the prior no longer shows in the hundredths. */
const often = (...seconds: number[]): number[] => Array.from({ length: 400 }, () => seconds).flat();

const question = {
  ruleset: PRESETS.fullSizeSeven,
  level: 'hs' as const,
  base: 'second' as const,
  style: 'legLift' as const,
  pitcher: { throws: 'right' as const },
  pitcherTimes: times('delivery', often(1.36, 1.4)),
  catcherTimes: times('pop', often(2.05, 2.13)),
  runnerTimes: times('steal', often(3.3, 3.34)),
};

describe('the steal race by the plain sum', () => {
  it('sets delivery + pop + tag against jump + run', () => {
    const race = raceOf(stealTimes(question), 'hs');
    expect(race.ballSeconds).toBeCloseTo(1.38 + 2.09 + 0.1, 9);
    expect(race.runnerSeconds).toBeCloseTo(0.13 + 3.32, 9);
    expect(race.gapSeconds).toBeCloseTo(0.12, 9);
    expect(race.gapFeet).toBeCloseTo(0.12 * 25.7, 1);
    expect(callSteal(race, 0.06)).toEqual({
      verdict: 'go',
      missing: [],
      slowestDeliverySeconds: expect.closeTo(1.32, 9) as number,
    });
  });

  it('goes from go to close to stay as the pitcher gets quicker', () => {
    const verdicts = [1.38, 1.3, 1.2].map((delivery) => {
      const found = stealTimes({ ...question, pitcherTimes: times('delivery', often(delivery)) });
      return callSteal(raceOf(found, 'hs'), 0.06).verdict;
    });
    expect(verdicts).toEqual(['go', 'close', 'stay']);
  });

  it('goes when the gap is exactly the margin', () => {
    const found = stealTimes({ ...question, pitcherTimes: times('delivery', often(1.32)) });
    expect(callSteal(raceOf(found, 'hs'), 0.06).verdict).toBe('go');
  });

  it('inverts: at the slowest delivery asked for, the gap is exactly the margin', () => {
    const time = fc.double({ min: 0.9, max: 2, noNaN: true });
    const margin = fc.double({ min: 0, max: 0.4, noNaN: true });
    fc.assert(
      fc.property(time, margin, (delivery, needed) => {
        const at = (seconds: number) =>
          raceOf(stealTimes({ ...question, pitcherTimes: estimatedAt(seconds) }), 'hs');
        const threshold = callSteal(at(delivery), needed).slowestDeliverySeconds ?? 0;
        // Legs are added in hundredths, so it is right to half of one.
        expect(Math.abs(at(threshold).gapSeconds - needed)).toBeLessThan(0.00501);
      }),
    );
  });

  it('goes from what is typical of the level toward his own, time by time', () => {
    const after = (count: number) => {
      const own = times(
        'delivery',
        Array.from({ length: count }, () => 1.3),
      );
      return stealTimes({ ...question, pitcherTimes: own }).delivery?.seconds ?? 0;
    };
    const seconds = [1, 3, 10, 100].map(after);
    expect(seconds).toEqual(seconds.toSorted((a, b) => b - a));
    expect(seconds[0]).toBeLessThan(1.42);
    expect(seconds.at(-1)).toBeCloseTo(1.3, 2);
  });

  it('does not count what was set aside', () => {
    const aside = times('delivery', [2.1], { asideReason: 'wrong tap' });
    expect(stealTimes({ ...question, pitcherTimes: aside }).delivery).toMatchObject({
      basis: 'typical',
      count: 0,
    });
  });

  it('uses pops to the base in question only', () => {
    const found = stealTimes({
      ...question,
      base: 'third',
      catcherTimes: times('pop', [1.7], { base: 'third' }),
    });
    expect(found.pop).toMatchObject({ basis: 'timed', count: 1 });
    expect(found.run.basis).toBe('typical');
  });

  it('reckons a slide step from the leg lift until one is timed', () => {
    const slide = { ...question, style: 'slideStep' as const };
    expect(stealTimes(slide).delivery).toMatchObject({
      basis: 'reckoned',
      seconds: expect.closeTo(1.21, 3) as number,
    });
    const own = times('delivery', [1.18], { style: 'slideStep' });
    expect(stealTimes({ ...slide, pitcherTimes: own }).delivery?.basis).toBe('timed');
    expect(stealTimes({ ...slide, pitcherTimes: [] }).delivery).toMatchObject({
      basis: 'typical',
      seconds: expect.closeTo(1.25, 9) as number,
    });
  });

  it('waits longer on a left-hander, toward second only', () => {
    const left = { ...question, pitcher: { throws: 'left' as const } };
    expect(stealTimes(left).jump.seconds).toBeCloseTo(0.21, 9);
    expect(stealTimes({ ...left, base: 'third' }).jump.seconds).toBeCloseTo(0.13, 9);
  });
});

describe('when somebody is not timed', () => {
  it('shows the race with typical times and gives no verdict', () => {
    const found = stealTimes({ ...question, pitcherTimes: [], runnerTimes: [] });
    const race = raceOf(found, 'hs');
    expect(callSteal(race, 0.06)).toMatchObject({
      verdict: 'untimed',
      missing: ['delivery', 'run'],
    });
    // The agreed table: an average high school runner takes 3.69 s from 11.5 ft.
    expect(found.run.seconds).toBeCloseTo(3.69, 1);
    expect(Number.isFinite(race.gapSeconds)).toBe(true);
  });

  it.each([
    ['pro', 3.48],
    ['college', 3.58],
    ['hs', 3.69],
  ] as const)('takes the average runner of %s to be %s s', (level, seconds) => {
    const found = stealTimes({ ...question, level, runnerTimes: [] });
    expect(Math.abs(found.run.seconds - seconds)).toBeLessThan(0.006);
  });
});

describe('other rules', () => {
  it('in fastpitch times the flight from the release', () => {
    const race = raceOf(
      stealTimes({
        ...question,
        ruleset: PRESETS.fastpitch43,
        level: 'fpHs',
        pitcherTimes: times('flight', often(0.5, 0.52), {}, PRESETS.fastpitch43, 'fpHs'),
        runnerTimes: times('steal', often(2.6), {}, PRESETS.fastpitch43, 'fpHs'),
      }),
      'fpHs',
    );
    expect(race.ball.map(({ name }) => name)).toEqual(['flight', 'pop', 'tag']);
    expect(race.ballSeconds).toBeCloseTo(0.51 + 2.09 + 0.14, 9);
  });

  it('on a small diamond starts the clock when the pitch arrives', () => {
    const race = raceOf(
      stealTimes({ ...question, ruleset: PRESETS.smallDiamond, level: 'u12' }),
      'u12',
    );
    expect(race.ball.map(({ name }) => name)).toEqual(['pop', 'tag']);
    expect(callSteal(race, 0.06).slowestDeliverySeconds).toBeNull();
  });

  it('refuses a negative margin', () => {
    expect(() => callSteal(raceOf(stealTimes(question), 'hs'), -0.1)).toThrow('at least 0 s');
  });
});
