import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PRESETS } from '../rules/index.ts';
import type { DeliveryStyle, Reading, ReadingKind } from '../timing/index.ts';
import type { AccountId, PersonId, ReadingId, TargetBase } from '../units/index.ts';
import { callSteal, raceOf, stealTimes } from './index.ts';

function readings(
  kind: ReadingKind,
  seconds: number[],
  parts: { base?: TargetBase; style?: DeliveryStyle; aside?: boolean } = {},
): Reading[] {
  return seconds.map((time, index) => ({
    id: `${kind}-${String(index)}` as ReadingId,
    personId: 'person' as PersonId,
    kind,
    seconds: time,
    base: parts.base ?? (kind === 'homeToFirst' ? null : 'second'),
    style: kind === 'delivery' ? (parts.style ?? 'legLift') : null,
    leadFeet: null,
    method: 'thumb',
    takenAt: '2031-05-01T10:00:00.000Z',
    timedBy: 'coach' as AccountId,
    timedByName: 'Coach',
    asideReason: parts.aside ? 'wrong tap' : null,
  }));
}

const question = {
  ruleset: PRESETS.fullSizeSeven,
  level: 'hs' as const,
  base: 'second' as const,
  style: 'legLift' as const,
  pitcher: { throws: 'right' as const },
  pitcherReadings: readings('delivery', [1.36, 1.4]),
  catcherReadings: readings('pop', [2.05, 2.13]),
  runnerReadings: readings('steal', [3.3, 3.34]),
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
      const times = stealTimes({ ...question, pitcherReadings: readings('delivery', [delivery]) });
      return callSteal(raceOf(times, 'hs'), 0.06).verdict;
    });
    expect(verdicts).toEqual(['go', 'close', 'stay']);
  });

  it('goes when the gap is exactly the margin', () => {
    const times = stealTimes({ ...question, pitcherReadings: readings('delivery', [1.32]) });
    expect(callSteal(raceOf(times, 'hs'), 0.06).verdict).toBe('go');
  });

  it('inverts: at the slowest delivery asked for, the gap is exactly the margin', () => {
    const time = fc.double({ min: 0.9, max: 2, noNaN: true });
    const margin = fc.double({ min: 0, max: 0.4, noNaN: true });
    fc.assert(
      fc.property(time, margin, (delivery, needed) => {
        const at = (seconds: number) =>
          raceOf(
            stealTimes({ ...question, pitcherReadings: readings('delivery', [seconds]) }),
            'hs',
          );
        const threshold = callSteal(at(delivery), needed).slowestDeliverySeconds ?? 0;
        // Legs are added in hundredths, so it is right to half of one.
        expect(Math.abs(at(threshold).gapSeconds - needed)).toBeLessThan(0.00501);
      }),
    );
  });

  it('does not count what was set aside', () => {
    const withWrongTap = [
      ...question.pitcherReadings,
      ...readings('delivery', [2.1], { aside: true }),
    ];
    expect(
      stealTimes({ ...question, pitcherReadings: withWrongTap }).delivery?.seconds,
    ).toBeCloseTo(1.38, 9);
  });

  it('uses pops to the base in question only', () => {
    const times = stealTimes({
      ...question,
      base: 'third',
      catcherReadings: readings('pop', [1.7], { base: 'third' }),
    });
    expect(times.pop).toMatchObject({ seconds: 1.7, basis: 'timed', count: 1 });
    expect(times.run.basis).toBe('typical');
  });

  it('reckons a slide step from the leg lift until one is timed', () => {
    const slide = { ...question, style: 'slideStep' as const };
    expect(stealTimes(slide).delivery).toMatchObject({
      basis: 'reckoned',
      seconds: expect.closeTo(1.21, 9) as number,
    });
    const own = readings('delivery', [1.18], { style: 'slideStep' });
    expect(stealTimes({ ...slide, pitcherReadings: own }).delivery?.basis).toBe('timed');
    expect(stealTimes({ ...slide, pitcherReadings: [] }).delivery).toMatchObject({
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
    const times = stealTimes({ ...question, pitcherReadings: [], runnerReadings: [] });
    const race = raceOf(times, 'hs');
    expect(callSteal(race, 0.06)).toMatchObject({
      verdict: 'untimed',
      missing: ['delivery', 'run'],
    });
    // The agreed table: an average high school runner takes 3.69 s from 11.5 ft.
    expect(times.run.seconds).toBeCloseTo(3.69, 1);
    expect(Number.isFinite(race.gapSeconds)).toBe(true);
  });

  it.each([
    ['pro', 3.48],
    ['college', 3.58],
    ['hs', 3.69],
  ] as const)('takes the average runner of %s to be %s s', (level, seconds) => {
    const times = stealTimes({ ...question, level, runnerReadings: [] });
    expect(Math.abs(times.run.seconds - seconds)).toBeLessThan(0.006);
  });
});

describe('other rules', () => {
  it('in fastpitch times the flight from the release', () => {
    const race = raceOf(
      stealTimes({
        ...question,
        ruleset: PRESETS.fastpitch43,
        level: 'fpHs',
        pitcherReadings: readings('flight', [0.5, 0.52]),
        runnerReadings: readings('steal', [2.6]),
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
