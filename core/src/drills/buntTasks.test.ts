import { describe, expect, it } from 'vitest';
import { BUNT_FIGURES, skillOf } from '../bunts/index.ts';
import { figuresAt } from '../timing/index.ts';
import { buntStands, COUNTED_TASKS, taskOf, type CountedBunt } from './buntTasks.ts';
import { beliefMean } from './counted.ts';

const level = skillOf(figuresAt(BUNT_FIGURES, 'hs', {}), 'sacrifice');
const now = new Date('2031-05-20T18:00:00.000Z');
const aBunt = (parts: Partial<CountedBunt> = {}): CountedBunt => ({
  result: 'fair',
  aimed: 'third',
  lane: 'third',
  calledPace: 'soft',
  pace: 'soft',
  height: null,
  style: 'square',
  takenAt: '2031-05-18T18:00:00.000Z',
  ...parts,
});
const many = (count: number, parts: Partial<CountedBunt>) =>
  Array.from({ length: count }, () => aBunt(parts));
const stands = (bunts: CountedBunt[]) => buntStands(bunts, 'baseball', level, now);
const stand = (bunts: CountedBunt[], task: string) =>
  stands(bunts).find((each) => each.task === task);

describe('what to bunt next', () => {
  it('knows the task by what was called', () => {
    expect(taskOf(aBunt())).toBe('thirdSoft');
    expect(taskOf(aBunt({ calledPace: 'firm' }))).toBe('thirdFirm');
    expect(taskOf(aBunt({ calledPace: null, aimed: 'thirdMiddle' }))).toBe('thirdSoft');
    expect(taskOf(aBunt({ aimed: 'firstMiddle' }))).toBe('firstSide');
    expect(taskOf(aBunt({ aimed: 'middle' }))).toBe('deadMiddle');
    expect(taskOf(aBunt({ aimed: null }))).toBeNull();
  });

  it('is what falls short most, and not what was done to weariness today', () => {
    expect(
      stands([])
        .map(({ task }) => task)
        .toSorted(),
    ).toEqual([...COUNTED_TASKS].toSorted());
    const poor = many(14, { aimed: 'first', result: 'missed', lane: null, pace: null });
    expect(stands(poor)[0]?.task).toBe('firstSide');
    const today = poor.map((bunt) => ({ ...bunt, takenAt: '2031-05-20T17:30:00.000Z' }));
    expect(stand(today, 'firstSide')?.need).toBeLessThan((stand(poor, 'firstSide')?.need ?? 0) / 4);
  });

  it('counts what went down of what was offered, older ones for less', () => {
    const good = many(12, {});
    const now12 = stand(good, 'thirdSoft');
    expect(now12).toMatchObject({ tries: 12, down: 12 });
    const old = stand(many(12, { takenAt: '2030-11-18T18:00:00.000Z' }), 'thirdSoft');
    expect(beliefMean(old?.belief ?? [0, 1])).toBeLessThan(beliefMean(now12?.belief ?? [1, 0]));
    // A pitch that was let go is none.
    const pulled = many(30, { result: 'pulledBack', lane: null, pace: null });
    expect(stand(pulled, 'thirdSoft')).toEqual(stand([], 'thirdSoft'));
  });

  it('says how many more make six in ten sure, and none where the rate is below', () => {
    expect(stand(many(30, {}), 'thirdSoft')?.more).toBe(0);
    const bad = stand([...many(4, {}), ...many(16, { result: 'foul', lane: null })], 'thirdSoft');
    expect(bad?.more).toBeNull();
    expect(bad?.ofNextTen ?? 10).toBeGreaterThan(5);
  });
});
