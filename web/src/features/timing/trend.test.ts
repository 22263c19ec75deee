import { describe, expect, it } from 'vitest';
import { meansByDay } from './trend.ts';

describe('the means by day', () => {
  it('keep an evening of the team together, though it is two days elsewhere', () => {
    const evening = [
      { takenAt: '2031-05-02T01:30:00.000Z', seconds: 1.5 },
      { takenAt: '2031-05-01T23:30:00.000Z', seconds: 1.3 },
      { takenAt: '2031-05-03T00:10:00.000Z', seconds: 1.2 },
    ];
    const means = meansByDay(evening, 'America/Chicago');
    expect(means.map(({ at }) => at.slice(0, 10))).toEqual(['2031-05-02', '2031-05-03']);
    expect(means[0]?.meanSeconds).toBeCloseTo(1.4, 9);
    expect(meansByDay(evening, 'UTC')).toHaveLength(3);
  });
});
