import type { Sport } from '../rules/index.ts';

export const LEVEL_NAMES = [
  'pro',
  'college',
  'hs',
  'u14',
  'u12',
  'fpCollege',
  'fpHs',
  'fpU12',
] as const;
export type LevelName = (typeof LEVEL_NAMES)[number];

/** What players of a level usually take, seconds. Outside `min`..`max` a reading looks wrong. */
export interface TypicalTime {
  mean: number;
  /** How far one player's mean lies from another's (standard deviation). */
  sdBetween: number;
  /** How far one try of a player lies from his mean. */
  sdWithin: number;
  min: number;
  max: number;
}

/** The constants of one level of play. Feet, seconds, feet per second. */
export interface Level {
  label: string;
  sport: Sport;
  /** Where the numbers come from, to show beside them. */
  note: string;
  bagSideFeet: number;
  topSpeed: number;
  /** Effective time constant of a runner's acceleration, seconds. */
  accelerationSeconds: number;
  /** Softball: release to mitt. Else first move to mitt, from the stretch with a leg lift. */
  delivery: TypicalTime;
  popSecond: TypicalTime;
  popThird: TypicalTime;
  stealSecond: TypicalTime;
  /** Pitcher's first move (softball: release) to runner's first move, as a thumb sees it. */
  jumpSeconds: number;
  /** How much later he goes on a left-hander. */
  jumpLeftHanderSeconds: number;
  /** How much less even his jump is on a left-hander (standard deviation, added as squares). */
  jumpLeftHanderSdSeconds: number;
  /** How much later a runner off second goes than one off first: earlier, who reads the pitcher easier. Agreed. */
  jumpOffSecondSeconds: number;
  /** How much quicker a slide step is to the plate than a leg lift, when it was never timed. Agreed. */
  slideStepSavesSeconds: number;
  /** Ball in the glove at the bag to tag, with the throw on line and off it. */
  tag: {
    onLineSeconds: number;
    onLineSdSeconds: number;
    offLineSeconds: number;
    offLineSdSeconds: number;
  };
  /** Of throws to a base: shares that are on line, off it, and away, 0..1. They need not add up: the race scales them. */
  throws: { onLine: number; offLine: number; wild: number };
  /** How far one runner's top speed and time constant lie from another's: standard deviation over mean. */
  topSpeedVariation: number;
  accelerationVariation: number;
  /** Bat meets ball to first movement toward first, by the side he bats from. */
  contactToRunSeconds: { right: number; left: number };
  /** How far from the plate's middle line the batter starts. */
  battersBoxFeet: number;
  /** First move to glove at first by a right-hander and a left-hander, and the spin to second; null: no leads. */
  pickRightHander: TypicalTime | null;
  pickLeftHander: TypicalTime | null;
  pickSecond: TypicalTime | null;
  /** The catcher's snap throw behind the runner: mitt to glove at first, first move of the pitcher not counted. */
  snapToFirst: TypicalTime;
  /** How far one steal of a runner lies from another. */
  runSdSeconds: number;
  /** A middle infielder running to the bag. */
  fielder: { topSpeed: number; accelerationSeconds: number };
  /** How far one jump (softball: leave-time) of a runner lies from another. */
  jumpSdSeconds: number;
  /** The dive back: reading the move, then the short run and the reach of the dive. */
  back: {
    reactSeconds: number;
    reactSdSeconds: number;
    topSpeed: number;
    accelerationSeconds: number;
    reachFeet: number;
    moveSdSeconds: number;
  };
}

const CHECKED = 'Our estimate from commonly quoted times, not from your players.';
const SCALED = 'Our estimate, scaled down from the next level up.';

function typical(
  mean: number,
  sdBetween: number,
  sdWithin: number,
  min: number,
  max: number,
): TypicalTime {
  return { mean, sdBetween, sdWithin, min, max };
}

/** The same at every level. */
const READ = { jumpOffSecondSeconds: -0.06, slideStepSavesSeconds: 0.17 };

/** The levels a team can play at. */
export const LEVELS: Record<LevelName, Level> = {
  pro: {
    label: 'Professional',
    sport: 'baseball',
    note: CHECKED,
    bagSideFeet: 1.5,
    topSpeed: 27.6,
    accelerationSeconds: 0.78,
    delivery: typical(1.32, 0.08, 0.04, 0.95, 2),
    popSecond: typical(2, 0.06, 0.05, 1.6, 2.8),
    popThird: typical(1.56, 0.06, 0.05, 1.2, 2.3),
    stealSecond: typical(3.42, 0.14, 0.05, 2.8, 4.3),
    jumpSeconds: 0.05,
    jumpLeftHanderSeconds: 0.06,
    jumpLeftHanderSdSeconds: 0.03,
    ...READ,
    tag: {
      onLineSeconds: 0.09,
      onLineSdSeconds: 0.03,
      offLineSeconds: 0.22,
      offLineSdSeconds: 0.06,
    },
    throws: { onLine: 0.7, offLine: 0.22, wild: 0.08 },
    topSpeedVariation: 0.05,
    accelerationVariation: 0.08,
    contactToRunSeconds: { right: 0.3, left: 0.28 },
    battersBoxFeet: 2.6,
    pickRightHander: typical(1, 0.08, 0.06, 0.65, 1.7),
    pickLeftHander: typical(1.08, 0.1, 0.07, 0.65, 1.8),
    pickSecond: typical(1.15, 0.08, 0.07, 0.8, 1.9),
    snapToFirst: typical(1.42, 0.08, 0.08, 1, 2.2),
    runSdSeconds: 0.05,
    fielder: { topSpeed: 25, accelerationSeconds: 0.8 },
    jumpSdSeconds: 0.05,
    back: {
      reactSeconds: 0.22,
      reactSdSeconds: 0.04,
      topSpeed: 15,
      accelerationSeconds: 0.3,
      reachFeet: 4.7,
      moveSdSeconds: 0.04,
    },
  },
  college: {
    label: 'College',
    sport: 'baseball',
    note: CHECKED,
    bagSideFeet: 1.25,
    topSpeed: 27,
    accelerationSeconds: 0.8,
    delivery: typical(1.36, 0.09, 0.045, 0.95, 2.1),
    popSecond: typical(2.05, 0.07, 0.06, 1.65, 3),
    popThird: typical(1.62, 0.07, 0.06, 1.2, 2.4),
    stealSecond: typical(3.52, 0.15, 0.05, 2.9, 4.4),
    jumpSeconds: 0.09,
    jumpLeftHanderSeconds: 0.07,
    jumpLeftHanderSdSeconds: 0.03,
    ...READ,
    tag: {
      onLineSeconds: 0.1,
      onLineSdSeconds: 0.03,
      offLineSeconds: 0.24,
      offLineSdSeconds: 0.06,
    },
    throws: { onLine: 0.68, offLine: 0.23, wild: 0.09 },
    topSpeedVariation: 0.05,
    accelerationVariation: 0.09,
    contactToRunSeconds: { right: 0.31, left: 0.29 },
    battersBoxFeet: 2.6,
    pickRightHander: typical(1.04, 0.09, 0.07, 0.7, 1.8),
    pickLeftHander: typical(1.12, 0.1, 0.08, 0.7, 1.9),
    pickSecond: typical(1.2, 0.09, 0.08, 0.8, 2),
    snapToFirst: typical(1.48, 0.09, 0.09, 1, 2.3),
    runSdSeconds: 0.05,
    fielder: { topSpeed: 24.5, accelerationSeconds: 0.8 },
    jumpSdSeconds: 0.05,
    back: {
      reactSeconds: 0.24,
      reactSdSeconds: 0.045,
      topSpeed: 14.6,
      accelerationSeconds: 0.3,
      reachFeet: 4.7,
      moveSdSeconds: 0.045,
    },
  },
  hs: {
    label: 'High school',
    sport: 'baseball',
    note: CHECKED,
    bagSideFeet: 1.25,
    topSpeed: 26.2,
    accelerationSeconds: 0.83,
    delivery: typical(1.42, 0.1, 0.05, 1, 2.2),
    popSecond: typical(2.15, 0.12, 0.07, 1.7, 3.2),
    popThird: typical(1.72, 0.1, 0.07, 1.25, 2.6),
    stealSecond: typical(3.7, 0.18, 0.06, 3, 4.8),
    jumpSeconds: 0.13,
    jumpLeftHanderSeconds: 0.08,
    jumpLeftHanderSdSeconds: 0.03,
    ...READ,
    tag: {
      onLineSeconds: 0.1,
      onLineSdSeconds: 0.03,
      offLineSeconds: 0.25,
      offLineSdSeconds: 0.06,
    },
    throws: { onLine: 0.65, offLine: 0.25, wild: 0.1 },
    topSpeedVariation: 0.055,
    accelerationVariation: 0.1,
    contactToRunSeconds: { right: 0.33, left: 0.31 },
    battersBoxFeet: 2.5,
    pickRightHander: typical(1.1, 0.1, 0.08, 0.7, 1.9),
    pickLeftHander: typical(1.18, 0.11, 0.09, 0.7, 2),
    pickSecond: typical(1.27, 0.1, 0.09, 0.85, 2.1),
    snapToFirst: typical(1.58, 0.1, 0.1, 1.1, 2.5),
    runSdSeconds: 0.05,
    fielder: { topSpeed: 23.5, accelerationSeconds: 0.83 },
    jumpSdSeconds: 0.05,
    back: {
      reactSeconds: 0.26,
      reactSdSeconds: 0.05,
      topSpeed: 14,
      accelerationSeconds: 0.3,
      reachFeet: 4.6,
      moveSdSeconds: 0.05,
    },
  },
  u14: {
    label: '14 and under',
    sport: 'baseball',
    note: CHECKED,
    bagSideFeet: 1.25,
    topSpeed: 24.3,
    accelerationSeconds: 0.88,
    delivery: typical(1.5, 0.12, 0.07, 1, 2.4),
    popSecond: typical(2.4, 0.16, 0.1, 1.8, 3.6),
    popThird: typical(1.92, 0.14, 0.1, 1.3, 2.9),
    stealSecond: typical(4, 0.22, 0.08, 3.2, 5.3),
    jumpSeconds: 0.18,
    jumpLeftHanderSeconds: 0.09,
    jumpLeftHanderSdSeconds: 0.04,
    ...READ,
    tag: {
      onLineSeconds: 0.13,
      onLineSdSeconds: 0.04,
      offLineSeconds: 0.3,
      offLineSdSeconds: 0.08,
    },
    throws: { onLine: 0.55, offLine: 0.29, wild: 0.16 },
    topSpeedVariation: 0.065,
    accelerationVariation: 0.11,
    contactToRunSeconds: { right: 0.35, left: 0.33 },
    battersBoxFeet: 2.3,
    pickRightHander: typical(1.22, 0.12, 0.1, 0.75, 2.1),
    pickLeftHander: typical(1.3, 0.13, 0.11, 0.75, 2.2),
    pickSecond: typical(1.4, 0.12, 0.11, 0.9, 2.3),
    snapToFirst: typical(1.75, 0.13, 0.12, 1.2, 2.8),
    runSdSeconds: 0.07,
    fielder: { topSpeed: 22, accelerationSeconds: 0.88 },
    jumpSdSeconds: 0.07,
    back: {
      reactSeconds: 0.29,
      reactSdSeconds: 0.06,
      topSpeed: 13,
      accelerationSeconds: 0.32,
      reachFeet: 4.3,
      moveSdSeconds: 0.06,
    },
  },
  u12: {
    label: '12 and under, small diamond',
    sport: 'baseball',
    note: SCALED,
    bagSideFeet: 1.25,
    topSpeed: 22,
    accelerationSeconds: 0.92,
    delivery: typical(1.3, 0.14, 0.09, 0.8, 2.4),
    popSecond: typical(2.2, 0.2, 0.14, 1.5, 3.6),
    popThird: typical(1.75, 0.18, 0.14, 1.1, 3),
    stealSecond: typical(3.5, 0.22, 0.1, 2.7, 4.8),
    jumpSeconds: 0.1,
    jumpLeftHanderSeconds: 0,
    jumpLeftHanderSdSeconds: 0,
    ...READ,
    tag: {
      onLineSeconds: 0.15,
      onLineSdSeconds: 0.05,
      offLineSeconds: 0.34,
      offLineSdSeconds: 0.09,
    },
    throws: { onLine: 0.45, offLine: 0.33, wild: 0.22 },
    topSpeedVariation: 0.075,
    accelerationVariation: 0.12,
    contactToRunSeconds: { right: 0.37, left: 0.35 },
    battersBoxFeet: 2.2,
    pickRightHander: null,
    pickLeftHander: null,
    pickSecond: null,
    snapToFirst: typical(1.7, 0.16, 0.15, 1.1, 3),
    runSdSeconds: 0.09,
    fielder: { topSpeed: 20, accelerationSeconds: 0.92 },
    jumpSdSeconds: 0.09,
    back: {
      reactSeconds: 0.32,
      reactSdSeconds: 0.07,
      topSpeed: 12,
      accelerationSeconds: 0.33,
      reachFeet: 3.9,
      moveSdSeconds: 0.07,
    },
  },
  fpCollege: {
    label: 'College fastpitch',
    sport: 'softball',
    note: CHECKED,
    bagSideFeet: 1.25,
    topSpeed: 24.4,
    accelerationSeconds: 0.68,
    delivery: typical(0.43, 0.03, 0.015, 0.3, 0.75),
    popSecond: typical(1.92, 0.08, 0.07, 1.5, 2.7),
    popThird: typical(1.5, 0.08, 0.07, 1.1, 2.2),
    stealSecond: typical(2.61, 0.12, 0.05, 2.2, 3.6),
    jumpSeconds: -0.02,
    jumpLeftHanderSeconds: 0,
    jumpLeftHanderSdSeconds: 0,
    ...READ,
    tag: {
      onLineSeconds: 0.11,
      onLineSdSeconds: 0.03,
      offLineSeconds: 0.28,
      offLineSdSeconds: 0.07,
    },
    throws: { onLine: 0.61, offLine: 0.26, wild: 0.13 },
    topSpeedVariation: 0.05,
    accelerationVariation: 0.09,
    contactToRunSeconds: { right: 0.12, left: 0.08 },
    battersBoxFeet: 2.3,
    pickRightHander: null,
    pickLeftHander: null,
    pickSecond: null,
    snapToFirst: typical(1.28, 0.09, 0.09, 0.9, 2.1),
    runSdSeconds: 0.05,
    fielder: { topSpeed: 22, accelerationSeconds: 0.72 },
    jumpSdSeconds: 0.05,
    back: {
      reactSeconds: 0.26,
      reactSdSeconds: 0.05,
      topSpeed: 13.2,
      accelerationSeconds: 0.3,
      reachFeet: 4.3,
      moveSdSeconds: 0.05,
    },
  },
  fpHs: {
    label: 'High school fastpitch',
    sport: 'softball',
    note: CHECKED,
    bagSideFeet: 1.25,
    topSpeed: 22.8,
    accelerationSeconds: 0.72,
    delivery: typical(0.5, 0.05, 0.025, 0.35, 0.9),
    popSecond: typical(2.14, 0.12, 0.1, 1.6, 3.2),
    popThird: typical(1.68, 0.11, 0.1, 1.2, 2.6),
    stealSecond: typical(2.77, 0.15, 0.07, 2.3, 4),
    jumpSeconds: 0.04,
    jumpLeftHanderSeconds: 0,
    jumpLeftHanderSdSeconds: 0,
    ...READ,
    tag: {
      onLineSeconds: 0.14,
      onLineSdSeconds: 0.04,
      offLineSeconds: 0.32,
      offLineSdSeconds: 0.08,
    },
    throws: { onLine: 0.53, offLine: 0.29, wild: 0.18 },
    topSpeedVariation: 0.06,
    accelerationVariation: 0.1,
    contactToRunSeconds: { right: 0.16, left: 0.1 },
    battersBoxFeet: 2.3,
    pickRightHander: null,
    pickLeftHander: null,
    pickSecond: null,
    snapToFirst: typical(1.45, 0.11, 0.11, 1, 2.4),
    runSdSeconds: 0.06,
    fielder: { topSpeed: 20.5, accelerationSeconds: 0.76 },
    jumpSdSeconds: 0.07,
    back: {
      reactSeconds: 0.29,
      reactSdSeconds: 0.06,
      topSpeed: 12.4,
      accelerationSeconds: 0.32,
      reachFeet: 4.1,
      moveSdSeconds: 0.06,
    },
  },
  fpU12: {
    label: '12 and under fastpitch',
    sport: 'softball',
    note: SCALED,
    bagSideFeet: 1.25,
    topSpeed: 20.5,
    accelerationSeconds: 0.78,
    delivery: typical(0.58, 0.07, 0.04, 0.4, 1.1),
    popSecond: typical(2.4, 0.18, 0.14, 1.7, 3.6),
    popThird: typical(1.9, 0.16, 0.14, 1.3, 3),
    stealSecond: typical(3.05, 0.18, 0.09, 2.5, 4.4),
    jumpSeconds: 0.08,
    jumpLeftHanderSeconds: 0,
    jumpLeftHanderSdSeconds: 0,
    ...READ,
    tag: {
      onLineSeconds: 0.17,
      onLineSdSeconds: 0.05,
      offLineSeconds: 0.36,
      offLineSdSeconds: 0.09,
    },
    throws: { onLine: 0.44, offLine: 0.32, wild: 0.24 },
    topSpeedVariation: 0.075,
    accelerationVariation: 0.12,
    contactToRunSeconds: { right: 0.2, left: 0.14 },
    battersBoxFeet: 2.2,
    pickRightHander: null,
    pickLeftHander: null,
    pickSecond: null,
    snapToFirst: typical(1.65, 0.14, 0.14, 1.1, 2.9),
    runSdSeconds: 0.08,
    fielder: { topSpeed: 18.5, accelerationSeconds: 0.8 },
    jumpSdSeconds: 0.09,
    back: {
      reactSeconds: 0.32,
      reactSdSeconds: 0.07,
      topSpeed: 11.5,
      accelerationSeconds: 0.34,
      reachFeet: 3.8,
      moveSdSeconds: 0.07,
    },
  },
};

/** The levels played in one sport, highest first. */
export function levelsOf(sport: Sport): LevelName[] {
  return LEVEL_NAMES.filter((name) => LEVELS[name].sport === sport);
}
