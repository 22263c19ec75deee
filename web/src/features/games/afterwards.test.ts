import type { AccountId } from '@bradyon/core/units';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { session } from '../../api/session.ts';
import { afterwards, doWhatIsDue } from './afterwards.ts';

const signIn = (id: string): void => {
  session.setState({ account: { id: id as AccountId, name: id } });
};

describe('what is told once a tap is answered', () => {
  let done: string[] = [];
  const later = (what: string): void => {
    afterwards(() => done.push(what));
  };
  beforeEach(() => {
    vi.useFakeTimers();
    done = [];
    signIn('ines');
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('waits for the answer, and is told once', () => {
    later('result');
    expect(done).toEqual([]);
    vi.runAllTimers();
    expect(done).toEqual(['result']);
    doWhatIsDue();
    expect(done).toEqual(['result']);
  });

  it('is told before the next, in the order of the taps', () => {
    later('first');
    later('second');
    expect(done).toEqual(['first']);
    doWhatIsDue();
    expect(done).toEqual(['first', 'second']);
    vi.runAllTimers();
    expect(done).toEqual(['first', 'second']);
  });

  it('is not told in the name of whoever signs in meanwhile', () => {
    later('result');
    signIn('teo');
    vi.runAllTimers();
    expect(done).toEqual([]);
  });
});
