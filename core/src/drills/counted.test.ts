import { describe, expect, it } from 'vitest';
import vectors from '../../vectors/drills/bunts.json';
import type { BuntSkill } from '../bunts/index.ts';
import {
  allotBunts,
  beliefMean,
  beliefRange,
  BUNT_TASKS,
  cellBelief,
  chanceBetter,
  gameShares,
  GROUND,
  mustGoDown,
  needOf,
  outcomeOf,
  repsToBeSure,
  shortfall,
  skillFrom,
  TASK_AIMS,
  taskBeliefs,
  toGame,
  toPractice,
  WANTED_DOWN,
  type Belief,
  type BuntTask,
  type Tally,
} from './counted.ts';

const { tolerance } = vectors;

function near(got: number | null | undefined, wanted: number | null, within: number, what = '') {
  if (wanted === null || got === null || got === undefined) {
    expect(got ?? null, what).toBe(wanted);
    return;
  }
  expect(Math.abs(got - wanted), what).toBeLessThanOrEqual(within + 1e-9 * Math.abs(wanted));
}

const sportOf = (name: string) => (name === 'fastpitch' ? 'softball' : 'baseball');
function skillAt(level: string): BuntSkill {
  const given = vectors.skillByLevel[level as keyof typeof vectors.skillByLevel];
  return {
    sdDegrees: given.sdAngle,
    sdPace: given.sdSpeed,
    missed: given.pMiss,
    tipped: given.pTip,
    popped: given.pPop,
    popCaught: 0.7,
    popDouble: 0.1,
  };
}
type Given = Omit<Tally, 'daysAgo'> & { days?: number };
const talliesOf = (given: readonly Given[]): Tally[] =>
  given.map(({ days = 0, ...tally }) => ({ ...tally, daysAgo: days }));
const belief = (share: readonly number[]): Belief => [share[0] ?? 0, share[1] ?? 0];

describe('counted bunts', () => {
  it('are of the tasks that were agreed', () => {
    for (const [name, tasks] of Object.entries(vectors.tasks)) {
      expect(tasks.map(({ id }) => id)).toEqual([...BUNT_TASKS]);
      for (const { id, lane, aim, band, roll, anywhere } of tasks) {
        const own = TASK_AIMS[sportOf(name)][id as BuntTask];
        expect([own.lane, own.aimDegrees, [own.rollFrom, own.rollTo], own.rollFeet]).toEqual([
          lane,
          aim,
          band,
          roll,
        ]);
        // Anywhere fair is in the lane.
        expect(outcomeOf(sportOf(name), id as BuntTask, 1, roll) !== 'other').toBe(
          anywhere || lane[0] === 0,
        );
      }
    }
    for (const [name, { hop, keep, a }] of Object.entries(vectors.roll)) {
      expect(GROUND[sportOf(name)]).toEqual({ hopFeet: hop, keptSpeed: keep, slowing: a });
    }
    near(toPractice(toGame(0.3)), 0.3, 1e-12);
    near(Math.log(toPractice(0.5) / (1 - toPractice(0.5))), vectors.game.logOdds, 1e-12);
    expect(WANTED_DOWN).toBe(vectors.target);
  });

  it.each(vectors.shares)('come to shares: $input', ({ input, expected }) => {
    const found = gameShares(sportOf(input.sport), input.task as BuntTask, skillAt(input.level));
    near(found.down, expected.game.down, tolerance.share);
    near(found.placed, expected.game.placed, tolerance.share);
    near(found.paced, expected.game.paced, tolerance.share);
    near(toPractice(found.down), expected.practiceDown, tolerance.share);
  });

  it.each(vectors.posteriors)('are believed: $input', ({ input, expected }) => {
    const found = taskBeliefs(
      sportOf(input.sport),
      input.task as BuntTask,
      skillAt(input.level),
      talliesOf(input.tallies as Given[]),
    );
    for (const key of ['down', 'placed', 'paced'] as const) {
      for (const side of [0, 1] as const) {
        near(found[key][side], expected[key][side] ?? Number.NaN, tolerance.share * 10, key);
      }
    }
    near(beliefMean(found.down), expected.meanDown, tolerance.share);
    near(beliefMean(found.placed), expected.meanPlaced, tolerance.share);
    near(beliefMean(found.paced), expected.meanPaced, tolerance.share);
    for (const side of [0, 1] as const) {
      near(beliefRange(found.down)[side], expected.down80[side] ?? Number.NaN, tolerance.quantile);
    }
    near(shortfall(found.down), expected.shortfall, tolerance.share);
    expect(repsToBeSure(found.down)).toBe(expected.moreToBeSure);
    expect(mustGoDown(found.down, 20)).toBe(expected.mustOfNext20);
  });

  it.each(vectors.sure)('are sure or not: $input', ({ input, expected }) => {
    const own = belief(input.share);
    expect(repsToBeSure(own)).toBe(expected.more);
    expect(mustGoDown(own, input.next)).toBe(expected.mustGoDown);
    near(shortfall(own), expected.shortfall, tolerance.share);
    expect(shortfall(own)).toBeGreaterThanOrEqual(
      Math.max(0, WANTED_DOWN - beliefMean(own)) - 1e-12,
    );
  });

  it.each(vectors.planner)('go where the need is: $input.reps', ({ input, expected }) => {
    const needs = input.cells.map(({ share, ...cell }) => ({ ...cell, belief: belief(share) }));
    const found = allotBunts(needs, input.reps, input.block);
    expect(found.order).toEqual(expected.order);
    expect(found.counts).toEqual(expected.counts);
    for (const [at, need] of needs.entries()) {
      near(needOf(need), expected.needs[at] ?? Number.NaN, tolerance.share);
    }
    const most = Math.max(input.block, Math.floor(vectors.mostShare * input.reps + 0.5));
    for (const { reps } of found.counts) expect(reps).toBeLessThanOrEqual(most);
  });

  it('tire: what was done today counts less', () => {
    const need = { weight: 1, belief: [5, 5] as const };
    near(
      needOf({ ...need, today: vectors.todayScale }) / needOf({ ...need, today: 0 }),
      Math.exp(-1),
      1e-12,
    );
  });

  it.each(vectors.better)('tell two ways apart: $input', ({ input, expected }) => {
    near(
      chanceBetter(belief(input.a), belief(input.b)),
      expected.chanceABetter,
      tolerance.quantile,
    );
  });

  it.each(vectors.cells)('begin a cell from the others: $input', ({ input, expected }) => {
    const found = cellBelief(input.othersMean, input.good, input.bad);
    for (const side of [0, 1] as const) near(found[side], expected.share[side] ?? 0, 1e-9);
    expect(vectors.priorWeight).toBe(8);
  });

  it.each(vectors.skill)('become a skill of games: $input.level', ({ input, expected }) => {
    const by = input.by.map(({ task, tallies }) => ({
      task: task as BuntTask,
      tallies: talliesOf(tallies as Given[]),
    }));
    const found = skillFrom(sportOf(input.sport), skillAt(input.level), by);
    near(found.bunts, expected.bunts, tolerance.skill);
    near(found.skill.missed, expected.pMiss, tolerance.skill);
    near(found.skill.tipped, expected.pTip, tolerance.skill);
    near(found.skill.popped, expected.pPop, tolerance.skill);
    near(found.skill.sdDegrees, expected.sdAngle, tolerance.skill * 10);
    near(found.skill.sdPace, expected.sdSpeed, tolerance.skill);
  });

  it('count half after the agreed days', () => {
    const tally = { good: 8, offPace: 0, other: 0, wide: 0, tips: 0, pops: 0, misses: 0 };
    const after = (daysAgo: number) =>
      skillFrom('baseball', skillAt('hs'), [
        { task: 'thirdSoft', tallies: [{ ...tally, daysAgo }] },
      ]).bunts;
    near(after(vectors.halfLifeDays), after(0) / 2, 1e-12);
  });
});
