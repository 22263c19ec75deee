import type { Chain } from './chain.ts';
import { doneBy, STATES } from './state.ts';

/** A chain laid flat, for many readings of it. */
export interface Flat {
  /** Where the steps of each state begin; one more at the end. */
  from: Int32Array;
  to: Int32Array;
  runs: Int32Array;
  done: Int32Array;
  chance: Float64Array;
}

export function flat(chain: Chain): Flat {
  const count = chain.reduce((sum, steps) => sum + steps.length, 0);
  const laid: Flat = {
    from: new Int32Array(STATES + 1),
    to: new Int32Array(count),
    runs: new Int32Array(count),
    done: new Int32Array(count),
    chance: new Float64Array(count),
  };
  let at = 0;
  for (let state = 0; state < STATES; state += 1) {
    for (const { to, runs, chance } of chain[state] ?? []) {
      laid.to[at] = to;
      laid.runs[at] = runs;
      laid.done[at] = doneBy(state, to, runs);
      laid.chance[at] = chance;
      at += 1;
    }
    laid.from[state + 1] = at;
  }
  return laid;
}
