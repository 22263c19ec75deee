import { testSayings } from '@bradyon/core/innings';
import { PRESETS } from '@bradyon/core/rules';
import { describe, expect, it } from 'vitest';
import { misfitOf, tablesOf, valueOf } from './odds.ts';
import type { Situation } from './situation.ts';
import { situationWords } from './useNeeded.ts';
import { gainText, neededText, SAYING_TEXT, sayingWords } from './words.ts';

const tables = tablesOf('team', 'hs', PRESETS.fullSizeSeven);
const situation: Situation = {
  bases: 1,
  outs: 0,
  inning: 7,
  half: 'bottom',
  lead: -1,
  by: 'win',
  needs: 'rule',
};

describe('the tables of a game', () => {
  it('are made once for a level and its rules', () => {
    expect(tablesOf('team', 'hs', PRESETS.fullSizeSeven)).toBe(tables);
    expect(tables.rules).toMatchObject({ innings: 7, runRules: [{ lead: 10, after: 5 }] });
  });

  it('value a situation for us, whichever half we bat in', () => {
    const down = valueOf(tables, situation)(1, 0, 0);
    expect(down).toBeGreaterThan(0.3);
    expect(down).toBeLessThan(valueOf(tables, { ...situation, lead: 0 })(1, 0, 0));
    // As visitors one behind in the last top there is still their last at bat.
    expect(valueOf(tables, { ...situation, half: 'top' })(1, 0, 0)).toBeLessThan(down);
    expect(valueOf(tables, { ...situation, by: 'runs' })(1, 0, 0)).toBe(tables.expectancies[1]);
  });

  it('say why a game cannot stand so, and count by runs then', () => {
    const over = { ...situation, lead: 2 };
    expect(misfitOf(tables, over)).toMatch(/has won/);
    expect(valueOf(tables, over)(1, 0, 0)).toBe(tables.expectancies[1]);
    expect(misfitOf(tables, situation)).toBeNull();
  });
});

describe('the words of the odds', () => {
  it('are whole percents, and words where a figure would mislead', () => {
    expect(neededText(0.834)).toBe('83\u00a0%');
    expect(neededText(1.02)).toBe('never worth it');
    expect(neededText('always')).toBe('always worth it');
    expect(gainText(-0.153, 'runs')).toBe('costs .15 runs');
    expect(gainText(0.012, 'win')).toBe('wins 1.2 points');
    expect(situationWords(situation)).toBe('runner on first, nobody out, bottom 7, 1 behind');
    expect(situationWords({ ...situation, by: 'runs', bases: 7, outs: 2 })).toBe(
      'bases loaded, two out, by runs',
    );
  });

  it('put every old saying to the numbers', () => {
    const value = valueOf(tables, situation);
    const tested = testSayings(value, valueOf(tables, { ...situation, lead: -4 }), tables.bunt);
    expect(tested.map(({ saying }) => saying)).toEqual(Object.keys(SAYING_TEXT));
    for (const each of tested) expect(sayingWords(each, 'win')).toMatch(/\d/);
    // A run behind in the last inning the out weighs more than four behind it would.
    expect(tested.find(({ saying }) => saying === 'baseToBase')?.holds).toBe(true);
  });
});
