import type { AccountId } from '../units/index.ts';
import type { Calibration } from './calibration.ts';
import type { Reading, ReadingKind } from './reading.ts';

/** What a watch adds to a time: how much it reads too long on average, and how unevenly. Seconds. */
export interface Timer {
  /** Reading less true time; negative when the thumb starts late. */
  biasSeconds: number;
  sdSeconds: number;
}

/** What is typical of a coach's thumb for one kind, and how far one coach is from another. Seconds. */
export interface ThumbPrior extends Timer {
  biasSdSeconds: number;
}

function prior(biasSeconds: number, biasSdSeconds: number, sdSeconds: number): ThumbPrior {
  return { biasSeconds, biasSdSeconds, sdSeconds };
}

const CRISP = prior(-0.01, 0.04, 0.045);
const LATE_START = prior(-0.06, 0.06, 0.06);
const BAT_TO_BAG = prior(-0.02, 0.04, 0.05);
const MOVE_TO_MITT = prior(-0.04, 0.05, 0.05);

/**
 * The typical thumb. Judgement. A first move is seen late, so what starts with one reads short;
 * what starts and ends with something crisp hardly errs. Six of the rows are agreed figures; hold,
 * flight, leave-time, dive back, the long runs and the outfield throw take the row nearest to them.
 */
export const THUMB_PRIORS: Record<ReadingKind, ThumbPrior> = {
  hold: LATE_START,
  delivery: MOVE_TO_MITT,
  flight: CRISP,
  pick: LATE_START,
  pop: CRISP,
  leave: CRISP,
  steal: prior(-0.08, 0.06, 0.06),
  diveBack: LATE_START,
  homeToFirst: BAT_TO_BAG,
  firstToThird: BAT_TO_BAG,
  secondToHome: BAT_TO_BAG,
  dash: prior(-0.15, 0.06, 0.05),
  outfieldThrow: CRISP,
};

/** A dash timed between two marks that he passes running has no first move to see late. */
export function thumbPriorFor({ kind, fromFeet }: Pick<Reading, 'kind' | 'fromFeet'>): ThumbPrior {
  return kind === 'dash' && (fromFeet ?? 0) > 0 ? CRISP : THUMB_PRIORS[kind];
}

/** The events a thumb taps, and how late it usually is. */
export type ThumbEvent = 'firstMove' | 'release' | 'mitt' | 'bag';

/**
 * How late a typical thumb taps each event, seconds. Judgement, chosen so that their differences are
 * the agreed biases of delivery and pop.
 */
export const EVENT_PRIORS: Record<ThumbEvent, ThumbPrior> = {
  firstMove: { biasSeconds: 0.1, biasSdSeconds: 0.05, sdSeconds: 0.04 },
  release: { biasSeconds: 0.07, biasSdSeconds: 0.05, sdSeconds: 0.035 },
  mitt: { biasSeconds: 0.06, biasSdSeconds: 0.05, sdSeconds: 0.035 },
  bag: { biasSeconds: 0.05, biasSdSeconds: 0.05, sdSeconds: 0.035 },
};

/** What is known of a thumb: of the times it takes, and of each event that it taps. */
export type KnownThumb = Partial<Record<ReadingKind | ThumbEvent, Calibration>>;

/** What is known of each coach's thumb, by account. */
export type Thumbs = ReadonlyMap<AccountId, KnownThumb>;

/** The end of a kind that a thumb still taps where the ear hears the other, and what a late tap does to the time. */
const TAPPED_BESIDE_EAR: Partial<Record<ReadingKind, { event: ThumbEvent; late: 1 | -1 }>> = {
  delivery: { event: 'firstMove', late: -1 },
  flight: { event: 'release', late: -1 },
  // A foot on the bag is seen like a ball in the glove there.
  homeToFirst: { event: 'bag', late: 1 },
};

/** A time taken by ear: exact but for its own doubt, or a thumb at one end of it. */
function earTimer(
  { kind, resolutionSeconds, timedBy }: Pick<Reading, 'kind' | 'resolutionSeconds' | 'timedBy'>,
  thumbs: Thumbs,
): Timer {
  const heard = stepDeviation(resolutionSeconds);
  const tapped = TAPPED_BESIDE_EAR[kind];
  if (!tapped) return { biasSeconds: 0, sdSeconds: heard };
  const { event, late } = tapped;
  const { biasSeconds, sdSeconds } = thumbs.get(timedBy)?.[event] ?? EVENT_PRIORS[event];
  return { biasSeconds: late * biasSeconds, sdSeconds: Math.hypot(sdSeconds, heard) };
}

/** Two events, each somewhere within its own step: variance step^2/12 twice. */
const stepDeviation = (stepSeconds: number | null): number =>
  Math.max((stepSeconds ?? 0) / Math.sqrt(6), INSTRUMENT_FLOOR_SECONDS);

/** The step that leaves as much doubt as this deviation: how a reading carries what it may be off. Seconds. */
export function stepOfDeviation(sdSeconds: number): number {
  return Number((sdSeconds * Math.sqrt(6)).toFixed(6));
}

/** Gates and clips also err in where the beam or the frame's edge is; seconds. Judgement. */
const INSTRUMENT_FLOOR_SECONDS = 0.005;

/**
 * The bias that a kind's estimate keeps: that of a typical stopwatch, on which all constants of the
 * race are, so that it is not taken out twice. A dash is in no race: it is estimated as it truly is.
 */
function biasOfScale(kind: ReadingKind, typical: ThumbPrior): number {
  return kind === 'dash' ? 0 : typical.biasSeconds;
}

/**
 * The timer behind one reading, its bias against the scale of its kind's estimate. An unknown thumb
 * is a typical one; a clip or a gate times the truth, and so does the ear at its end.
 */
export function timerOf(
  reading: Pick<Reading, 'kind' | 'fromFeet' | 'method' | 'resolutionSeconds' | 'timedBy'>,
  thumbs: Thumbs,
): Timer {
  const typical = thumbPriorFor(reading);
  const scale = biasOfScale(reading.kind, typical);
  if (reading.method === 'clip' || reading.method === 'gate') {
    return { biasSeconds: 0 - scale, sdSeconds: stepDeviation(reading.resolutionSeconds) };
  }
  if (reading.method === 'ear') {
    const { biasSeconds, sdSeconds } = earTimer(reading, thumbs);
    return { biasSeconds: biasSeconds - scale, sdSeconds };
  }
  const own = reading.method === 'thumb' ? thumbs.get(reading.timedBy)?.[reading.kind] : undefined;
  const { biasSeconds, sdSeconds } = own ?? typical;
  return { biasSeconds: biasSeconds - scale, sdSeconds };
}
