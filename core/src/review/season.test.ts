import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import lineUps from '../../vectors/games/lineups.json';
import rulesets from '../../vectors/games/rulesets.json';
import { playOn, type GameEvent, type GameState, type LineUp } from '../games/index.ts';
import { PLAY_LEVELS } from '../innings/index.ts';
import { makeRandom, normalDraw } from '../maths/index.ts';
import { LEVELS } from '../timing/index.ts';
import type { PlayRules } from '../games/events.ts';
import type { GameId, PersonId, ReadingId } from '../units/index.ts';
import { chanceBefore, shippedTheta, UNKNOWN_PITCH, type Attempt } from './attempt.ts';
import {
  goAgainst,
  habitAt,
  habitChanged,
  habitOf,
  habitsIn,
  type Habit,
  type SeenHabit,
} from './book.ts';
import { reviewGame } from './game.ts';
import { callsIn, calledOption, doneOption, runningOf, type KeptResult } from './kept.ts';
import { asLevelChanges, changedVerdicts, isOutside, raceConstantsOf } from './learned.ts';
import { COLUMNS } from './ledger.ts';
import { refit } from './refit.ts';
import {
  attemptsOf,
  chanceToday,
  countedCalls,
  seasonCallOf,
  summaryOf,
  toldOf,
  versionsOf,
  type LookedAt,
} from './season.ts';

const leg = { meanSeconds: 1.4, doubtSeconds: 0.03, spreadSeconds: 0.05 };
const steal = (chance: number, works = 0.05, fails = -0.12) => ({
  name: 'stealSecond',
  outcomes: [
    { name: 'works', p: chance, value: works },
    { name: 'fails', p: 1 - chance, value: fails },
  ],
  low: chance * works + (1 - chance) * fails - 0.005,
  high: chance * works + (1 - chance) * fails + 0.005,
});
const stay = { name: 'stay', outcomes: [{ name: 'any', p: 1, value: 0 }], low: 0, high: 0 };
const take = {
  name: 'take',
  outcomes: [{ name: 'any', p: 1, value: 0.02 }],
  low: 0.02,
  high: 0.02,
};

/** A call as a device keeps it. */
const kept = (parts: Record<string, unknown> = {}) => ({
  situation: { inning: 3, half: 'top', outs: 1 },
  people: { runner: 'r', pitcher: 'p', catcher: 'c', pitcherThrows: 'left' },
  play: { base: 'second', kind: 'straight', style: 'legLift' },
  legs: { pitch: leg, pop: leg, run: leg, jump: leg },
  chance: 0.8,
  low: 0.7,
  high: 0.88,
  need: 0.7,
  verdict: 'go',
  shown: true,
  called: null,
  calledBy: null,
  options: [take, stay, steal(0.8)],
  ...parts,
});
const envelope = { seq: null, device: 'd', place: 'bench' as const, slot: 'T3.2.1' };
const call = (
  id: string,
  parts: Record<string, unknown> = {},
  slot = envelope.slot,
): GameEvent => ({ ...envelope, id, slot, kind: 'advice', plays: kept(parts), taken: null });
const came = (callId: string, parts: Partial<KeptResult> = {}, id = `r ${callId}`): GameEvent => ({
  ...envelope,
  id,
  kind: 'advice',
  plays: null,
  taken: {
    callId,
    done: 'stay',
    resolved: true,
    why: null,
    outcome: 'notRun',
    signSeen: 'unknown',
    ...parts,
  },
});
const undo = (event: string): GameEvent => ({ ...envelope, id: `u ${event}`, kind: 'undo', event });

describe('calls in a game', () => {
  it('are each with the newest of what came of them', () => {
    const found = callsIn([
      call('a'),
      came('a', { done: 'go', outcome: 'safe' }),
      came('a', { done: 'go', outcome: 'out' }, 'later'),
      call('b', {}, 'T3.2.2'),
    ]);
    expect(found.map(({ call: { id }, result }) => [id, result?.outcome ?? null])).toEqual([
      ['a', 'out'],
      ['b', null],
    ]);
  });

  it('count once where the pitch was thrown again, and not where they were undone', () => {
    expect(
      callsIn([call('a'), came('a'), call('b'), came('b')]).map((each) => each.call.id),
    ).toEqual(['b']);
    expect(callsIn([call('a'), undo('a')])).toEqual([]);
    expect(callsIn([call('a'), came('a'), undo('r a')])[0]?.result).toBeNull();
  });

  it('are left out where a device sent nonsense', () => {
    for (const parts of [
      { chance: 1.4 },
      { people: {} },
      { play: { base: 'fourth' } },
      { situation: { inning: 'x', outs: 1 } },
      { situation: null },
    ]) {
      expect(callsIn([call('a', parts)]), JSON.stringify(parts)).toEqual([]);
    }
    const [poor] = callsIn([
      call('a', { options: [{ name: 'x', outcomes: [{ p: 3 }] }, 7], legs: 4 }),
    ]);
    expect(poor?.call).toMatchObject({ options: [], legs: { pitch: null } });
    const [odd] = callsIn([
      call('a', {
        verdict: '',
        legs: {
          pitch: { ...leg, meanSeconds: 1e5 },
          pop: { ...leg, freedom: 1e12, basis: ' ' },
          run: { ...leg, freedom: 7, basis: 'timed' },
        },
        options: [{ ...stay, high: 40 }],
      }),
    ]);
    expect(odd?.call).toMatchObject({
      verdict: 'untimed',
      options: [],
      legs: { pitch: null, pop: { freedom: null, basis: 'typical' }, run: { freedom: 7 } },
    });
  });

  it('know what was called and done among the options', () => {
    const of = (parts: Record<string, unknown>) => callsIn([call('a', parts)])[0]?.call;
    const stolen = of({ called: 'steal' });
    const bunted = of({ called: 'bunt', options: [stay, { ...take, name: 'sacrifice' }] });
    if (!stolen || !bunted) throw new Error('both are calls');
    expect(calledOption(stolen)).toBe('stealSecond');
    expect(calledOption(bunted)).toBe('sacrifice');
    expect(calledOption({ ...stolen, called: 'dance' })).toBeNull();
    const result: KeptResult = {
      done: 'stay',
      resolved: true,
      why: null,
      outcome: 'notRun',
      signSeen: 'no',
      throw: null,
      pitchOut: false,
      timed: {},
    };
    // A steal that was called and not run is a missed sign; a bunt that was called is taken as put down.
    expect(doneOption(stolen, result)).toBe('stay');
    expect(doneOption(bunted, result)).toBe('sacrifice');
    expect(doneOption(stolen, { ...result, done: 'go' })).toBe('stealSecond');
  });
});

describe('what is offered when a game is played again', () => {
  it('is the same whatever was called, so that it gives nothing away', () => {
    const options = [take, stay, steal(0.8), { ...steal(0.6), name: 'hopSteal' }];
    const of = (called: string | null) => {
      const [found] = callsIn([call('a', { options, called })]);
      return found ? runningOf(found.call) : [];
    };
    expect(of(null).map(({ name }) => name)).toEqual(['stay', 'stealSecond', 'hopSteal']);
    expect(of('take')).toEqual(of(null));
    expect(of(null)[1]?.worth).toBeCloseTo(0.8 * 0.05 - 0.2 * 0.12, 12);
  });
});

const looked: LookedAt = {
  level: 'hs',
  isOpen: true,
  now: new Date('2031-05-01T10:00:00.000Z'),
  readingOf: () => null,
};
const game = { gameId: 'g' as GameId, startsAt: '2031-05-01T10:00:00.000Z', opponentId: null };
const seasonOf = (...events: GameEvent[]) =>
  callsIn(events).flatMap((each) => seasonCallOf(game, each) ?? []);

describe('a season of calls', () => {
  it('weighs running against staying, and nothing that the batter may have been told', () => {
    const [stayed] = seasonOf(call('a'), came('a'));
    expect(stayed?.best).toBe('stealSecond');
    expect(stayed?.cost).toBeCloseTo(0.8 * 0.05 - 0.2 * 0.12, 12);
    expect(stayed?.clearness).toBe('clear');
    expect(stayed?.luck).toBe(0);
  });

  it('keeps decision and luck apart: a good risk that failed cost nothing', () => {
    const [out] = seasonOf(call('a'), came('a', { done: 'go', outcome: 'out' }));
    const mean = 0.8 * 0.05 - 0.2 * 0.12;
    expect(out).toMatchObject({ clearness: 'right', cost: 0, done: 'stealSecond' });
    expect(out?.luck).toBeCloseTo(-0.12 - mean, 12);
    const [safe] = seasonOf(
      call('a', { options: [stay, steal(0.4)], chance: 0.4, low: 0.3, high: 0.5 }),
      came('a', { done: 'go', outcome: 'safe' }),
    );
    expect(safe).toMatchObject({ clearness: 'clear' });
    expect(safe?.cost).toBeCloseTo(0.6 * 0.12 - 0.4 * 0.05, 12);
  });

  it('counts no luck where a foul left it open', () => {
    const [open] = seasonOf(call('a'), came('a', { done: 'go', resolved: false, why: 'foul' }));
    expect(open).toMatchObject({ done: 'stealSecond', luck: 0, luckSd: 0, clearness: 'right' });
    expect(toldOf(open ? [open] : [])).toEqual([]);
  });

  it('adds up: what running won is what was offered less what was given away, and luck', () => {
    const all = seasonOf(
      call('a'),
      came('a'),
      call('b', {}, 'T3.2.2'),
      came('b', { done: 'go', outcome: 'safe' }),
      call('c', { called: 'steal' }, 'T4.1.1'),
      came('c', { signSeen: 'no' }),
    );
    const summary = summaryOf(all);
    expect(summary).toMatchObject({
      calls: 3,
      opportunities: 2,
      attempts: 1,
      safe: 1,
      missedSigns: 1,
      gos: 2,
      gosTaken: 1,
    });
    expect(summary.won).toBeCloseTo(0.05, 12);
    // The pitch on which they went is what the question is counted by.
    expect(countedCalls(all).map(({ id }) => id)).toEqual(['b', 'c']);
    expect(toldOf(all)).toEqual([{ chance: 0.8, safe: true, game: 'g' }]);
    expect(attemptsOf(all, looked)).toMatchObject([
      { againstLeft: true, toThird: false, safe: true },
    ]);
    expect(attemptsOf(all, { ...looked, isOpen: false })).toMatchObject([{ againstLeft: false }]);
  });

  const reading = (what: string, id: string): GameEvent => ({
    ...envelope,
    id: `e ${id}`,
    kind: 'reading',
    reading: id as ReadingId,
    person: 'p' as PersonId,
    what,
    on: null,
  });
  const pitched = (id: string, parts: { pitchOut?: boolean } = {}): GameEvent => ({
    ...envelope,
    id,
    kind: 'pitch',
    result: 'ball',
    ...parts,
  });
  const stole = (parts: object = {}): GameEvent => ({
    ...envelope,
    id: 'stole',
    kind: 'steal',
    runners: [{ from: 'first', to: 'second' }],
    ...parts,
  });
  const went = { done: 'go', outcome: 'safe' } as const;

  it('has the times and the throw of the attempt, a watch a tap behind too, and none of the next pitch', () => {
    const [one, two] = seasonOf(
      call('a'),
      reading('delivery', 'd1'),
      pitched('p1'),
      reading('pop', 'c1'),
      stole({ throw: 'offLine' }),
      came('a', went),
      pitched('p2'),
      reading('pop', 'c2'),
      call('b', {}, 'T3.2.2'),
      came('b'),
    );
    expect(one).toMatchObject({ timed: { delivery: 'd1', pop: 'c1' }, throw: 'offLine' });
    expect(two).toMatchObject({ timed: {}, throw: null });
    const [onPitchOut] = seasonOf(
      call('a'),
      pitched('p1', { pitchOut: true }),
      stole(),
      came('a', went),
    );
    // Thrown to be thrown on: sooner there than on the usual mix.
    const [quicker] = attemptsOf(onPitchOut ? [onPitchOut] : [], looked);
    expect(quicker?.pitch.pop).toBeLessThan(-0.1);
    expect(attemptsOf(one ? [one] : [], looked)[0]?.pitch.pop).toBe(0);
    const given = seasonOf(call('a'), stole({ throw: 'sideways' }), came('a', went));
    expect(given[0]?.throw).toBeNull();
  });

  it('is learned from with what was timed, and without what is gone', () => {
    const all = seasonOf(
      call('a'),
      reading('delivery', 'd1'),
      reading('pop', 'gone'),
      pitched('p1'),
      stole({ throw: 'onLine' }),
      came('a', went),
    );
    const readingOf: LookedAt['readingOf'] = (id) =>
      id === 'd1' ? { seconds: 1.31, timerSdSeconds: 0.04 } : null;
    const old = { ...looked, readingOf, now: new Date('2032-04-30T10:00:00.000Z') };
    const [attempt] = attemptsOf(all, old);
    expect(attempt?.timed).toEqual({ delivery: { seconds: 1.31, sd: 0.04 } });
    expect(attempt?.throw).toBe('onLine');
    // A year ago it counts half; pops of this game were timed.
    expect(attempt?.weight).toBeCloseTo(0.5, 2);
    expect(attempt?.popTimed).toBe(0.95);
    const slide = { base: 'second', kind: 'straight', style: 'slideStep' };
    const reckoned = {
      pitch: { ...leg, doubtSeconds: 0.05, basis: 'reckoned' },
      pop: leg,
      run: leg,
    };
    const [slid] = attemptsOf(
      seasonOf(call('a', { play: slide, legs: reckoned }), came('a', went)),
      looked,
    );
    expect(slid?.slideReckoned).toBe(true);
    expect(slid?.delivery.mean).toBeCloseTo(1.4 + LEVELS.hs.slideStepSavesSeconds, 9);
    expect(slid?.delivery.doubt).toBeCloseTo(0.03, 9);
  });

  it('is set beside today’s numbers, never instead of what was told', () => {
    const late = { jumpSeconds: LEVELS.hs.jumpSeconds + 0.06 };
    const at = { level: 'hs' as const, isOpen: true, today: late };
    const of = (constants: unknown) => {
      const legs = {
        pitch: leg,
        pop: { ...leg, meanSeconds: 2.15 },
        run: { ...leg, meanSeconds: 3.4 },
      };
      const [found] = callsIn([call('a', { constants, legs })]);
      if (!found) throw new Error('a call');
      return found.call;
    };
    const then = of({ levelName: 'x', changes: {} });
    const today = chanceToday(then, at) ?? 1;
    expect(today).toBeLessThan(then.chance - 0.03);
    expect(chanceToday({ ...then, chance: 0.999 }, at) ?? 1).toBeLessThan(1);
    // The same numbers, or from before they were kept: nothing to set beside it.
    expect(chanceToday(of({ changes: late }), at)).toBeNull();
    expect(chanceToday(of(undefined), at)).toBeNull();
    // A device's nonsense is no number of the team's.
    expect(of({ changes: { jumpSeconds: 99, gravity: 1 } }).changes).toEqual({});
  });

  it('knows by which numbers it was told, and which are in use', () => {
    const own = { jumpSeconds: 0.2 };
    const told = (changes: object | null, startsAt: string) =>
      callsIn([call('a', { constants: { changes } }), came('a')]).flatMap(
        (each) => seasonCallOf({ ...game, startsAt }, each) ?? [],
      );
    const calls = [
      ...told({}, '2031-05-01T10:00:00.000Z'),
      ...told(own, '2031-05-09T10:00:00.000Z'),
      ...told(own, '2031-05-07T10:00:00.000Z'),
      ...told(null, '2031-04-01T10:00:00.000Z'),
    ];
    expect(versionsOf(calls, own)).toMatchObject([
      { changes: {}, calls: 1, isNow: false },
      { changes: own, calls: 2, isNow: true, from: '2031-05-07T10:00:00.000Z' },
    ]);
    expect(versionsOf([], { jumpSdSeconds: 0.1 })).toMatchObject([
      { changes: {}, calls: 0, isNow: false },
      { calls: 0, isNow: true },
    ]);
  });

  it('adds up what gos that were left would have been worth, and says where nothing was tried', () => {
    const left = summaryOf(seasonOf(call('a'), came('a'))).left;
    expect(left).toMatchObject({ count: 1, untried: true });
    expect(left.worth).toBeCloseTo(0.8 * 0.05 - 0.2 * 0.12, 12);
    expect(left.low).toBeLessThan(left.worth);
    const tried = seasonOf(call('a'), came('a'), call('b', {}, 'T4.2.2'), came('b', went));
    expect(summaryOf(tried).left).toMatchObject({ count: 1, untried: false });
  });

  it('has nothing of calls that nothing came of', () => {
    expect(seasonOf(call('a'))).toEqual([]);
    expect(seasonOf(call('a', { options: [] }), came('a'))).toEqual([]);
  });
});

describe('a game read again', () => {
  const opened = (): GameEvent => {
    const teams = lineUps as unknown as Record<string, LineUp>;
    const rules = (rulesets as unknown as Record<string, PlayRules>)['fullSizeSeven'];
    const { awayNine: away, homeNine: home } = teams;
    return {
      ...envelope,
      id: 'opened',
      seq: 1,
      slot: 'T1.1.1',
      kind: 'opened',
      rules,
      ours: 'away',
      away,
      home,
    } as unknown as GameEvent;
  };
  /** Any table does: the columns add up whatever a standing is worth. */
  const anyWorth = (state: GameState): number => {
    const { runs, outs, bases, inning, half } = state;
    const on = [bases[1], bases[2], bases[3]].filter((each) => each !== null).length;
    return Math.sin(3 * runs.away - 5 * runs.home + 0.7 * outs + 0.4 * on + inning + half.length);
  };
  const played = (seed: number): GameEvent[] => {
    const random = makeRandom(seed);
    let nth = 0;
    const events = [opened()];
    for (const event of playOn(events, random, PLAY_LEVELS.hs.rates, () => {
      nth += 1;
      return { id: `e${String(nth)}`, device: 'd', place: 'bench', at: '' };
    })) {
      const id = `call ${event.id}`;
      const isCalled = event.kind === 'pitch' && random() < 0.2;
      const goes = event.kind === 'pitch' && (event.going ?? []).length > 0;
      if (isCalled) events.push(call(id, {}, event.slot));
      events.push(event);
      if (isCalled) {
        const outcome = goes ? 'safe' : 'notRun';
        events.push(came(id, { done: goes ? 'go' : 'stay', outcome, resolved: true }));
      }
    }
    return events;
  };

  it('adds up to the change from the first pitch to the last, whatever was called', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const events = played(seed);
        const review = reviewGame(events, anyWorth, 'away', 'win');
        const { totals } = review.ledger;
        expect(review.calls.length).toBeGreaterThan(0);
        expect(totals.change).toBeCloseTo(review.end - review.start, 9);
        const all = COLUMNS.reduce((sum, column) => sum + totals[column], 0);
        expect(all).toBeCloseTo(review.end - review.start, 9);
      }),
      { numRuns: 8 },
    );
  });

  it('finds the outs on the bases, and which of them nobody had called', () => {
    const events = played(11);
    const review = reviewGame(events, anyWorth, 'away', 'win');
    const caught = events.filter(
      (event) =>
        event.kind === 'steal' &&
        event.slot.startsWith('T') &&
        event.runners.some(({ out }) => out !== undefined),
    );
    expect(review.outsOnBases).toBe(caught.length);
    expect(review.outsWithCall).toBeLessThanOrEqual(review.outsOnBases);
  });
});

describe('what a game shows of their pitchers', () => {
  const teams = lineUps as unknown as Record<string, LineUp>;
  const rules = (rulesets as unknown as Record<string, PlayRules>)['fullSizeSeven'];
  const { awayNine: away, homeNine: home } = teams;
  let nth = 0;
  const tell = (slot: string, parts: object): GameEvent => {
    nth += 1;
    return { ...envelope, id: `t${String(nth)}`, slot, ...parts } as unknown as GameEvent;
  };
  const start = tell('T1.1.1', { kind: 'opened', rules, ours: 'away', away, home });
  const pitch = (slot: string, result: string, style: string): GameEvent =>
    tell(slot, { kind: 'pitch', result, style });
  const events = [
    start,
    // Four balls put our first batter on; nothing is counted with nobody on.
    ...['1', '2', '3', '4'].map((each) => pitch(`T1.1.${each}`, 'ball', 'slideStep')),
    tell('T1.2.1', { kind: 'pick', base: 'first', result: 'back' }),
    tell('T1.2.1#2', { kind: 'pick', base: 'first', result: 'back' }),
    pitch('T1.2.1', 'called', 'slideStep'),
    tell('T1.2.2', { kind: 'stepOff' }),
    pitch('T1.2.2', 'ball', 'legLift'),
  ];

  it('is counted by habit, with runners on only', () => {
    const found = habitsIn(events, 'away');
    const of = (habit: Habit) => {
      const own = found.filter((each) => each.habit === habit);
      const sum = (key: 'yes' | 'no') => own.reduce((total, each) => total + each[key], 0);
      return own.length === 0 ? undefined : [sum('yes'), sum('no')];
    };
    expect(of('slideStepRunnerOnFirst')).toEqual([1, 1]);
    expect(of('throwOverFirstPerPitch')).toEqual([2, 1]);
    expect(of('throwOverRepeat')).toEqual([1, 1]);
    expect(of('stepOff')).toEqual([1, 1]);
    expect(of('throwOverSecondPerPitch')).toBeUndefined();
    expect(of('throwBehindFirst')).toEqual([0, 2]);
    // What our own pitcher does is not in their book: their runner is, who stayed twice.
    expect(habitsIn(events, 'home')).toMatchObject([
      { habit: 'runs', stands: 'even', yes: 0, no: 1 },
      { habit: 'runs', stands: 'ahead', yes: 0, no: 1 },
    ]);
  });

  it('knows their runners who go, and on which count', () => {
    const first = home?.order[0]?.id ?? '';
    const going = [
      start,
      ...['1', '2', '3', '4'].map((each) => pitch(`T1.1.${each}`, 'ball', 'legLift')),
      pitch('T1.2.1', 'ball', 'legLift'),
      tell('T1.2.2', { kind: 'steal', runners: [{ from: 'first', to: 'second' }] }),
      tell('T1.2.2', { kind: 'pitch', result: 'ball', pitchOut: true }),
    ];
    const runs = habitsIn(going, 'home').filter(({ habit }) => habit === 'runs');
    expect(runs).toMatchObject([
      { stands: 'even', yes: 1, no: 0 },
      { stands: 'behind', yes: 0, no: 1 },
    ]);
    expect(runs[0]?.who).not.toBe(first);
    const seen = habitsIn(going, 'away').map((each) => ({ ...each, startsAt: day(0) }));
    const catcher = seen.find(({ habit }) => habit === 'pitchOut')?.who;
    if (!catcher) throw new Error('a catcher was seen');
    const now = new Date(day(0));
    expect(habitOf(seen, catcher, 'pitchOut', now)?.seen).toEqual([1, 2]);
    // With that runner on, at that count.
    expect(habitAt(seen, catcher, 'pitchOut', { stands: 'behind' }, now)?.seen).toEqual([1, 1]);
    expect(habitAt(seen, catcher, 'pitchOut', { stands: 'ahead' }, now)).toBeNull();
  });

  const day = (nth: number): string => new Date(Date.UTC(2031, 4, 1 + nth)).toISOString();
  const slides = (startsAt: string, yes: number, no: number): SeenHabit => ({
    who: 'p' as PersonId,
    habit: 'slideStepRunnerOnFirst',
    stands: 'even',
    runner: null,
    startsAt,
    yes,
    no,
  });

  it('says that the last game was other, where it was', () => {
    const now = new Date(day(10));
    const habit = 'slideStepRunnerOnFirst';
    const who = 'p' as PersonId;
    const before = [slides(day(0), 2, 18), slides(day(3), 1, 19)];
    expect(habitChanged([...before, slides(day(9), 11, 1)], who, habit, now)).toMatchObject({
      yes: 11,
      of: 12,
    });
    expect(habitChanged([...before, slides(day(9), 1, 11)], who, habit, now)).toBeNull();
    expect(habitChanged([slides(day(9), 11, 1)], who, habit, now)).toBeNull();
  });

  it('is said where it changes whether to go, and silent where it does not', () => {
    const now = new Date(day(10));
    const ask = (yes: number, no: number, worth: { without: number; with: number }) =>
      goAgainst([slides(day(9), yes, no)], 'p' as PersonId, 'slideStepRunnerOnFirst', worth, now);
    const turns = { without: 0.02, with: -0.03 };
    expect(ask(30, 2, turns)).toMatchObject({ verdict: 'say', now: 'stay', usual: 'go' });
    expect(ask(2, 30, turns)).toMatchObject({ now: 'go', verdict: 'silent' });
    expect(ask(30, 2, { without: 0.05, with: 0.02 })?.verdict).toBe('silent');
    expect(goAgainst([], 'p' as PersonId, 'runs', turns, now)).toBeNull();
  });

  it('fades, and is nothing where nothing was seen', () => {
    const [one] = habitsIn(events, 'away');
    if (!one) throw new Error('something was seen');
    const seen = (startsAt: string) => [{ ...one, startsAt, yes: 9, no: 1 }];
    const now = new Date('2031-06-01T00:00:00.000Z');
    const fresh = habitOf(seen('2031-05-31T00:00:00.000Z'), one.who, one.habit, now);
    const old = habitOf(seen('2030-05-31T00:00:00.000Z'), one.who, one.habit, now);
    expect(fresh?.seen).toEqual([9, 10]);
    expect(old?.seen).toEqual([9, 10]);
    expect(fresh?.mean ?? 0).toBeGreaterThan(old?.mean ?? 1);
    expect(habitOf([], one.who, one.habit, now)).toBeNull();
  });
});

describe('learning from attempts', () => {
  const level = LEVELS.hs;
  const constants = raceConstantsOf(level);
  const shipped = shippedTheta(constants);
  /** A season in which runners jump later than shipped. */
  const attempts = (count: number, later: number, seed: number): Attempt[] => {
    const random = makeRandom(seed);
    const truth = shipped.map((each, at) => (at === 0 ? each + later : each));
    return Array.from({ length: count }, () => {
      const attempt: Attempt = {
        toThird: false,
        againstLeft: false,
        slideReckoned: false,
        delivery: { mean: normalDraw(random, 1.42, 0.06), doubt: 0.02, within: 0.05 },
        pop: { mean: normalDraw(random, 2.15, 0.08), doubt: 0.02, within: 0.07 },
        run: { mean: normalDraw(random, 3.35, 0.12), doubt: 0.02, within: 0.05 },
        pitch: UNKNOWN_PITCH,
        timed: {},
        throw: null,
        safe: true,
        weight: 1,
        popTimed: 0,
      };
      const safe = random() < chanceBefore(attempt, truth, constants);
      return { ...attempt, safe };
    });
  };

  it('moves the jump toward the truth, and is surer with more', () => {
    const LATER = 0.08;
    const few = refit(attempts(40, LATER, 3), constants);
    const many = refit(attempts(400, LATER, 3), constants);
    expect((many.theta[0] ?? 0) - constants.jumpSeconds).toBeGreaterThan(0.03);
    // Outcomes alone tell tag less jump: that is what is found.
    const tagLessJump = ({ constants: own }: typeof many): number =>
      own.tagOnSeconds - own.jumpSeconds;
    const truth = constants.tagOnSeconds - constants.jumpSeconds - LATER;
    expect(Math.abs(tagLessJump(many) - truth)).toBeLessThan(0.03);
    expect(many.sd[0] ?? 9).toBeLessThan(few.sd[0] ?? 0);
    const asked = attempts(200, 0, 5).map((attempt) => ({ attempt, need: 0.75 }));
    expect(changedVerdicts(asked, constants, many.theta)).toBeGreaterThan(0);
    expect(changedVerdicts(asked, constants, shipped)).toBe(0);
  });

  it('becomes numbers of the level as a whole, and none that no level could have', () => {
    const changes = asLevelChanges(refit([], constants), level);
    expect(changes.jumpSeconds).toBeCloseTo(level.jumpSeconds, 3);
    expect(changes['delivery.sdWithin']).toBeCloseTo(level.delivery.sdWithin, 3);
    const { 'throws.onLine': on = 0, 'throws.offLine': off = 0, 'throws.wild': wild = 0 } = changes;
    expect(on + off + wild).toBeCloseTo(1, 2);
    expect(isOutside(changes)).toBe(false);
    expect(isOutside({ ...changes, jumpSeconds: 3 })).toBe(true);
  });
});
