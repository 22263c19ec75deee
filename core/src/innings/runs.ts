import type { Chain } from './chain.ts';
import { isOver, loadOf, STATES, type BaseOut } from './state.ts';

/** A half-inning scores so many runs at most; what little is above counts there. */
export const MOST_RUNS = 25;

/** States from the fullest to the emptiest: a step without a run only ever fills or ends a half. */
export const BY_LOAD: readonly BaseOut[] = Array.from(
  { length: STATES },
  (_, state) => state,
).toSorted((a, b) => loadOf(b) - loadOf(a));

/**
 * Chances of so many more runs in the half, by state; those above are left out.
 * One pass: rising runs, falling load.
 */
export function runDistributions(chain: Chain, most = MOST_RUNS): Float64Array[] {
  const all = Array.from({ length: STATES }, () => new Float64Array(most + 1));
  for (let runs = 0; runs <= most; runs += 1) {
    for (const state of BY_LOAD) {
      let chance = 0;
      for (const step of chain[state] ?? []) {
        const more = runs - step.runs;
        if (more < 0) continue;
        if (isOver(step.to)) chance += more === 0 ? step.chance : 0;
        else chance += step.chance * (all[step.to]?.[more] ?? 0);
      }
      const own = all[state];
      if (own) own[runs] = chance;
    }
  }
  return all;
}

/** The chance of at least one more run, by state. */
export function scoringChances(distributions: readonly Float64Array[]): number[] {
  return distributions.map((own) => 1 - (own[0] ?? 0));
}

/** Runs still expected in the half, by state (Gaussian elimination). */
export function runExpectancies(chain: Chain): number[] {
  const matrix = Array.from({ length: STATES }, (_, state) => {
    const row = new Float64Array(STATES + 1);
    row[state] = 1;
    for (const { to, runs, chance } of chain[state] ?? []) {
      row[STATES] = (row[STATES] ?? 0) + chance * runs;
      if (!isOver(to)) row[to] = (row[to] ?? 0) - chance;
    }
    return row;
  });
  for (let column = 0; column < STATES; column += 1) {
    const pivot = matrix[column];
    if (!pivot) continue;
    // Every half ends, so the diagonal stays the largest and never vanishes.
    const scale = pivot[column] ?? 1;
    for (let at = column; at <= STATES; at += 1) pivot[at] = (pivot[at] ?? 0) / scale;
    for (const row of matrix) {
      const factor = row[column] ?? 0;
      if (row === pivot || factor === 0) continue;
      for (let at = column; at <= STATES; at += 1) {
        row[at] = (row[at] ?? 0) - factor * (pivot[at] ?? 0);
      }
    }
  }
  return matrix.map((row) => row[STATES] ?? 0);
}
