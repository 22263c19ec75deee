import { mean, sampleDeviation, studentQuantile } from '../maths/index.ts';
import type { ReadingKind } from './reading.ts';
import type { Calibration } from './calibration.ts';
import {
  EVENT_PRIORS,
  THUMB_PRIORS,
  type KnownThumb,
  type ThumbEvent,
  type ThumbPrior,
} from './timer.ts';

const PRIOR_FREEDOM_HALF = 4;
const LEAST_OWN_SHARE = 0.4;

/**
 * A thumb against the truth: the usual update from what is typical of a thumb.
 * @param prior what is typical for this kind or event
 * @param differences reading less truth, seconds, any number of them
 * @param frameSeconds step of the picture that showed the truth (two of its edges); 0: known exactly
 */
export function calibrate(
  prior: ThumbPrior,
  differences: readonly number[],
  frameSeconds: number,
): Calibration {
  const count = differences.length;
  const frameVariance = frameSeconds ** 2 / 6;
  const priorWeight = prior.sdSeconds ** 2 / prior.biasSdSeconds ** 2;
  const centre = count === 0 ? prior.biasSeconds : mean(differences);
  const squares = differences.reduce((sum, each) => sum + (each - centre) ** 2, 0);
  const weight = priorWeight + count;
  const biasSeconds = (priorWeight * prior.biasSeconds + count * centre) / weight;
  const freedomHalf = PRIOR_FREEDOM_HALF + count / 2;
  const scatter =
    (PRIOR_FREEDOM_HALF - 1) * (prior.sdSeconds ** 2 + frameVariance) +
    squares / 2 +
    (priorWeight * count * (centre - prior.biasSeconds) ** 2) / (2 * weight);
  const variance = scatter / (freedomHalf - 1);
  const half = studentQuantile(0.9, 2 * freedomHalf) * Math.sqrt(scatter / (freedomHalf * weight));
  return {
    biasSeconds,
    sdSeconds: Math.sqrt(Math.max(variance - frameVariance, LEAST_OWN_SHARE * variance)),
    bias80: [biasSeconds - half, biasSeconds + half],
    count,
  };
}

/** One rep of the drill: how late each event was tapped, seconds; an event not tapped is absent. */
export interface ThumbRep {
  lateSeconds: Partial<Record<ThumbEvent, number>>;
  /** Step of the picture on that screen, seconds. */
  frameSeconds: number;
}

/** The kinds that the drill's events begin and end. */
const DRILLED: Partial<Record<ReadingKind, [from: ThumbEvent, to: ThumbEvent]>> = {
  delivery: ['firstMove', 'mitt'],
  flight: ['release', 'mitt'],
  pop: ['mitt', 'bag'],
};

/** Fewer reps than this say too little to take out of anybody's times. Judgement. */
export const REPS_FOR_CALIBRATION = 5;
/** A thumb changes over the seasons: only the newest reps count. Judgement. */
const NEWEST_REPS = 60;

/**
 * What the drill says about a thumb, kind by kind and event by event; those with fewer than five reps
 * are absent.
 * @param reps the newest last
 */
export function calibrationsOf(reps: readonly ThumbRep[]): KnownThumb {
  const newest = reps.slice(-NEWEST_REPS);
  const frameSeconds = newest.length === 0 ? 0 : mean(newest.map((rep) => rep.frameSeconds));
  const found: KnownThumb = {};
  for (const [kind, [from, to]] of Object.entries(DRILLED) as [
    ReadingKind,
    [ThumbEvent, ThumbEvent],
  ][]) {
    const differences = newest.flatMap(({ lateSeconds }) => {
      const [start, end] = [lateSeconds[from], lateSeconds[to]];
      return start === undefined || end === undefined ? [] : [end - start];
    });
    if (differences.length >= REPS_FOR_CALIBRATION) {
      found[kind] = calibrate(THUMB_PRIORS[kind], differences, frameSeconds);
    }
  }
  for (const event of Object.keys(EVENT_PRIORS) as ThumbEvent[]) {
    const known = eventCalibration(newest, event);
    if (known && known.count >= REPS_FOR_CALIBRATION) found[event] = known;
  }
  return found;
}

/** How late a thumb taps one event; null when the drill has not shown it yet. */
export function eventCalibration(reps: readonly ThumbRep[], event: ThumbEvent): Calibration | null {
  const newest = reps.slice(-NEWEST_REPS).filter(({ lateSeconds }) => event in lateSeconds);
  if (newest.length === 0) return null;
  const late = newest.map(({ lateSeconds }) => lateSeconds[event] ?? 0);
  return calibrate(EVENT_PRIORS[event], late, mean(newest.map((rep) => rep.frameSeconds)));
}

/** Fewer events timed together than this say little about any one's spread; agreed figures. */
export const TOGETHER_LEAST = 10;
export const TOGETHER_ENOUGH = 40;

/** What timing together says of one of them. Seconds. */
export interface TogetherSpread {
  sdSeconds: number;
  /** How much later he reads than the others on average. */
  laterSeconds: number;
}

/**
 * Each one's spread from times of the same events, without a truth: what two of them disagree by is
 * the sum of both variances. Three are told apart (Grubbs); of two only the sum is known, so both
 * are given half.
 * @param times per person, event by event in one order, equally many, at least three; seconds
 * @returns null with fewer than three events
 * @throws RangeError for fewer than two or more than three people, or lists of different length
 */
export function spreadsTogether(times: readonly (readonly number[])[]): TogetherSpread[] | null {
  const [first, second, third] = times;
  if (!first || !second || times.length > 3) {
    throw new RangeError('spreadsTogether needs two or three people');
  }
  if (times.some((own) => own.length !== first.length)) {
    throw new RangeError('spreadsTogether needs the same events of everybody');
  }
  if (first.length < 3) return null;
  const varianceOf = (a: readonly number[], b: readonly number[]): number =>
    sampleDeviation(a.map((seconds, event) => seconds - (b[event] ?? 0))) ** 2;
  const between = (a: number, b: number): number => varianceOf(times[a] ?? [], times[b] ?? []);
  const variances = third
    ? [
        (between(0, 1) + between(0, 2) - between(1, 2)) / 2,
        (between(0, 1) + between(1, 2) - between(0, 2)) / 2,
        (between(0, 2) + between(1, 2) - between(0, 1)) / 2,
      ]
    : [between(0, 1) / 2, between(0, 1) / 2];
  const means = times.map(mean);
  return means.map((own, index) => ({
    // A variance may come out below zero by chance; a spread does not.
    sdSeconds: Math.sqrt(Math.max(0, variances[index] ?? 0)),
    laterSeconds: own - mean(means.filter((_, other) => other !== index)),
  }));
}
