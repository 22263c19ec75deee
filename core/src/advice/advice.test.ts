import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { byRuns, playLevelOf, runExpectancies, chainOf } from '../innings/index.ts';
import { ratesAtCount } from './counts.ts';
import { NOTHING_KNOWN, type Facts } from './facts.ts';
import {
  choose,
  pitchOutPays,
  playsAtBat,
  playsInField,
  SHIPPED,
  type JudgedSteal,
  type Memory,
  type Reminder,
} from './index.ts';

const level = playLevelOf('hs', {});
const value = byRuns([runExpectancies(chainOf(level))]);
const spot = {
  bases: 1,
  outs: 0,
  balls: 0,
  strikes: 0,
  value,
  level,
  rates: level.rates,
  bunt: level.bunt,
  allowed: { stealAllowed: true, buntAllowed: true },
  infieldIn: false,
};
const steal = (chance: number, more: Partial<JudgedSteal> = {}): JudgedSteal => ({
  gamble: 'stealSecond',
  kind: 'straight',
  chance,
  low: Math.max(0, chance - 0.1),
  high: Math.min(1, chance + 0.1),
  verdict: 'go',
  ...more,
});
const worthOf = (plays: ReturnType<typeof playsAtBat>, play: string): number =>
  plays.find((each) => each.play === play)?.worth ?? Number.NaN;

describe('what is worth doing at bat', () => {
  it('is a steal above nothing exactly where it works as often as it needs to', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 0, max: 2 }),
        (chance, outs) => {
          const found = playsAtBat({ ...spot, outs }, [steal(chance)]).find(
            ({ play }) => play === 'stealSecond',
          );
          if (typeof found?.needs !== 'number') throw new Error('it has a figure here');
          expect(found.worth > 0).toBe(chance > found.needs);
          expect(found.low).toBeLessThanOrEqual(found.worth);
          expect(found.high).toBeGreaterThanOrEqual(found.worth);
        },
      ),
    );
  });

  it('stands best first, with swinging away worth nothing by itself', () => {
    const plays = playsAtBat(spot, [steal(0.9), steal(0.3, { kind: 'delayed' })]);
    expect(plays.map(({ worth }) => worth)).toEqual(
      plays.map(({ worth }) => worth).toSorted((a, b) => b - a),
    );
    expect(plays[0]?.play).toBe('stealSecond');
    expect(worthOf(plays, 'swing')).toBe(0);
    expect(plays.at(-1)?.play).toBe('delayedSteal');
  });

  it('offers what the bases, the outs and the league allow, and nothing else', () => {
    const names = (more: Partial<typeof spot>, steals: JudgedSteal[] = []) =>
      playsAtBat({ ...spot, ...more }, steals).map(({ play }) => play);
    expect(names({ bases: 0 }).toSorted()).toEqual(['swing', 'take']);
    expect(names({ bases: 4 })).toContain('squeeze');
    expect(names({ bases: 4 })).toContain('contact');
    expect(names({ bases: 4, outs: 2 })).not.toContain('squeeze');
    expect(names({ bases: 4 })).not.toContain('sacrifice');
    const none = { stealAllowed: false, buntAllowed: false };
    expect(names({ allowed: none }, [steal(0.9)]).toSorted()).toEqual(['swing', 'take']);
    // A runner two bases ahead of an empty one has no steal of second.
    expect(names({ bases: 2 }, [steal(0.9)])).not.toContain('stealSecond');
  });

  it('has a hit and run rise with the chance of the runner, and keep out of the double play', () => {
    const at = (chance: number, outs: number): number =>
      worthOf(playsAtBat({ ...spot, outs }, [steal(chance)]), 'hitAndRun');
    for (const outs of [0, 1, 2]) expect(at(0.9, outs)).toBeGreaterThan(at(0.2, outs));
    const grounders = {
      ...level.rates,
      groundOut: level.rates.groundOut + level.rates.flyOut,
      flyOut: 0,
    };
    const more = playsAtBat({ ...spot, outs: 1, rates: grounders }, [steal(0.7)]);
    expect(worthOf(more, 'hitAndRun')).toBeGreaterThan(at(0.7, 1));
  });

  it('takes when far ahead in the count rather than when behind', () => {
    const take = (balls: number, strikes: number): number =>
      worthOf(playsAtBat({ ...spot, bases: 0, balls, strikes }, []), 'take');
    expect(take(3, 0)).toBeGreaterThan(take(0, 2));
    expect(take(0, 2)).toBeLessThan(0);
  });
});

describe('a batter’s rates at a count', () => {
  it('add up, are the batter’s own at 0–0, and move with balls and strikes', () => {
    for (let balls = 0; balls <= 4; balls += 1) {
      for (let strikes = 0; strikes <= 3; strikes += 1) {
        const rates = ratesAtCount(level.rates, balls, strikes);
        expect(Object.values(rates).reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9);
      }
    }
    expect(ratesAtCount(level.rates, 0, 0).walk).toBeCloseTo(level.rates.walk, 9);
    expect(ratesAtCount(level.rates, 3, 1).walk).toBeGreaterThan(level.rates.walk);
    expect(ratesAtCount(level.rates, 0, 2).strikeout).toBeGreaterThan(level.rates.strikeout);
    expect(ratesAtCount(level.rates, 4, 0).walk).toBe(1);
    expect(ratesAtCount(level.rates, 0, 3).strikeout).toBe(1);
  });
});

describe('what is worth doing in the field', () => {
  const their = { gamble: 'stealSecond', usual: 0.85, slideStep: 0.6, pitchOut: 0.3 } as const;
  it('pays for a pitchout only against a runner who goes often enough', () => {
    const at = (goes: number) =>
      playsInField(spot, { ...their, goes }).find(({ play }) => play === 'pitchOut');
    const needs = at(0)?.needs;
    if (typeof needs !== 'number') throw new Error('it has a figure here');
    expect(at(needs - 0.05)?.worth).toBeLessThan(0);
    expect(at(needs + 0.05)?.worth).toBeGreaterThan(0);
    const useless = playsInField(spot, { ...their, pitchOut: 0.9, goes: 1 });
    expect(useless.find(({ play }) => play === 'pitchOut')?.needs).toBe('never');
  });

  it('asks more of a pitchout the dearer its ball is', () => {
    const pays = (balls: number, strikes: number) =>
      pitchOutPays(spot, { balls, strikes }, { ...their, usual: 0.95 });
    const figure = (balls: number, strikes: number): number => {
      const found = pays(balls, strikes);
      return typeof found === 'number' ? found : 1;
    };
    expect(figure(0, 0)).toBeGreaterThan(0.02);
    expect(figure(0, 0)).toBeLessThan(0.3);
    // The fourth ball puts the batter on, and the runner goes along.
    expect(figure(3, 0)).toBeGreaterThan(figure(0, 0));
    expect(figure(2, 1)).toBeGreaterThan(figure(0, 1));
    expect(pitchOutPays({ ...spot, bases: 0 }, { balls: 0, strikes: 0 }, their)).toBe('never');
    // What the desk says is this figure.
    const onDesk = playsInField({ ...spot, balls: 2, strikes: 1 }, { ...their, goes: 0.2 });
    expect(onDesk.find(({ play }) => play === 'pitchOut')?.needs).toBe(
      pitchOutPays(spot, { balls: 2, strikes: 1 }, their),
    );
  });

  it('draws the infield in only with a runner on third alone and fewer than two out', () => {
    const has = (bases: number, outs: number): boolean =>
      playsInField({ ...spot, bases, outs }, null).some(({ play }) => play === 'infieldIn');
    expect([has(4, 0), has(4, 2), has(5, 0)]).toEqual([true, false, false]);
  });
});

const facts: Facts = {
  ...NOTHING_KNOWN,
  weBat: true,
  first: true,
  second: false,
  third: false,
  runners: 1,
  outs: 1,
  balls: 0,
  strikes: 0,
  inning: 3,
  inningsLeft: 5,
  lead: 0,
  softball: false,
  leadRule: 'open',
  young: false,
  infieldFly: true,
  droppedThird: true,
  courtesyRunner: true,
  infield: 'unsaid',
  on: 'nothing',
  picks: 0,
  picksLeft: 99,
};
const say = (about: Partial<Facts>, memory: Memory = {}, pitch = 1) =>
  choose(SHIPPED, { ...facts, ...about }, { memory, pitch, stake: null });
const idsTo = (said: ReturnType<typeof say>, to: string): string[] =>
  said.said.flatMap(({ reminder }) => (reminder.to === to ? [reminder.id] : []));

describe('what is said', () => {
  it('is at most two things to each, the outs before all else and once', () => {
    const first = say({});
    expect(idsTo(first, 'runnerFirst')[0]).toBe('f-outs');
    for (const to of ['runnerFirst', 'thirdCoach', 'batter'])
      expect(idsTo(first, to).length).toBeLessThanOrEqual(2);
    const second = say({}, first.memory, 2);
    expect(idsTo(second, 'runnerFirst')).not.toContain('f-outs');
    const afterAnOut = say({ outs: 2 }, second.memory, 3);
    expect(idsTo(afterAnOut, 'runnerFirst')[0]).toBe('f-outs');
  });

  it('falls silent after three pitches until something of it changes', () => {
    let heard = say({});
    const line = (): boolean => heard.said.some(({ reminder }) => reminder.id === 'f-line');
    const pitches = [line()];
    for (let pitch = 2; pitch <= 5; pitch += 1) {
      heard = say({}, heard.memory, pitch);
      pitches.push(line());
    }
    expect(pitches.slice(3)).toEqual([false, false]);
    expect(heard.said).toEqual([]);
    // Nobody on, then somebody again: it is news.
    const gone = say({ first: false, runners: 0 }, heard.memory, 6);
    expect(idsTo(say({}, gone.memory, 7), 'runnerFirst')).toContain('f-outs');
  });

  it('is nothing that nobody can act on: no leads in a league without them, no runner who is not there', () => {
    const young = say({ leadRule: 'reachesBatter' });
    expect(idsTo(young, 'runnerFirst')).not.toContain('f-back');
    expect(idsTo(say({ first: false, runners: 0 }), 'runnerFirst')).toEqual([]);
    // A slide step is none where nobody leads off.
    const quick = { weBat: false, stealSecond: 'go' } as const;
    expect(idsTo(say(quick), 'field')).toEqual(['d-go']);
    expect(idsTo(say({ ...quick, leadRule: 'atRelease' }), 'field')).toEqual(['d-go-pitch']);
    expect(idsTo(say({ weBat: false }), 'runnerFirst')).toEqual([]);
    expect(idsTo(say({ weBat: false, third: true, runners: 2 }), 'field')).toContain('d-13');
  });

  it('never has two schools side by side', () => {
    const rule = (id: string, school: string, weight: number): Reminder => ({
      id,
      to: 'runnerThird',
      when: [],
      say: id,
      why: id,
      weight,
      school,
    });
    const rules = [rule('foul', 'one', 2), rule('float', 'two', 3), rule('walk', 'two', 1)];
    const { said } = choose(rules, facts, { memory: {}, pitch: 1, stake: null });
    expect(said.map(({ reminder }) => reminder.id)).toEqual(['float', 'walk']);
  });

  it('counts more where more is at stake', () => {
    const weights = (stake: number) =>
      choose(SHIPPED, facts, { memory: {}, pitch: 1, stake }).said.find(
        ({ reminder }) => reminder.weight !== 'first',
      )?.weight ?? 0;
    expect(weights(0.2)).toBeCloseTo(4 * weights(0.001), 9);
  });

  it('ships every rule under its own name, with a line that is short enough to say', () => {
    expect(new Set(SHIPPED.map(({ id }) => id)).size).toBe(SHIPPED.length);
    for (const { say: line } of SHIPPED) expect(line.split(' ').length).toBeLessThanOrEqual(10);
  });
});
