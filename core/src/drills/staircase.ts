import { normalCdf } from '../maths/index.ts';
import { normalQuantile } from '../maths/normals.ts';
import type { Cue } from './reads.ts';

/** What is believed of how early somebody can read a move: where, and how sharply. */
export interface ReadLevel {
  /** Seconds shown at which 78 % are right. */
  thresholdSeconds: number;
  sdSeconds: number;
  /** How many were answered. */
  answered: number;
  /** By where the read comes and how sharp it is. */
  chances: Float64Array;
}

/** How the belief is laid out, what is wanted, and what is shown. Seconds and shares; agreed. */
export const STAIRCASE = {
  /** Where the read comes, seconds after the first move. */
  alphas: { from: 0.02, to: 0.7, step: 0.02 },
  /** How sharp it is, and how likely that is before. */
  sigmas: [0.03, 0.05, 0.08, 0.12, 0.18],
  sigmaPrior: [0.1, 0.2, 0.3, 0.25, 0.15],
  startSd: 0.18,
  guess: 0.5,
  lapse: 0.03,
  /** Right so often. */
  target: 0.78,
  /** Every so many it is easier: for the slope, and for heart. */
  easier: { every: 4, by: 0.1 },
  shown: { least: 0, most: 0.7, step: 0.02 },
} as const;
const {
  alphas,
  sigmas: SIGMAS,
  sigmaPrior,
  startSd,
  guess,
  lapse,
  target,
  easier,
  shown,
} = STAIRCASE;
const ALPHAS = Array.from(
  { length: Math.round((alphas.to - alphas.from) / alphas.step) + 1 },
  (_, at) => alphas.from + at * alphas.step,
);
/** Before anything is known, by cue. Judgement. */
export const USUAL_READ_SECONDS: Record<Cue, number> = {
  sinkPivotR: 0.25,
  sinkPivotL: 0.45,
  insideTurn: 0.45,
  dirt: 0.3,
  offSpeed: 0.25,
};
const FORGOTTEN_PER_MONTH = 0.03;

/** So far beyond its middle a read is right as often as wanted. */
const BEYOND = normalQuantile((target - guess) / (1 - guess - lapse));

/** What is believed before the first answer. Seconds. */
export function readBefore(meanSeconds: number, sdSeconds: number = startSd): ReadLevel {
  const weights = ALPHAS.flatMap((alpha) =>
    sigmaPrior.map((share) => share * Math.exp(-(((alpha - meanSeconds) / sdSeconds) ** 2) / 2)),
  );
  return believed(Float64Array.from(weights), 0);
}

/** What is left of it after some months: as good, and less sure. */
export function readAfterMonths(
  { thresholdSeconds, sdSeconds }: Pick<ReadLevel, 'thresholdSeconds' | 'sdSeconds'>,
  months: number,
): ReadLevel {
  const forgotten = FORGOTTEN_PER_MONTH * Math.sqrt(months);
  return readBefore(thresholdSeconds, Math.hypot(sdSeconds, forgotten));
}

function believed(weights: Float64Array, answered: number): ReadLevel {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const chances = weights.map((weight) => weight / total);
  const at = (cell: number): number =>
    (ALPHAS[Math.floor(cell / SIGMAS.length)] ?? 0) + (SIGMAS[cell % SIGMAS.length] ?? 0) * BEYOND;
  let [mean, square] = [0, 0];
  for (const [cell, chance] of chances.entries()) mean += chance * at(cell);
  for (const [cell, chance] of chances.entries()) square += chance * (at(cell) - mean) ** 2;
  return { thresholdSeconds: mean, sdSeconds: Math.sqrt(square), answered, chances };
}

/** How much is shown next, seconds after the first move: where he is right about as often as wanted, every fourth easier. */
export function nextShown({ thresholdSeconds, answered }: ReadLevel): number {
  const more = (answered + 1) % easier.every === 0 ? easier.by : 0;
  const rounded = Math.floor((thresholdSeconds + more) / shown.step + 0.5) * shown.step;
  return Math.min(shown.most, Math.max(shown.least, rounded));
}

/** The belief after an answer to so much shown. */
export function answerShown(before: ReadLevel, shownSeconds: number, right: boolean): ReadLevel {
  const chances = before.chances.map((chance, cell) => {
    const alpha = ALPHAS[Math.floor(cell / SIGMAS.length)] ?? 0;
    const sigma = SIGMAS[cell % SIGMAS.length] ?? 1;
    const isRight = guess + (1 - guess - lapse) * normalCdf((shownSeconds - alpha) / sigma);
    return chance * (right ? isRight : 1 - isRight);
  });
  return believed(chances, before.answered + 1);
}
