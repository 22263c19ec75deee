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

/** What is known of each coach's thumb, by account and kind. */
export type Thumbs = ReadonlyMap<AccountId, Partial<Record<ReadingKind, Calibration>>>;

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
 * is a typical one; a clip or a gate times the truth.
 */
export function timerOf(
  reading: Pick<Reading, 'kind' | 'fromFeet' | 'method' | 'resolutionSeconds' | 'timedBy'>,
  thumbs: Thumbs,
): Timer {
  const typical = thumbPriorFor(reading);
  const scale = biasOfScale(reading.kind, typical);
  if (reading.method === 'clip' || reading.method === 'gate') {
    // Two events, each somewhere within its own step: variance step^2/12 twice.
    const steps = (reading.resolutionSeconds ?? 0) / Math.sqrt(6);
    return { biasSeconds: 0 - scale, sdSeconds: Math.max(steps, INSTRUMENT_FLOOR_SECONDS) };
  }
  const own = reading.method === 'thumb' ? thumbs.get(reading.timedBy)?.[reading.kind] : undefined;
  const { biasSeconds, sdSeconds } = own ?? typical;
  return { biasSeconds: biasSeconds - scale, sdSeconds };
}
