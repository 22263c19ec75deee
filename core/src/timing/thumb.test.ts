import { describe, expect, it } from 'vitest';
import vectors from '../../vectors/race/timer.json';
import agreed from '../../vectors/race/levels.json';
import { makeRandom, mean, normalDraw } from '../maths/index.ts';
import type { AccountId } from '../units/index.ts';
import {
  calibrate,
  calibrationsOf,
  eventCalibration,
  EVENT_PRIORS,
  lateTaps,
  nextThumbPitch,
  spreadsTogether,
  stepOfDeviation,
  THUMB_PRIORS,
  timerOf,
  type ReadingKind,
  type ThumbRep,
} from './index.ts';

const KINDS: Record<string, ReadingKind> = { run: 'steal' };
const kindOf = (name: string) => KINDS[name] ?? (name as ReadingKind);

describe('the typical thumb', () => {
  it.each(Object.entries(agreed.TIMER_PRIOR))('holds the agreed figures of %s', (name, figures) => {
    expect(THUMB_PRIORS[kindOf(name)]).toEqual({
      biasSeconds: figures.bias,
      biasSdSeconds: figures.biasSd,
      sdSeconds: figures.sd,
    });
  });

  it('is late at single events so that their differences are those of the kinds', () => {
    const late = (event: keyof typeof EVENT_PRIORS) => EVENT_PRIORS[event].biasSeconds;
    expect(late('mitt') - late('firstMove')).toBeCloseTo(THUMB_PRIORS.delivery.biasSeconds, 9);
    expect(late('bag') - late('mitt')).toBeCloseTo(THUMB_PRIORS.pop.biasSeconds, 9);
    expect(late('mitt') - late('release')).toBeCloseTo(THUMB_PRIORS.flight.biasSeconds, 9);
  });
});

describe('calibration against the truth', () => {
  it.each(vectors.cases)(
    'of $kind agrees with the agreed figures',
    ({ kind, diffs, truthDt, expected }) => {
      const found = calibrate(THUMB_PRIORS[kindOf(kind)], diffs, truthDt);
      const near = (value: number, figure: number | undefined) => {
        expect(Math.abs(value - (figure ?? Number.NaN))).toBeLessThan(vectors.tolerance);
      };
      near(found.biasSeconds, expected.bias);
      near(found.sdSeconds, expected.sd);
      near(found.bias80[0], expected.interval80[0]);
      near(found.bias80[1], expected.interval80[1]);
      expect(found.count).toBe(expected.n);
    },
  );

  /** A thumb that taps every event .06 s late, give or take .04. */
  function repsOf(seed: number, count: number): ThumbRep[] {
    const random = makeRandom(seed);
    const late = () => normalDraw(random, 0.06, 0.04);
    return Array.from({ length: count }, () => ({
      lateSeconds: { firstMove: late(), mitt: late(), bag: late() },
      frameSeconds: 1 / 60,
    }));
  }

  it('recovers a bias of .06 and a spread of .04 after twenty reps, nearly always', () => {
    const seeds = Array.from({ length: 200 }, (_, seed) => seed);
    const misses = seeds.filter((seed) => {
      const found = eventCalibration(repsOf(seed, 20), 'mitt');
      return (
        Math.abs((found?.biasSeconds ?? 9) - 0.06) > 0.02 ||
        Math.abs((found?.sdSeconds ?? 9) - 0.04) > 0.02
      );
    });
    expect(misses.length).toBeLessThanOrEqual(10);
  });

  it('knows a kind by the events at its ends, and nothing of a kind that was not drilled', () => {
    const found = calibrationsOf(repsOf(3, 40));
    // Late at both ends: the difference has no bias, and both spreads in it.
    expect(found.delivery?.biasSeconds).toBeCloseTo(0, 1);
    expect(found.delivery?.sdSeconds).toBeCloseTo(Math.hypot(0.04, 0.04), 1);
    expect(found.flight).toBeUndefined();
    expect(calibrationsOf(repsOf(3, 4))).toEqual({});
  });
});

describe('the drill', () => {
  it('shows the same pitches for the same seed, all of them varied and believable', () => {
    const pitches = (seed: number) => {
      const random = makeRandom(seed);
      return Array.from({ length: 30 }, () => nextThumbPitch(random, false));
    };
    expect(pitches(4)).toEqual(pitches(4));
    const waits = pitches(4).map(({ events }) => events[0]?.atSeconds);
    expect(new Set(waits).size).toBe(30);
    for (const { events } of pitches(4)) {
      const [first, mitt, bag] = events.map(({ atSeconds }) => atSeconds);
      expect((mitt ?? 0) - (first ?? 0)).toBeGreaterThanOrEqual(1.1);
      expect((bag ?? 0) - (mitt ?? 0)).toBeGreaterThanOrEqual(1.7);
    }
    expect(nextThumbPitch(makeRandom(1), true).events[0]?.event).toBe('release');
  });

  it('counts a rep only when each tap can have been for its event', () => {
    const pitch = nextThumbPitch(makeRandom(2), false);
    const at = pitch.events.map(({ atSeconds }) => atSeconds);
    const late = lateTaps(
      pitch,
      at.map((seconds) => seconds + 0.07),
    );
    expect(late?.mitt).toBeCloseTo(0.07, 9);
    expect(lateTaps(pitch, at.slice(0, 2))).toBeNull();
    expect(lateTaps(pitch, [(at[0] ?? 0) - 1, at[1] ?? 0, at[2] ?? 0])).toBeNull();
  });
});

describe('timerOf', () => {
  const me = 'me' as AccountId;
  const delivery = {
    kind: 'delivery',
    fromFeet: null,
    method: 'thumb',
    resolutionSeconds: null,
    timedBy: me,
  } as const;

  it('takes an unknown thumb to be typical, and a known one by what it differs from that', () => {
    expect(timerOf(delivery, new Map())).toEqual({ biasSeconds: 0, sdSeconds: 0.05 });
    const own = {
      biasSeconds: 0.02,
      sdSeconds: 0.03,
      bias80: [0, 0.04] as [number, number],
      count: 20,
    };
    const thumbs = new Map([[me, { delivery: own }]]);
    const timer = timerOf(delivery, thumbs);
    expect(timer.biasSeconds).toBeCloseTo(0.06, 9);
    expect(timer.sdSeconds).toBe(0.03);
    expect(timerOf({ ...delivery, timedBy: 'other' as AccountId }, thumbs).biasSeconds).toBe(0);
    expect(timerOf({ ...delivery, method: 'import' }, thumbs).biasSeconds).toBe(0);
  });

  it('puts clips and gates, which time the truth, on the scale of a typical stopwatch', () => {
    const clip = { ...delivery, method: 'clip', resolutionSeconds: 1 / 30 } as const;
    expect(timerOf(clip, new Map())).toEqual({
      biasSeconds: 0.04,
      sdSeconds: expect.closeTo(1 / 30 / Math.sqrt(6), 9) as number,
    });
    const flying = { ...delivery, kind: 'dash', method: 'gate', fromFeet: 10 } as const;
    expect(timerOf(flying, new Map()).biasSeconds).toBe(0);
  });

  it('takes what was heard from end to end for the truth, as far off as it says', () => {
    const pop = {
      ...delivery,
      kind: 'pop',
      method: 'ear',
      resolutionSeconds: stepOfDeviation(0.012),
    } as const;
    const timer = timerOf(pop, new Map());
    expect(timer.biasSeconds).toBeCloseTo(0.01, 9);
    expect(timer.sdSeconds).toBeCloseTo(0.012, 6);
    // Half a thumb is in a delivery: it begins late, and the ear ends it on time.
    const half = timerOf({ ...delivery, method: 'ear', resolutionSeconds: 0.02 }, new Map());
    expect(half.biasSeconds).toBeCloseTo(-0.06, 9);
    expect(half.sdSeconds).toBeGreaterThan(0.04);
    expect(half.sdSeconds).toBeLessThan(0.05);
    const toFirst = { ...delivery, kind: 'homeToFirst', method: 'ear' } as const;
    expect(timerOf(toFirst, new Map()).biasSeconds).toBeCloseTo(0.07, 9);
  });

  it('takes the end that a drilled thumb taps beside the ear as the drill has seen it', () => {
    const reps = Array.from({ length: 30 }, (_, nth) => ({
      lateSeconds: { firstMove: 0.18 + 0.01 * (nth % 2), mitt: 0.05, bag: 0.05 },
      frameSeconds: 0,
    }));
    const heard = { ...delivery, method: 'ear', resolutionSeconds: 0.02 } as const;
    const drilled = timerOf(heard, new Map([[me, calibrationsOf(reps)]]));
    // .18 late is .08 more than is typical of a first move.
    expect(drilled.biasSeconds).toBeLessThan(-0.06 - 0.06);
    const few = new Map([[me, calibrationsOf(reps.slice(0, 4))]]);
    expect(timerOf(heard, few)).toEqual(timerOf(heard, new Map()));
  });

  it('takes a dash as it truly is: a hand starts it late', () => {
    const dash = { ...delivery, kind: 'dash', fromFeet: 0 } as const;
    expect(timerOf(dash, new Map()).biasSeconds).toBe(-0.15);
    expect(timerOf({ ...dash, method: 'gate' }, new Map()).biasSeconds).toBe(0);
  });
});

describe('timing together without a truth', () => {
  function timesOf(sds: number[], later: number[], events: number, seed: number): number[][] {
    const random = makeRandom(seed);
    const truths = Array.from({ length: events }, () => normalDraw(random, 1.4, 0.1));
    return sds.map((sd, person) =>
      truths.map((truth) => normalDraw(random, truth + (later[person] ?? 0), sd)),
    );
  }

  it('tells three people apart', () => {
    const sds = [0.03, 0.05, 0.08];
    const rounds = Array.from({ length: 60 }, (_, seed) =>
      spreadsTogether(timesOf(sds, [0, 0.05, 0], 40, seed)),
    );
    sds.forEach((sd, person) => {
      const found = rounds.map((round) => (round?.[person]?.sdSeconds ?? 9) ** 2);
      expect(Math.sqrt(mean(found))).toBeCloseTo(sd, 2);
    });
    expect(rounds[0]?.[1]?.laterSeconds).toBeCloseTo(0.05, 1);
  });

  it('gives two people half of what they disagree by', () => {
    const found = spreadsTogether(timesOf([0.05, 0.05], [0, 0], 400, 1));
    expect(found?.[0]?.sdSeconds).toBe(found?.[1]?.sdSeconds);
    expect(found?.[0]?.sdSeconds).toBeCloseTo(0.05, 2);
  });

  it('says nothing after fewer than three events, and refuses other numbers of people', () => {
    expect(
      spreadsTogether([
        [1, 2],
        [1, 2],
      ]),
    ).toBeNull();
    expect(() => spreadsTogether([[1]])).toThrow('two or three');
    expect(() =>
      spreadsTogether([
        [1, 2, 3],
        [1, 2],
      ]),
    ).toThrow('same events');
  });
});

describe('the newest reps', () => {
  it('are sixty: the sixtieth counts, the sixty-first does not', () => {
    const rep = (late: number) => ({
      lateSeconds: { firstMove: late, mitt: late + 0.1, bag: late },
      frameSeconds: 0,
    });
    const sixty = Array.from({ length: 60 }, () => rep(0.1));
    const far = rep(0.5);
    const calibration = (reps: (typeof far)[]) => eventCalibration(reps, 'firstMove');
    expect(calibration([far, ...sixty])).toEqual(calibration(sixty));
    expect(calibration(sixty)?.count).toBe(60);
    expect(calibration([far, ...sixty.slice(1)])?.biasSeconds).toBeGreaterThan(
      calibration(sixty)?.biasSeconds ?? Number.NaN,
    );
    const apart = { ...far, lateSeconds: { ...far.lateSeconds, mitt: 0.1 } };
    expect(calibrationsOf([apart, ...sixty])).toEqual(calibrationsOf(sixty));
    expect(calibrationsOf([apart, ...sixty.slice(1)])).not.toEqual(calibrationsOf(sixty));
  });
});
