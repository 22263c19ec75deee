// The clock of whatever runs the bench; core itself has none.
declare const performance: { now: () => number };

export type Print = (name: string, value: number, unit: string) => void;

/** How long a piece of work takes this one time, milliseconds. */
export function onceMs(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

/** The median time of a piece of work, milliseconds. */
export function medianMs(rounds: number, work: () => void): number {
  for (let round = 0; round < 5; round += 1) work();
  const times = Array.from({ length: rounds }, () => onceMs(work));
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)] ?? 0;
}
