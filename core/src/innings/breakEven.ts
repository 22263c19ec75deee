import type { Value } from './value.ts';
import {
  baseOut,
  basesOf,
  FIRST,
  outsOf,
  runnersOn,
  SECOND,
  STATES,
  THIRD,
  type Bases,
} from './state.ts';

/** Gambles on the bases that a coach may try. */
export const GAMBLES = [
  'stealSecond',
  'stealThird',
  'doubleSteal',
  'stealHome',
  'secondToHomeOnSingle',
  'firstToThirdOnSingle',
  'firstToHomeOnDouble',
  'stretchSingleToDouble',
  'stretchDoubleToTriple',
  'stretchTripleToHome',
  'tagThirdToHome',
  'tagSecondToThird',
  'tagFirstToSecond',
  'contactThrowHome',
  'contactConceded',
] as const;
export type Gamble = (typeof GAMBLES)[number];

/** What a gamble leaves: bases, outs added, runs, and whether the batter is done. */
interface Result {
  bases: Bases;
  outs: number;
  runs: number;
}
interface Results {
  hold: Result;
  safe: Result;
  out: Result;
  /** Batters done: 0 between pitches, 1 on a ball in play. */
  done: 0 | 1;
}

const left = (bases: Bases, outs = 0, runs = 0): Result => ({ bases, outs, runs });

/**
 * What a gamble leaves from these bases; null where there is no such gamble. On a ball in play whoever is
 * ahead of him has scored, and whoever is behind moves up one; on a fly ball the others stay.
 */
function resultsOf(gamble: Gamble, bases: Bases): Results | null {
  const on = (wanted: Bases): boolean => bases === wanted;
  const has = (base: Bases): boolean => (bases & base) !== 0;
  const ball = (hold: Result, safe: Result, out: Result): Results => ({ hold, safe, out, done: 1 });
  switch (gamble) {
    case 'stealSecond': {
      if (!has(FIRST) || has(SECOND)) return null;
      const others = bases & THIRD;
      return { hold: left(bases), safe: left(others | SECOND), out: left(others, 1), done: 0 };
    }
    case 'stealThird':
      if (!on(SECOND)) return null;
      return { hold: left(bases), safe: left(THIRD), out: left(0, 1), done: 0 };
    case 'doubleSteal':
      if (!on(FIRST | SECOND)) return null;
      return { hold: left(bases), safe: left(SECOND | THIRD), out: left(SECOND, 1), done: 0 };
    case 'stealHome': {
      if (!has(THIRD)) return null;
      const others = bases & ~THIRD;
      return { hold: left(bases), safe: left(others, 0, 1), out: left(others, 1), done: 0 };
    }
    case 'secondToHomeOnSingle': {
      if (!has(SECOND)) return null;
      const others = FIRST | (has(FIRST) ? SECOND : 0);
      const ahead = runnersOn(bases & THIRD);
      const held = left(others | THIRD, 0, ahead);
      return ball(held, left(others, 0, ahead + 1), left(others, 1, ahead));
    }
    case 'firstToThirdOnSingle': {
      if (!has(FIRST)) return null;
      const ahead = runnersOn(bases & ~FIRST);
      const held = left(FIRST | SECOND, 0, ahead);
      return ball(held, left(FIRST | THIRD, 0, ahead), left(FIRST, 1, ahead));
    }
    case 'firstToHomeOnDouble': {
      if (!has(FIRST)) return null;
      const ahead = runnersOn(bases & ~FIRST);
      const held = left(SECOND | THIRD, 0, ahead);
      return ball(held, left(SECOND, 0, ahead + 1), left(SECOND, 1, ahead));
    }
    case 'stretchSingleToDouble': {
      // With somebody on first or second the base he wants may not be free.
      if (has(FIRST) || has(SECOND)) return null;
      const ahead = runnersOn(bases);
      return ball(left(FIRST, 0, ahead), left(SECOND, 0, ahead), left(0, 1, ahead));
    }
    case 'stretchDoubleToTriple': {
      const ahead = runnersOn(bases);
      return ball(left(SECOND, 0, ahead), left(THIRD, 0, ahead), left(0, 1, ahead));
    }
    case 'stretchTripleToHome': {
      const ahead = runnersOn(bases);
      return ball(left(THIRD, 0, ahead), left(0, 0, ahead + 1), left(0, 1, ahead));
    }
    case 'tagThirdToHome': {
      if (!has(THIRD)) return null;
      const others = bases & ~THIRD;
      return ball(left(bases, 1), left(others, 1, 1), left(others, 2));
    }
    case 'tagSecondToThird': {
      if (!has(SECOND) || has(THIRD)) return null;
      const others = bases & ~SECOND;
      return ball(left(bases, 1), left(others | THIRD, 1), left(others, 2));
    }
    case 'tagFirstToSecond': {
      if (!has(FIRST) || has(SECOND)) return null;
      const others = bases & ~FIRST;
      return ball(left(bases, 1), left(others | SECOND, 1), left(others, 2));
    }
    case 'contactThrowHome':
      return on(THIRD) ? ball(left(THIRD, 1), left(FIRST, 0, 1), left(FIRST, 1)) : null;
    case 'contactConceded':
      return on(THIRD) ? ball(left(THIRD, 1), left(0, 1, 1), left(FIRST, 1)) : null;
  }
}

/** How often a gamble has to work; in words where a figure would mislead. */
export type Needed = number | 'always' | 'never' | 'noGain';

export interface BreakEven {
  gamble: Gamble;
  hold: number;
  safe: number;
  out: number;
  needed: Needed;
}

/** Less than this between safe and out is no gain to speak of. */
const TINY = 1e-6;

/**
 * How often a gamble has to come off to be worth it, from one state.
 * @returns null where there is no such gamble from these bases, or the catch would be the third out
 */
export function breakEvenOf(gamble: Gamble, state: number, value: Value): BreakEven | null {
  if (!(state >= 0 && state < STATES))
    throw new RangeError('breakEvenOf needs a state from 0 to 23');
  const results = resultsOf(gamble, basesOf(state));
  if (results === null) return null;
  const outs = outsOf(state);
  const { hold, safe, out, done } = results;
  // The third out of a caught ball ends the half before anybody can go.
  if (outs + hold.outs >= 3) return null;
  const worth = (result: Result): number =>
    value(result.bases, outs + result.outs, result.runs, done);
  const [atHold, atSafe, atOut] = [worth(hold), worth(safe), worth(out)];
  return {
    gamble,
    hold: atHold,
    safe: atSafe,
    out: atOut,
    needed: neededOf(atHold, atSafe, atOut),
  };
}

function neededOf(hold: number, safe: number, out: number): Needed {
  if (safe - out <= TINY || safe - hold <= TINY) return safe - hold <= TINY ? 'never' : 'noGain';
  const chance = (hold - out) / (safe - out);
  return chance <= 0 ? 'always' : chance;
}

/** Every gamble there is from a state. */
export function breakEvensAt(bases: Bases, outs: number, value: Value): BreakEven[] {
  const state = baseOut(bases, outs);
  return GAMBLES.flatMap((gamble) => breakEvenOf(gamble, state, value) ?? []);
}
