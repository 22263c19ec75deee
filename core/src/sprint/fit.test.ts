import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import levels from '../../vectors/race/levels.json';
import vectors from '../../vectors/race/sprint-fit.json';
import { aReading } from '../../test/aReading.ts';
import { makeRandom, normalDraw } from '../maths/index.ts';
import { PRESETS } from '../rules/index.ts';
import { LEVELS, type LevelName, type Reading } from '../timing/index.ts';
import {
  countOf,
  fitSprint,
  populationsOf,
  predictRun,
  runnerOf,
  runSeconds,
  runSpreadSeconds,
  type Conditions,
  type Run,
  type TimedRun,
} from './index.ts';

const ruleset = PRESETS.fullSizeSeven;
const field: Conditions = { level: LEVELS.hs, ruleset };
const steal = (leadFeet: number): Run => ({ kind: 'steal', leadFeet, startSpeed: 0 });

interface Segment {
  kind: string;
  time: number;
  lead?: number;
  v0?: number;
  bats?: string;
  distance?: number;
  from?: number;
  to?: number;
}

function timed(segment: Segment): TimedRun {
  const run = ((): Run => {
    const { kind, lead = 0, v0 = 0 } = segment;
    if (kind === 'homeToFirst') return { kind, bats: segment.bats === 'L' ? 'left' : 'right' };
    if (kind === 'dash') return { kind, fromFeet: 0, toFeet: segment.distance ?? 0 };
    if (kind === 'flying') {
      return { kind: 'dash', fromFeet: segment.from ?? 0, toFeet: segment.to ?? 0 };
    }
    const ours = kind === 'firstToThird' || kind === 'secondToHome' ? kind : 'steal';
    return { kind: ours, leadFeet: lead, startSpeed: v0 };
  })();
  return {
    run,
    seconds: segment.time,
    sdSeconds: Math.hypot(runSpreadSeconds(run), vectors.timerSd),
  };
}

/** The file says that the tolerance is relative here, and no figure of its own. */
const COVARIANCE_RELATIVE = 1e-3;

describe('how far one try of a run lies from another', () => {
  it('is what was agreed for each kind', () => {
    const { KIND_SD: agreed } = levels;
    const spread = (segment: Parameters<typeof timed>[0]) => runSpreadSeconds(timed(segment).run);
    expect(spread({ kind: 'steal2', time: 0, lead: 11 })).toBe(agreed.steal2);
    expect(spread({ kind: 'steal3', time: 0, lead: 18 })).toBe(agreed.steal3);
    expect(spread({ kind: 'homeToFirst', time: 0 })).toBe(agreed.homeToFirst);
    expect(spread({ kind: 'firstToThird', time: 0, lead: 15 })).toBe(agreed.firstToThird);
    expect(spread({ kind: 'secondToHome', time: 0, lead: 15 })).toBe(agreed.secondToHome);
    expect(spread({ kind: 'dash', time: 0, distance: 60 })).toBe(agreed.dash);
    expect(spread({ kind: 'flying', time: 0, from: 30, to: 60 })).toBe(agreed.flying);
    // That of what was timed by hand is in the fits.
    expect(vectors.timerSd).toBe(levels.TIMER_PRIOR.delivery.sd);
  });
});

describe('fitSprint', () => {
  it.each(vectors.cases)('finds the agreed curve of $level from $segments.length runs', (known) => {
    const place = { level: LEVELS[known.level as LevelName], ruleset };
    const fit = fitSprint(known.segments.map(timed), place);
    expect(Math.abs(fit.topSpeed - known.V)).toBeLessThan(vectors.tolerance);
    expect(Math.abs(fit.accelerationSeconds - known.tau)).toBeLessThan(vectors.tolerance);
    const { speed, both, start } = fit.covariance;
    for (const [index, value] of [speed, both, start].entries()) {
      const expected = known.cov[index] ?? Number.NaN;
      expect(Math.abs(value - expected)).toBeLessThanOrEqual(
        Math.abs(expected) * COVARIANCE_RELATIVE,
      );
    }
    expect(fit.misfits).toHaveLength(known.z.length);
    for (const [index, z] of known.z.entries()) {
      expect(Math.abs((fit.misfits[index] ?? Number.NaN) - z)).toBeLessThan(1e-3);
    }
    const { target, mean, sdEpistemic, sd } = known.predict;
    const next = predictRun(fit, timed(target).run, place);
    expect(Math.abs(next.meanSeconds - mean)).toBeLessThan(vectors.tolerance);
    expect(Math.abs(next.meanSdSeconds - sdEpistemic)).toBeLessThan(vectors.tolerance);
    expect(Math.abs(next.sdSeconds - sd)).toBeLessThan(vectors.tolerance);
  });

  it('finds a runner again from his own times, and the doubt shrinks', () => {
    const truth = { topSpeed: 28, accelerationSeconds: 0.8 };
    const random = makeRandom(3);
    const runs = [steal(11.5), steal(10), { kind: 'homeToFirst', bats: 'right' } as const].flatMap(
      (run) =>
        Array.from({ length: 6 }, () => ({
          run,
          seconds: normalDraw(random, runSeconds(run, truth, field), 0.06),
          sdSeconds: 0.06,
        })),
    );
    const next = predictRun(fitSprint(runs, field), steal(12), field);
    expect(Math.abs(next.meanSeconds - runSeconds(steal(12), truth, field))).toBeLessThan(0.04);
    const fewer = predictRun(fitSprint(runs.slice(0, 2), field), steal(12), field);
    expect(next.meanSdSeconds).toBeLessThan(fewer.meanSdSeconds);
  });

  it('does not depend on the order, and lies between the level and the times', () => {
    const times = fc.array(fc.double({ min: 3.1, max: 4.3, noNaN: true }), {
      minLength: 1,
      maxLength: 12,
    });
    fc.assert(
      fc.property(times, (seconds) => {
        const runs = seconds.map((each) => ({ run: steal(11), seconds: each, sdSeconds: 0.08 }));
        const { meanSeconds } = predictRun(fitSprint(runs, field), steal(11), field);
        const back = predictRun(fitSprint(runs.toReversed(), field), steal(11), field);
        expect(back.meanSeconds).toBeCloseTo(meanSeconds, 7);
        const all = [...seconds, runSeconds(steal(11), LEVELS.hs, field)];
        expect(meanSeconds).toBeGreaterThanOrEqual(Math.min(...all) - 1e-6);
        expect(meanSeconds).toBeLessThanOrEqual(Math.max(...all) + 1e-6);
      }),
    );
  });

  it('refuses a time that is none, naming the need', () => {
    const run = steal(11);
    expect(() => fitSprint([{ run, seconds: 0, sdSeconds: 0.1 }], field)).toThrow('above 0 s');
  });
});

describe('runnerOf', () => {
  const person = { throws: 'right', bats: 'right' } as const;
  const of = (readings: Reading[]) =>
    runnerOf(person, populationsOf(person, readings, field, new Map()), field);
  const aSteal = (seconds: number, parts: Partial<Reading> = {}) =>
    aReading({ kind: 'steal', base: 'second', leadFeet: 11.5, seconds, ...parts });

  it('learns of a steal from home to first alone', () => {
    const quick = of([aReading({ kind: 'homeToFirst', seconds: 4.2 })]);
    const typical = of([]);
    const at = (runner: typeof quick) => predictRun(runner.fit, steal(11.5), field);
    expect(at(quick).meanSeconds).toBeLessThan(at(typical).meanSeconds - 0.1);
    expect(at(quick).meanSdSeconds).toBeLessThan(at(typical).meanSdSeconds * 0.6);
    expect(typical.restsOn).toEqual([]);
  });

  it('counts many times of a kind as one mean, exactly as one by one', () => {
    const readings = [3.5, 3.6, 3.52].map((seconds) => aSteal(seconds));
    const { fit, restsOn } = of(readings);
    const one = populationsOf(person, readings, field, new Map())[0];
    const each = (one?.reckonedSeconds ?? []).map((seconds, index) => ({
      run: steal(11.5),
      seconds,
      sdSeconds: Math.hypot(0.05, one?.timerSdSeconds[index] ?? 0),
    }));
    expect(fit.topSpeed).toBeCloseTo(fitSprint(each, field).topSpeed, 6);
    expect(restsOn.map(({ estimate }) => estimate?.count)).toEqual([3]);
  });

  it('ignores what was set aside, and names what does not fit the rest', () => {
    const good = [3.5, 3.52, 3.48, 3.5].map((seconds) => aSteal(seconds));
    const first = Array.from({ length: 3 }, () => aReading({ kind: 'homeToFirst', seconds: 5.6 }));
    expect(of([...good, ...first]).oddOnesOut.map(({ context }) => context.kind)).toContain(
      'homeToFirst',
    );
    const aside = first.map((each) => ({ ...each, asideReason: 'wrong tap' as const }));
    const runner = of([...good, ...aside]);
    expect(runner.oddOnesOut).toEqual([]);
    expect(runner.fit.topSpeed).toBe(of(good).fit.topSpeed);
    expect(countOf(runner, { ...aSteal(3.5) })).toBe(4);
  });
});
