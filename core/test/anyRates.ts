import fc from 'fast-check';
import { EVENTS, PLAY_LEVELS, type Batting, type BattingRates } from '../src/innings/index.ts';
import type { LevelName } from '../src/timing/index.ts';

const share = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Rates of a batter, whatever they are, as long as a half ends. */
export const anyRates: fc.Arbitrary<BattingRates> = fc
  .array(share(0.002, 1), { minLength: 10, maxLength: 10 })
  .map((weights) => {
    const outs = weights.map((weight, index) =>
      [0, 7, 8, 9].includes(index) ? weight + 1 : weight / 3,
    );
    const sum = outs.reduce((total, weight) => total + weight, 0);
    const rates = Object.fromEntries(
      EVENTS.map((event, index) => [event, (outs[index] ?? 0) / sum]),
    );
    return rates as BattingRates;
  });

/** A batter of such rates among runners of a level. */
export function battingAt(rates: BattingRates, level: LevelName): Batting {
  return { ...PLAY_LEVELS[level], rates };
}
