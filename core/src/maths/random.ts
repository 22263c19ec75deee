/** A source of uniform numbers in [0, 1). */
export type Random = () => number;

/**
 * A repeatable random source (mulberry32): the same seed gives the same numbers everywhere.
 * Not secret: anyone who knows the seed knows the numbers.
 * @param seed any integer; its low 32 bits count
 * @example makeRandom(1)() // 0.6270739405881613
 */
export function makeRandom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * One draw from a normal distribution (Box-Muller).
 * @param random the source of uniform numbers; two are used
 * @param mean centre, any unit
 * @param deviation standard deviation in the same unit, not negative
 */
export function normalDraw(random: Random, mean: number, deviation: number): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return mean + deviation * radius * Math.cos(2 * Math.PI * random());
}

/** The place of one of the weights, drawn as often as it weighs. @param weights none negative, not all 0 */
export function drawn(weights: readonly number[], random: Random): number {
  let left = random() * weights.reduce((sum, weight) => sum + weight, 0);
  for (const [index, weight] of weights.entries()) {
    left -= weight;
    if (left < 0) return index;
  }
  return weights.findLastIndex((weight) => weight > 0);
}
