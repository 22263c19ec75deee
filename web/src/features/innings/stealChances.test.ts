import { describe, expect, it } from 'vitest';
import { chancesBySpot } from './stealChances.ts';

const own = (second: number | null, third: number | null) => ({ second, third });

describe('the chances to steal with each batter up', () => {
  it('are of whoever bats before, and of two who go the lesser', () => {
    const [first, second, third] = chancesBySpot([own(0.9, 0.6), own(0.5, 0.8), own(0.7, 0.3)]);
    // With the first up the third is on first, ahead of that one the second.
    expect(first).toEqual({ second: 0.7, third: 0.3, double: 0.7 });
    expect(second).toEqual({ second: 0.9, third: 0.6, double: 0.3 });
    expect(third).toEqual({ second: 0.5, third: 0.8, double: 0.5 });
  });

  it('are none where nobody may go', () => {
    expect(chancesBySpot([own(null, null)])).toEqual([{ second: 0, third: 0, double: 0 }]);
  });
});
