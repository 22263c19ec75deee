import type { Hand, SideOfPlate } from '../people/index.ts';
import type { Ruleset } from '../rules/index.ts';
import {
  LEVELS,
  type Level,
  type LevelName,
  type ReadingContext,
  type TypicalTime,
} from '../timing/index.ts';
import type { TargetBase } from '../units/index.ts';
import { speedAfter, timeToCover } from './curve.ts';

/** A slide step is this much quicker to the plate than a leg lift, when it was never timed. Agreed. */
export const SLIDE_STEP_SAVES_SECONDS = 0.17;
/** Hips to foot in the slide, and what the slide itself costs. */
const SLIDE_REACH_FEET = 3;
const SLIDE_SECONDS = 0.06;
/** Leaning into a turn costs some top speed; a straight dash has a little more of it. */
const TURN_SPEED_SHARE = 0.97;
const DASH_SPEED_SHARE = 1.04;
const READ_THE_HIT_SECONDS = 0.3;
const TURN_FEET = 6;
/** The read and the turn to dive take at least this long after the reaction. */
const LEAST_DIVE_SECONDS = 0.3;

/** How uneven one runner's tries are, seconds. Agreed. */
const WITHIN = { steal: 0.05, homeToFirst: 0.08, long: 0.12, dash: 0.08, flying: 0.05 };

/** Holds of pitchers of all levels. Judgement. */
const HOLD: TypicalTime = { mean: 2.4, sdBetween: 0.6, sdWithin: 0.6, min: 0.3, max: 12 };
/** What the levels of the other sport do not tell, for rules that mix the two. Judgement. */
const BASEBALL_FLIGHT: TypicalTime = {
  mean: 0.47,
  sdBetween: 0.04,
  sdWithin: 0.02,
  min: 0.35,
  max: 0.8,
};
const SOFTBALL_DELIVERY: TypicalTime = {
  mean: 1.3,
  sdBetween: 0.15,
  sdWithin: 0.07,
  min: 0.8,
  max: 2.2,
};
/** How far one runner's leave-time is from another's, seconds. Judgement. */
const LEAVE_BETWEEN_SECONDS = 0.06;
const DIVE_BETWEEN_SECONDS = 0.07;

/** Whose times are asked about, and on what field. */
export interface Field {
  level: LevelName;
  ruleset: Ruleset;
}
export interface Mover {
  throws: Hand;
  bats: SideOfPlate;
}

/** Lead in feet and speed in ft/s when he goes. Judgement; a share of the base path, so that short paths get short leads. */
function usualStart(
  { leadRule, baseDistanceFeet }: Ruleset,
  base: TargetBase,
): { leadFeet: number; speed: number } {
  if (leadRule === 'reachesBatter') return { leadFeet: 0, speed: 0 };
  if (leadRule === 'atRelease') return { leadFeet: 2.5, speed: 7 };
  const share = baseDistanceFeet / 90;
  return base === 'second'
    ? { leadFeet: 11.5 * share, speed: 0 }
    : { leadFeet: 18 * share, speed: 4 };
}

/** The lead that readings of a kind are reckoned to, to the half foot; null where a lead means nothing. */
export function commonLeadFeet(
  { kind, base }: Pick<ReadingContext, 'kind' | 'base'>,
  ruleset: Ruleset,
): number | null {
  if (ruleset.leadRule !== 'open') return null;
  const half = (feet: number): number => Math.round(feet * 2) / 2;
  if (kind === 'diveBack') return half(usualStart(ruleset, 'second').leadFeet);
  if (kind !== 'steal') return null;
  return half(usualStart(ruleset, base === 'third' ? 'third' : 'second').leadFeet);
}

/**
 * What a foot of lead is worth in a kind, seconds: 1 over the speed at the bag; positive where a
 * longer lead makes the time shorter (steals), negative where it makes it longer (dives back).
 */
export function secondsPerFoot(
  { kind, base }: Pick<ReadingContext, 'kind' | 'base'>,
  { level: name, ruleset }: Field,
): number {
  const level = LEVELS[name];
  if (kind === 'diveBack') {
    const lead = commonLeadFeet({ kind, base }, ruleset) ?? 0;
    return diveSeconds(level, lead) - diveSeconds(level, lead + 1);
  }
  const start = usualStart(ruleset, base === 'third' ? 'third' : 'second');
  const feet = stealFeet(level, ruleset, start.leadFeet);
  const curve = { ...level, startSpeed: start.speed };
  return 1 / speedAfter(timeToCover(feet, curve), curve);
}

/**
 * What a player of this level usually takes, as a typical stopwatch reads it (a dash: truly): the
 * prior of his own estimate. Runs come from the level's speed curve, on these bases, from the usual lead.
 * @returns null where nothing is known for the level: an outfield throw, which depends on how deep
 */
export function typicalTime(
  context: ReadingContext,
  { throws, bats }: Mover,
  { level: name, ruleset }: Field,
): TypicalTime | null {
  const level = LEVELS[name];
  const softball = level.sport === 'softball';
  const { kind, base } = context;
  switch (kind) {
    case 'hold':
      return softball ? null : HOLD;
    case 'delivery':
      if (softball) return SOFTBALL_DELIVERY;
      return context.style === 'slideStep'
        ? shifted(level.delivery, -SLIDE_STEP_SAVES_SECONDS)
        : level.delivery;
    case 'flight':
      return softball ? level.delivery : BASEBALL_FLIGHT;
    case 'pick':
      if (base === 'second') return level.pickSecond;
      if (base === 'third') return level.pickRightHander && shifted(level.pickRightHander, -0.05);
      return throws === 'left' ? level.pickLeftHander : level.pickRightHander;
    case 'pop':
      return base === 'third' ? level.popThird : level.popSecond;
    case 'leave':
      return ruleset.leadRule === 'open'
        ? null
        : {
            mean: level.jumpSeconds,
            sdBetween: LEAVE_BETWEEN_SECONDS,
            sdWithin: level.jumpSdSeconds,
            min: -0.5,
            max: 1,
          };
    case 'diveBack':
      return ruleset.leadRule === 'open' ? typicalDive(level, ruleset) : null;
    case 'outfieldThrow':
      return null;
    default:
      return typicalRun(context, bats, level, ruleset);
  }
}

function shifted(typical: TypicalTime, seconds: number): TypicalTime {
  return {
    ...typical,
    mean: typical.mean + seconds,
    min: typical.min + seconds,
    max: typical.max + seconds,
  };
}

function diveSeconds({ back }: Level, leadFeet: number): number {
  const curve = { ...back, startSpeed: 0 };
  const run = timeToCover(Math.max(0, leadFeet - back.reachFeet), curve);
  return back.reactSeconds + Math.max(LEAST_DIVE_SECONDS, run);
}

function typicalDive(level: Level, ruleset: Ruleset): TypicalTime {
  const mean = diveSeconds(level, usualStart(ruleset, 'second').leadFeet);
  const sdWithin = Math.hypot(level.back.reactSdSeconds, level.back.moveSdSeconds);
  return { mean, sdBetween: DIVE_BETWEEN_SECONDS, sdWithin, min: mean * 0.5, max: mean * 2 };
}

function stealFeet(level: Level, { baseDistanceFeet }: Ruleset, leadFeet: number): number {
  return Math.max(0, baseDistanceFeet - 1.5 * level.bagSideFeet - SLIDE_REACH_FEET - leadFeet);
}

type Gait = Pick<Level, 'topSpeed' | 'accelerationSeconds'>;

/** A run by the curve; how runners differ follows from how their curves differ. */
function typicalRun(
  context: ReadingContext,
  bats: SideOfPlate,
  level: Level,
  ruleset: Ruleset,
): TypicalTime {
  const secondsOf = (gait: Gait): number => runSeconds(context, bats, level, ruleset, gait);
  const mean = secondsOf(level);
  const { topSpeed, accelerationSeconds } = level;
  const bySpeed =
    secondsOf({ topSpeed: topSpeed * (1 + level.topSpeedVariation), accelerationSeconds }) - mean;
  const byStart =
    secondsOf({
      topSpeed,
      accelerationSeconds: accelerationSeconds * (1 + level.accelerationVariation),
    }) - mean;
  return {
    mean,
    sdBetween: Math.hypot(bySpeed, byStart),
    sdWithin: withinOf(context),
    // The agreed limits of a steal, .8 and 1.3 of the mean, for every run.
    min: mean * 0.78,
    max: mean * 1.32,
  };
}

function withinOf({ kind, fromFeet }: ReadingContext): number {
  if (kind === 'firstToThird' || kind === 'secondToHome') return WITHIN.long;
  if (kind === 'dash') return (fromFeet ?? 0) > 0 ? WITHIN.flying : WITHIN.dash;
  return kind === 'homeToFirst' ? WITHIN.homeToFirst : WITHIN.steal;
}

function runSeconds(
  context: ReadingContext,
  bats: SideOfPlate,
  level: Level,
  ruleset: Ruleset,
  gait: Gait,
): number {
  const bases = ruleset.baseDistanceFeet;
  switch (context.kind) {
    case 'homeToFirst': {
      const sides = bats === 'switch' ? (['right', 'left'] as const) : [bats];
      const each = sides.map((side) => homeToFirstSeconds(side, level, bases, gait));
      return each.reduce((sum, seconds) => sum + seconds, 0) / each.length;
    }
    case 'firstToThird':
    case 'secondToHome': {
      // He has shuffled out as the ball is hit.
      const start =
        ruleset.leadRule === 'open'
          ? { leadFeet: (15 * bases) / 90, speed: 5 }
          : usualStart(ruleset, 'third');
      const feet = 2 * bases + TURN_FEET - level.bagSideFeet - start.leadFeet - SLIDE_REACH_FEET;
      const curve = {
        ...gait,
        topSpeed: gait.topSpeed * TURN_SPEED_SHARE,
        startSpeed: start.speed,
      };
      return READ_THE_HIT_SECONDS + timeToCover(feet, curve) + SLIDE_SECONDS;
    }
    case 'dash': {
      const curve = { ...gait, topSpeed: gait.topSpeed * DASH_SPEED_SHARE, startSpeed: 0 };
      const [from, to] = [context.fromFeet ?? 0, context.toFeet ?? 0];
      return timeToCover(to, curve) - timeToCover(from, curve);
    }
    default: {
      const start = usualStart(ruleset, context.base === 'third' ? 'third' : 'second');
      const curve = { ...gait, startSpeed: start.speed };
      return SLIDE_SECONDS + timeToCover(stealFeet(level, ruleset, start.leadFeet), curve);
    }
  }
}

/** From where he stands in the box to the near edge of first, less the foot that reaches for it. */
function homeToFirstSeconds(
  side: 'right' | 'left',
  level: Level,
  baseDistanceFeet: number,
  gait: Gait,
): number {
  const first = (baseDistanceFeet - level.bagSideFeet) / Math.SQRT2;
  const across = side === 'right' ? -level.battersBoxFeet : level.battersBoxFeet;
  const feet = Math.hypot(first - across, first - 0.7) - 1;
  return level.contactToRunSeconds[side] + timeToCover(feet, { ...gait, startSpeed: 0 });
}
