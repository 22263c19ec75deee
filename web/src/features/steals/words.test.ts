import { pitchesFor } from '@bradyon/core/race';
import type { Person } from '@bradyon/core/people';
import { PRESETS } from '@bradyon/core/rules';
import { populationsOf, runnerOf, type Conditions } from '@bradyon/core/sprint';
import { footWorth, judgeSteal, type StealQuestion } from '@bradyon/core/steals';
import { aReading } from '@bradyon/core/testing';
import { LEVELS, type Reading } from '@bradyon/core/timing';
import type { PersonId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { chosenWords, gapOf, lanesOf, standInWords, wordsOf } from './words.ts';
import { orTypical } from '../people/index.ts';

const field: Conditions = { level: LEVELS.hs, ruleset: PRESETS.fullSizeSeven };
const person = (name: string): Person => ({
  id: name as PersonId,
  opponentId: null,
  number: '',
  name,
  throws: 'right',
  bats: 'right',
  positions: [],
  leadFeet: null,
  retired: false,
});
const names = { pitcher: person('Ruiz'), catcher: person('Vance'), runner: person('Dara') };
const often = (seconds: number, parts: Partial<Reading>): Reading[] =>
  Array.from({ length: 200 }, (_, index) =>
    aReading({ seconds: seconds + (index % 2 === 0 ? 0.02 : -0.02), ...parts }),
  );
const timed = (readings: Reading[]) => ({
  person: names.runner,
  populations: populationsOf(names.runner, readings, field, new Map()),
});

function stealOf(delivery: number | null, run: number | null, needed = 0.8) {
  const runner = timed(
    run === null ? [] : often(run, { kind: 'steal', base: 'second', leadFeet: 11.5 }),
  );
  const question: StealQuestion = {
    field,
    base: 'second',
    kind: 'straight',
    style: 'legLift',
    pitcher: timed(delivery === null ? [] : often(delivery, {})),
    catcher: timed(often(2.1, { kind: 'pop', base: 'second' })),
    runner: { ...runner, form: runnerOf(names.runner, runner.populations, field) },
    leadFeet: null,
    batter: null,
  };
  const steal = judgeSteal(question, { pitches: pitchesFor({ count: null }), needed });
  const footSeconds = footWorth(question, steal).seconds;
  const words = wordsOf({ steal, base: 'second', style: 'legLift', names, needed, footSeconds });
  // Figures hold on to their unit with a space that does not break.
  return {
    steal,
    words: JSON.parse(JSON.stringify(words).replaceAll('\u00a0', ' ')) as typeof words,
  };
}

describe('the words of a steal', () => {
  it('say how safe he is, what they need, and how far the times leave it open', () => {
    const { words, steal } = stealOf(1.45, 3.4);
    expect(steal.verdict).toBe('go');
    expect(words.answer).toMatch(/^\d\d% safe\. Needs 80%\.$/);
    expect(words.doubt).toMatch(/^It could be anywhere from \d\d to \d\d%\.$/);
    expect(words.gap).toMatch(/^safe by \S+ s, \S+ ft$/);
    expect(stealOf(1.1, 3.6).words.gap).toMatch(/^out by /);
  });

  it('round the threshold up, never down', () => {
    const { words, steal } = stealOf(1.45, 3.4);
    const said = Number(/Go if Ruiz is (\S+) s or slower/.exec(words.threshold ?? '')?.[1]);
    expect(said).toBeGreaterThanOrEqual((steal.slowestPitchSeconds ?? 9) - 1e-6);
    expect(said).toBeLessThan((steal.slowestPitchSeconds ?? 0) + 0.01);
  });

  it('name who has to be timed, and promise nothing until then', () => {
    const { words, steal } = stealOf(null, null, 0.5);
    expect(steal.verdict).toBe('untimed');
    expect(words.answer).toBe("Time Ruiz's delivery and Dara's steal first.");
    expect(words.doubt).toContain('With typical times,');
  });

  it('tell a screen reader every leg and what it rests on', () => {
    const { words } = stealOf(1.4, 3.4);
    expect(words.twin).toContain('delivery 1.40 s (200 timed), catch and throw 2.10 s (200 timed)');
  });
});

describe('the lanes', () => {
  it('add up to what is shown, in hundredths', () => {
    const { legs } = stealOf(1.4, 3.4).steal;
    const [ball, runner] = lanesOf(legs);
    const sum = (lane: typeof ball) => lane.legs.reduce((total, { seconds }) => total + seconds, 0);
    expect(sum(ball) - sum(runner)).toBeCloseTo(gapOf(legs), 9);
    expect(ball.title.replace('\u00a0', ' ')).toBe(`Ball ${sum(ball).toFixed(2)} s`);
  });

  it('hatch whatever nobody timed', () => {
    const [ball, runner] = lanesOf(stealOf(null, 3.4).steal.legs);
    expect(ball.legs.map(({ own }) => own)).toEqual([false, true, false]);
    expect(runner.legs.map(({ own }) => own)).toEqual([false, true]);
    expect(ball.spreadSeconds).toBeGreaterThan(0.1);
  });
});

describe('what is chosen, in a line', () => {
  const typical = {
    pitcher: orTypical(null, 'pitcher'),
    catcher: orTypical(null, 'catcher'),
    runner: orTypical(null, 'runner'),
  };

  it('names everybody by their last name, and only what is not usual', () => {
    const usual = { base: 'second', kind: null, style: 'legLift' } as const;
    expect(chosenWords(names, usual)).toBe('Dara vs Ruiz and Vance, second, leg lift');
    expect(chosenWords(names, { base: 'third', kind: 'delayed', style: null })).toBe(
      'Dara vs Ruiz and Vance, third, delayed',
    );
    expect(chosenWords(typical, usual)).toBe('Typical players, second, leg lift');
    expect(chosenWords({ ...names, pitcher: typical.pitcher }, usual)).toContain('Dara vs typical');
  });

  it('says for whom a typical player stands in', () => {
    expect(standInWords(['pitcher', 'catcher'])).toBe(
      'No pitcher or catcher chosen: typical for the level.',
    );
  });
});
