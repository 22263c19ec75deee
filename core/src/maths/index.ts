export { normalCdf, studentCdf, studentQuantile } from './distributions.ts';
export { drawn, makeRandom, normalDraw, type Random } from './random.ts';
export { rootOf } from './root.ts';
export { EIGHT_IN_TEN, mean, sampleDeviation, type Spread } from './spread.ts';
