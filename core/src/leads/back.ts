import type { TagAtBase } from '../race/index.ts';
import { diveSeconds } from '../sprint/index.ts';
import type { Level } from '../timing/index.ts';

/**
 * What he is ready for at his lead: to go either way; only to come back; or leaning to go. Paid for
 * by when he reads a move over, and by when he starts to the next base.
 */
export const LEAD_MODES = ['twoWay', 'oneWay', 'going'] as const;
export type LeadMode = (typeof LEAD_MODES)[number];
/** Agreed: later back, later off, and how much less even off. Seconds. */
export const MODE_EFFECTS: Record<
  LeadMode,
  { reactSeconds: number; jumpSeconds: number; jumpSdSeconds: number }
> = {
  twoWay: { reactSeconds: 0, jumpSeconds: 0, jumpSdSeconds: 0 },
  oneWay: { reactSeconds: -0.1, jumpSeconds: 0.18, jumpSdSeconds: 0.05 },
  going: { reactSeconds: 0.15, jumpSeconds: -0.06, jumpSdSeconds: 0.02 },
};

/** The corner of the bag he leads from and dives back to: at the back the tag has to reach for him. */
export const CORNERS = ['back', 'front'] as const;
export type Corner = (typeof CORNERS)[number];

/** From the front corner to the back one, and how fast a glove sweeps there. Agreed. */
const CORNER_FEET = 1.25;
const GLOVE_SPEED = 11;
/** A left-hander's move over is read this much later. Agreed. */
const LEFT_HANDER_READ_SECONDS = 0.08;
/** A throw to a base that is off line costs this much more of a tag on a diving runner. Agreed. */
const OFF_LINE_TAG_SECONDS = 0.1;

/** How he stands off the bag. */
export interface Stance {
  /** Bag edge to hips, not negative. */
  leadFeet: number;
  corner: Corner;
  mode: LeadMode;
  /** How fast he still drifts away from the bag, ft/s; 0 when he stands. */
  awaySpeed: number;
}

/** How one runner gets back against what is typical of his level. Seconds; negative is quicker. */
export interface OwnReturn {
  laterSeconds: number;
  /** How far that may be off (standard deviation). */
  sdSeconds: number;
}

/** Nobody in particular, as the level's constants have him. */
const TYPICAL_RETURN: OwnReturn = { laterSeconds: 0, sdSeconds: 0 };

/**
 * From the first move to the base to his hand on the bag, seconds.
 * @param leftHander whether a left-hander moves to first, which is read later
 */
export function returnSeconds(
  { leadFeet, corner, mode, awaySpeed }: Stance,
  { back }: Pick<Level, 'back'>,
  leftHander: boolean,
  own: OwnReturn = TYPICAL_RETURN,
): number {
  const reactSeconds =
    back.reactSeconds +
    MODE_EFFECTS[mode].reactSeconds +
    (leftHander ? LEFT_HANDER_READ_SECONDS : 0);
  const distanceFeet = corner === 'back' ? Math.hypot(leadFeet, CORNER_FEET) : leadFeet;
  return diveSeconds(back, { distanceFeet, awaySpeed, reactSeconds }) + own.laterSeconds;
}

/** How far one return of his lies from another (standard deviation), seconds. */
export function returnSdSeconds(
  { back }: Pick<Level, 'back'>,
  own: OwnReturn = TYPICAL_RETURN,
): number {
  return Math.hypot(back.reactSdSeconds, back.moveSdSeconds, own.sdSeconds);
}

export function tagsAtBase(
  { tag, throws }: Pick<Level, 'tag' | 'throws'>,
  corner: Corner,
): TagAtBase[] {
  // A short throw goes astray half as often as one from the plate.
  const [wild, offLine] = [throws.wild / 2, throws.offLine / 2];
  const reach = corner === 'back' ? CORNER_FEET / GLOVE_SPEED : 0;
  return [
    {
      share: 1 - wild - offLine,
      seconds: tag.onLineSeconds + reach,
      sdSeconds: tag.onLineSdSeconds,
    },
    {
      share: offLine,
      seconds: tag.offLineSeconds + OFF_LINE_TAG_SECONDS + reach,
      sdSeconds: tag.offLineSdSeconds,
    },
  ];
}
