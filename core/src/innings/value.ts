import type { WinBook } from './book.ts';
import type { Standing } from './game.ts';
import { baseOut, type Bases } from './state.ts';

/**
 * What a half-inning that has come to this is worth to the team at bat, in runs or in chance to win:
 * every decision is written once on top of it.
 * @param outs before the next play; 3 or more: the half is over
 * @param runs scored since the situation that is asked about
 * @param done batters whose plate appearance is over since then
 */
export type Value = (bases: Bases, outs: number, runs: number, done?: number) => number;

/**
 * In runs still expected.
 * @param expectancies by spot and state, as sideRunExpectancies gives them; one list for an average side
 * @param spot who is up, from 0
 */
export function byRuns(expectancies: readonly (readonly number[])[], spot = 0): Value {
  return (bases, outs, runs, done = 0) => {
    if (outs >= 3) return runs;
    const own = expectancies[(spot + done) % expectancies.length];
    return runs + (own?.[baseOut(bases, outs)] ?? 0);
  };
}

/** No single play scores more. */
const MOST_RUNS = 4;
const RUN_CELLS = MOST_RUNS + 1;
const CELLS = 4 * 8 * RUN_CELLS * 2;

function cellOf(bases: Bases, outs: number, runs: number, done: number): number {
  return ((Math.min(3, outs) * 8 + bases) * RUN_CELLS + Math.min(MOST_RUNS, runs)) * 2 + done;
}

/**
 * In the chance that the team at bat wins.
 * @param standing the situation; its state is not asked
 * @param spots how many bat in turn
 */
export function byWin(book: WinBook, standing: Omit<Standing, 'state'>, spots = 1): Value {
  const { half, homeLead, homeSpot = 0, awaySpot = 0, runsThisHalf = 0 } = standing;
  const ours = half === 'bottom';
  const worth = (bases: Bases, outs: number, runs: number, on: number): number => {
    const spot = ((ours ? homeSpot : awaySpot) + on) % spots;
    const now = {
      ...standing,
      homeLead: ours ? homeLead + runs : homeLead - runs,
      homeSpot: ours ? spot : homeSpot,
      awaySpot: ours ? awaySpot : spot,
      runsThisHalf: runsThisHalf + runs,
    };
    // A run that ends the game, or the half by its limit, ends it now.
    const over = outs >= 3 || book.isEnded(now);
    const home = over ? book.afterHalf(now) : book.at({ ...now, state: baseOut(bases, outs) });
    return ours ? home : 1 - home;
  };
  // Every play asks for the same few, pitch after pitch.
  const known = new Map<number, number>();
  return (bases, outs, runs, done = 0) => {
    const on = done % spots;
    const key = on * CELLS + cellOf(bases, outs, runs, 0);
    if (runs > MOST_RUNS) return worth(bases, outs, runs, on);
    const found = known.get(key) ?? worth(bases, outs, runs, on);
    known.set(key, found);
    return found;
  };
}

/** A value as plain numbers, to hand to another thread: by outs 0..3, bases, runs 0..4 and whether the batter is done. */
export type ValueTable = number[];

/** Everything that one play can make of a situation. */
export function tableOf(value: Value): ValueTable {
  const table: ValueTable = [];
  for (const outs of [0, 1, 2, 3]) {
    for (let bases = 0; bases < 8; bases += 1) {
      for (let runs = 0; runs <= MOST_RUNS; runs += 1) {
        for (const done of [0, 1]) {
          table[cellOf(bases, outs, runs, done)] = value(outs >= 3 ? 0 : bases, outs, runs, done);
        }
      }
    }
  }
  return table;
}

/** The value that a table was made of; more than four runs count as four. */
export function valueFrom(table: ValueTable): Value {
  return (bases, outs, runs, done = 0) => {
    const found = table[cellOf(bases, outs, runs, Math.min(1, done))];
    if (found === undefined) throw new RangeError('valueFrom needs a table of tableOf');
    return found;
  };
}
