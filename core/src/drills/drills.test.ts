import { describe, expect, it } from 'vitest';
import { normalCdf } from '../maths/index.ts';
import cues from '../../vectors/drills/cues.json';
import type { TestDive } from '../leads/index.ts';
import dives from '../../vectors/drills/dives.json';
import landing from '../../vectors/drills/landing.json';
import leave from '../../vectors/drills/leave.json';
import pace from '../../vectors/drills/pace.json';
import reaction from '../../vectors/drills/reaction.json';
import reads from '../../vectors/drills/reads.json';
import squeeze from '../../vectors/drills/squeeze.json';
import staircase from '../../vectors/drills/staircase.json';
import { LEVELS, ownSpread, type LevelName } from '../timing/index.ts';
import {
  advisedLead,
  bestLean,
  chanceByJump,
  CUE_STAKES,
  STAIRCASE,
  answerShown,
  bestAim,
  CALL_DRILLS,
  CALLS,
  capsAt,
  chanceOfLongerRun,
  DIVES,
  compareStarts,
  CUES,
  estimateStart,
  flatLaw,
  hazard,
  isFair,
  isReachKnown,
  judgeLandings,
  judgeLeaves,
  LANDS_BEFORE_MITT_SECONDS,
  judgeReads,
  judgeShow,
  judgeShows,
  judgeSqueezes,
  judgeStart,
  longestAllowed,
  makeBlock,
  nextLead,
  nextLeadOnPaper,
  nextShown,
  OUTPUT_LATE_SECONDS,
  paceOf,
  reachAfter,
  reachBefore,
  searchLead,
  readAfterMonths,
  readBefore,
  readWorth,
  repsBothDays,
  repsToTell,
  runsZ,
  sprintsOf,
  squeezeScore,
  START_MEASURES,
  USUAL_READ_SECONDS,
  waitOf,
  type Call,
  type CallDrillName,
  type Cue,
  type TappedSqueeze,
  type DiveResult,
  type Start,
  type StartEstimate,
  type WaitLaw,
} from './index.ts';

function near(got: number | null | undefined, wanted: number | null, tolerance: number, what = '') {
  if (wanted === null || got === null || got === undefined) {
    expect(got ?? null, what).toBe(wanted);
    return;
  }
  // Their figures are written with ten digits.
  expect(Math.abs(got - wanted), what).toBeLessThanOrEqual(tolerance + 1e-9 * Math.abs(wanted));
}

const lawOf = (law: { least: number; meanWait: number; most: number }): WaitLaw => ({
  leastSeconds: law.least,
  meanSeconds: law.meanWait,
  mostSeconds: law.most,
});

describe('calls', () => {
  const { tolerance } = cues;

  it('are of the drills that were agreed', () => {
    expect(cues.callsInOrder).toEqual([...CALLS]);
    expect(cues.drills.map(({ name }) => name).sort()).toEqual(Object.keys(CALL_DRILLS).sort());
    for (const given of cues.drills) {
      const drill = CALL_DRILLS[given.name as CallDrillName];
      expect(drill.shares).toEqual(given.shares);
      near(drill.wait.mostSeconds, given.wait.most, tolerance.seconds);
      expect(drill.wait.leastSeconds).toBe(given.wait.least);
      expect(drill.wait.meanSeconds).toBe(given.wait.meanWait);
      if (given.gap) expect(drill).toMatchObject({ gap: lawOf(given.gap) });
      if (given.motion) expect(drill).toMatchObject({ handsSeconds: given.motion });
    }
  });

  it.each(cues.waits)('come after a wait: $input.u', ({ input, expected }) => {
    near(waitOf(input.u, lawOf(input.law)), expected.wait, tolerance.seconds);
  });

  it.each(cues.laws)('do not get likelier with waiting: $input', ({ input, expected }) => {
    const law = flatLaw(input.least, input.meanWait, input.noneShare);
    near(law.mostSeconds, expected.most, tolerance.seconds);
    for (const [u, wanted] of [
      [0.5, expected.hazardAtHalf],
      [0.95, expected.hazardAt95],
    ] as const) {
      near(hazard(waitOf(u, law), law, input.noneShare), wanted, 1e-7);
    }
  });

  it.each(cues.longest)('have no longer runs than chance: $input', ({ input, expected }) => {
    expect(longestAllowed(input.n, input.share)).toBe(expected.longestAllowed);
    near(chanceOfLongerRun(input.n, input.share, 3), expected.chanceAbove3, tolerance.probability);
  });

  it.each(cues.runs)('change as often as chance: $input.calls', ({ input, expected }) => {
    const calls = input.calls as Call[];
    near(runsZ(calls), expected.z, tolerance.z);
    expect(isFair(calls, CALL_DRILLS.goBack.shares)).toBe(expected.acceptableGoBack);
    const longest = calls.reduce(
      ({ now, most }, call) => {
        const next = call === 'go' ? now + 1 : 0;
        return { now: next, most: Math.max(most, next) };
      },
      { now: 0, most: 0 },
    );
    expect(longest.most).toBe(expected.longestGo);
  });

  it.each([...cues.blocks, ...cues.rejectedFirst])(
    'are the same block from the same seed: $input',
    ({ input, expected }) => {
      const block = makeBlock(CALL_DRILLS[input.drill as CallDrillName], input.seed, input.reps);
      expect(block.tries).toBe(expected.tries);
      expect(block.reps.map(({ call }) => call)).toEqual(expected.reps.map(({ call }) => call));
      for (const [index, rep] of expected.reps.entries()) {
        const made = block.reps[index];
        near(made?.waitSeconds, rep.wait, tolerance.seconds);
        const { gap, motion } = rep as { gap?: number; motion?: number };
        near(made?.gapSeconds ?? null, gap ?? null, tolerance.seconds);
        near(made?.handsSeconds ?? null, motion ?? null, tolerance.seconds);
      }
    },
  );

  it.each(cues.verdicts)('judge a start: $input', ({ input, expected }) => {
    const { motionSeconds, ...start } = input;
    expect(
      judgeStart({ ...(start as Omit<Start, 'handsSeconds'>), handsSeconds: motionSeconds }),
    ).toBe(expected.verdict);
  });

  it('are too quick to be real from the agreed limits on, and missed after them', () => {
    const start = { call: 'go', way: 'go', measureSdSeconds: 0, handsSeconds: 0 } as const;
    for (const sense of ['heard', 'seen'] as const) {
      const at = (reactionSeconds: number) => judgeStart({ ...start, sense, reactionSeconds });
      expect(at(cues.leastReaction[sense] - 0.001)).toBe('falseStart');
      expect(at(cues.leastReaction[sense])).toBe('good');
      expect(at(cues.latestReaction + 0.001)).toBe('missed');
    }
  });
});

describe('pace and care', () => {
  it.each(pace.pace)('leave everybody rested: $input', ({ input, expected }) => {
    const { meanWait, ...rest } = input;
    const found = paceOf({ ...rest, meanWaitSeconds: meanWait });
    for (const key of ['waves', 'ratio', 'everySeconds', 'restSeconds', 'repsPerMinute'] as const) {
      near(found[key], expected[key], pace.tolerance, key);
    }
  });

  it.each(pace.caps)('have a most at an age: $input.age', ({ input: { age }, expected }) => {
    const usual = capsAt(age);
    expect(usual.sprints).toBe(expected.sprints);
    expect(usual.dives).toBe(expected.dives);
    expect(capsAt(age, { headFirst: false }).dives).toBe(expected.divesWhereForbidden);
    expect(usual.warmUpMinutes).toBe(expected.warmUpMinutes);
    const { pitcher, catcher, outfielder } = expected;
    expect(usual.throws).toEqual({ pitcher, catcher, outfielder });
    const before = capsAt(age, { nearGame: true }).throws;
    expect(before.pitcher).toBe(expected.pitcherDayBefore);
    expect(before.catcher).toBe(expected.catcherDayBefore);
  });

  it.each(pace.efforts)('count a run of $input.feet ft', ({ input, expected }) => {
    expect(sprintsOf(input.feet)).toBe(expected.sprints);
  });
});

const estimateOf = (
  given: (typeof reaction.comparisons)[number]['input']['sessions'][number]['a'],
) =>
  ({
    count: given.n,
    middleSeconds: given.middle,
    typicalSeconds: given.typical,
    spreadSeconds: given.spread,
    seSeconds: given.se,
    freedom: given.freedom,
    lowSeconds: given.lo,
    highSeconds: given.hi,
  }) satisfies StartEstimate;

describe('reactions', () => {
  const { tolerance } = reaction;

  it('are timed by the measures that were agreed', () => {
    expect(
      Object.fromEntries(
        Object.entries(START_MEASURES).map(([name, { lateSeconds, lateSdSeconds, sdSeconds }]) => [
          name,
          { late: lateSeconds, lateSd: lateSdSeconds, sd: sdSeconds },
        ]),
      ),
    ).toEqual(reaction.measures);
    expect(OUTPUT_LATE_SECONDS).toEqual(reaction.outputLate);
    // Two that are endlessly sure differ by what days differ: within and between are in the doubt.
    const sure = { ...estimateOf(reaction.comparisons[0]?.input.sessions[0]?.a as never) };
    const none = compareStarts([
      { a: { ...sure, seSeconds: 1e-9 }, b: { ...sure, seSeconds: 1e-9 } },
    ]);
    near(none?.seSeconds, reaction.betweenDays, 1e-9);
    const same = estimateStart([0.2, 0.2, 0.2, 0.2, 0.2], 0);
    near(same?.spreadSeconds, Math.sqrt((4 * reaction.within ** 2) / 6), 1e-9);
  });

  it.each(reaction.estimates)('say together: $input.reactions', ({ input, expected }) => {
    const found = estimateStart(input.reactions, input.measureSdSeconds);
    if (expected === null) {
      expect(found).toBeNull();
      return;
    }
    expect(found?.count).toBe(expected.n);
    near(found?.middleSeconds, expected.middle, tolerance.seconds);
    near(found?.typicalSeconds, expected.typical, tolerance.seconds);
    near(found?.spreadSeconds, expected.spread, tolerance.seconds);
    near(found?.seSeconds, expected.se, tolerance.seconds);
    near(found?.freedom, expected.freedom, tolerance.freedom);
    near(found?.lowSeconds, expected.lo, tolerance.seconds);
    near(found?.highSeconds, expected.hi, tolerance.seconds);
  });

  it.each(reaction.repsToTell)('need so many to tell a change: $input', ({ input, expected }) => {
    expect(repsToTell(input.spread, input.before, input.change)).toBe(expected.more);
    expect(repsBothDays(input.spread, input.change)).toBe(expected.bothDays);
  });

  it.each(reaction.comparisons)('are compared within sessions', ({ input, expected }) => {
    const found = compareStarts(
      input.sessions.map(({ a, b }) => ({ a: estimateOf(a), b: estimateOf(b) })),
    );
    near(found?.differenceSeconds, expected.difference, tolerance.seconds);
    near(found?.seSeconds, expected.se, tolerance.seconds);
    near(found?.freedom, expected.freedom, tolerance.freedom * 10);
    near(found?.lowSeconds, expected.lo, tolerance.seconds);
    near(found?.highSeconds, expected.hi, tolerance.seconds);
    near(found?.chanceAQuicker, expected.chanceQuicker, tolerance.chance);
    expect(found?.verdict).toBe(expected.verdict);
  });
});

describe('reads', () => {
  const { tolerance } = reads;

  it.each(reads.reads)('are judged: $input', ({ input, expected }) => {
    const { cue, ...counts } = input;
    const found = judgeReads(counts, cue as Cue);
    if (expected === null) {
      expect(found).toBeNull();
      return;
    }
    near(found?.sensitivity, expected.d, tolerance.d);
    near(found?.lean, expected.c, tolerance.d);
    near(found?.sensitivityRange[0], expected.dLo, tolerance.interval);
    near(found?.sensitivityRange[1], expected.dHi, tolerance.interval);
    near(found?.leanRange[0], expected.cLo, tolerance.interval);
    near(found?.leanRange[1], expected.cHi, tolerance.interval);
    near(found?.bestLean, expected.cBest, tolerance.other);
    expect(found?.words).toBe(expected.words);
    near(found?.right, expected.right, tolerance.other);
  });

  it.each(reads.worth)(
    'are worth so much when they come earlier: $input',
    ({ input, expected }) => {
      const found = readWorth(input);
      near(found.jumpSeconds, expected.jump, tolerance.other);
      near(found.chance, expected.dChance, tolerance.other);
      near(found.runs, expected.runs, tolerance.other);
    },
  );

  it.each(reads.raceGain)(
    'make a steal better by an earlier jump: $input.level',
    ({ input, expected }) => {
      const level = LEVELS[input.level as LevelName];
      const exact = ({ mean, sd }: { mean: number; sd: number }) => ({
        meanSeconds: mean,
        sdSeconds: sd,
        freedom: Number.POSITIVE_INFINITY,
        meanSdSeconds: 0,
        spreadSeconds: sd,
      });
      const found = chanceByJump(
        {
          level,
          delivery: exact(input.delivery),
          pop: exact(input.pop),
          run: exact(input.run),
          jump: { meanSeconds: level.jumpSeconds, sdSeconds: level.jumpSdSeconds },
        },
        reads.practiceToGame * input.earlierSeconds,
      );
      near(found.before, expected.before, tolerance.other);
      near(found.after, expected.after, tolerance.other);
      near(found.gain, expected.gain, tolerance.other);
    },
  );

  it('are judged from four of each on, and worth half in a game', () => {
    const four = { hits: 3, signals: reads.leastEach, falseGoes: 1, noises: reads.leastEach };
    expect(judgeReads(four, 'dirt')).not.toBeNull();
    expect(judgeReads({ ...four, noises: reads.leastEach - 1 }, 'dirt')).toBeNull();
    expect(bestLean('dirt', 0.01)).toBe(reads.mostCriterion);
    const worth = readWorth({ earlierSeconds: 1, perTenth: 0.1, stakeRuns: 1, attempts: 1 });
    near(worth.jumpSeconds, -reads.practiceToGame, 1e-12);
    expect(reads.quantiles).toBe(60);
  });

  it.each(staircase.runs)(
    'are shown shorter as they get better: $input.cue',
    ({ input, expected }) => {
      let level = readBefore(input.priorMean);
      for (const [at, right] of input.answers.entries()) {
        const shown = nextShown(level);
        near(shown, expected.shown[at] ?? Number.NaN, staircase.tolerance.shown);
        level = answerShown(level, shown, right);
        near(
          level.thresholdSeconds,
          expected.threshold[at] ?? Number.NaN,
          staircase.tolerance.threshold,
        );
        near(level.sdSeconds, expected.sd[at] ?? Number.NaN, staircase.tolerance.threshold);
      }
    },
  );

  it('are as good after the winter, and less sure', () => {
    const spring = readAfterMonths({ thresholdSeconds: 0.3, sdSeconds: 0.03 }, 4);
    expect(Math.abs(spring.thresholdSeconds - 0.3)).toBeLessThan(0.1);
    expect(spring.sdSeconds).toBeGreaterThan(
      readAfterMonths({ thresholdSeconds: 0.3, sdSeconds: 0.03 }, 0).sdSeconds,
    );
  });

  it('begin where it is usual for the cue', () => {
    expect(USUAL_READ_SECONDS).toEqual(staircase.startMean);
    const {
      about: _about,
      tolerance: _tolerance,
      runs: _runs,
      startMean: _mean,
      ...constants
    } = staircase;
    expect(STAIRCASE).toEqual(constants);
    expect(
      Object.fromEntries(
        Object.entries(CUE_STAKES).map(([cue, { signal, goRuns, stayRuns }]) => [
          cue,
          { signal, wGo: goRuns, wStay: stayRuns },
        ]),
      ),
    ).toEqual(reads.stakes);
    expect([...CUES].sort()).toEqual(Object.keys(reads.stakes).sort());
  });
});

describe('leaving and landing', () => {
  it('rests on the agreed constants', () => {
    const { tell, umpire, called } = leave.constants;
    // Endlessly even and aiming at the release: the umpire alone is left.
    const even = { spreadSeconds: 1e-9, outRuns: 1, perSecondRuns: 1e-9, risk: 0.5 };
    const found = bestAim(even);
    near(found.ruleSeconds, -tell, 1e-8);
    near(found.called, called * normalCdf((-found.aimSeconds - tell) / umpire), 1e-8);
    const { window, beforeMitt, measureSd } = landing.constants;
    expect(measureSd).toBe(leave.measureSd);
    expect(LANDS_BEFORE_MITT_SECONDS).toBe(beforeMitt);
    const at = (offsetSeconds: number) => judgeLandings([{ offsetSeconds, foot: 'left' }]);
    expect(at(window)).toMatchObject({ good: 1, spreadSeconds: null });
    expect(at(window + 0.001).late).toBe(1);
    // Two readings that differ by much are the runner's, but for the thumbs.
    near(ownSpread([0, 1]), Math.sqrt(0.5 - measureSd ** 2), 1e-12);
  });

  it.each(leave.aims)('aims: $input', ({ input, expected }) => {
    const found = bestAim({
      spreadSeconds: input.spread,
      outRuns: input.outRuns,
      perSecondRuns: input.perSecondRuns,
      risk: input.risk,
    });
    const { seconds, share, runs } = leave.tolerance;
    near(found.optimumSeconds, expected.optimum, seconds);
    near(found.ruleSeconds, expected.rule, seconds);
    near(found.aimSeconds, expected.aim, seconds);
    near(found.early, expected.pEarly, share);
    near(found.called, expected.pCalled, share);
    near(found.lateMeanSeconds, expected.lateMean, seconds);
    near(found.lossRuns, expected.loss, runs);
  });

  it.each(leave.series)('is judged as a series: $input.leaves', ({ input, expected }) => {
    const found = judgeLeaves(input.leaves, input.topSpeed);
    expect(found.count).toBe(expected.n);
    near(found.meanSeconds, expected.mean, leave.tolerance.seconds);
    near(found.spreadSeconds, expected.spread, leave.tolerance.seconds);
    near(found.feetLost, expected.feetLost, leave.tolerance.seconds);
    for (const key of ['early', 'close', 'onTime', 'late'] as const) {
      expect(found[key], key).toBe(expected[key]);
    }
  });

  it.each(landing.landings)('lands: $expected.n', ({ input, expected }) => {
    const found = judgeLandings(
      input.map(({ offset, foot }) => ({ offsetSeconds: offset, foot: foot as 'left' | 'right' })),
    );
    const { seconds, share } = landing.tolerance;
    expect(found.count).toBe(expected.n);
    near(found.meanSeconds, expected.mean, seconds);
    near(found.spreadSeconds, expected.spread, seconds);
    for (const key of ['early', 'good', 'late'] as const)
      expect(found[key], key).toBe(expected[key]);
    near(found.expectedGood, expected.expectedGood, share);
    near(found.bestPossible, expected.bestPossible, share);
    near(found.rightFoot, expected.rightFoot, share);
    for (const [at, wanted] of expected.rightFoot80.entries()) {
      near(found.rightFootRange[at], wanted, share);
    }
  });
});

const sportOf = (name: string) => (name === 'fastpitch' ? 'softball' : 'baseball');

describe('a squeeze of practice', () => {
  it.each(squeeze.score)('scores so often: $input', ({ input, expected }) => {
    near(
      squeezeScore(sportOf(input.sport), input.brk, input.show),
      expected.score,
      squeeze.tolerance,
    );
  });

  it('scores by the agreed table', () => {
    for (const [sport, { breaks, shows, score }] of Object.entries(squeeze.table)) {
      for (const [row, brk] of breaks.entries()) {
        for (const [column, show] of shows.entries()) {
          near(
            squeezeScore(sportOf(sport), brk, show),
            score[row]?.[column] ?? Number.NaN,
            squeeze.tolerance,
          );
        }
      }
    }
  });

  it.each(squeeze.show)('is shown in time or not: $input', ({ input, expected }) => {
    expect(judgeShow(sportOf(input.sport), input.show)).toEqual(expected);
  });

  it('is shown in time between the agreed borders, and in doubt near them', () => {
    for (const [name, { early, late, breakEarly, breakLate }] of Object.entries(squeeze.windows)) {
      const sport = sportOf(name);
      expect(judgeShow(sport, early - 0.001).verdict).toBe('early');
      expect(judgeShow(sport, early).verdict).toBe('good');
      expect(judgeShow(sport, late).verdict).toBe('good');
      expect(judgeShow(sport, late + 0.001).verdict).toBe('late');
      const edge = 1.2816 * squeeze.showSd;
      expect(judgeShow(sport, early - edge + 1e-6).doubtful).toBe(true);
      expect(judgeShow(sport, early - edge - 1e-6).doubtful).toBe(false);
      const breaks = (seconds: number) =>
        judgeSqueezes(sport, [{ breakSeconds: seconds, showSeconds: 0 }]).break;
      expect(breaks(breakEarly - 0.001).early).toBe(1);
      expect(breaks(breakEarly).good).toBe(1);
      expect(breaks(breakLate).good).toBe(1);
      expect(breaks(breakLate + 0.001).late).toBe(1);
    }
  });

  it.each(squeeze.series)('is judged as a series: $input.sport', ({ input, expected }) => {
    const found = judgeSqueezes(
      sportOf(input.sport),
      input.reps.map(({ brk, show }) => ({ breakSeconds: brk, showSeconds: show })),
    );
    expect(found.show).toEqual(expected.show);
    expect(found.break).toEqual(expected.brk);
    near(found.score, expected.score, squeeze.tolerance);
    near(found.lost, expected.lost, squeeze.tolerance);
  });
});

describe('squeezes as they were tapped', () => {
  const one = (parts: Partial<TappedSqueeze>): TappedSqueeze => ({
    showSeconds: 0.05,
    breakSeconds: null,
    outcome: 'down',
    ...parts,
  });

  it('are done only when the show, the bunt and the break were right', () => {
    const judged = judgeShows('baseball', [
      one({}),
      one({ breakSeconds: 0 }),
      one({ breakSeconds: -0.3 }),
      one({ outcome: 'foul' }),
      one({ showSeconds: 0.3 }),
    ]);
    expect(judged).toMatchObject({ count: 5, done: 2, show: { early: 0, good: 4, late: 1 } });
    expect(judged?.run).toMatchObject({ break: { early: 1, good: 1, late: 0 } });
    expect(judged?.meanShowSeconds).toBeCloseTo(0.1, 9);
  });

  it('score only where a runner ran, and nothing is nothing', () => {
    expect(judgeShows('softball', [])).toBeNull();
    expect(judgeShows('softball', [one({})])?.run).toBeNull();
    expect(judgeShows('softball', [one({ showSeconds: -0.04 })])?.doubtful).toBe(1);
  });
});

describe('test dives', () => {
  it.each(dives.runs)('find the reach: $input.results', ({ input, expected }) => {
    let reach = reachBefore(input.priorMean, input.priorSd);
    let last: number | null = null;
    for (const [at, result] of input.results.entries()) {
      const lead = nextLead(reach, last);
      near(lead, expected.leads[at] ?? Number.NaN, dives.tolerance.lead);
      reach = reachAfter(reach, lead, result as DiveResult);
      last = lead;
      near(reach.meanFeet, expected.reach[at] ?? Number.NaN, dives.tolerance.reach);
      near(reach.sdFeet, expected.sd[at] ?? Number.NaN, dives.tolerance.reach);
      near(advisedLead(reach), expected.advised[at] ?? Number.NaN, dives.tolerance.lead);
      expect(isReachKnown(reach, at + 1)).toBe(expected.done[at]);
    }
  });

  it('rests on the agreed constants', () => {
    expect(DIVES).toEqual({ ...dives.constants, grid: dives.grid });
  });

  it('go on from the dives that are kept, nearer with each, and stop when it is known', () => {
    const none = searchLead([], 4.5);
    expect(none.isKnown).toBe(false);
    const taken: TestDive[] = [];
    let search = none;
    // Somebody who reaches 11.4 ft, whatever their level.
    for (let dive = 0; dive < 8 && !search.isKnown; dive += 1) {
      const leadFeet = search.nextFeet;
      const spare = 11.4 - leadFeet;
      taken.push({
        leadFeet,
        result: spare > 1 ? 'elbowOver' : spare >= 0 ? 'handOn' : 'short',
        inchesShort: spare < 0 ? Math.ceil(-spare * 12) : null,
      });
      search = searchLead(taken, 4.5);
    }
    expect(search.isKnown).toBe(true);
    expect(search.giveOrTakeFeet).toBeLessThan(none.giveOrTakeFeet / 2);
    expect(search.advisedFeet).toBeLessThan(11.4);
    expect(search.advisedFeet).toBeGreaterThan(10);
    // A longer shortfall never lengthens the lead.
    const short = (inches: number) =>
      searchLead([{ leadFeet: 12, result: 'short', inchesShort: inches }], 4.5).advisedFeet;
    expect(short(12)).toBeLessThanOrEqual(short(4));
  });

  it.each(dives.paper)('go on by paper: $input', ({ input, expected }) => {
    near(
      nextLeadOnPaper(input.lead, input.result as DiveResult),
      expected.next,
      dives.tolerance.lead,
    );
  });
});
