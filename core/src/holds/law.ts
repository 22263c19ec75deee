/** How long holds last that give a runner nothing to time: from a moment on, each instant may end them alike. */
export interface HoldLaw {
  /** No hold ends sooner. Seconds. */
  fromSeconds: number;
  /** The chance that a hold which still lasts ends within a quarter second, 0..1. */
  share: number;
  /** Then they step off. Seconds. */
  cutSeconds: number;
}

/** So long a moment is one to a runner who guesses. Seconds. */
export const WINDOW_SECONDS = 0.25;

/** Judgement. */
const USUAL: HoldLaw = { fromSeconds: 0.75, share: 0.13, cutSeconds: 4.5 };
/** The hands together before a wind-up: a full stop first, and no book's limit is near. Judgement. */
export const PAUSE_LAW: HoldLaw = { fromSeconds: 1.2, share: 0.2, cutSeconds: 4 };
/** Of a league's time to deliver so much is left for the delivery itself. Seconds; judgement. */
const TO_DELIVER_SECONDS = 2;
/** Where the time is limited, no more holds than these end by stepping off. */
const MOST_CUT = 0.05;
const LEAST_CUT_SECONDS = 1.25;

/** @param limitSeconds to deliver, where the league's book has one; null: none */
export function holdLaw(limitSeconds: number | null): HoldLaw {
  if (limitSeconds === null) return USUAL;
  const cutSeconds = Math.max(
    LEAST_CUT_SECONDS,
    Math.min(USUAL.cutSeconds, limitSeconds - TO_DELIVER_SECONDS),
  );
  const windows = (cutSeconds - USUAL.fromSeconds) / WINDOW_SECONDS;
  return { ...USUAL, cutSeconds, share: Math.max(USUAL.share, 1 - MOST_CUT ** (1 / windows)) };
}

/** How often a hold of the law lasts so long, 0..1. The cut is left out: who steps off has not pitched. */
export function survival(seconds: number, { fromSeconds, share }: HoldLaw): number {
  return (1 - share) ** (Math.max(0, seconds - fromSeconds) / WINDOW_SECONDS);
}

/** The hold that stands at a place from 0 to 1 of the law, before it is cut. Seconds. */
export function holdAt(place: number, { fromSeconds, share }: HoldLaw): number {
  return fromSeconds + (WINDOW_SECONDS * Math.log(1 - place)) / Math.log(1 - share);
}
