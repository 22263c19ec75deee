export { normalCdf, studentCdf, studentQuantile } from './distributions.ts';
export { makeRandom, normalDraw, type Random } from './random.ts';
export { rootOf } from './root.ts';
export { mean, sampleDeviation } from './spread.ts';
