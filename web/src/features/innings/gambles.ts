import {
  baseOut,
  breakEvenOf,
  breakEvensAt,
  CAUTION,
  usualChance,
  type BreakEven,
  type Gamble,
  type Needed,
} from '@bradyon/core/innings';
import { atBat, valueOf, type Game } from './game.ts';
import type { KnownHere } from './plate.ts';
import type { Situation } from './situation.ts';

/** A gamble here: what it needs, the same with the next batter up, and what it hangs on. */
export interface GambleHere extends BreakEven {
  /** With the next batter up; null where all bat alike. */
  next: Needed | null;
  /** How often it works for these people, else those that are tried at the level; null where nothing says. */
  usual: number | null;
  /** Whether it is worked out for these people. */
  byPeople: boolean;
  /** So little is at stake that the inputs are not good enough to tell. */
  isTie: boolean;
}

const STEALS: readonly Gamble[] = ['stealSecond', 'stealThird', 'doubleSteal', 'stealHome'];

/** Below this nobody can tell: two hundredths of a run, or half a point to win. */
const STAKE = { runs: 0.02, win: 0.005 } as const;

/** Whether so little is at stake that going and staying cannot be told apart. */
export function isTie({ hold, safe, out }: BreakEven, by: Situation['by']): boolean {
  return Math.max(safe - hold, hold - out) < STAKE[by];
}

/** How far what it needs is from what usually works; what cannot be set beside each other comes last. */
function distance({ needed, usual }: GambleHere): number {
  if (typeof needed !== 'number' || needed >= 1) return 3;
  return usual === null ? 1 + needed : Math.abs(usual - needed);
}

/** Every gamble there is here, what is close first. */
export function gamblesHere(
  game: Game,
  situation: Situation,
  works: KnownHere['works'] = {},
): GambleHere[] {
  const { bases, outs, by } = situation;
  const next = valueOf(game, situation, 1);
  const alike = atBat(game, situation).spots === 1;
  return breakEvensAt(bases, outs, valueOf(game, situation))
    .filter(({ gamble }) => game.allowed.stealAllowed || !STEALS.includes(gamble))
    .map((found) => ({
      ...found,
      next: alike ? null : (breakEvenOf(found.gamble, baseOut(bases, outs), next)?.needed ?? null),
      usual:
        works[found.gamble] ?? usualChance(found.gamble, outs as 0 | 1 | 2, game.level.advance),
      byPeople: works[found.gamble] !== undefined,
      isTie: isTie(found, by),
    }))
    .toSorted((a, b) => distance(a) - distance(b));
}

/** Where the figure lies within its doubt, in whole percents. */
export function bandOf(needed: number): [low: number, high: number] {
  return [Math.max(0, needed - CAUTION), Math.min(0.99, needed + CAUTION)];
}
