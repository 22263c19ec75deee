import { describe, expect, it } from 'vitest';
import { LEVELS } from '../timing/index.ts';
import type { GameId, PersonId, ReadingId } from '../units/index.ts';
import { shippedTheta } from './attempt.ts';
import type { CallAndResult, LegThen } from './kept.ts';
import { chanceAtSum, cushionFor, raceConstantsOf } from './learned.ts';
import { offTimesIn } from './offTimes.ts';
import type { SeasonCall } from './season.ts';
import { needsOfWork, workOn, type Skill } from './workOn.ts';

const leg = (meanSeconds: number): LegThen => ({
  meanSeconds,
  doubtSeconds: 0.03,
  spreadSeconds: 0.05,
  freedom: null,
  basis: 'timed',
});
/** A spot in which going takes about three in four, by a runner of so many seconds. */
const spot = (nth: number, runner: string, runSeconds: number): SeasonCall => ({
  id: `${runner} ${String(nth)}`,
  gameId: `g${String(nth)}` as GameId,
  startsAt: '2031-05-01T10:00:00.000Z',
  opponentId: null,
  opportunity: `${runner} ${String(nth)}`,
  inning: 3,
  half: 'top',
  outs: 1,
  runner: runner as PersonId,
  pitcher: 'p' as PersonId,
  catcher: 'c' as PersonId,
  pitcherThrows: 'right',
  base: 'second',
  kind: 'straight',
  style: 'legLift',
  chance: 0.7,
  low: 0.6,
  high: 0.8,
  need: 0.72,
  verdict: 'close',
  shown: true,
  called: null,
  calledBy: null,
  done: 'stay',
  resolved: true,
  outcome: 'notRun',
  signSeen: 'unknown',
  best: 'stay',
  clearness: 'close',
  cost: 0,
  offered: 0,
  offeredLow: 0,
  offeredHigh: 0,
  go: { safe: 0.04, out: -0.1 },
  execution: 0,
  luck: 0,
  luckSd: 0,
  legs: { pitch: leg(1.42), pop: leg(2.15), run: leg(runSeconds), jump: leg(0.13) },
  throw: null,
  pitchOut: false,
  timed: {},
  changes: {},
});
const season = (runner: string, runSeconds: number, games = 6): SeasonCall[] =>
  Array.from({ length: games }, (_, nth) => spot(nth, runner, runSeconds));
const at = {
  level: 'hs' as const,
  isOpen: true,
  now: new Date('2031-05-20T10:00:00.000Z'),
  today: {},
};
const skillsOf = (calls: readonly SeasonCall[], who: string): Skill[] =>
  workOn(calls, at, 10).flatMap((work) => (work.who === who ? [work.skill] : []));

describe('whom to work with next', () => {
  // Just under the need, far below it, far above it.
  const calls = [...season('near', 3.42), ...season('slow', 4.1), ...season('quick', 3.1)];
  const found = workOn(calls, at, 10);

  it('is who is just under the need; who is far below gains nothing from a little', () => {
    expect(found[0]?.who).toBe('near');
    expect(skillsOf(calls, 'slow')).toEqual([]);
    const gainOf = (who: string): number =>
      found.filter((work) => work.who === who).reduce((sum, { gain }) => sum + gain, 0);
    expect(gainOf('near')).toBeGreaterThan(gainOf('quick'));
  });

  it('is worth as much as it comes up, over as many games', () => {
    const [work] = found;
    if (!work) throw new Error('somebody');
    expect(work.usesPerGame).toBeCloseTo(1, 9);
    expect(work.chanceAfter).toBeGreaterThan(work.chance);
    expect(work.perHour).toBeCloseTo((work.gain * 60) / work.minutes, 9);
    const twice = workOn(calls, at, 20).find(
      ({ who, skill }) => who === work.who && skill === work.skill,
    );
    expect(twice?.gain).toBeCloseTo(2 * work.gain, 9);
    expect(workOn([], at, 10)).toEqual([]);
  });

  it('is a sign where steals that pay are missed, and leaving where nobody leads off', () => {
    const signs = (seen: SeasonCall['signSeen']): SeasonCall[] =>
      season('near', 3.2).map((call) => ({
        ...call,
        called: 'steal',
        chance: 0.9,
        signSeen: seen,
      }));
    expect(skillsOf(signs('no'), 'near')).toContain('signs');
    expect(skillsOf(signs('yes'), 'near')).not.toContain('signs');
    const closed = workOn(calls, { ...at, isOpen: false }, 10).map(({ skill }) => skill);
    expect(closed).toContain('leave');
    expect(closed).not.toContain('jump');
  });

  it('is what a practice needs, never more than all of it', () => {
    const needs = needsOfWork(found, 'near' as PersonId);
    expect(needs.starts).toBeGreaterThan(0);
    const more = found.map((work) => ({ ...work, gain: 100 * work.gain }));
    expect(needsOfWork(more, 'near' as PersonId).starts).toBe(1);
    expect(needsOfWork(found, 'slow' as PersonId)).toEqual({});
  });
});

describe('times of a game against what was expected', () => {
  const call = spot(1, 'r', 3.4);
  const timed = (delivery: string, nth = 0): CallAndResult => ({
    call: { ...call, id: `c${String(nth)}`, slot: 'T1.1.1', at: '', options: [] },
    result: {
      done: 'stay',
      resolved: true,
      why: null,
      outcome: 'notRun',
      signSeen: 'unknown',
      throw: null,
      pitchOut: false,
      timed: { delivery: delivery as ReadingId },
    },
  });
  const readingOf = (id: string) =>
    id === 'gone' ? null : { seconds: Number(id), timerSdSeconds: 0.05 };

  it('asks about what is far off, and drops nothing', () => {
    const found = offTimesIn([timed('1.8'), timed('1.45', 1), timed('gone', 2)], readingOf);
    expect(found.timed).toBe(2);
    expect(found.off).toMatchObject([{ who: 'p', leg: 'delivery', seconds: 1.8 }]);
    expect(found.outdated).toEqual([]);
  });

  it('says when a number is out of date: all lie to one side', () => {
    const slower = [1.55, 1.53, 1.56, 1.54].map((seconds, nth) => timed(String(seconds), nth));
    expect(offTimesIn(slower, readingOf).outdated).toEqual([{ who: 'p', leg: 'delivery' }]);
    expect(offTimesIn(slower.slice(1), readingOf).outdated).toEqual([]);
  });
});

describe('what learned numbers do to the board', () => {
  const level = LEVELS.hs;
  const constants = raceConstantsOf(level);
  const shipped = shippedTheta(constants);
  const later = shipped.map((each, nth) => (nth === 0 ? each + 0.08 : each));

  it('is told at plain times: more seconds left are more often safe, a later jump less', () => {
    const chances = [-0.1, 0, 0.1].map((left) => chanceAtSum(left, level, shipped, constants));
    expect(chances).toEqual(chances.toSorted((a, b) => a - b));
    expect(chanceAtSum(0.1, level, later, constants)).toBeLessThan(chances[2] ?? 0);
  });

  it('asks for the cushion that the chance needs', () => {
    const cushion = cushionFor(0.75, level, shipped, constants);
    expect(chanceAtSum(cushion, level, shipped, constants)).toBeGreaterThanOrEqual(0.75);
    expect(chanceAtSum(cushion - 0.01, level, shipped, constants)).toBeLessThan(0.75);
    expect(cushionFor(0.75, level, later, constants) - cushion).toBeCloseTo(0.08, 2);
  });
});
