import { chancePicked, leadWorth, type Stakes, type Throw } from '../leads/index.ts';

/** How often to throw over: what is left of what the runner can win, at their best lead against it. */
export interface ThrowOver {
  /** Throws for each throw or pitch, 0..1. */
  often: number;
  /** The lead it holds them to. Feet. */
  leadFeet: number;
  /**
   * What the runner is worth then, never thrown over, and thrown over twice as often (null: nobody throws so often).
   * In the unit of the stakes.
   */
  worth: number;
  atNone: number;
  atTwice: number | null;
}

const STEP = 0.02;
const MOST = 0.5;
const GRID_FEET = 0.25;
/** Pitches of a plate appearance, about. */
const PITCHES = 4;

/**
 * The share of throws over that leaves the runner the least, when they take the best lead and go or stay against it.
 * @param toBase the throw over, at any lead @param safeAt their chance at the next base from a lead
 * @param leads the shortest and the longest looked at, feet
 */
export function throwOver(
  toBase: Throw,
  safeAt: (leadFeet: number) => number,
  stakes: Stakes,
  [shortest, longest]: readonly [number, number],
): ThrowOver {
  const away = toBase.level.throws.wild / 2;
  const count = Math.round((longest - shortest) / GRID_FEET);
  const leads = Array.from({ length: count + 1 }, (_, step) => {
    const leadFeet = shortest + step * GRID_FEET;
    const picked = chancePicked({ ...toBase, stance: { ...toBase.stance, leadFeet } });
    const safe = safeAt(leadFeet);
    const going = Math.max(0, safe * stakes.gain - (1 - safe) * stakes.cost);
    return { leadFeet, picked, going };
  });
  const at = (often: number): { often: number; leadFeet: number; worth: number } => {
    const best = leads
      .map(({ leadFeet, picked, going }) => ({
        leadFeet,
        worth: leadWorth({ picked, going, away, often }, stakes),
      }))
      .reduce((most, each) => (each.worth > most.worth + 1e-12 ? each : most));
    // A throw that runs away gives a base whatever the runner does.
    return { often, leadFeet: best.leadFeet, worth: best.worth + often * away * stakes.gain };
  };
  const all = Array.from({ length: Math.round(MOST / STEP) + 1 }, (_, step) => at(step * STEP));
  const least = all.reduce((most, each) => (each.worth < most.worth - 1e-12 ? each : most));
  return {
    ...least,
    atNone: at(0).worth,
    atTwice: 2 * least.often > MOST ? null : at(2 * least.often).worth,
  };
}

/**
 * How often while the book limits throws: what is left is spread over the plate appearance, the last kept back. One
 * that is used up frees the runner.
 * @param left throws that are left; null: no limit
 */
export function withinLimit(often: number, left: number | null): number {
  return left === null ? often : Math.min(often, Math.max(0, left - 1) / PITCHES);
}
