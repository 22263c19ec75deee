import type { TogetherTime } from '@bradyon/contract/thumb';
import type { AccountId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { nextEvent, togetherResult } from './together.ts';

function timesOf(name: string, seconds: (number | null)[]): TogetherTime[] {
  return seconds.map((value, index) => ({
    accountId: name as AccountId,
    name,
    event: index + 1,
    seconds: value,
  }));
}

describe('timing together', () => {
  const steady = [1.4, 1.35, 1.5, 1.42, 1.38];

  it('goes by the events that all have', () => {
    const times = [...timesOf('Marit', steady), ...timesOf('Teo', [1.42, null, 1.5, 1.46, 1.37])];
    const { people, shared } = togetherResult(times);
    expect(shared).toBe(4);
    expect(people.map(({ name, timed }) => [name, timed])).toEqual([
      ['Marit', 5],
      ['Teo', 4],
    ]);
    expect(people[0]?.spread?.sdSeconds).toBe(people[1]?.spread?.sdSeconds);
  });

  it('tells three apart: who agrees with nobody has the wide spread', () => {
    const wild = [1.5, 1.25, 1.6, 1.3, 1.5];
    const close = steady.map((seconds) => seconds + 0.01);
    const times = [...timesOf('A', steady), ...timesOf('B', close), ...timesOf('C', wild)];
    const spreads = togetherResult(times).people.map(({ spread }) => spread?.sdSeconds ?? 0);
    expect(spreads[2]).toBeGreaterThan(0.05);
    expect(spreads[0]).toBeLessThan(0.02);
  });

  it('says nothing of one alone', () => {
    expect(togetherResult(timesOf('A', steady))).toMatchObject({
      shared: 0,
      people: [{ spread: null }],
    });
    expect(togetherResult([])).toEqual({ shared: 0, people: [] });
  });

  it('counts on after the last event, missed or not', () => {
    const times = timesOf('A', [1.4, null]);
    expect(nextEvent(times, 'A' as AccountId)).toBe(3);
    expect(nextEvent(times, 'B' as AccountId)).toBe(1);
  });
});
