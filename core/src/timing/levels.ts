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
  /** Ball in the glove at the bag to tag, with the throw on line. */
  tagSeconds: number;
}

const CHECKED = 'Judgement from commonly quoted times; not measured on your players.';
const SCALED = 'Scaled by judgement from the next level up; not checked against any times.';

function typical(
  mean: number,
  sdBetween: number,
  sdWithin: number,
  min: number,
  max: number,
): TypicalTime {
  return { mean, sdBetween, sdWithin, min, max };
}

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
    tagSeconds: 0.09,
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
    tagSeconds: 0.1,
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
    tagSeconds: 0.1,
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
    tagSeconds: 0.13,
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
    tagSeconds: 0.15,
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
    tagSeconds: 0.11,
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
    tagSeconds: 0.14,
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
    tagSeconds: 0.17,
  },
};

/** The levels played in one sport, highest first. */
export function levelsOf(sport: Sport): LevelName[] {
  return LEVEL_NAMES.filter((name) => LEVELS[name].sport === sport);
}
