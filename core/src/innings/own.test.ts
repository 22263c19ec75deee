import { describe, expect, it } from 'vitest';
import {
  describeSharesMisfit,
  describeTotalsMisfit,
  EVENTS,
  gameRuns,
  ownBunt,
  ownRates,
  PLAY_LEVELS,
  sideOf,
  sideRunExpectancies,
  totalsTogether,
  type Batting,
  type BattingTotals,
} from './index.ts';

describe('a batter’s own rates', () => {
  const level = PLAY_LEVELS.hs.rates;
  const season = (plateAppearances: number, hits: number): BattingTotals => ({
    plateAppearances,
    hits,
    doubles: 0,
    triples: 0,
    homeRuns: 0,
    walks: 0,
    strikeouts: 0,
    reachedOnError: 0,
    buntTries: 0,
    buntsGood: 0,
  });

  it('go from the level’s to his own as he bats, and always add up', () => {
    const none = ownRates(level, season(0, 0));
    expect(none.ownShare).toBe(0);
    for (const event of EVENTS) expect(none.rates[event]).toBeCloseTo(level[event], 12);
    const singles = [10, 100, 2000].map((count) => ownRates(level, season(count, count / 2)));
    expect(singles.map(({ rates }) => rates.single)).toEqual(
      singles.map(({ rates }) => rates.single).toSorted((a, b) => a - b),
    );
    expect(singles.at(-1)?.rates.single).toBeCloseTo(0.48, 2);
    for (const { rates } of singles) expect(describeSharesMisfit(rates)).toBeNull();
  });

  it('are refused when the totals do not go together', () => {
    expect(() => ownRates(level, season(10, 12))).toThrow('every plate appearance');
    expect(describeTotalsMisfit({ ...season(10, 1), doubles: 2 })?.path).toBe('hits');
    expect(totalsTogether([season(10, 2), season(5, 1)])).toEqual(season(15, 3));
  });

  it('make more runs the better the batters, in a game', () => {
    const batting = (hits: number): Batting => ({
      ...PLAY_LEVELS.hs,
      rates: ownRates(level, season(100, hits)).rates,
    });
    const [weak, strong] = [batting(10), batting(40)];
    const runs = (order: Batting[]) => gameRuns(sideOf(order), 7);
    expect(runs(Array.from({ length: 9 }, () => strong))).toBeGreaterThan(
      runs(Array.from({ length: 9 }, () => weak)) + 2,
    );
    // A game of identical batters is its innings, each alike.
    const one = sideRunExpectancies(sideOf([weak]))[0]?.[0] ?? 0;
    expect(runs([weak])).toBeCloseTo(7 * one, 9);
    // Best first is better than best last.
    const others = Array.from({ length: 6 }, () => weak);
    expect(runs([strong, strong, strong, ...others])).toBeGreaterThan(
      runs([...others, strong, strong, strong]),
    );
  });
});

describe('a batter’s sacrifices', () => {
  const level = PLAY_LEVELS.hs.bunt;
  const good = ({ success, safe }: typeof level) => success + safe;

  it('go from the level’s to his own, and always add up', () => {
    expect(ownBunt(level, { buntTries: 0, buntsGood: 0 })).toEqual(level);
    const all = [5, 20, 200].map((buntTries) =>
      ownBunt(level, { buntTries, buntsGood: buntTries }),
    );
    const shares = all.map(good);
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
    expect(shares.at(-1)).toBeCloseTo(1 - level.swingAway, 1);
    expect(good(ownBunt(level, { buntTries: 20, buntsGood: 2 }))).toBeLessThan(good(level));
    for (const own of all) expect(describeSharesMisfit(own)).toBeNull();
    // Where nobody ever lays one down there is nothing to move.
    const never = { ...level, success: 0, safe: 0, leadOut: 0, popOut: 0, popDouble: 0 };
    const swings = { ...never, strikeout: 0, swingAway: 1 };
    expect(ownBunt(swings, { buntTries: 3, buntsGood: 2 })).toEqual(swings);
  });
});
