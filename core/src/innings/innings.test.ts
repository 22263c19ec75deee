import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyRates, battingAt } from '../../test/anyRates.ts';
import { INNINGS_VECTORS, VECTOR_LEVELS } from '../../test/innings.ts';
import { LEVEL_NAMES } from '../timing/index.ts';
import {
  baseOut,
  breakEvenOf,
  byRuns,
  byWin,
  chainOf,
  CONTACT,
  contactValue,
  describeAdvanceMisfit,
  describeSharesMisfit,
  describeStandingMisfit,
  HALVES,
  loadOf,
  plainRules,
  PLAY_LEVELS,
  policyByRuns,
  policyByWin,
  runDistributions,
  runExpectancies,
  sacrificeChain,
  scoringChances,
  sideOf,
  sideRunExpectancies,
  stateLabel,
  stepsWorth,
  tacticsOf,
  winBook,
  type Batting,
  type BreakEven,
  type Gamble,
  type GameRules,
  type Value,
  halfEnds,
  NO_SITUATION,
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
    expect(level.situation).toEqual('sit' in vectors.preset ? vectors.preset.sit : NO_SITUATION);
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

/** Under which name each level's preset stands in the others' files. */
const AWAY_FILES: Record<string, string> = {
  pro: 'pro.json',
  hs: 'highSchool.json',
  u14: 'youth14.json',
  fpCollege: 'collegeSoftball.json',
};
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
        ...('runsThisHalf' in cell && { runsThisHalf: cell.runsThisHalf }),
      } as const;
      near(books.get(cell.rules)?.at(standing), cell.homeWin, vectors.tolerance.winProbability);
    }
  });

  it('against another level is won as often as agreed', () => {
    if (!('winExpectancyMixed' in vectors)) return;
    const { rules: key, awayPresetFile, cells } = vectors.winExpectancyMixed;
    const other = VECTOR_LEVELS.find((each) => AWAY_FILES[each] === awayPresetFile);
    // The file of one away team is not among those that are agreed.
    if (awayPresetFile === 'college.json') return;
    const away = sideOf([PLAY_LEVELS[other ?? name]]);
    const book = winBook(side, away, rulesOf(rules[key] ?? { innings: 9, clip: 15 }));
    expect(other).toBeDefined();
    for (const { inning, half: which, diff, state, homeWin } of cells) {
      const standing = { inning, half: half(which), homeLead: diff, state } as const;
      near(book.at(standing), homeWin, vectors.tolerance.winProbability);
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
        expect(plain && breakEvenOf(gamble, state, byWin(plain, where))).toBeDefined();
        if (plain) check(breakEvenOf(gamble, state, byWin(plain, where)), each);
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
    // Runs and who is left on base of a half that the leadoff batter begins.
    const ends = halfEnds(lineup, 0, 0, Number.POSITIVE_INFINITY);
    for (const [runs, row] of vectors.lineup.joint.p.entries()) {
      for (const [left, chance] of row.entries()) {
        const next = (runs + left + 3) % lineup.spots;
        const found = ends.chance.filter(
          (_, index) => ends.runs[index] === runs && ends.nextSpot[index] === next,
        );
        near(
          found.reduce((sum, each) => sum + each, 0),
          chance,
          vectors.tolerance.lineup,
        );
      }
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

/** The chance of at least one run, as what a half is worth. */
function byScoring(chances: readonly number[]): Value {
  return (bases, outs, runs) =>
    runs > 0 ? 1 : outs >= 3 ? 0 : (chances[baseOut(bases, outs)] ?? 0);
}

describe.each(VECTOR_LEVELS)('tactics at %s', (name) => {
  const vectors = INNINGS_VECTORS[name];
  const level = PLAY_LEVELS[name];
  const chain = chainOf(level);
  const runs = byRuns([runExpectancies(chain)]);
  const scoring = byScoring(scoringChances(runDistributions(chain)));

  it('a sacrifice is worth what was agreed', () => {
    const bunt = sacrificeChain(level.bunt, level, level.twoStrikeFactor);
    for (const { bases, outs, ...agreed } of vectors.bunts) {
      const state = baseOut(bases, outs);
      near(runs(bases, outs, 0), agreed.swingRuns, vectors.tolerance.runExpectancy);
      near(stepsWorth(bunt[state] ?? [], state, runs), agreed.buntRuns, 1e-6);
      near(stepsWorth(bunt[state] ?? [], state, scoring), agreed.buntScore, 1e-6);
      near(scoring(bases, outs, 0), agreed.swingScore, vectors.tolerance.probabilities);
    }
  });

  it('going on contact is worth what was agreed', () => {
    expect(CONTACT).toEqual(vectors.contact.infield);
    for (const { infield, outs, go, wait } of vectors.contact.cells) {
      const found = contactValue(outs, CONTACT[infield as 'in' | 'back'], runs);
      near(found.go, go, 1e-6);
      near(found.wait, wait, 1e-6);
    }
  });

  const { stealSecondSafe, stealThirdSafe } = level.advance;
  const tactics = tacticsOf(level, level.bunt, level.twoStrikeFactor, {
    second: stealSecondSafe,
    third: stealThirdSafe,
    double: stealThirdSafe,
  });
  // Where two choices are worth the same to a millionth, either is right.
  const agree = (mine: string, theirs: string): number => (mine === theirs ? 0 : 1);

  it('the best choices are those agreed, by runs', () => {
    const best = policyByRuns(tactics);
    let differ = 0;
    for (const [state, agreed] of vectors.optimal.runExpectancy24.entries()) {
      near(best.values[state], agreed, vectors.tolerance.optimal);
      differ += agree(best.actions[state] ?? '', vectors.optimal.actions[state] ?? '');
    }
    expect(differ).toBe(0);
  });

  it('the best choices are those agreed, by wins', () => {
    const rules = vectors.rules as Record<string, VectorRules>;
    const plain = rules[vectors.optimal.gameRules];
    if (!plain) throw new Error('no rules');
    const best = policyByWin([tactics], [tactics], rulesOf(plain));
    const start = best.at({ inning: 1, half: 'top', homeLead: 0, state: 0 });
    near(start.homeWin, vectors.optimal.startTop1, vectors.tolerance.optimal);
    const last = plain.innings;
    for (const [homeLead, cells] of [
      [0, vectors.optimal.lastBottomTied],
      [-1, vectors.optimal.lastBottomOneDown],
    ] as const) {
      for (const [state, agreed] of cells.entries()) {
        const found = best.at({ inning: last, half: 'bottom', homeLead, state });
        near(found.homeWin, agreed.homeWin, vectors.tolerance.optimal);
        expect(found.action, stateLabel(state)).toBe(agreed.action);
      }
    }
  });
});

describe('any game', () => {
  const anyRules: fc.Arbitrary<GameRules> = fc.record({
    innings: fc.integer({ min: 1, max: 9 }),
    tieBreakerFrom: fc.option(fc.integer({ min: 1, max: 12 })),
    tieBreakerBases: fc.integer({ min: 0, max: 7 }),
    runRules: fc.array(
      fc.record({ lead: fc.integer({ min: 5, max: 15 }), after: fc.integer({ min: 1, max: 7 }) }),
      { maxLength: 2 },
    ),
    runLimit: fc.option(fc.integer({ min: 3, max: 8 })),
    clip: fc.constant(18),
  });
  it('is won with a chance from 0 to 1, more often with a greater lead, and evenly by equals', () => {
    const level = fc.constantFrom(...LEVEL_NAMES);
    fc.assert(
      fc.property(
        anyRates,
        anyRates,
        anyRules,
        level,
        fc.nat(),
        (ours, theirs, rules, name, pick) => {
          const home = sideOf([battingAt(ours, name)]);
          const book = winBook(home, sideOf([battingAt(theirs, name)]), rules);
          const inning = 1 + (pick % (rules.innings + 2));
          const state = pick % 24;
          for (const each of HALVES) {
            let before = 0;
            for (let homeLead = -4; homeLead <= 4; homeLead += 1) {
              const standing = { inning, half: each, homeLead, state };
              if (describeStandingMisfit(standing, rules)) continue;
              const chance = book.at(standing);
              expect(chance).toBeGreaterThanOrEqual(before - 1e-9);
              expect(chance).toBeLessThanOrEqual(1 + 1e-9);
              before = chance;
            }
          }
          if (rules.innings > 1) {
            const even = winBook(home, home, { ...rules, tieBreakerFrom: null });
            const start = even.at({ inning: 1, half: 'top', homeLead: 0, state: 0 });
            // A run rule and a limit favour who bats last; without them equals are equal.
            if (rules.runRules.length === 0) expect(Math.abs(start - 0.5)).toBeLessThan(1e-3);
          }
        },
      ),
      { numRuns: 1000 },
    );
  }, 120_000);

  it('loses no runner on any step, whatever the rates', () => {
    fc.assert(
      fc.property(anyRates, fc.constantFrom(...LEVEL_NAMES), (rates, name) => {
        const chain = chainOf(battingAt(rates, name));
        const sums = chain.map((steps) => steps.reduce((sum, { chance }) => sum + chance, 0));
        expect(sums.every((sum) => Math.abs(sum - 1) < 1e-9)).toBe(true);
        const done = chain.flatMap((steps, from) =>
          steps.map(({ to, runs }) => runs + loadOf(to) - loadOf(from)),
        );
        expect(done.every((each) => each === 0 || each === 1)).toBe(true);
      }),
      { numRuns: 200 },
    );
  });

  it('is refused where it cannot stand so, with the field it is about', () => {
    const rules = { ...plainRules(7), runRules: [{ lead: 10, after: 5 }] };
    const misfit = (parts: Partial<Parameters<typeof describeStandingMisfit>[0]>) =>
      describeStandingMisfit({ inning: 3, half: 'top', homeLead: 0, state: 0, ...parts }, rules)
        ?.path;
    expect(misfit({})).toBeUndefined();
    expect(misfit({ inning: 0 })).toBe('inning');
    expect(misfit({ state: 24 })).toBe('state');
    expect(misfit({ homeLead: 0.5 })).toBe('homeLead');
    expect(misfit({ inning: 7, half: 'bottom', homeLead: 1 })).toBe('homeLead');
    expect(misfit({ inning: 6, homeLead: 10 })).toBe('homeLead');
    expect(misfit({ inning: 8, homeLead: 1 })).toBe('homeLead');
    // The visitors are ten up by now: the home team still bats.
    expect(misfit({ inning: 6, homeLead: -10 })).toBeUndefined();
    expect(misfit({ inning: 6, half: 'bottom', homeLead: -10 })).toBeUndefined();
    expect(misfit({ inning: 5, half: 'bottom', homeLead: 10 })).toBe('homeLead');
    expect(misfit({ inning: 5, half: 'bottom', homeLead: -10 })).toBeUndefined();
  });

  it('is refused with rates that do not add up, with the reason', () => {
    const level = PLAY_LEVELS.hs;
    const rates = { ...level.rates, walk: 0.5 };
    expect(describeSharesMisfit(rates)).toMatch(/total 100%\. They total 136\.5%/);
    expect(() => chainOf({ ...level, rates })).toThrow('need to total 100%');
    const advance = { ...level.advance, groundScoreFromThird: 0.99 };
    expect(describeAdvanceMisfit(advance)).toMatch(/groundScoreFromThird and groundOutAtHome/);
    expect(() => sideOf([])).toThrow('at least one batter');
  });

  it('of the professional level stays near the published tables', () => {
    // Run expectancies of about 2010 to 2015 as commonly published, by outs; bases 0 to 7.
    const published = [
      [0.481, 0.859, 1.1, 1.35, 1.437, 1.784, 1.964, 2.292],
      [0.254, 0.509, 0.664, 0.95, 0.884, 1.13, 1.376, 1.541],
      [0.098, 0.224, 0.319, 0.353, 0.429, 0.478, 0.58, 0.752],
    ];
    // The table's order: empty, first, second, third, first and second, first and third, and so on.
    const order = [0, 1, 2, 4, 3, 5, 6, 7];
    const own = runExpectancies(chainOf(PLAY_LEVELS.pro));
    const errors = published.flatMap((row, outs) =>
      row.map((value, index) => (own[baseOut(order[index] ?? 0, outs)] ?? 0) - value),
    );
    const rms = Math.sqrt(errors.reduce((sum, error) => sum + error * error, 0) / errors.length);
    expect(rms).toBeLessThan(0.0196);
  });
});

describe('bases and outs', () => {
  it('are one number, and are said as coaches write them', () => {
    expect(stateLabel(baseOut(5, 1))).toBe('1_3, 1 out');
    expect(() => baseOut(8, 0)).toThrow('0 to 7');
    expect(() => baseOut(1, 3)).toThrow('0, 1 or 2 outs');
  });
});
