import {
  describeStandingMisfit,
  lastOwnInning,
  leadThatEnds,
  type GameRules,
  type Standing,
} from './game.ts';
import type { BattingSide } from './side.ts';
import { endsKept, followIn, winTables, type WinTables } from './winTables.ts';

/** The chance that the home team wins, at the start of every half and inside it. */
export interface WinBook {
  rules: GameRules;
  /** @throws RangeError when the game cannot stand so, with the reason */
  at: (standing: Standing) => number;
  /** The same when that half has just ended. */
  afterHalf: (standing: Omit<Standing, 'state'>) => number;
  /** Whether what has been scored ends the half at once: walk-off, run rule, run limit. */
  isEnded: (standing: Omit<Standing, 'state'>) => boolean;
}

/** A game between two sides, solved and opened. */
export function winBook(home: BattingSide, away: BattingSide, rules: GameRules): WinBook {
  return openBook(winTables(home, away, rules));
}

/** Opens a game that is solved: cells inside a half are worked out when they are asked for. */
export function openBook(tables: WinTables): WinBook {
  const { rules } = tables;
  const last = lastOwnInning(rules);
  const limit = rules.runLimit ?? Number.POSITIVE_INFINITY;
  const endsOf = endsKept(tables);
  const follow = followIn(tables);
  return {
    rules,
    afterHalf: ({ inning, half, homeLead, homeSpot = 0, awaySpot = 0 }) =>
      follow(half, inning, homeLead, homeSpot, awaySpot),
    isEnded: ({ inning, half, homeLead, runsThisHalf = 0 }) =>
      runsThisHalf >= limit ||
      (half === 'bottom' &&
        ((inning >= rules.innings && homeLead > 0) ||
          homeLead >= leadThatEnds(rules, Math.min(inning, last)))),
    at: (standing) => {
      const misfit = describeStandingMisfit(standing, rules);
      if (misfit) throw new RangeError(`winBook: ${misfit.message}`);
      const { inning, half, homeLead, state, homeSpot = 0, awaySpot = 0 } = standing;
      const { runsThisHalf = 0 } = standing;
      const isTop = half === 'top';
      const spot = isTop ? awaySpot : homeSpot;
      const { runs, nextSpot, chance } = endsOf(half, spot, state, limit - runsThisHalf);
      let value = 0;
      for (let index = 0; index < runs.length; index += 1) {
        const scored = runs[index] ?? 0;
        const next = nextSpot[index] ?? 0;
        value +=
          (chance[index] ?? 0) *
          (isTop
            ? follow(half, inning, homeLead - scored, homeSpot, next)
            : follow(half, inning, homeLead + scored, next, awaySpot));
      }
      return value;
    },
  };
}
