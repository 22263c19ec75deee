import type { Hand, SideOfPlate } from '../people/index.ts';
import type { Ruleset } from '../rules/index.ts';
import {
  levelOf,
  type Level,
  type LevelChanges,
  type LevelName,
  type ReadingContext,
  type TypicalTime,
} from '../timing/index.ts';
import type { TargetBase } from '../units/index.ts';
import { speedAfter, timeToCover } from './curve.ts';
import { diveSeconds } from './dive.ts';
import { runSeconds, runSpreadSeconds, stealFeet, type Gait, type Run } from './runs.ts';

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

/** Where the times are taken: what is typical there, and on what bases. */
export interface Conditions {
  level: Level;
  ruleset: Ruleset;
}

/** The field of a team: its level with its own numbers in it, and its rules. */
export function conditionsOf(team: {
  level: LevelName;
  levelChanges: LevelChanges;
  ruleset: Ruleset;
}): Conditions {
  return { level: levelOf(team.level, team.levelChanges), ruleset: team.ruleset };
}

export interface Mover {
  throws: Hand;
  bats: SideOfPlate;
}

/** Lead in feet and speed in ft/s when he goes. Judgement; a share of the base path, so that short paths get short leads. */
export function usualStart(
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
  { level, ruleset }: Conditions,
): number {
  if (kind === 'diveBack') {
    const lead = commonLeadFeet({ kind, base }, ruleset) ?? 0;
    return dive(level, lead) - dive(level, lead + 1);
  }
  const start = usualStart(ruleset, base === 'third' ? 'third' : 'second');
  const feet = stealFeet(start.leadFeet, { level, ruleset });
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
  { level, ruleset }: Conditions,
): TypicalTime | null {
  const softball = level.sport === 'softball';
  const { kind, base } = context;
  switch (kind) {
    case 'hold':
      return softball ? null : HOLD;
    case 'delivery':
      if (softball) return SOFTBALL_DELIVERY;
      return context.style === 'slideStep'
        ? shifted(level.delivery, -level.slideStepSavesSeconds)
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
    case 'steal':
    case 'homeToFirst':
    case 'firstToThird':
    case 'secondToHome':
    case 'dash': {
      const run = usualRun(context, bats, ruleset);
      return run && typicalRun(run, { level, ruleset });
    }
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

function dive({ back }: Level, leadFeet: number): number {
  return diveSeconds(back, {
    distanceFeet: leadFeet,
    awaySpeed: 0,
    reactSeconds: back.reactSeconds,
  });
}

function typicalDive(level: Level, ruleset: Ruleset): TypicalTime {
  const mean = dive(level, usualStart(ruleset, 'second').leadFeet);
  const sdWithin = Math.hypot(level.back.reactSdSeconds, level.back.moveSdSeconds);
  return { mean, sdBetween: DIVE_BETWEEN_SECONDS, sdWithin, min: mean * 0.5, max: mean * 2 };
}

/** A run of a kind from the usual start, or from the lead given; null: what is timed is no run. */
export function usualRun(
  { kind, base, fromFeet, toFeet }: Pick<ReadingContext, 'kind' | 'base' | 'fromFeet' | 'toFeet'>,
  bats: SideOfPlate,
  ruleset: Ruleset,
  leadFeet: number | null = null,
): Run | null {
  switch (kind) {
    case 'homeToFirst':
      return { kind, bats };
    case 'firstToThird':
    case 'secondToHome': {
      // He has shuffled out as the ball is hit.
      const { leadFeet: lead, speed } =
        ruleset.leadRule === 'open'
          ? { leadFeet: (15 * ruleset.baseDistanceFeet) / 90, speed: 5 }
          : usualStart(ruleset, 'third');
      return { kind, leadFeet: lead, startSpeed: speed };
    }
    case 'dash':
      return { kind, fromFeet: fromFeet ?? 0, toFeet: toFeet ?? 0 };
    case 'steal': {
      const start = usualStart(ruleset, base === 'third' ? 'third' : 'second');
      return { kind, leadFeet: leadFeet ?? start.leadFeet, startSpeed: start.speed };
    }
    case 'hold':
    case 'delivery':
    case 'flight':
    case 'pick':
    case 'pop':
    case 'leave':
    case 'diveBack':
    case 'outfieldThrow':
      return null;
  }
}

/** A run by the curve; how runners differ follows from how their curves differ. */
function typicalRun(run: Run, field: Conditions): TypicalTime {
  const secondsOf = (gait: Gait): number => runSeconds(run, gait, field);
  const { topSpeed, accelerationSeconds, ...level } = field.level;
  const mean = secondsOf({ topSpeed, accelerationSeconds });
  const quicker = topSpeed * (1 + level.topSpeedVariation);
  const slower = accelerationSeconds * (1 + level.accelerationVariation);
  return {
    mean,
    sdBetween: Math.hypot(
      secondsOf({ topSpeed: quicker, accelerationSeconds }) - mean,
      secondsOf({ topSpeed, accelerationSeconds: slower }) - mean,
    ),
    sdWithin: runSpreadSeconds(run),
    // The agreed limits of a steal, .8 and 1.3 of the mean, for every run.
    min: mean * 0.78,
    max: mean * 1.32,
  };
}
