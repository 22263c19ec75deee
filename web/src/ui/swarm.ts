/** Where the dots of a spread go: side by side in time, stacked where they would cover each other. */
export interface Swarm {
  dots: { x: number; level: number }[];
  xOf: (seconds: number) => number;
  minSeconds: number;
  maxSeconds: number;
  levels: number;
}

const DOT = 9;
/** The scale never zooms in further than this, so that a small spread looks small. */
const LEAST_RANGE_SECONDS = 0.3;

/**
 * @param seconds at least one time
 * @param width of the line, pixels
 */
export function swarm(seconds: readonly number[], width: number): Swarm {
  const low = Math.min(...seconds);
  const high = Math.max(...seconds);
  const range = Math.max(high - low, LEAST_RANGE_SECONDS);
  const minSeconds = Math.floor(((low + high - range) / 2) * 20 - 0.5) / 20;
  const maxSeconds = Math.ceil(((low + high + range) / 2) * 20 + 0.5) / 20;
  const xOf = (time: number): number =>
    DOT + ((time - minSeconds) / (maxSeconds - minSeconds)) * (width - 2 * DOT);

  const lastAt: number[] = [];
  const order = seconds.map((time, index) => ({ x: xOf(time), index })).sort((a, b) => a.x - b.x);
  const dots = new Array<{ x: number; level: number }>(seconds.length);
  for (const { x, index } of order) {
    const free = lastAt.findIndex((taken) => x - taken >= DOT);
    const level = free === -1 ? lastAt.length : free;
    lastAt[level] = x;
    dots[index] = { x, level };
  }
  return { dots, xOf, minSeconds, maxSeconds, levels: lastAt.length };
}
