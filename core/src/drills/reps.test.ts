import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeRandom, normalDraw, type Random } from '../maths/index.ts';
import type { PersonId } from '../units/index.ts';
import {
  answerShown,
  CALL_DRILLS,
  compareTechniques,
  judgeBlock,
  levelOf,
  makeBlock,
  nextShown,
  progressOf,
  readBefore,
  readJudgement,
  repsOf,
  seenAgainstHeard,
  startVerdict,
  techniquesOf,
  USUAL_READ_SECONDS,
  type KeptRep,
  type ReadRep,
  type Rep,
  type StartRep,
} from './index.ts';

const aStart = (parts: Partial<StartRep> = {}): StartRep => ({
  drill: 'start',
  session: 'one',
  calls: 'go',
  technique: 'crossover',
  measure: 'ownTap',
  call: 'go',
  sense: 'heard',
  tapSeconds: 0.29,
  outputLateSeconds: 0.06,
  handsSeconds: 0,
  way: 'go',
  ...parts,
});
const kept = (rep: Rep, takenAt = '2031-05-01T17:30:00.000Z'): KeptRep => ({
  personId: 'one' as PersonId,
  takenAt,
  rep,
});

/** A runner who reacts to what is called, the device and the thumb late as they are. */
function scripted(random: Random, seconds: number, block: ReturnType<typeof makeBlock>['reps']) {
  return block.map(({ call }): StartRep => {
    const own = seconds + normalDraw(random, 0, 0.02) - 0.05 * Math.log(1 - random());
    return aStart({ call, tapSeconds: call === 'none' ? null : own + 0.06 + 0.03 });
  });
}

describe('a block of starts', () => {
  it('finds the reaction of a scripted runner within its own doubt', () => {
    const random = makeRandom(5);
    let inside = 0;
    for (let runner = 0; runner < 60; runner += 1) {
      const { reps } = makeBlock(CALL_DRILLS.go, 100 + runner, 20);
      const { estimate, isGuessing } = judgeBlock(scripted(random, 0.17, reps));
      expect(isGuessing).toBe(false);
      // What is typical of such reactions: the mean of their middle.
      const typical = 0.17 + 0.05 * 0.79;
      expect(Math.abs((estimate?.typicalSeconds ?? 9) - typical)).toBeLessThan(0.06);
      if (estimate && estimate.lowSeconds <= typical && typical <= estimate.highSeconds)
        inside += 1;
    }
    expect(inside / 60).toBeGreaterThan(0.65);
  });

  it('catches a cheat who goes at a fixed rhythm, and shows no reactions then', () => {
    let caught = 0;
    for (let seed = 0; seed < 40; seed += 1) {
      const { reps } = makeBlock(CALL_DRILLS.go, seed, 20);
      const starts = reps.map(({ call, waitSeconds }) =>
        // Off 1.9 s after the set, whatever is called.
        aStart({ call, tapSeconds: 1.9 - waitSeconds + 0.09 }),
      );
      const { isGuessing, estimate } = judgeBlock(starts);
      if (isGuessing) {
        caught += 1;
        expect(estimate).toBeNull();
      }
    }
    expect(caught).toBeGreaterThan(34);
  });

  it('never counts a false start as a quick one, and says what each was', () => {
    expect(startVerdict(aStart())).toBe('good');
    expect(startVerdict(aStart({ tapSeconds: 0.1 }))).toBe('falseStart');
    expect(startVerdict(aStart({ call: 'none' }))).toBe('wrongGo');
    expect(startVerdict(aStart({ call: 'none', tapSeconds: null }))).toBe('rightHold');
    expect(startVerdict(aStart({ call: 'back', way: 'back' }))).toBe('rightBack');
    expect(startVerdict(aStart({ tapSeconds: null }))).toBe('missed');
    // Seeing the hands move, early is the point.
    expect(
      startVerdict(aStart({ calls: 'clapSeen', sense: 'seen', tapSeconds: 0, handsSeconds: 0.5 })),
    ).toBe('good');
    const quick = Array.from({ length: 8 }, () => aStart());
    const withFalse = judgeBlock([...quick, aStart({ tapSeconds: 0.05 })]);
    expect(withFalse.estimate).toEqual(judgeBlock(quick).estimate);
    expect(withFalse).toMatchObject({ count: 9, good: 8, tooSoon: 1 });
  });

  it('moves with every reaction alike, and no surer for it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.2, max: 0.6, noNaN: true }), { minLength: 5, maxLength: 20 }),
        fc.double({ min: 0.01, max: 0.3, noNaN: true }),
        (taps, later) => {
          const of = (by: number) =>
            judgeBlock(taps.map((tap) => aStart({ tapSeconds: 0.09 + tap + by }))).estimate;
          const [before, after] = [of(0), of(later)];
          expect((after?.typicalSeconds ?? 9) - (before?.typicalSeconds ?? 0)).toBeCloseTo(
            later,
            9,
          );
          expect(after?.seSeconds).toBeCloseTo(before?.seSeconds ?? 9, 9);
        },
      ),
    );
  });
});

describe('two ways to start', () => {
  const block = (technique: StartRep['technique'], seconds: number, session: string) =>
    Array.from({ length: 10 }, (_, nth) =>
      aStart({ technique, session, tapSeconds: seconds + (nth % 3) * 0.01 }),
    );

  it('are set against each other within a session only, and turned about the other way', () => {
    const starts = [...block('crossover', 0.28, 'a'), ...block('jab', 0.36, 'a')];
    const found = compareTechniques(starts, 'crossover', 'jab');
    expect(found?.differenceSeconds).toBeCloseTo(-0.08, 9);
    expect(found?.verdict).toBe('a');
    expect(compareTechniques(starts, 'jab', 'crossover')?.differenceSeconds).toBeCloseTo(0.08, 9);
    expect(techniquesOf(starts)).toEqual(['crossover', 'jab']);
    const apart = [...block('crossover', 0.28, 'a'), ...block('jab', 0.36, 'b')];
    expect(compareTechniques(apart, 'crossover', 'jab')).toBeNull();
    const mixed = [
      ...block('crossover', 0.28, 'a'),
      ...block('jab', 0.36, 'a').map((each) => ({ ...each, measure: 'coachTap' as const })),
    ];
    expect(compareTechniques(mixed, 'crossover', 'jab')).toBeNull();
  });

  it('say what seeing the hands gains', () => {
    const heard = block('own', 0.3, 'a').map((each) => ({ ...each, calls: 'clapHeard' as const }));
    const seen = block('own', 0.21, 'a').map((each): StartRep => ({
      ...each,
      calls: 'clapSeen',
      sense: 'seen',
      handsSeconds: 0.5,
    }));
    expect(seenAgainstHeard([...heard, ...seen])?.differenceSeconds).toBeCloseTo(-0.09, 9);
    expect(seenAgainstHeard(heard)).toBeNull();
  });
});

describe('reads', () => {
  const aRead = (parts: Partial<ReadRep> = {}): ReadRep => ({
    drill: 'read',
    session: 'one',
    cue: 'sinkPivotR',
    signal: true,
    shownSeconds: 0.3,
    went: true,
    ...parts,
  });

  it('find a scripted reader, answer by answer as they came', () => {
    const random = makeRandom(8);
    const reads: KeptRep<ReadRep>[] = [];
    let level = readBefore(USUAL_READ_SECONDS.sinkPivotR);
    for (let nth = 0; nth < 60; nth += 1) {
      const shownSeconds = nextShown(level);
      const right = random() < (shownSeconds > 0.36 ? 0.97 : shownSeconds > 0.3 ? 0.75 : 0.5);
      const signal = random() < 0.5;
      reads.push({
        personId: null,
        takenAt: '2031-05-01T17:30:00.000Z',
        rep: aRead({ signal, shownSeconds, went: right === signal }),
      });
      level = answerShown(level, shownSeconds, right);
    }
    const found = levelOf(reads, 'sinkPivotR', new Date('2031-05-01T17:31:00.000Z'));
    expect(found.thresholdSeconds).toBeCloseTo(level.thresholdSeconds, 9);
    expect(Math.abs(found.thresholdSeconds - 0.32)).toBeLessThan(0.06);
    // Months later as good, and less sure; another cue is another matter.
    const later = levelOf(reads, 'sinkPivotR', new Date('2031-11-01T00:00:00.000Z'));
    expect(later.sdSeconds).toBeGreaterThan(found.sdSeconds + 0.01);
    expect(levelOf(reads, 'dirt', new Date('2031-11-01T00:00:00.000Z')).answered).toBe(0);
  });

  it('are judged by cue, and an answer that never came is none', () => {
    const eager = [
      ...Array.from({ length: 20 }, () => aRead()),
      ...Array.from({ length: 20 }, (_, nth) => aRead({ signal: false, went: nth < 12 })),
    ];
    expect(readJudgement(eager, 'sinkPivotR')?.words).toBe('tooEager');
    expect(readJudgement(eager, 'insideTurn')).toBeNull();
    const silent = [...eager, ...Array.from({ length: 30 }, () => aRead({ went: null }))];
    expect(readJudgement(silent, 'sinkPivotR')).toEqual(readJudgement(eager, 'sinkPivotR'));
  });
});

describe('progress', () => {
  const day = (nth: number): string => `2031-05-0${String(nth)}`;
  const dayOf = (instant: string): string => instant.slice(0, 10);
  const starts = (on: string, seconds: number, count = 12) =>
    Array.from({ length: count }, (_, nth) =>
      kept(aStart({ tapSeconds: seconds + (nth % 4) * 0.01 }), `${on}T10:00:00.000Z`),
    );

  it('calls a change only where it is hardly luck', () => {
    const [clear] = progressOf(
      [...starts(day(1), 0.4), ...starts(day(3), 0.3)],
      [],
      'baseball',
      dayOf,
    );
    expect(clear?.points.map(({ day: on }) => on)).toEqual([day(1), day(3)]);
    expect(clear?.change?.verdict).toBe('better');
    expect(clear?.change?.by).toBeCloseTo(-0.1, 2);
    const [same] = progressOf(
      [...starts(day(1), 0.31), ...starts(day(3), 0.3)],
      [],
      'baseball',
      dayOf,
    );
    expect(same?.change?.verdict).toBe('open');
    const [worse] = progressOf(
      [...starts(day(1), 0.3), ...starts(day(3), 0.4)],
      [],
      'baseball',
      dayOf,
    );
    expect(worse?.change?.verdict).toBe('worse');
    const [alone] = progressOf(starts(day(1), 0.3), [], 'baseball', dayOf);
    expect(alone?.change).toBeNull();
  });

  it('seldom calls one who has not changed', () => {
    const random = makeRandom(21);
    let called = 0;
    for (let runner = 0; runner < 200; runner += 1) {
      const one = (on: string) =>
        Array.from({ length: 10 }, () =>
          kept(aStart({ tapSeconds: 0.3 + normalDraw(random, 0, 0.04) }), `${on}T10:00:00.000Z`),
        );
      const [found] = progressOf([...one(day(1)), ...one(day(2))], [], 'baseball', dayOf);
      if (found?.change?.verdict !== 'open') called += 1;
    }
    // One in ten each way.
    expect(called / 200).toBeLessThan(0.3);
  });

  it('keeps measures, cues and shares apart, and leaves days out that say too little', () => {
    const reps = [
      ...starts(day(1), 0.3),
      ...starts(day(1), 0.3).map(({ rep, ...rest }) => ({
        ...rest,
        rep: { ...(rep as StartRep), measure: 'coachTap' as const },
      })),
      ...starts(day(2), 0.3, 3),
      ...Array.from({ length: 6 }, (_, nth) =>
        kept(
          { drill: 'leave', session: 'l', seconds: nth < 4 ? 0.05 : -0.1 },
          `${day(1)}T11:00:00Z`,
        ),
      ),
    ];
    const bunts = Array.from({ length: 10 }, (_, nth) => ({
      takenAt: `${day(2)}T09:00:00.000Z`,
      fair: nth < 7,
    }));
    const squeezes = Array.from({ length: 5 }, (_, nth) =>
      kept(
        {
          drill: 'squeeze',
          session: 's',
          showSeconds: nth < 3 ? 0.14 : 0.4,
          breakSeconds: null,
          outcome: 'down',
        },
        `${day(1)}T12:00:00Z`,
      ),
    );
    const found = progressOf([...reps, ...squeezes], bunts, 'baseball', dayOf);
    expect(found.map(({ what, measure }) => [what, measure])).toEqual([
      ['start', 'ownTap'],
      ['start', 'coachTap'],
      ['leave', undefined],
      ['squeeze', undefined],
      ['bunt', undefined],
    ]);
    expect(found[0]?.points).toHaveLength(1);
    expect(found[2]?.points[0]?.value).toBeCloseTo(4.5 / 7, 9);
    expect(found[3]?.points[0]?.value).toBeCloseTo(3.5 / 6, 9);
    // The same shows are late in softball: the ball is there sooner.
    const [, , , softball] = progressOf([...reps, ...squeezes], [], 'softball', dayOf);
    expect(softball?.points[0]?.value).toBeCloseTo(0.5 / 6, 9);
    expect(found[4]?.points[0]?.low).toBeLessThan(0.68);
    expect(repsOf(reps, 'leave')).toHaveLength(6);
  });
});
