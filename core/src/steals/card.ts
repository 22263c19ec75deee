import { judgeSteal, type Judging } from './steal.ts';
import type { Leg, StealQuestion } from './legs.ts';

/** What a runner may go on at one pop. */
interface CardCell {
  popSeconds: number;
  /** Go if the pitch takes this long or longer, rounded up to the hundredth; null: he may always go. */
  slowestSeconds: number | null;
}

interface GoCardRow<Id> {
  id: Id;
  run: Leg;
  cells: CardCell[];
}

/** A go-card: what replaces the screen where no device is allowed. */
export interface GoCard<Id> {
  /** The catcher's own pop among the columns. */
  ownPopSeconds: number;
  /** What the battery's part rests on. */
  pitch: Leg;
  pop: Leg;
  rows: GoCardRow<Id>[];
}

/** Columns stand a twentieth of a second apart. */
const STEP_SECONDS = 0.05;
const APART_SECONDS = 0.01;

/**
 * A threshold as it is shown and printed: up to the hundredth, never down, so that it never lets a
 * runner go who should not.
 * @example roundedUp(1.3401) // 1.35
 */
export function roundedUp(seconds: number): number {
  // A hundredth that was only missed by the dust of floating point is that hundredth.
  return Math.ceil(seconds * 100 - 1e-6) / 100;
}

/**
 * The slowest pitch each runner may go on, for pops around this catcher's own, one battery's
 * unevenness and doubt in it.
 * @param runners with the id they are listed by; each with the same pitcher and catcher
 * @param toEachSide how many columns beside the catcher's own on each side
 * @returns null without runners, and where the pitch or a throw does not count
 */
export function goCard<Id>(
  runners: readonly { id: Id; question: StealQuestion }[],
  judging: Judging,
  toEachSide: number,
): GoCard<Id> | null {
  const judged = runners.map(({ id, question }) => ({ id, steal: judgeSteal(question, judging) }));
  const { pitch, pop } = judged[0]?.steal.legs ?? { pitch: null, pop: null };
  if (pitch === null || pop === null) return null;
  const ownPopSeconds = pop.spread.meanSeconds;
  const columns = columnsAround(ownPopSeconds, toEachSide);
  return {
    ownPopSeconds,
    pitch,
    pop,
    rows: judged.map(({ id, steal }) => ({
      id,
      run: steal.legs.run,
      // Ball and pop only count together: what the throw takes longer, the pitch may be quicker.
      cells: columns.map((popSeconds) => ({
        popSeconds,
        slowestSeconds:
          steal.slowestPitchSeconds === null
            ? null
            : roundedUp(steal.slowestPitchSeconds + ownPopSeconds - popSeconds),
      })),
    })),
  };
}

/** Round pops around a catcher's own, and his own among them. */
function columnsAround(own: number, toEachSide: number): number[] {
  // A column that would read the same as his own is left out.
  const below = Math.floor((own - APART_SECONDS) / STEP_SECONDS);
  const above = Math.ceil((own + APART_SECONDS) / STEP_SECONDS);
  const at = (step: number): number => Math.round(step * STEP_SECONDS * 100) / 100;
  return [
    ...Array.from({ length: toEachSide }, (_, index) => at(below - toEachSide + 1 + index)),
    own,
    ...Array.from({ length: toEachSide }, (_, index) => at(above + index)),
  ];
}
