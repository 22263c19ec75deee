import { chainOf, type Batting, type Chain } from './chain.ts';
import { flat, type Flat } from './flat.ts';
import { BY_LOAD, MOST_RUNS } from './runs.ts';
import { isOver, loadOf, STATES, type BaseOut } from './state.ts';

const LEFT = 4;

/**
 * A team at bat: its batters in order, or one that stands for all of them. Of every batter and state
 * the chances of so many more runs with so many left on base.
 */
export interface BattingSide {
  /** How many bat in turn; 1: the average batter. */
  spots: number;
  /** By spot: the steps with that batter up. */
  chains: readonly Chain[];
  /** By spot, state, runs and runners left on base; read with jointAt. */
  joint: Float64Array;
}

/**
 * @param batters in the order in which they bat, any number from 1
 * @throws RangeError without a batter, and when rates do not add up
 */
export function sideOf(batters: readonly Batting[]): BattingSide {
  if (batters.length === 0) throw new RangeError('sideOf needs at least one batter');
  // The same batter twice is one chain.
  const known = new Map<Batting, Chain>();
  const chains = batters.map((batting) => {
    const chain = known.get(batting) ?? chainOf(batting);
    known.set(batting, chain);
    return chain;
  });
  return { spots: batters.length, chains, joint: jointOf(chains) };
}

function indexOf(spot: number, state: BaseOut, runs: number): number {
  return ((spot * STATES + state) * (MOST_RUNS + 1) + runs) * LEFT;
}

/** One pass: rising runs, falling load, every spot. */
function jointOf(chains: readonly Chain[]): Float64Array {
  const spots = chains.length;
  const steps = chains.map(flat);
  const joint = new Float64Array(spots * STATES * (MOST_RUNS + 1) * LEFT);
  for (let runs = 0; runs <= MOST_RUNS; runs += 1) {
    for (const state of BY_LOAD) {
      for (const [spot, own] of steps.entries()) {
        fillCell(joint, own, { spot, next: (spot + 1) % spots, state, runs });
      }
    }
  }
  return joint;
}

/** The chances of one batter, state and runs, from those with more load or fewer runs to come. */
function fillCell(
  joint: Float64Array,
  { from, to, runs: scored, chance }: Flat,
  { spot, next, state, runs }: { spot: number; next: number; state: BaseOut; runs: number },
): void {
  const at = indexOf(spot, state, runs);
  const end = from[state + 1] ?? 0;
  for (let step = from[state] ?? 0; step < end; step += 1) {
    const more = runs - (scored[step] ?? 0);
    if (more < 0) continue;
    const share = chance[step] ?? 0;
    const leads = to[step] ?? 0;
    if (isOver(leads)) {
      const left = at + leads - STATES;
      if (more === 0) joint[left] = (joint[left] ?? 0) + share;
      continue;
    }
    const then = indexOf(next, leads, more);
    for (let left = 0; left < LEFT; left += 1) {
      joint[at + left] = (joint[at + left] ?? 0) + share * (joint[then + left] ?? 0);
    }
  }
}

/** How a half can end from a state: runs still scored, who leads off next, and the chance of it. */
export interface HalfEnds {
  runs: Int32Array;
  nextSpot: Int32Array;
  chance: Float64Array;
}

/**
 * @param runLimit runs that may still be scored before the half is ended by rule; Infinity without one
 */
export function halfEnds(
  side: BattingSide,
  spot: number,
  state: BaseOut,
  runLimit: number,
): HalfEnds {
  const { spots, joint } = side;
  const merged = new Map<number, number>();
  let left = 1;
  const add = (runs: number, next: number, chance: number): void => {
    const key = Math.min(runs, runLimit) * spots + next;
    merged.set(key, (merged.get(key) ?? 0) + chance);
  };
  for (let runs = 0; runs <= MOST_RUNS; runs += 1) {
    const at = indexOf(spot, state, runs);
    for (let onBase = 0; onBase < LEFT; onBase += 1) {
      const chance = joint[at + onBase] ?? 0;
      if (chance === 0) continue;
      // Everybody who batted is out, home, or left on base.
      const next = (((spot + runs + 3 + onBase - loadOf(state)) % spots) + spots) % spots;
      add(runs, next, chance);
      left -= chance;
    }
  }
  // What is above the most runs counted is counted there.
  if (left > 0) add(MOST_RUNS, spot, left);
  const keys = [...merged.keys()];
  return {
    runs: Int32Array.from(keys, (key) => Math.floor(key / spots)),
    nextSpot: Int32Array.from(keys, (key) => key % spots),
    chance: Float64Array.from(keys, (key) => merged.get(key) ?? 0),
  };
}

/** The chance of at least one more run in the half, by spot and state. */
export function sideScoringChances({ spots, joint }: BattingSide): number[][] {
  return Array.from({ length: spots }, (_, spot) =>
    Array.from({ length: STATES }, (_each, state) => {
      const none = indexOf(spot, state, 0);
      return 1 - joint.subarray(none, none + LEFT).reduce((sum, chance) => sum + chance, 0);
    }),
  );
}

/** Runs still expected in the half, by spot and state (Gauss-Seidel in falling load). */
export function sideRunExpectancies({
  chains,
  spots,
}: Pick<BattingSide, 'chains' | 'spots'>): number[][] {
  const values = chains.map(() => new Array<number>(STATES).fill(0));
  for (let sweep = 0; sweep < 200; sweep += 1) {
    let moved = 0;
    for (const state of BY_LOAD) {
      for (let spot = 0; spot < spots; spot += 1) {
        const after = values[(spot + 1) % spots];
        const own = values[spot];
        if (!own || !after) continue;
        let value = 0;
        for (const { to, runs, chance } of chains[spot]?.[state] ?? []) {
          value += chance * (runs + (isOver(to) ? 0 : (after[to] ?? 0)));
        }
        moved = Math.max(moved, Math.abs(value - (own[state] ?? 0)));
        own[state] = value;
      }
    }
    if (moved < 1e-13) break;
  }
  return values;
}
