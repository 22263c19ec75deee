import { PRESETS } from '@bradyon/core/rules';
import { populationsOf } from '@bradyon/core/sprint';
import { aReading } from '@bradyon/core/testing';
import { LEVELS, rhythmOf, plainContext, type Reading } from '@bradyon/core/timing';
import { describe, expect, it } from 'vitest';
import {
  dotsOf,
  estimateWords,
  inOrder,
  lackWords,
  leaveWords,
  missingWords,
  rhythmWords,
  startsWords,
  stylesWords,
  titleOf,
} from './words.ts';

const NBSP = '\u00a0';
const now = Date.parse('2031-05-02T10:00:00Z');

function populations(...readings: Reading[]) {
  const field = { level: LEVELS.hs, ruleset: PRESETS.fullSizeSeven };
  return populationsOf({ throws: 'right', bats: 'right' }, readings, field, new Map());
}
function first(...readings: Reading[]) {
  const [population] = populations(...readings);
  if (!population) throw new Error('no population');
  return population;
}

describe('the words of a population', () => {
  it('say how sure, from where, and how many', () => {
    expect(estimateWords(first(aReading({ seconds: 1.42 })))).toBe('give or take .07, 1 timed');
    const steal = aReading({ kind: 'steal', base: 'second', seconds: 3.6, leadFeet: 12 });
    expect(estimateWords(first(steal))).toMatch(/^from 11.5\sft, give or take .\d\d, 1 timed$/);
  });

  it('do not take the level for the player', () => {
    const aside = first(aReading({ asideReason: 'wrong tap' }));
    expect(estimateWords(aside)).toBe('typical for the level');
    expect(lackWords(aside, now)).toBeNull();
  });

  it('say what is lacking: more, or newer', () => {
    expect(lackWords(first(aReading()), now)).toMatch(/^\d+ more to know the mean within .03.$/);
    const old = first(aReading({ takenAt: '2031-03-20T10:00:00Z' }));
    expect(lackWords(old, now)).toBe('Last timed 43 days ago. Time it again.');
    const slipped = [1.4, 1.38, 1.44, 1.41, 1.95].map((seconds) => aReading({ seconds }));
    expect(lackWords(first(...slipped), now)).toContain('One looks like a wrong tap');
    const many = first(...Array.from({ length: 60 }, () => aReading()));
    expect(lackWords(many, now)).toBeNull();
  });

  it('stand in the order of the play', () => {
    const all = populations(
      aReading({ kind: 'steal', base: 'third', seconds: 3.2 }),
      aReading({ kind: 'pop', base: 'second', seconds: 2 }),
      aReading({ style: 'slideStep', seconds: 1.2 }),
      aReading({ base: 'third' }),
      aReading({ kind: 'dash', fromFeet: 10, toFeet: 30, seconds: 0.9 }),
      aReading({ kind: 'hold', seconds: 2 }),
    );
    expect(inOrder(all).map(({ context }) => titleOf(context))).toEqual([
      'Hold',
      'Delivery, leg lift',
      'Delivery, slide step',
      'Pop to second',
      'Steal of third',
      `Sprint, 10 to 30${NBSP}ft`,
    ]);
  });
});

describe('the dots', () => {
  it('are the newest: years of times would be a cloud', () => {
    const newest = aReading();
    const readings = Array.from({ length: 130 }, () => newest);
    const dots = dotsOf({ readings, reckonedSeconds: readings.map((_, at) => at) });
    expect(dots.map(({ seconds }) => seconds)).toEqual(Array.from({ length: 100 }, (_, at) => at));
  });
});

describe('the other words', () => {
  it('of a rhythm', () => {
    const words = (...holds: number[]) => {
      const rhythm = rhythmOf(holds);
      return rhythm && rhythmWords(rhythm);
    };
    expect(words(2.1, 2.3, 2.8, 2)).toBe('2, 2, 3, 2 s: rhythm you can time');
    expect(words(2)).toBe('2 s: time a few more to see the rhythm');
  });

  it('of two starts', () => {
    const both = {
      first: { start: 'dropStep', count: 9 },
      second: { start: 'crossover', count: 6 },
      quickerSeconds: 0.04,
      giveOrTakeSeconds: 0.02,
    } as const;
    expect(startsWords({ ...both, tellable: true })).toBe(
      'Drop step quicker by .04, give or take .02.',
    );
    expect(startsWords({ ...both, quickerSeconds: -0.04, tellable: true })).toContain('Crossover');
    expect(startsWords({ ...both, tellable: false })).toContain('not enough to tell yet');
  });

  it('of two styles', () => {
    const difference = { quickerSeconds: 0.19, giveOrTakeSeconds: 0.03, tellable: true };
    expect(stylesWords(difference)).toBe('Slide step quicker by .19, give or take .03.');
    expect(stylesWords({ ...difference, tellable: false })).toContain('not enough to tell yet');
  });

  it('of leaving', () => {
    expect(leaveWords('early', -0.12)).toBe(`Early by .12${NBSP}s: that is an out`);
    expect(leaveWords('late', 0.18)).toBe(`Late by .18${NBSP}s`);
  });

  it('of what is missing', () => {
    const pop = { ...plainContext('pop'), base: 'second' } as const;
    expect(missingWords({ context: pop, need: { none: true } })).toBe(
      'Pop to second: not timed yet',
    );
    expect(missingWords({ context: pop, need: { daysOld: 41 } })).toContain('41 days ago');
    expect(missingWords({ context: pop, need: { more: 4 } })).toContain('4 more');
  });
});
