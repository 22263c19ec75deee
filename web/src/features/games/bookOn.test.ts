import type { SeenHabit } from '@bradyon/core/review';
import type { DeliveryStyle } from '@bradyon/core/timing';
import type { PersonId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { bookOn } from './bookOn.ts';

const [pitcher, catcher] = ['p' as PersonId, 'c' as PersonId];
const seen = (parts: Partial<SeenHabit>): SeenHabit => ({
  who: pitcher,
  habit: 'slideStepRunnerOnFirst',
  stands: 'even',
  runner: null,
  yes: 0,
  no: 0,
  startsAt: '2031-05-18T10:00:00.000Z',
  ...parts,
});
/** Going pays on a leg lift, and not on a slide step or a pitch-out. */
const worthOf = (style: DeliveryStyle, pitch?: 'pitchout'): number =>
  pitch ? -0.05 : style === 'legLift' ? 0.02 : -0.03;
const ask = (all: SeenHabit[], parts: Partial<Parameters<typeof bookOn>[0]> = {}) =>
  bookOn({
    seen: all,
    pitcher,
    catcher,
    base: 'second',
    style: 'legLift',
    worthOf,
    now: new Date('2031-05-20T10:00:00.000Z'),
    ...parts,
  });

describe('what the book says at the desk', () => {
  it('is a habit that changes whether to go, with its counts', () => {
    expect(ask([seen({ yes: 28, no: 3 })])).toEqual([
      { habit: 'slideStepRunnerOnFirst', seen: [28, 31], then: 'stay' },
    ]);
  });

  it('is nothing of a habit that changes nothing, of another base, or of somebody else', () => {
    expect(ask([seen({ yes: 3, no: 28 })])).toEqual([]);
    expect(ask([seen({ yes: 28, no: 3 })], { base: 'third' })).toEqual([]);
    expect(ask([seen({ yes: 28, no: 3, who: 'another' as PersonId })])).toEqual([]);
    expect(ask([seen({ yes: 28, no: 3 })], { worthOf: () => 0.02 })).toEqual([]);
    expect(ask([])).toEqual([]);
  });

  it('is a catcher who pitches out, where nobody has a slide step too', () => {
    const outs = seen({ who: catcher, habit: 'pitchOut', yes: 40, no: 10 });
    expect(ask([outs, seen({ yes: 28, no: 3 })], { style: null })).toEqual([
      { habit: 'pitchOut', seen: [40, 50], then: 'stay' },
    ]);
  });

  it('asks for no race where nothing was seen', () => {
    let asked = 0;
    ask([seen({ who: 'another' as PersonId, yes: 9 })], {
      worthOf: () => {
        asked += 1;
        return 0;
      },
    });
    expect(asked).toBe(0);
  });
});
