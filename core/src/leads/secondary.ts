import { normalCdf } from '../maths/index.ts';

/** How he moves out as the pitcher commits to the plate: two big shuffles or three small ones. */
export const STRIDES = ['big', 'small'] as const;
export type Stride = (typeof STRIDES)[number];
/** Agreed: how far and how long a shuffle is, and how fast he still moves when he lands. */
export const STRIDE_RULES: Record<
  Stride,
  { shuffles: number; feet: number; seconds: number; speedAtLanding: number }
> = {
  big: { shuffles: 2, feet: 4.25, seconds: 0.45, speedAtLanding: 6 },
  small: { shuffles: 3, feet: 2.9, seconds: 0.31, speedAtLanding: 5.5 },
};

/** The last foot lands this long before the mitt, as the ball is over the plate. Agreed. */
const BEFORE_MITT_SECONDS = 0.04;
/** First move to where the pitcher can no longer throw over; a left-hander hangs longer. Agreed. */
const COMMIT_SECONDS = { right: 0.15, left: 0.5 };
const READ_COMMIT_SECONDS = 0.18;
/** A shuffle can be hurried down to this share of its time, and shrinks with it. Agreed. */
const SHORTEST_STEP_SHARE = 0.75;

/** The shuffles of a secondary lead, on the clock of the pitcher's first move. */
export interface SecondaryPlan {
  stride: Stride;
  shuffles: number;
  startSeconds: number;
  /** When each shuffle lands. */
  landings: number[];
  stepFeet: number;
  stepSeconds: number;
  /** How far off he is when he has landed. */
  endFeet: number;
  speedAtLanding: number;
  /** The shuffles have to be hurried and shrunk: the pitcher is too quick for full ones. */
  hurried: boolean;
  /** Even hurried he would have to start before the pitcher is committed: take one shuffle fewer. */
  beforeCommit: boolean;
}

/**
 * When each shuffle has to start and land so that the last lands as the ball is over the plate.
 * @param deliverySeconds first move to mitt, above 0
 * @param primaryFeet his lead before, not negative
 * @param shuffles how many; the stride's own number where not given
 */
export function secondaryPlan({
  deliverySeconds,
  primaryFeet,
  stride,
  leftHander,
  shuffles = STRIDE_RULES[stride].shuffles,
}: {
  deliverySeconds: number;
  primaryFeet: number;
  stride: Stride;
  leftHander: boolean;
  shuffles?: number;
}): SecondaryPlan {
  if (!(deliverySeconds > 0) || !(primaryFeet >= 0) || !(shuffles >= 1)) {
    throw new RangeError(
      'secondaryPlan needs a delivery above 0 s, a lead from 0 ft and a shuffle',
    );
  }
  const full = STRIDE_RULES[stride];
  const lands = deliverySeconds - BEFORE_MITT_SECONDS;
  const earliest = COMMIT_SECONDS[leftHander ? 'left' : 'right'] + READ_COMMIT_SECONDS;
  const hurried = shuffles * full.seconds > lands - earliest;
  const stepSeconds = hurried
    ? Math.max((lands - earliest) / shuffles, SHORTEST_STEP_SHARE * full.seconds)
    : full.seconds;
  const stepFeet = full.feet * (stepSeconds / full.seconds);
  const startSeconds = lands - shuffles * stepSeconds;
  return {
    stride,
    shuffles,
    startSeconds,
    landings: Array.from(
      { length: shuffles },
      (_, index) => startSeconds + (index + 1) * stepSeconds,
    ),
    stepFeet,
    stepSeconds,
    endFeet: primaryFeet + shuffles * stepFeet,
    speedAtLanding: full.speedAtLanding,
    hurried,
    beforeCommit: startSeconds < earliest - 1e-9,
  };
}

/**
 * The chance that his last foot lands within a window around the moment wanted.
 * @param deliverySdSeconds how far this pitcher's next delivery may lie from what is expected
 * @param runnerSdSeconds how even his own feet are
 * @param windowSeconds to each side
 */
export function chanceOnTime(
  deliverySdSeconds: number,
  runnerSdSeconds: number,
  windowSeconds: number,
): number {
  return 2 * normalCdf(windowSeconds / Math.hypot(deliverySdSeconds, runnerSdSeconds)) - 1;
}
