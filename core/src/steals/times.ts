import type { Person } from '../people/index.ts';
import { timesFromRelease, type Ruleset } from '../rules/index.ts';
import { SLIDE_STEP_SAVES_SECONDS, typicalTime, type Population } from '../sprint/index.ts';
import {
  LEVELS,
  plainContext,
  populationKey,
  type DeliveryStyle,
  type LevelName,
  type ReadingContext,
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
  /** How far the next one may lie from it, seconds; null when typical. */
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

interface Question {
  ruleset: Ruleset;
  level: LevelName;
  base: TargetBase;
  style: DeliveryStyle;
  pitcher: Pick<Person, 'throws'> | null;
  /** What is timed of the three people. */
  pitcherTimes: readonly Population[];
  catcherTimes: readonly Population[];
  runnerTimes: readonly Population[];
}

/** Nobody in particular: what is typical of the level does not ask who he is. */
const ANYBODY = { throws: 'right', bats: 'right' } as const;

/**
 * The times for one steal: each person's own estimate where he has any time that counts, else what
 * is typical. Pops and steals count for the base they were timed to.
 */
export function stealTimes(question: Question): StealTimes {
  const { ruleset, base, catcherTimes, runnerTimes } = question;
  const level = LEVELS[question.level];
  const leftHanderWaits = question.pitcher?.throws === 'left' && base === 'second';
  return {
    delivery: ruleset.leadRule === 'reachesBatter' ? null : deliveryTime(question),
    pop: ownOrTypical(question, catcherTimes, { ...plainContext('pop'), base }),
    tag: typical(level.tagSeconds),
    jump: typical(level.jumpSeconds + (leftHanderWaits ? level.jumpLeftHanderSeconds : 0)),
    run: ownOrTypical(question, runnerTimes, { ...plainContext('steal'), base }),
  };
}

function deliveryTime(question: Question): TimeInUse {
  const { ruleset, style, pitcherTimes } = question;
  if (timesFromRelease(ruleset)) {
    return ownOrTypical(question, pitcherTimes, plainContext('flight'));
  }
  const context = { ...plainContext('delivery'), style };
  const own = ownTime(pitcherTimes, context);
  if (own !== null || style === 'legLift') {
    return own ?? ownOrTypical(question, pitcherTimes, context);
  }
  const legLift = ownTime(pitcherTimes, { ...context, style: 'legLift' });
  return legLift === null
    ? ownOrTypical(question, pitcherTimes, context)
    : { ...legLift, basis: 'reckoned', seconds: legLift.seconds - SLIDE_STEP_SAVES_SECONDS };
}

function ownOrTypical(
  { level, ruleset }: Question,
  populations: readonly Population[],
  context: ReadingContext,
): TimeInUse {
  const usual = typicalTime(context, ANYBODY, { level, ruleset });
  const own = ownTime(populations, context);
  if (own !== null) return own;
  if (usual === null) throw new RangeError(`stealTimes needs a typical ${context.kind}`);
  return typical(usual.mean);
}

function ownTime(populations: readonly Population[], context: ReadingContext): TimeInUse | null {
  const key = populationKey(context);
  const own = populations.find((population) => population.key === key)?.estimate;
  if (!own || own.count === 0) return null;
  return {
    seconds: own.meanSeconds,
    basis: 'timed',
    count: own.count,
    giveOrTakeSeconds: own.giveOrTakeSeconds,
  };
}

function typical(seconds: number): TimeInUse {
  return { seconds, basis: 'typical', count: 0, giveOrTakeSeconds: null };
}
