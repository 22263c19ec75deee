import { claims, startState, step, type ReadState } from './decode.ts';
import type { SignContext, SignPlay, SignSystem, Touch } from './system.ts';

/** All that can be read of a system in one context, as a finite machine. State 0 is the start. */
export interface Automaton {
  touches: readonly Touch[];
  /** By state and touch, the next state. */
  next: readonly (readonly number[])[];
  /** By state, everything that the sequence so far means. */
  means: readonly (readonly SignPlay[])[];
  /** By state, the last touch of a shortest way there, and where from; null at the start. */
  cameBy: readonly ({ from: number; touch: Touch } | null)[];
}

const MOST_STATES = 20_000;

/** A system beyond anything a team could remember: it is not proved either way. */
export class TooManySigns extends RangeError {}

/**
 * Every state that a sequence of the system's touches can come to, nearest first.
 * @throws TooManySigns for a system beyond anything a team could remember
 */
export function automatonOf(system: SignSystem, context: SignContext): Automaton {
  const states: ReadState[] = [startState(system, context)];
  const known = new Map<string, number>([[JSON.stringify(states[0]), 0]]);
  const next: number[][] = [];
  const cameBy: Automaton['cameBy'][number][] = [null];
  for (let index = 0; index < states.length; index += 1) {
    const state = states[index];
    if (!state) break;
    next.push(
      system.touches.map((touch) => {
        const to = step(system, state, touch);
        const key = JSON.stringify(to);
        const found = known.get(key);
        if (found !== undefined) return found;
        if (states.length >= MOST_STATES) {
          throw new TooManySigns('automatonOf needs a system with fewer signs at once');
        }
        known.set(key, states.length);
        states.push(to);
        cameBy.push({ from: index, touch });
        return states.length - 1;
      }),
    );
  }
  return {
    touches: system.touches,
    next,
    means: states.map((state) => claims(system, state, context)),
    cameBy,
  };
}

/** What a meaning is called: nothing, a play, or a conflict with its plays. */
function meaningName(plays: readonly SignPlay[]): string {
  if (plays.length === 0) return 'nothing';
  return plays.length === 1 ? (plays[0] ?? '') : `conflict:${plays.join('+')}`;
}

/** The same machine with as few states as can be (Moore): states are one when no sequence tells them apart. */
export function minimal(automaton: Automaton): Automaton {
  const { next, means, touches } = automaton;
  let group = numbered(means.map(meaningName));
  for (let count = 0; ;) {
    const signature = next.map(
      (row, state) => `${String(group[state])} ${row.map((to) => group[to]).join(' ')}`,
    );
    group = numbered(signature);
    const now = Math.max(...group) + 1;
    if (now === count) break;
    count = now;
  }
  const first = new Map<number, number>();
  for (const [state, own] of group.entries()) if (!first.has(own)) first.set(own, state);
  const states = [...first.entries()].toSorted(([a], [b]) => a - b).map(([, state]) => state);
  return {
    touches,
    next: states.map((state) => (next[state] ?? []).map((to) => group[to] ?? 0)),
    means: states.map((state) => means[state] ?? []),
    cameBy: states.map((state) => {
      const came = automaton.cameBy[state] ?? null;
      return came && { ...came, from: group[came.from] ?? 0 };
    }),
  };
}

/** Words as numbers, in the order in which they first stand. */
function numbered(words: readonly string[]): number[] {
  const known = new Map<string, number>();
  return words.map((word) => {
    const found = known.get(word) ?? known.size;
    known.set(word, found);
    return found;
  });
}

/**
 * How many sequences of a length have each meaning, exactly.
 * @returns by the meaning's name, without those that none has
 */
export function countSequences(automaton: Automaton, length: number): Record<string, bigint> {
  let ways: bigint[] = automaton.next.map((_, state) => (state === 0 ? 1n : 0n));
  for (let touch = 0; touch < length; touch += 1) {
    const after = automaton.next.map(() => 0n);
    for (const [state, count] of ways.entries()) {
      if (count === 0n) continue;
      for (const to of automaton.next[state] ?? []) after[to] = (after[to] ?? 0n) + count;
    }
    ways = after;
  }
  const counts: Record<string, bigint> = {};
  for (const [state, count] of ways.entries()) {
    if (count === 0n) continue;
    const name = meaningName(automaton.means[state] ?? []);
    counts[name] = (counts[name] ?? 0n) + count;
  }
  return counts;
}

/** A shortest sequence to a state. */
export function wayTo({ cameBy }: Automaton, state: number): Touch[] {
  const touches: Touch[] = [];
  for (let at = cameBy[state]; at; at = cameBy[at.from]) touches.push(at.touch);
  return touches.reverse();
}
