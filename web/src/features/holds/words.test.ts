import { describe, expect, it } from 'vitest';
import { looksText, oneIn, seriesPlay } from './words.ts';

describe('what the bench calls to the catcher', () => {
  it('is what ends the hold, or how long it is', () => {
    expect(seriesPlay({ ends: 'throwOver', seconds: 1.2 }, 'asWeAre')).toBe('throwFirst');
    expect(seriesPlay({ ends: 'pitchOut', seconds: 3.4 }, 'cannot')).toBe('pitchOut');
    expect(seriesPlay({ ends: 'stepOff', seconds: 4.5 }, 'asWeAre')).toBe('longHold');
    expect(seriesPlay({ ends: 'pitch', seconds: 3.4 }, 'slideStep')).toBe('longHold');
  });

  it('is a slide step only where it takes one, and nothing on for an ordinary pitch', () => {
    expect(seriesPlay({ ends: 'pitch', seconds: 1.4 }, 'slideStep')).toBe('slideStep');
    expect(seriesPlay({ ends: 'stepOff', seconds: 1.4 }, 'slideStep')).toBeNull();
    expect(seriesPlay({ ends: 'pitch', seconds: 1.4 }, 'asWeAre')).toBeNull();
  });

  it('is said in few words', () => {
    expect([0, 1, 2].map(looksText)).toEqual(['No look', '1 look', '2 looks']);
    expect(oneIn(0.124)).toBe('1 in 8');
  });
});
