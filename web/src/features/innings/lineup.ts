import {
  baseOut,
  breakEvenOf,
  byRuns,
  FIRST,
  sacrificeFrom,
  stepsWorth,
  type Needed,
} from '@bradyon/core/innings';
import type { Game } from './game.ts';
import type { Batter } from './sides.ts';

/** One batter's place in the order, and what pays there. */
export interface Spot {
  batter: Batter;
  /** Runs of a half that he leads off. */
  leadingOff: number;
  /** A sacrifice of his against swinging, runner on first and nobody out, in runs; null where the rules allow none. */
  buntGain: number | null;
  /** What a steal of second needs with him up and nobody out, by runs. */
  stealNeeds: Needed | null;
}

/** Where in the order each tactic pays. */
export function spotsOf({ level, tables, allowed }: Game, order: readonly Batter[]): Spot[] {
  const onFirst = baseOut(FIRST, 0);
  return order.map((batter, nth) => {
    const spot = nth % tables.ours.spots;
    const value = byRuns(tables.ours.expectancies, spot);
    const batting = { ...level, rates: batter.rates };
    const bunt = sacrificeFrom(onFirst, batter.bunt, batting, level.twoStrikeFactor);
    return {
      batter,
      leadingOff: value(0, 0, 0),
      buntGain: allowed.buntAllowed ? stepsWorth(bunt, onFirst, value) - value(FIRST, 0, 0) : null,
      stealNeeds: allowed.stealAllowed
        ? (breakEvenOf('stealSecond', onFirst, value)?.needed ?? 'never')
        : null,
    };
  });
}
