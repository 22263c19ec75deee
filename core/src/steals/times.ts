import type { Person } from '../people/index.ts';
import type { Ruleset } from '../rules/index.ts';
import { timeToCover } from '../sprint/index.ts';
import {
  LEVELS,
  spreadOf,
  type DeliveryStyle,
  type Level,
  type LevelName,
  type Reading,
} from '../timing/index.ts';
import type { TargetBase } from '../units/index.ts';

/**
 * A time the race uses and what it rests on: `timed` the person's own readings; `reckoned` from
 * his other readings; `typical` for the level, when nothing of his own is known.
 */
export interface TimeInUse {
  seconds: number;
  basis: 'timed' | 'reckoned' | 'typical';
  /** How many readings stand behind it; 0 when typical. */
  count: number;
  /** Sample standard deviation of those readings, seconds; null with fewer than two. */
  giveOrTakeSeconds: number | null;
}

/** Every time that a steal is judged by. */
export interface StealTimes {
  /** First move (softball: release) to mitt; null where nobody may leave before the pitch arrives. */
  delivery: TimeInUse | null;
  pop: TimeInUse;
  tag: TimeInUse;
  jump: TimeInUse;
  run: TimeInUse;
}

/** A slide step is this much quicker to the plate than a leg lift, when it was never timed. */
const SLIDE_STEP_SAVES_SECONDS = 0.17;
/** Hips to foot in the slide, and what the slide itself costs. */
const SLIDE_REACH_FEET = 3;
const SLIDE_SECONDS = 0.06;

interface Question {
  ruleset: Ruleset;
  level: LevelName;
  base: TargetBase;
  style: DeliveryStyle;
  pitcher: Pick<Person, 'throws'> | null;
  /** Readings of the three people, those set aside included. */
  pitcherReadings: readonly Reading[];
  catcherReadings: readonly Reading[];
  runnerReadings: readonly Reading[];
}

/**
 * The times for one steal: each person's own where he has any, else what is typical.
 * Readings set aside do not count. Pops and steals count for the base they were timed to.
 */
export function stealTimes(question: Question): StealTimes {
  const { ruleset, base, pitcherReadings, catcherReadings, runnerReadings } = question;
  const level = LEVELS[question.level];
  const leftHanderWaits = question.pitcher?.throws === 'left' && base === 'second';
  return {
    delivery: ruleset.leadRule === 'reachesBatter' ? null : deliveryTime(question, pitcherReadings),
    pop:
      ownTime(catcherReadings, (reading) => reading.kind === 'pop' && reading.base === base) ??
      typical(base === 'second' ? level.popSecond.mean : level.popThird.mean),
    tag: typical(level.tagSeconds),
    jump: typical(level.jumpSeconds + (leftHanderWaits ? level.jumpLeftHanderSeconds : 0)),
    run:
      ownTime(runnerReadings, (reading) => reading.kind === 'steal' && reading.base === base) ??
      typical(typicalRun(ruleset, level, base)),
  };
}

function deliveryTime(
  { ruleset, level, style }: Question,
  readings: readonly Reading[],
): TimeInUse {
  const usual = LEVELS[level].delivery.mean;
  if (ruleset.leadRule === 'atRelease') {
    return ownTime(readings, (reading) => reading.kind === 'flight') ?? typical(usual);
  }
  const legLift = ownTime(readings, (reading) => reading.style === 'legLift');
  if (style === 'legLift') return legLift ?? typical(usual);
  return (
    ownTime(readings, (reading) => reading.style === 'slideStep') ??
    (legLift === null
      ? typical(usual - SLIDE_STEP_SAVES_SECONDS)
      : { ...legLift, basis: 'reckoned', seconds: legLift.seconds - SLIDE_STEP_SAVES_SECONDS })
  );
}

function ownTime(
  readings: readonly Reading[],
  counts: (reading: Reading) => boolean,
): TimeInUse | null {
  const live = readings.filter((reading) => reading.asideReason === null && counts(reading));
  const spread = spreadOf(live.map((reading) => reading.seconds));
  if (spread === null) return null;
  return {
    seconds: spread.meanSeconds,
    basis: 'timed',
    count: spread.count,
    giveOrTakeSeconds: spread.giveOrTakeSeconds,
  };
}

function typical(seconds: number): TimeInUse {
  return { seconds, basis: 'typical', count: 0, giveOrTakeSeconds: null };
}

/**
 * The run of an average runner of this level from a usual lead, on these bases:
 * T(B - 1.5 b - 3 - lead) + .06, b the side of the bag.
 */
function typicalRun(ruleset: Ruleset, level: Level, base: TargetBase): number {
  const start = usualStart(ruleset, base);
  const feet =
    ruleset.baseDistanceFeet - 1.5 * level.bagSideFeet - SLIDE_REACH_FEET - start.leadFeet;
  return SLIDE_SECONDS + timeToCover(Math.max(0, feet), { ...level, startSpeed: start.speed });
}

/** Lead in feet and speed in ft/s when he goes. Judgement; a share of the base path, so that short paths get short leads. */
function usualStart({ leadRule, baseDistanceFeet }: Ruleset, base: TargetBase) {
  if (leadRule === 'reachesBatter') return { leadFeet: 0, speed: 0 };
  if (leadRule === 'atRelease') return { leadFeet: 2.5, speed: 7 };
  const share = baseDistanceFeet / 90;
  return base === 'second'
    ? { leadFeet: 11.5 * share, speed: 0 }
    : { leadFeet: 18 * share, speed: 4 };
}
