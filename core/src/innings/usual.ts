import type { Gamble } from './breakEven.ts';
import type { Advance } from './rates.ts';

/**
 * How often a gamble that is tried works at a level, 0..1: what a coach may set beside what it needs.
 * @param outs before the play
 * @returns null where the level has no figure for it
 */
export function usualChance(gamble: Gamble, outs: 0 | 1 | 2, advance: Advance): number | null {
  const of = (safe: number, out: number): number | null =>
    safe + out > 0 ? safe / (safe + out) : null;
  switch (gamble) {
    case 'stealSecond':
      return advance.stealSecondSafe;
    case 'stealThird':
    case 'doubleSteal':
      return advance.stealThirdSafe;
    case 'secondToHomeOnSingle':
      return of(advance.secondToHomeOnSingle[outs], advance.secondToHomeOut);
    case 'firstToThirdOnSingle':
      return of(advance.firstToThirdOnSingle[outs], advance.firstToThirdOut);
    case 'firstToHomeOnDouble':
      return of(advance.firstToHomeOnDouble[outs], advance.firstToHomeOut);
    case 'tagThirdToHome':
      return of(advance.flyScoreFromThird, advance.flyOutAtHome);
    case 'stealHome':
    case 'stretchSingleToDouble':
    case 'stretchDoubleToTriple':
    case 'stretchTripleToHome':
    case 'tagSecondToThird':
    case 'tagFirstToSecond':
    case 'contactThrowHome':
    case 'contactConceded':
      return null;
  }
}
