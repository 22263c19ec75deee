import {
  PITCHES,
  chanceAt,
  chanceSafe,
  pitchMix,
  pitchesFor,
  readyRace,
  coverSeconds,
} from '../race/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import games from '../../vectors/race/game.json';
import variants from '../../vectors/race/variants.json';
import { aReading } from '../../test/aReading.ts';
import { makeRandom } from '../maths/index.ts';
import { PRESETS, type Ruleset } from '../rules/index.ts';
import { populationsOf, runnerOf, runSeconds, type Conditions } from '../sprint/index.ts';
import { LEVELS, type LevelName, type Reading, type DoubtfulSpread } from '../timing/index.ts';
import {
  chanceDelayed,
  doubleSteal,
  firstAndThird,
  footWorth,
  goCard,
  judgeSteal,
  legsOf,
  mixFigures,
  roundedUp,
  runningGame,
  sharpestNext,
  startOf,
  stealKinds,
  type DelayedRace,
  type Judging,
  type StealBase,
  type StealKind,
  type StealQuestion,
} from './index.ts';

type Hand = 'right' | 'left';

function fieldAt(level: LevelName, ruleset: Ruleset = PRESETS.fullSizeSeven): Conditions {
  return { level: LEVELS[level], ruleset };
}

function timed(field: Conditions, readings: Reading[], throws: Hand = 'right') {
  const person = { throws, bats: 'right' } as const;
  return { person, populations: populationsOf(person, readings, field, new Map()) };
}

/** Somebody timed so often at one time that the prior no longer shows. */
const often = (seconds: number, parts: Partial<Reading>): Reading[] =>
  Array.from({ length: 400 }, (_, index) =>
    aReading({ seconds: seconds + (index % 2 === 0 ? 0.03 : -0.03), ...parts }),
  );

function ask(
  parts: Partial<StealQuestion> & {
    pitches?: Reading[];
    pops?: Reading[];
    runs?: Reading[];
    throws?: Hand;
  } = {},
): StealQuestion {
  const { pitches = [], pops = [], runs = [], throws, ...rest } = parts;
  const field = rest.field ?? fieldAt('hs');
  const runner = timed(field, runs);
  return {
    field,
    base: 'second',
    kind: stealKinds(field.ruleset, 'second')[0] ?? 'straight',
    style: 'legLift',
    pitcher: timed(field, pitches, throws),
    catcher: timed(field, pops),
    runner: { ...runner, form: runnerOf(runner.person, runner.populations, field) },
    leadFeet: null,
    batter: null,
    ...rest,
  };
}

const judging: Judging = { pitches: pitchesFor({ count: null }), needed: 0.8 };
const pop = { kind: 'pop', base: 'second' } as const;
const steal = { kind: 'steal', base: 'second', leadFeet: 11.5 } as const;
const well = {
  pitches: often(1.4, {}),
  pops: often(2.1, pop),
  runs: often(3.4, steal),
};

describe('what a steal is judged by', () => {
  it('is each one’s own, at his own lead', () => {
    const { pitch, pop: throwing, run } = legsOf(ask(well));
    expect(pitch?.spread.meanSeconds).toBeCloseTo(1.4, 2);
    expect(throwing?.spread.meanSeconds).toBeCloseTo(2.1, 2);
    expect(run.spread.meanSeconds).toBeCloseTo(3.4, 1);
    const longer = legsOf(ask({ ...well, leadFeet: 13.5 })).run.spread.meanSeconds;
    expect(run.spread.meanSeconds - longer).toBeCloseTo(2 * 0.038, 2);
  });

  it('is typical of the level where nothing is timed, and says so', () => {
    const { pitch, run } = legsOf(ask());
    expect(pitch).toMatchObject({ basis: 'typical', count: 0 });
    // The agreed table: an average high school runner takes 3.69 s from 11.5 ft.
    expect(run.spread.meanSeconds).toBeCloseTo(3.69, 2);
    expect(run.spread.meanSdSeconds).toBeGreaterThan(0.15);
  });

  it('reckons a slide step from the leg lift until one is timed, and is less sure of it', () => {
    const slide = legsOf(ask({ ...well, style: 'slideStep' })).pitch;
    const lift = legsOf(ask(well)).pitch;
    expect(slide?.basis).toBe('reckoned');
    expect(slide?.spread.meanSeconds).toBeCloseTo((lift?.spread.meanSeconds ?? 0) - 0.17, 9);
    expect(slide?.spread.meanSdSeconds).toBeGreaterThan(lift?.spread.meanSdSeconds ?? 1);
    const own = ask({
      pitches: [aReading({ seconds: 1.2, style: 'slideStep' })],
      style: 'slideStep',
    });
    expect(legsOf(own).pitch?.basis).toBe('timed');
  });

  it('waits longer on a left-hander going to second, and reads him the same off second', () => {
    const jump = (throws: Hand, base: 'second' | 'third') =>
      legsOf(ask({ throws, base })).jump?.spread.meanSeconds;
    expect(jump('left', 'second')).toBeCloseTo(0.21, 9);
    expect(jump('right', 'second')).toBeCloseTo(0.13, 9);
    expect(jump('left', 'third')).toBe(jump('right', 'third'));
  });

  it('can be supposed of anybody: taken at its word, and as uneven as they are', () => {
    const own = legsOf(ask(well));
    const supposed = legsOf({ ...ask(well), supposed: { pitch: 1.2, run: 3.4 } });
    expect(supposed.pitch).toMatchObject({ basis: 'supposed', count: 0 });
    expect(supposed.pitch?.spread).toMatchObject({
      meanSeconds: 1.2,
      meanSdSeconds: 0.01,
      spreadSeconds: own.pitch?.spread.spreadSeconds,
    });
    expect(supposed.run.spread.meanSeconds).toBe(3.4);
    expect(supposed.pop).toEqual(own.pop);
  });

  it('leaves a foot of lead worth what it was when a run is supposed', () => {
    const known = ask(well);
    const supposed = { ...known, supposed: { run: 3.2 } };
    const worth = (question: StealQuestion) =>
      footWorth(question, judgeSteal(question, judging)).seconds;
    expect(worth(supposed)).toBeCloseTo(worth(known), 9);
  });

  it('learns of a run from other runs', () => {
    const runs = [aReading({ kind: 'homeToFirst', seconds: 4.3 })];
    expect(legsOf(ask({ runs })).run).toMatchObject({ basis: 'reckoned', count: 1 });
  });
});

describe('the verdict', () => {
  const verdictAt = (delivery: number) =>
    judgeSteal(ask({ ...well, pitches: often(delivery, {}) }), judging).verdict;

  it('goes from go to stay as the pitcher gets quicker', () => {
    expect([1.5, 1.2].map(verdictAt)).toEqual(['go', 'stay']);
  });

  it('is close when the doubt of a few times reaches what he needs', () => {
    const few = ask({
      pitches: [1.34, 1.36].map((seconds) => aReading({ seconds })),
      pops: [aReading({ ...pop, seconds: 2.1 })],
      runs: [3.4, 3.45].map((seconds) => aReading({ ...steal, seconds })),
    });
    const found = judgeSteal(few, judging);
    expect(found.verdict).toBe('close');
    expect(found.low).toBeLessThan(found.chance);
    expect(found.high).toBeGreaterThan(0.8);
  });

  it('cannot be told of people never timed, unless even the doubt leaves no question', () => {
    const found = judgeSteal(ask(), { ...judging, needed: 0.6 });
    expect(found.verdict).toBe('untimed');
    expect(found.missing.map(({ name }) => name)).toEqual(['delivery', 'pop', 'run']);
    const hopeless = ask({ pitches: often(0.9, {}), pops: often(1.6, pop) });
    expect(judgeSteal(hopeless, judging).verdict).toBe('stay');
  });

  it('says the slowest pitch he may go on: there the chance is just what he needs', () => {
    const question = ask(well);
    const { slowestPitchSeconds, lacksSeconds, chanceWith } = judgeSteal(question, judging);
    expect(chanceWith(lacksSeconds ?? 0)).toBeCloseTo(0.8, 9);
    expect(slowestPitchSeconds).toBeGreaterThan(1.2);
    expect(slowestPitchSeconds).toBeLessThan(1.45);
  });

  it('refuses a chance that is none', () => {
    expect(() => judgeSteal(ask(), { ...judging, needed: 1 })).toThrow('between 0 and 1');
  });
});

describe('what would help', () => {
  it('names whose three next times would sharpen the answer most', () => {
    const question = ask({ ...well, pops: [] });
    const found = judgeSteal(question, judging);
    const next = sharpestNext(question, found, judging);
    expect(next?.leg.name).toBe('pop');
    expect((next?.high ?? 1) - (next?.low ?? 0)).toBeLessThan(found.high - found.low);
    expect(sharpestNext(ask(well), judgeSteal(ask(well), judging), judging)).toBeNull();
  });

  it('says what a foot is worth: 8 to 11 points where it is close', () => {
    const question = ask({ ...well, runs: often(3.47, steal) });
    const { seconds, chance } = footWorth(question, judgeSteal(question, judging));
    expect(seconds).toBeCloseTo(0.038, 2);
    expect(chance).toBeGreaterThan(0.06);
    expect(chance).toBeLessThan(0.12);
  });
});

describe('pitches', () => {
  it('come as often as they should, by count', () => {
    for (const count of [null, { balls: 0, strikes: 0 }, { balls: 3, strikes: 2 }]) {
      const { fastball, breaking, changeup } = pitchMix(count);
      expect(fastball + breaking + changeup).toBeCloseTo(1, 12);
    }
    expect(pitchMix({ balls: 3, strikes: 0 }).fastball).toBeGreaterThan(0.9);
    expect(() => pitchMix({ balls: 4, strikes: 0 })).toThrow('0 to 3 balls');
  });

  it('off speed help him and a pitch-out does not', () => {
    const chance = (pitch: (typeof PITCHES)[number]) =>
      judgeSteal(ask(well), { ...judging, pitches: pitchesFor({ pitch }) }).chance;
    const [fastball, breaking, changeup, pitchout] = PITCHES.map(chance);
    expect(breaking).toBeGreaterThan(changeup ?? 1);
    expect(changeup).toBeGreaterThan(fastball ?? 1);
    expect(pitchout).toBeLessThan(fastball ?? 0);
  });

  it('do not count twice: over the usual mix the times stay as they were timed', () => {
    const mean = (part: 'deliverySeconds' | 'popSeconds') =>
      pitchesFor({ count: null }).reduce((sum, pitch) => sum + pitch.weight * pitch[part], 0);
    expect(mean('deliverySeconds')).toBeCloseTo(0, 12);
    expect(mean('popSeconds')).toBeCloseTo(0, 12);
  });
});

const exactly = (meanSeconds: number, sdSeconds: number): DoubtfulSpread => ({
  meanSeconds,
  sdSeconds,
  freedom: Number.POSITIVE_INFINITY,
  meanSdSeconds: 0,
  spreadSeconds: sdSeconds,
});

/** From the ball in the mitt until the catcher knows of a delayed steal; agreed. */
const SURPRISE_SECONDS = 0.25;

describe('other ways to go', () => {
  it('delayed: it beats the man who covers, not the arm, as often as agreed', () => {
    for (const {
      level: name,
      V,
      tau,
      lead,
      v0,
      pop: throwing,
      cover,
      expected,
    } of variants.delayed) {
      const field = fieldAt(name as LevelName);
      const gait = { topSpeed: V, accelerationSeconds: tau };
      const run = runSeconds({ kind: 'steal', leadFeet: lead, startSpeed: v0 }, gait, field);
      expect(Math.abs(run - expected.run)).toBeLessThan(variants.tolerance);
      // The ball waits for the man who covers, or he for it.
      expect(SURPRISE_SECONDS + throwing.mean).toBeCloseTo(expected.ball, 9);
      const race: DelayedRace = {
        level: field.level,
        surprise: exactly(SURPRISE_SECONDS, 0.12),
        pop: exactly(throwing.mean, throwing.sd),
        run: exactly(run, field.level.runSdSeconds),
        cover: {
          feet: cover.dist,
          reactSeconds: cover.react,
          sdSeconds: Math.hypot(cover.reactSd, cover.moveSd),
          reachFeet: 3,
        },
      };
      const covered = coverSeconds(field.level, race.cover);
      expect(Math.abs(covered - expected.cover)).toBeLessThan(variants.tolerance);
      expect(Math.abs(chanceDelayed(race, 0) - expected.p)).toBeLessThan(variants.tolerance);
    }
    const asked = judgeSteal(ask({ ...well, kind: 'delayed' }), judging);
    expect(asked.legs).toMatchObject({
      pitch: null,
      jump: null,
      start: { leadFeet: 20, speed: 7 },
    });
    expect(asked.slowestPitchSeconds).toBeNull();
  });

  const averageChance = (
    field: Conditions,
    base: 'second' | 'third',
    leadFeet: number,
    startSpeed: number,
  ) => {
    const { level } = field;
    const throwing = base === 'second' ? level.popSecond : level.popThird;
    const run = runSeconds({ kind: 'steal', leadFeet, startSpeed }, level, field);
    const jump = legsOf(ask({ field, base })).jump?.spread;
    return chanceSafe({
      level,
      delivery: exactly(level.delivery.mean, level.delivery.sdWithin),
      pop: exactly(throwing.mean, throwing.sdWithin),
      run: exactly(run, level.runSdSeconds),
      jump: { meanSeconds: jump?.meanSeconds ?? 0, sdSeconds: level.jumpSdSeconds },
    }).chance;
  };

  it('third: rolling off second, as often as agreed', () => {
    for (const { level, lead, v0, expected } of variants.third) {
      const field = fieldAt(level as LevelName);
      const found = averageChance(field, 'third', lead, v0);
      expect(Math.abs(found - expected.p)).toBeLessThan(variants.tolerance);
      const run = { kind: 'steal', leadFeet: lead, startSpeed: v0 } as const;
      expect(Math.abs(runSeconds(run, field.level, field) - expected.run)).toBeLessThan(
        variants.tolerance,
      );
    }
  });

  it('softball: leaving at release, as often as agreed; standing there is hopeless', () => {
    for (const { level, expected } of variants.release) {
      const field = fieldAt(level as LevelName, PRESETS.fastpitch43);
      expect(Math.abs(averageChance(field, 'second', 3, 9) - expected.p)).toBeLessThan(
        variants.tolerance,
      );
      const run = { kind: 'steal', leadFeet: 3, startSpeed: 9 } as const;
      expect(Math.abs(runSeconds(run, field.level, field) - expected.run)).toBeLessThan(
        variants.tolerance,
      );
      expect(averageChance(field, 'second', 0, 0)).toBeLessThan(0.4);
    }
  });

  it('home: next to nothing from an ordinary lead, something walking down the line on a wind-up', () => {
    const chance = (name: LevelName, kind: 'straight' | 'hop') => {
      const field = fieldAt(name);
      const usual = runSeconds({ ...steal, startSpeed: 0 }, field.level, field);
      const question = ask({ field, base: 'home', kind, runs: often(usual, steal) });
      return judgeSteal(question, judging).chance;
    };
    for (const [level, agreed] of [
      ['pro', 0.88],
      ['hs', 0.65],
      ['u14', 0.4],
    ] as const) {
      expect(Math.abs(chance(level, 'hop') - agreed)).toBeLessThan(0.06);
      expect(chance(level, 'straight')).toBeLessThan(0.2);
    }
  });

  it('start where the base, the kind and the rules say', () => {
    const start = (
      kind: StealKind,
      base: StealBase,
      lead: number | null,
      ruleset = PRESETS.fullSizeSeven,
    ) => startOf(kind, base, ruleset, lead);
    expect(start('straight', 'second', null)).toEqual({ leadFeet: 11.5, speed: 0 });
    expect(start('hop', 'second', 12.5)).toEqual({ leadFeet: 12.5, speed: 4 });
    expect(start('straight', 'third', 12.5)).toEqual({ leadFeet: 16, speed: 0 });
    expect(start('hop', 'third', null)).toEqual({ leadFeet: 18, speed: 4 });
    expect(start('standing', 'second', null, PRESETS.smallDiamond)).toEqual({
      leadFeet: 0,
      speed: 0,
    });
    expect(start('rocker', 'second', null, PRESETS.fastpitch43)).toEqual({
      leadFeet: 2.5,
      speed: 7,
    });
    // Shorter paths get shorter leads.
    expect(start('delayed', 'second', null, PRESETS.intermediate).leadFeet).toBeLessThan(20);
  });

  it('the rules decide which there are', () => {
    expect(stealKinds(PRESETS.fullSizeSeven, 'third')).toEqual(['straight', 'hop']);
    expect(stealKinds(PRESETS.fastpitch43, 'second')).toEqual(['rocker', 'standing']);
    expect(stealKinds(PRESETS.smallDiamond, 'second')).toEqual(['standing']);
    expect(stealKinds({ ...PRESETS.fastpitch43, stealAllowed: false }, 'second')).toEqual([]);
  });

  it('softball: his own leave-time is judged, and late is feet lost', () => {
    const field = fieldAt('fpHs', PRESETS.fastpitch43);
    const chance = (leave: number) => {
      const runs = [
        ...often(2.75, { kind: 'steal', base: 'second' }),
        ...often(leave, { kind: 'leave' }),
      ];
      return judgeSteal(ask({ field, runs }), judging).chance;
    };
    expect(chance(0)).toBeGreaterThan(chance(0.15) + 0.1);
  });

  it('small diamond: the pitch does not count', () => {
    const field = fieldAt('u12', PRESETS.smallDiamond);
    const found = judgeSteal(ask({ field }), judging);
    expect(found.legs.pitch).toBeNull();
    expect(found.slowestPitchSeconds).toBeNull();
  });

  it('double: they throw where it hurts more', () => {
    const third = judgeSteal(ask({ ...well, base: 'third' }), judging);
    const second = judgeSteal(ask(well), judging);
    const found = doubleSteal(third, second);
    expect(found.chance).toBe(Math.min(found.thrownToThird, found.thrownToSecond));
    expect(found.thrownToSecond).toBeLessThan(second.chance);
  });

  it('first and third: near the agreed example', () => {
    const second = judgeSteal(ask(well), judging);
    const found = firstAndThird(second, exactly(3.56, 0.05), LEVELS.hs);
    expect(Math.abs(found.throughHome - 0.21)).toBeLessThan(0.05);
    expect(Math.abs(found.cutHome - 0.1)).toBeLessThan(0.02);
    expect(found.throughSecond).toBe(second.chance);
  });
});

describe('the guessing game', () => {
  it('has the agreed two figures', () => {
    const { pN, pP, gain, cost, ball, rStar, qStar } = games.pitchout;
    const found = mixFigures({
      chanceUsual: pN,
      chanceCountered: pP,
      gainRuns: gain,
      costRuns: cost,
      counterRuns: ball,
    });
    expect(found?.runUnder).toBeCloseTo(rStar, 9);
    expect(found?.counteredUnder).toBeCloseTo(qStar, 9);
    const useless = { chanceUsual: 0.5, chanceCountered: 0.6, gainRuns: 1, costRuns: 1 };
    expect(mixFigures({ ...useless, counterRuns: 0.1 })).toBeNull();
    expect(() => mixFigures({ ...useless, counterRuns: 0 })).toThrow('above 0');
  });

  it('is solved as agreed', () => {
    for (const { input, A, value, row, col } of games.cases) {
      const found = runningGame({
        safeUsual: input.pNormal,
        safeSlideStep: input.pSlide,
        safePitchout: input.pPitchout,
        outGoingOnPick: input.pCaughtOnPick,
        outStayingOnPick: input.pPickedStay,
        pickAway: input.pWildPick,
        gainRuns: input.gain,
        costRuns: input.cost,
        pickAwayRuns: input.errGain,
        ballRuns: input.ballCost,
        slideStepRuns: input.slideHitterEdge,
        throwRuns: input.throwCost,
        bluffRuns: input.bluffEdge,
        bluffOut: input.bluffPickExtra,
      });
      const near = (values: readonly number[], agreed: readonly number[]) => {
        for (const [index, each] of agreed.entries()) {
          expect(Math.abs((values[index] ?? Number.NaN) - each)).toBeLessThan(games.tolerance);
        }
      };
      for (const [index, line] of A.entries()) near(found.payoffs[index] ?? [], line);
      near([found.valueRuns], [value]);
      near(found.ours, row);
      near(found.theirs, col);
    }
  });
});

describe('the go-card', () => {
  const question = ask(well);
  const card = goCard([{ id: 'dara', question }], judging, 2);

  it('has round pops around the catcher’s own', () => {
    const own = card?.ownPopSeconds ?? 0;
    const pops = card?.rows[0]?.cells.map(({ popSeconds }) => popSeconds) ?? [];
    expect(pops).toEqual(pops.toSorted((a, b) => a - b));
    expect(pops.filter((each) => each !== own).map((each) => Math.round(each * 100) % 5)).toEqual([
      0, 0, 0, 0,
    ]);
    expect(pops).toHaveLength(5);
  });

  it('says what the battery’s part rests on, and is none where the pitch does not count', () => {
    expect([card?.pitch.count, card?.pop.count]).toEqual([400, 400]);
    const field = fieldAt('u12', PRESETS.smallDiamond);
    expect(goCard([{ id: 'dara', question: ask({ field }) }], judging, 2)).toBeNull();
    expect(goCard([], judging, 2)).toBeNull();
  });

  it('agrees with the screen to the hundredth, rounded up', () => {
    const { slowestPitchSeconds } = judgeSteal(question, judging);
    const own = card?.rows[0]?.cells.find(({ popSeconds }) => popSeconds === card.ownPopSeconds);
    expect(own?.slowestSeconds).toBe(roundedUp(slowestPitchSeconds ?? 0));
    for (const { popSeconds, slowestSeconds } of card?.rows[0]?.cells ?? []) {
      const exact = (slowestPitchSeconds ?? 0) + (card?.ownPopSeconds ?? 0) - popSeconds;
      expect(slowestSeconds).toBeGreaterThanOrEqual(exact - 1e-6);
      expect(slowestSeconds).toBeLessThan(exact + 0.01);
    }
  });

  it('rounds up, but not for dust', () => {
    expect(roundedUp(1.3401)).toBe(1.35);
    expect(roundedUp(1.34)).toBe(1.34);
    expect(roundedUp(1.11 + 0.22)).toBe(1.33);
  });
});

describe('where nobody leads off', () => {
  const softball = fieldAt('fpHs', PRESETS.fastpitch43);
  const leaving = often(softball.level.jumpSeconds, { kind: 'leave', style: null });
  const asked = (runs: ReturnType<typeof often>) =>
    judgeSteal(ask({ field: softball, kind: 'rocker', runs }), judging);

  it('when the runner leaves is a time of its own, and never timed is no surer than timed often', () => {
    const steals = often(3, { kind: 'steal', base: 'second', style: null });
    const never = asked(steals);
    const timed = asked([...steals, ...leaving]);
    expect(never.missing.map(({ name }) => name)).toContain('jump');
    expect(timed.missing.map(({ name }) => name)).not.toContain('jump');
    expect(timed.high - timed.low).toBeLessThan(never.high - never.low);
  });
});

describe('a throw to third', () => {
  it('is slowed by a batter who stands in its way, and by no other', () => {
    const third = (batter: 'right' | 'left' | null) =>
      legsOf(ask({ base: 'third', batter })).pop?.spread.meanSeconds ?? Number.NaN;
    expect(third('right') - third(null)).toBeCloseTo(0.03, 9);
    expect(third('left')).toBe(third(null));
    const second = (batter: 'right' | 'left') =>
      legsOf(ask({ base: 'second', batter })).pop?.spread.meanSeconds;
    expect(second('right')).toBe(second('left'));
  });
});

describe('a hundred thousand races', () => {
  it('never have a chance outside 0 to 1, nor one that falls when he has more time', () => {
    const random = makeRandom(11);
    const between = (low: number, high: number): number => low + (high - low) * random();
    const levels = Object.values(LEVELS);
    const spread = (low: number, high: number): DoubtfulSpread => {
      const [meanSdSeconds, spreadSeconds] = [between(0, 0.3), between(0.005, 0.3)];
      return {
        meanSeconds: between(low, high),
        sdSeconds: Math.hypot(meanSdSeconds, spreadSeconds),
        freedom: random() < 0.5 ? between(10, 60) : Number.POSITIVE_INFINITY,
        meanSdSeconds,
        spreadSeconds,
      };
    };
    let [wrong, rising] = [0, 0];
    for (let index = 0; index < 100_000; index += 1) {
      const ready = readyRace({
        level: levels[index % levels.length] ?? LEVELS.hs,
        delivery: spread(0.3, 2.4),
        pop: spread(1.2, 3.4),
        run: spread(2, 5),
        jump: { meanSeconds: between(-0.2, 0.6), sdSeconds: between(0.01, 0.2) },
      });
      const time = between(0, 0.5);
      const [less, more] = [chanceAt(ready, 0), chanceAt(ready, time)];
      // A twentieth of a second has to show, but where only throws away or nothing at all is left.
      const shows = time >= 0.05 && less > 0.5 && less < 0.95;
      if (shows) rising += 1;
      const least = shows ? less + 1e-3 : less - 1e-12;
      if (!(less >= 0 && more >= least && more <= 1 + 1e-12)) wrong += 1;
    }
    expect(wrong).toBe(0);
    expect(rising).toBeGreaterThan(10_000);
  });

  it('favour whoever has the longer lead, the slower pitch, or the quicker legs', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(6, 14), number(0, 3), number(0, 0.2), (leadFeet, farther, slower) => {
        const chance = (parts: Parameters<typeof ask>[0]) =>
          judgeSteal(ask({ runs: [aReading({ ...steal, seconds: 3.5 })], ...parts }), judging)
            .chance;
        const base = chance({ leadFeet, pitches: [aReading({ seconds: 1.4 })] });
        expect(
          chance({ leadFeet: leadFeet + farther, pitches: [aReading({ seconds: 1.4 })] }),
        ).toBeGreaterThanOrEqual(base - 1e-9);
        expect(
          chance({ leadFeet, pitches: [aReading({ seconds: 1.4 + slower })] }),
        ).toBeGreaterThanOrEqual(base - 1e-9);
      }),
      { numRuns: 40 },
    );
  });
});
