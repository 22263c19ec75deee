import { describe, expect, it } from 'vitest';
import { INNINGS_VECTORS, VECTOR_LEVELS } from '../../test/innings.ts';
import {
  baseOut,
  breakEvenOf,
  byRuns,
  byWin,
  chainOf,
  describeStandingMisfit,
  PLAY_LEVELS,
  runDistributions,
  runExpectancies,
  scoringChances,
  sideOf,
  sideRunExpectancies,
  stateLabel,
  winBook,
  type Batting,
  type BreakEven,
  type Gamble,
  type GameRules,
} from './index.ts';

const near = (value: number | undefined, agreed: number, tolerance: number): void => {
  expect(Math.abs((value ?? Number.NaN) - agreed)).toBeLessThan(tolerance);
};

describe.each(VECTOR_LEVELS)('a half-inning at %s', (name) => {
  const vectors = INNINGS_VECTORS[name];
  const level = PLAY_LEVELS[name];
  const chain = chainOf(level);

  it('is played with the agreed inputs', () => {
    expect(level.rates).toEqual(vectors.preset.rates);
    expect(level.advance).toEqual(vectors.preset.adv);
    expect(level.bunt).toEqual(vectors.preset.bunt);
    expect(level).toMatchObject({
      innings: vectors.preset.innings,
      twoStrikeFactor: vectors.preset.twoStrikeFactor,
    });
  });

  it('has the agreed steps', () => {
    for (const [state, steps] of Object.entries(vectors.transitions)) {
      const own = chain[Number(state)] ?? [];
      expect(own).toHaveLength(steps.length);
      for (const { to, runs, p } of steps) {
        const step = own.find((each) => each.to === to && each.runs === runs);
        near(step?.chance, p, vectors.tolerance.probabilities);
      }
    }
  });

  it('has the agreed runs', () => {
    const distributions = runDistributions(chain);
    for (const [state, value] of runExpectancies(chain).entries()) {
      near(value, vectors.runExpectancy24[state] ?? 0, vectors.tolerance.runExpectancy);
    }
    for (const [state, value] of scoringChances(distributions).entries()) {
      near(value, vectors.scoreProbability24[state] ?? 0, vectors.tolerance.probabilities);
    }
    for (const [state, agreed] of vectors.runDistribution.entries()) {
      for (const [runs, chance] of agreed.entries()) {
        near(distributions[state]?.[runs], chance, vectors.tolerance.probabilities);
      }
    }
  });
});

type VectorRules = { innings: number; clip: number } & Partial<{
  tiebreakFrom: number;
  tiebreakBases: number;
  mercy: { lead: number; after: number }[];
  runLimit: number;
}>;

function rulesOf({
  innings,
  clip,
  tiebreakFrom,
  tiebreakBases,
  mercy,
  runLimit,
}: VectorRules): GameRules {
  return {
    innings,
    clip,
    tieBreakerFrom: tiebreakFrom ?? null,
    tieBreakerBases: tiebreakBases ?? 2,
    runRules: mercy ?? [],
    runLimit: runLimit ?? null,
  };
}

const half = (index: number) => (index === 0 ? 'top' : 'bottom');

describe.each(VECTOR_LEVELS)('a game at %s', (name) => {
  const vectors = INNINGS_VECTORS[name];
  const level = PLAY_LEVELS[name];
  const side = sideOf([level]);
  const rules = vectors.rules as Record<string, VectorRules>;
  const books = new Map(
    Object.entries(rules).map(([key, each]) => [key, winBook(side, side, rulesOf(each))]),
  );

  it('is won as often as agreed, under every rule', () => {
    for (const cell of vectors.winExpectancy) {
      const standing = {
        inning: cell.inning,
        half: half(cell.half),
        homeLead: cell.diff,
        state: cell.state,
        ...('runsThisHalf' in cell && { runsThisHalf: cell.runsThisHalf as number }),
      } as const;
      const book = books.get(cell.rules);
      if (book && describeStandingMisfit(standing, book.rules)) continue;
      near(book?.at(standing), cell.homeWin, vectors.tolerance.winProbability);
    }
  });

  it('has the agreed break-evens, by runs and by wins', () => {
    const runs = byRuns([runExpectancies(chainOf(level))]);
    const plain = books.get('plain');
    for (const known of vectors.breakEvens) {
      const state = baseOut(known.basesBefore, known.outsBefore);
      const gamble = known.play as Gamble;
      const check = (
        found: BreakEven | null,
        agreed: { hold: number; safe: number; out: number; breakEven: number | null },
      ) => {
        for (const key of ['hold', 'safe', 'out'] as const) {
          near(found?.[key], agreed[key], vectors.tolerance.breakEven);
        }
        if (typeof found?.needed === 'number') {
          near(found.needed, agreed.breakEven ?? Number.NaN, 1e-5);
        }
      };
      check(breakEvenOf(gamble, state, runs), known.byRuns);
      for (const each of known.byWin) {
        const homeLead = each.half === 0 ? -each.battingLead : each.battingLead;
        const where = { inning: each.inning, half: half(each.half), homeLead } as const;
        if (!plain || describeStandingMisfit({ ...where, state }, plain.rules)) continue;
        check(breakEvenOf(gamble, state, byWin(plain, where)), each);
      }
    }
  });

  it('with a line-up has the agreed runs and chances', () => {
    const batters: Batting[] = vectors.lineup.rates.map((rates) => ({
      rates,
      advance: level.advance,
      situation: level.situation,
    }));
    const lineup = sideOf(batters);
    for (const [spot, agreed] of vectors.lineup.runExpectancy.entries()) {
      const own = sideRunExpectancies(lineup)[spot];
      for (const [state, value] of agreed.entries())
        near(own?.[state], value, vectors.tolerance.lineup);
    }
    const { homeLineupVersusAverageAway: average, lineupVersusSameLineup: same } = vectors.lineup;
    for (const [away, { rules: key, cells }] of [
      [side, average],
      [lineup, same],
    ] as const) {
      const book = winBook(lineup, away, rulesOf(rules[key] ?? { innings: 9, clip: 15 }));
      for (const cell of cells) {
        const found = book.at({
          inning: cell.inning,
          half: half(cell.half),
          homeLead: cell.diff,
          state: cell.state,
          homeSpot: cell.homeSpot,
          ...('awaySpot' in cell && { awaySpot: cell.awaySpot }),
        });
        near(found, cell.homeWin, vectors.tolerance.lineup);
      }
    }
  });
});

describe('bases and outs', () => {
  it('are one number, and are said as coaches write them', () => {
    expect(stateLabel(baseOut(5, 1))).toBe('1_3, 1 out');
    expect(() => baseOut(8, 0)).toThrow('0 to 7');
    expect(() => baseOut(1, 3)).toThrow('0, 1 or 2 outs');
  });
});
