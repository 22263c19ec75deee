import { describe, expect, it } from 'vitest';
import systems from '../../vectors/signs/systems.json';
import {
  NOTHING_WATCHED,
  rotationFactor,
  strengthOf,
  USUAL_GIVING,
  watchedBoth,
  watchedBy,
  type Strength,
} from './strength.ts';
import type { SignSystem } from './system.ts';

const all = systems as unknown as Record<string, SignSystem>;
const systemOf = (id: string): SignSystem => {
  const found = all[id];
  if (!found) throw new Error(`no system ${id}`);
  return found;
};
const watch = (id: string, giving = USUAL_GIVING, runs = 30): Strength => {
  const watched = watchedBy(systemOf(id), { giving, games: 2, runs, seed: 11 });
  if (!watched) throw new Error(`${id} carries no sequence`);
  return strengthOf(watched);
};
const middle = ({ low, high }: { low: number; high: number }): number => (low + high) / 2;
const first = ({ byGame }: Strength): number => middle(byGame[0] ?? { low: 0, high: 0 });

describe('an opponent who films every sequence', () => {
  // Named in the first two games, as found by a separate simulation; give or take 12 points.
  it.each([
    ['direct', 0.44, 0.87],
    ['ind', 0.51, 0.9],
    ['indBefore', 0.51, 0.9],
    ['indLast', 0.51, 0.9],
    ['count', 0.53, 0.9],
    ['card', 0.39, 0.84],
    ['indInning', 0.07, 0.18],
    ['indOuts', 0.04, 0.14],
  ])('names as many of %s as they should', (id, one, two) => {
    const { byGame } = watch(id);
    expect(Math.abs(middle(byGame[0] ?? { low: 0, high: 0 }) - one)).toBeLessThan(0.12);
    expect(Math.abs(middle(byGame[1] ?? { low: 0, high: 0 }) - two)).toBeLessThan(0.12);
  });

  it('needs longer the less is shown, and the less is given', () => {
    const usual = first(watch('ind'));
    expect(first(watch('ind', { ...USUAL_GIVING, hiddenShare: 0.8 }))).toBeLessThan(usual - 0.2);
    expect(first(watch('ind', { ...USUAL_GIVING, liveShare: 0.05 }))).toBeLessThan(usual - 0.1);
    expect(first(watch('ind', { ...USUAL_GIVING, liveShare: 0.4 }))).toBeGreaterThan(usual + 0.1);
  });

  it('names nothing of a game without a live sign', () => {
    const { byGame, halfAfter } = watch('ind', { liveShare: 0, hiddenShare: 0.35 });
    expect(halfAfter).toBeNull();
    for (const { low } of byGame) expect(low).toBe(0);
  });

  it('is told as a range that narrows as more games are watched', () => {
    const wide = watch('ind', USUAL_GIVING, 4).byGame[0] ?? { low: 0, high: 0 };
    const narrow = watch('ind', USUAL_GIVING, 60).byGame[0] ?? { low: 0, high: 0 };
    expect(narrow.high - narrow.low).toBeLessThan(wide.high - wide.low);
    const { halfAfter } = watch('ind');
    expect(halfAfter?.low).toBeLessThanOrEqual(halfAfter?.high ?? 0);
    expect(middle(halfAfter ?? { low: 0, high: 0 })).toBeGreaterThan(40);
    expect(middle(halfAfter ?? { low: 0, high: 0 })).toBeLessThan(110);
  });

  it('adds up from parts, and finds nothing in a system of nothing but signs', () => {
    const ask = { giving: USUAL_GIVING, games: 1, runs: 3 };
    const [one, other] = [1, 2].map((seed) => watchedBy(systemOf('ind'), { ...ask, seed }));
    const both = watchedBoth(one ?? NOTHING_WATCHED, other ?? NOTHING_WATCHED);
    expect(both.runs).toBe(6);
    const sum = (list: readonly number[] = []): number => list.reduce((all, each) => all + each, 0);
    expect(sum(both.live)).toBe(sum(one?.live) + sum(other?.live));
    expect(sum(both.named)).toBe(sum(one?.named) + sum(other?.named));
    const bare = { ...systemOf('youngest'), touches: ['cap'] };
    expect(watchedBy(bare, { ...ask, seed: 1 })).toBeNull();
  });

  it('takes longer to see through what changes', () => {
    expect(rotationFactor(systemOf('ind'))).toBe(1);
    expect(rotationFactor(systemOf('indInning'))).toBeCloseTo(1.4, 5);
    expect(rotationFactor(systemOf('indKey'))).toBeGreaterThan(rotationFactor(systemOf('indOuts')));
  });
});
