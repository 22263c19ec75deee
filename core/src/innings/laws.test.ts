import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyRates, battingAt } from '../../test/anyRates.ts';
import { LEVEL_NAMES } from '../timing/index.ts';
import {
  baseOut,
  breakEvensAt,
  breakEvenOf,
  byRuns,
  byWin,
  chainOf,
  ownRates,
  plainRules,
  PLAY_LEVELS,
  policyByWin,
  runDistributions,
  runExpectancies,
  scoringChances,
  sideOf,
  sideRunExpectancies,
  sideScoringChances,
  tacticsOf,
  winBook,
  type Gamble,
} from './index.ts';

const anyLevel = fc.constantFrom(...LEVEL_NAMES);
const anyBases = fc.integer({ min: 0, max: 7 });
const anyOuts = fc.integer({ min: 0, max: 2 });
const FEW = { numRuns: 40 };

describe('whatever the rates', () => {
  it('a gamble that works as often as it needs is worth as much as staying', () => {
    fc.assert(
      fc.property(anyRates, anyLevel, anyBases, anyOuts, (rates, level, bases, outs) => {
        const runs = byRuns([runExpectancies(chainOf(battingAt(rates, level)))]);
        for (const { hold, safe, out, needed } of breakEvensAt(bases, outs, runs)) {
          if (typeof needed !== 'number') continue;
          expect(needed * safe + (1 - needed) * out).toBeCloseTo(hold, 9);
        }
      }),
      FEW,
    );
  });

  it('gambles that leave the same need the same', () => {
    const alike: [Gamble, number, number, Gamble, number, number][] = [
      ['stealSecond', 1, 0, 'stretchSingleToDouble', 0, 0],
      ['stealThird', 2, 1, 'stretchDoubleToTriple', 0, 1],
      ['stealThird', 2, 1, 'tagSecondToThird', 2, 0],
      ['stealHome', 4, 2, 'tagThirdToHome', 4, 1],
      ['secondToHomeOnSingle', 2, 1, 'stealHome', 5, 1],
    ];
    fc.assert(
      fc.property(anyRates, anyLevel, (rates, level) => {
        const runs = byRuns([runExpectancies(chainOf(battingAt(rates, level)))]);
        for (const [one, bases, outs, other, otherBases, otherOuts] of alike) {
          const first = breakEvenOf(one, baseOut(bases, outs), runs)?.needed;
          const second = breakEvenOf(other, baseOut(otherBases, otherOuts), runs)?.needed;
          if (typeof first === 'number' && typeof second === 'number') {
            expect(first).toBeCloseTo(second, 9);
          } else expect(first).toBe(second);
        }
      }),
      FEW,
    );
  });

  it('a line-up of equals is the average batter, at every spot', () => {
    fc.assert(
      fc.property(anyRates, anyLevel, fc.integer({ min: 2, max: 11 }), (rates, level, count) => {
        const batter = battingAt(rates, level);
        const chain = chainOf(batter);
        const side = sideOf(new Array<typeof batter>(count).fill(batter));
        const spot = count - 1;
        const runs = runExpectancies(chain);
        const scoring = scoringChances(runDistributions(chain));
        for (const state of [0, 5, 11, 23]) {
          expect(sideRunExpectancies(side)[spot]?.[state]).toBeCloseTo(runs[state] ?? 0, 9);
          expect(sideScoringChances(side)[spot]?.[state]).toBeCloseTo(scoring[state] ?? 0, 9);
        }
      }),
      { numRuns: 15 },
    );
  });

  it('who is home does not matter to who wins without a run rule', () => {
    fc.assert(
      fc.property(anyRates, anyRates, anyLevel, (ours, theirs, level) => {
        const [us, them] = [ours, theirs].map((rates) => sideOf([battingAt(rates, level)]));
        if (!us || !them) throw new Error('two sides');
        const start = { inning: 1, half: 'top', homeLead: 0, state: 0 } as const;
        const home = winBook(us, them, plainRules(7)).at(start);
        const away = winBook(them, us, plainRules(7)).at(start);
        // What little is scored beyond the most runs counted is the only difference.
        expect(Math.abs(home + away - 1)).toBeLessThan(2e-3);
      }),
      FEW,
    );
  });

  it('an out never helps, at the levels played', () => {
    for (const level of LEVEL_NAMES) {
      const side = sideOf([PLAY_LEVELS[level]]);
      const book = winBook(side, side, plainRules(7));
      for (const inning of [1, 4, 7]) {
        const win = byWin(book, { inning, half: 'bottom', homeLead: -1 });
        for (let bases = 0; bases < 8; bases += 1) {
          for (const outs of [0, 1]) {
            expect(win(bases, outs + 1, 0)).toBeLessThan(win(bases, outs, 0));
          }
        }
      }
    }
  });

  it('what a play is worth is the same whatever was asked before', () => {
    const nine = sideOf(
      Array.from({ length: 9 }, (_, spot) => (spot % 2 === 0 ? PLAY_LEVELS.hs : PLAY_LEVELS.pro)),
    );
    const book = winBook(nine, nine, plainRules(7));
    const standing = { inning: 6, half: 'top', homeLead: 1, awaySpot: 7 } as const;
    const asked = byWin(book, standing, 9);
    const outs = fc.integer({ min: 0, max: 3 });
    const runs = fc.integer({ min: 0, max: 6 });
    fc.assert(
      fc.property(anyBases, outs, runs, fc.integer({ min: 0, max: 12 }), (...play) => {
        expect(asked(...play)).toBe(byWin(book, standing, 9)(...play));
      }),
      { numRuns: 2000 },
    );
  });

  it('more of his hits in the same times up never make him worth less', () => {
    fc.assert(
      fc.property(anyLevel, fc.integer({ min: 0, max: 30 }), (level, hits) => {
        const season = (count: number) => ({
          plateAppearances: 60,
          hits: count,
          doubles: 0,
          triples: 0,
          homeRuns: 0,
          walks: 5,
          strikeouts: 10,
          reachedOnError: 1,
          buntTries: 0,
          buntsGood: 0,
        });
        const worth = (count: number) => {
          const { rates } = ownRates(PLAY_LEVELS[level].rates, season(count));
          return runExpectancies(chainOf(battingAt(rates, level)))[0] ?? 0;
        };
        expect(worth(hits + 1)).toBeGreaterThan(worth(hits));
      }),
      FEW,
    );
  });

  it('quicker runners never make the best choices worse', () => {
    const level = PLAY_LEVELS.hs;
    const chance = fc.double({ min: 0.2, max: 0.9, noNaN: true });
    fc.assert(
      fc.property(chance, fc.double({ min: 0, max: 0.1, noNaN: true }), (safe, more) => {
        const start = (share: number) => {
          const steals = { second: share, third: share, double: share };
          const ours = tacticsOf(level, level.bunt, level.twoStrikeFactor, steals);
          const theirs = tacticsOf(level, level.bunt, level.twoStrikeFactor, {
            second: 0.5,
            third: 0.5,
            double: 0.5,
          });
          const rules = { ...plainRules(3), clip: 8 };
          return policyByWin([ours], [theirs], rules).at({
            inning: 1,
            half: 'top',
            homeLead: 0,
            state: 0,
          }).homeWin;
        };
        expect(start(safe + more)).toBeGreaterThanOrEqual(start(safe) - 1e-9);
      }),
      { numRuns: 8 },
    );
  }, 20_000);
});
