import type { SideOfPlate } from '../people/index.ts';
import type { Ruleset } from '../rules/index.ts';
import type { Level } from '../timing/index.ts';
import { timeToCover, type SpeedCurve } from './curve.ts';

/** Hips to foot in the slide, and what the slide itself costs. */
const SLIDE_REACH_FEET = 3;
const SLIDE_SECONDS = 0.06;
/** Leaning into a turn costs some top speed; a straight dash has a little more of it. */
const TURN_SPEED_SHARE = 0.97;
const DASH_SPEED_SHARE = 1.04;
const READ_THE_HIT_SECONDS = 0.3;
const TURN_FEET = 6;

/** How uneven one runner's tries are, seconds. Agreed. */
const SPREAD = { steal: 0.05, homeToFirst: 0.08, long: 0.12, dash: 0.08, flying: 0.05 };

/** Something run that can be timed. Leads from the bag's edge to the hips. */
export type Run =
  | { kind: 'steal' | 'firstToThird' | 'secondToHome'; leadFeet: number; startSpeed: number }
  | { kind: 'homeToFirst'; bats: SideOfPlate }
  /** From a standing start at 0 ft, timed between two marks. */
  | { kind: 'dash'; fromFeet: number; toFeet: number };

/** What a runner is made of. */
export type Gait = Omit<SpeedCurve, 'startSpeed'>;

interface Place {
  level: Pick<Level, 'bagSideFeet' | 'battersBoxFeet' | 'contactToRunSeconds'>;
  ruleset: Pick<Ruleset, 'baseDistanceFeet'>;
}

/**
 * How far a stealing runner's hips have to travel until the foot is on the bag, feet.
 * @returns never below 0
 */
export function stealFeet(leadFeet: number, { level, ruleset }: Place): number {
  const feet = ruleset.baseDistanceFeet - 1.5 * level.bagSideFeet - SLIDE_REACH_FEET - leadFeet;
  return Math.max(0, feet);
}

/** How long a run takes somebody, seconds, as a typical stopwatch reads it (a dash: truly). */
export function runSeconds(run: Run, gait: Gait, place: Place): number {
  switch (run.kind) {
    case 'steal':
      return (
        SLIDE_SECONDS + timeToCover(stealFeet(run.leadFeet, place), curveOf(gait, run.startSpeed))
      );
    case 'firstToThird':
    case 'secondToHome': {
      const { level, ruleset } = place;
      const feet =
        2 * ruleset.baseDistanceFeet +
        TURN_FEET -
        level.bagSideFeet -
        run.leadFeet -
        SLIDE_REACH_FEET;
      const turning = { ...gait, topSpeed: gait.topSpeed * TURN_SPEED_SHARE };
      return (
        READ_THE_HIT_SECONDS +
        timeToCover(Math.max(0, feet), curveOf(turning, run.startSpeed)) +
        SLIDE_SECONDS
      );
    }
    case 'dash': {
      const dashing = curveOf({ ...gait, topSpeed: gait.topSpeed * DASH_SPEED_SHARE }, 0);
      return timeToCover(run.toFeet, dashing) - timeToCover(run.fromFeet, dashing);
    }
    case 'homeToFirst': {
      const sides = run.bats === 'switch' ? (['right', 'left'] as const) : [run.bats];
      const each = sides.map((side) => homeToFirstSeconds(side, gait, place));
      return each.reduce((sum, seconds) => sum + seconds, 0) / each.length;
    }
  }
}

/** How far one try of a run lies from another of the same runner (standard deviation), seconds. */
export function runSpreadSeconds(run: Run): number {
  switch (run.kind) {
    case 'firstToThird':
    case 'secondToHome':
      return SPREAD.long;
    case 'dash':
      return run.fromFeet > 0 ? SPREAD.flying : SPREAD.dash;
    case 'steal':
    case 'homeToFirst':
      return SPREAD[run.kind];
  }
}

/** Nobody starts quicker than he can run. */
function curveOf(gait: Gait, startSpeed: number): SpeedCurve {
  return { ...gait, startSpeed: Math.min(startSpeed, gait.topSpeed) };
}

/** From where he stands in the box to the near edge of first, less the foot that reaches for it. */
function homeToFirstSeconds(side: 'right' | 'left', gait: Gait, { level, ruleset }: Place): number {
  const first = (ruleset.baseDistanceFeet - level.bagSideFeet) / Math.SQRT2;
  const across = side === 'right' ? -level.battersBoxFeet : level.battersBoxFeet;
  const feet = Math.hypot(first - across, first - 0.7) - 1;
  return level.contactToRunSeconds[side] + timeToCover(feet, curveOf(gait, 0));
}
