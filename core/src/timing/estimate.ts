import {
  believe,
  meanInterval,
  predictNext,
  repsNeeded,
  type DoubtfulSpread,
  type TimedSeconds,
} from './belief.ts';
import type { TypicalTime } from './levels.ts';
import type { Timer } from './timer.ts';

/** What a person's times of one kind say together, on the scale of a typical stopwatch. Seconds. */
export interface Estimate {
  /** How many readings count. With 0 it is the level's prior, not this person. */
  count: number;
  meanSeconds: number;
  /** The mean lies here with a chance of 80 %. */
  mean80: [low: number, high: number];
  meanSdSeconds: number;
  /** How far one try lies from another, the thumb's share taken out. */
  spreadSeconds: number;
  /** How far the next true time may lie from the mean: its own spread and the mean's doubt together. */
  giveOrTakeSeconds: number;
  /** Degrees of freedom of the next time. */
  freedom: number;
  /** 1: all prior; near 0: his own. */
  priorShare: number;
  /** Readings still wanted until the mean is known within .03 s. */
  moreNeeded: number;
}

/** What "good" means: the mean known within this much, with this chance. Agreed figures. */
const GOOD_WITHIN_SECONDS = 0.03;
const GOOD_CHANCE = 0.8;

/** Where the level has no prior for a kind: nothing known before, and tries as uneven as this. Judgement. */
const UNKNOWN = { sdBetween: 5, sdWithin: 0.1, min: -99, max: 99 };

/** The prior to reason with, where the level has none: centred on the readings, and next to weightless. */
export function priorOrUnknown(
  prior: TypicalTime | null,
  times: readonly TimedSeconds[],
): TypicalTime | null {
  if (prior !== null) return prior;
  if (times.length === 0) return null;
  const centre = times.reduce((sum, { seconds, timer }) => sum + seconds - timer.biasSeconds, 0);
  return { ...UNKNOWN, mean: centre / times.length };
}

/**
 * The estimate from readings that count.
 * @param typical the level's prior for the kind; null where it has none
 * @param times in any order
 * @param usual the timer assumed while nothing is timed
 * @returns null when there is neither a prior nor a reading
 */
export function estimate(
  typical: TypicalTime | null,
  times: readonly TimedSeconds[],
  usual: Timer,
): Estimate | null {
  const prior = priorOrUnknown(typical, times);
  if (prior === null) return null;
  const belief = believe(prior, times, usual);
  const next = predictNext(belief);
  return {
    count: times.length,
    meanSeconds: belief.meanSeconds,
    mean80: meanInterval(belief, 0.8),
    meanSdSeconds: next.meanSdSeconds,
    spreadSeconds: next.spreadSeconds,
    giveOrTakeSeconds: next.sdSeconds,
    freedom: next.freedom,
    priorShare: belief.priorWeight / belief.weight,
    moreNeeded: repsNeeded(belief, GOOD_WITHIN_SECONDS, GOOD_CHANCE),
  };
}

/** The next time of an estimate, to race with. */
export function spreadOf(estimate: Estimate): DoubtfulSpread {
  const { meanSeconds, giveOrTakeSeconds, freedom, meanSdSeconds, spreadSeconds } = estimate;
  return { meanSeconds, sdSeconds: giveOrTakeSeconds, freedom, meanSdSeconds, spreadSeconds };
}

const MS_PER_DAY = 24 * 60 * 60 * 1000;
/** Older than this, a time says so: arms and legs change within a month. Judgement. */
export const OLD_AFTER_DAYS = 28;

/**
 * How many whole days ago something was timed; 0 for a clock that runs ahead.
 * @param takenAt ISO instant
 * @param nowMs milliseconds since 1970
 */
export function daysSince(takenAt: string, nowMs: number): number {
  return Math.max(0, Math.floor((nowMs - Date.parse(takenAt)) / MS_PER_DAY));
}
