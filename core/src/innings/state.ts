/**
 * Bases and outs in a half-inning, 0 to 23: outs times 8 plus the bases, 1 first, 2 second, 4 third.
 * 24 to 27: the half is over with 0 to 3 runners left on base.
 */
export type BaseOut = number;
/** Which bases are taken: 1 first, 2 second, 4 third, added up. */
export type Bases = number;
export const STATES = 24;
const OVER = 24;

export const FIRST = 1;
export const SECOND = 2;
export const THIRD = 4;

/**
 * @param bases 0 to 7
 * @param outs 0 to 2
 * @throws RangeError when there are no such bases or outs
 */
export function baseOut(bases: Bases, outs: number): BaseOut {
  if (!Number.isInteger(bases) || bases < 0 || bases > 7) {
    throw new RangeError('baseOut needs bases from 0 to 7');
  }
  if (outs !== 0 && outs !== 1 && outs !== 2) throw new RangeError('baseOut needs 0, 1 or 2 outs');
  return outs * 8 + bases;
}

export function basesOf(state: BaseOut): Bases {
  return state % 8;
}

export function outsOf(state: BaseOut): number {
  return Math.floor(state / 8);
}

const RUNNERS = [0, 1, 1, 2, 1, 2, 2, 3] as const;

export function runnersOn(bases: Bases): number {
  return RUNNERS[bases] ?? 0;
}

/**
 * Outs and runners together. Over any step of a half-inning, runs plus what this grows by is 1 when a
 * batter finished his plate appearance, and 0 when the half ended on the bases.
 */
export function loadOf(state: BaseOut): number {
  return state >= OVER ? 3 + state - OVER : outsOf(state) + runnersOn(basesOf(state));
}

/** The half is over with so many left on base. */
export function overWith(leftOnBase: number): BaseOut {
  return OVER + leftOnBase;
}

export function isOver(state: BaseOut): boolean {
  return state >= OVER;
}

/** Batters done by a step: 1, or 0 when the half ended on the bases (the law of `loadOf`). */
export function doneBy(from: BaseOut, to: BaseOut, runs: number): 0 | 1 {
  return runs + loadOf(to) - loadOf(from) === 0 ? 0 : 1;
}

/** A state as coaches write the bases. @example stateLabel(baseOut(5, 1)) // '1_3, 1 out' */
export function stateLabel(state: BaseOut): string {
  const bases = basesOf(state);
  const place = (bit: number, text: string): string => (bases & bit ? text : '_');
  const outs = outsOf(state);
  return `${place(1, '1')}${place(2, '2')}${place(4, '3')}, ${String(outs)} out${outs === 1 ? '' : 's'}`;
}
