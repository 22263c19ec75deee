import { LEVEL_CONSTANTS, type Level, type LevelChanges } from '../timing/index.ts';
import {
  chanceBefore,
  shippedTheta,
  UNKNOWN_PITCH,
  type Attempt,
  type RaceConstants,
  type Theta,
} from './attempt.ts';
import type { Refit } from './refit.ts';

/** The constants of a level that attempts are judged by. */
export function raceConstantsOf(level: Level): RaceConstants {
  const { tag, throws } = level;
  const all = throws.onLine + throws.offLine + throws.wild;
  return {
    jumpSeconds: level.jumpSeconds,
    jumpSdSeconds: level.jumpSdSeconds,
    leftHanderSeconds: level.jumpLeftHanderSeconds,
    leftHanderSdSeconds: level.jumpLeftHanderSdSeconds,
    slideStepSeconds: -level.slideStepSavesSeconds,
    thirdJumpSeconds: level.jumpOffSecondSeconds,
    tagOnSeconds: tag.onLineSeconds,
    tagOnSdSeconds: tag.onLineSdSeconds,
    tagOffSeconds: tag.offLineSeconds,
    tagOffSdSeconds: tag.offLineSdSeconds,
    onLine: throws.onLine / all,
    offLine: throws.offLine / all,
    away: throws.wild / all,
  };
}

/** To the thousandth: finer nobody can mean it. */
const milli = (value: number): number => Number(value.toFixed(3));

/**
 * A re-fit as numbers of the team's own, whole: they hang together.
 * @param level as shipped
 */
export function asLevelChanges(
  { constants }: Pick<Refit, 'constants'>,
  level: Level,
): LevelChanges {
  const { withinFactor } = constants;
  return {
    jumpSeconds: milli(constants.jumpSeconds),
    jumpSdSeconds: milli(constants.jumpSdSeconds),
    jumpLeftHanderSeconds: milli(Math.max(0, constants.leftHanderSeconds)),
    jumpOffSecondSeconds: milli(constants.thirdJumpSeconds),
    slideStepSavesSeconds: milli(Math.max(0, -constants.slideStepSeconds)),
    'tag.onLineSeconds': milli(constants.tagOnSeconds),
    'tag.offLineSeconds': milli(constants.tagOffSeconds),
    'throws.onLine': milli(constants.onLine),
    'throws.offLine': milli(constants.offLine),
    'throws.wild': milli(constants.away),
    'delivery.sdWithin': milli(level.delivery.sdWithin * withinFactor),
    'popSecond.sdWithin': milli(level.popSecond.sdWithin * withinFactor),
    'popThird.sdWithin': milli(level.popThird.sdWithin * withinFactor),
  };
}

/** Whether a number of the team's own would lie where no level is. */
export function isOutside(changes: LevelChanges): boolean {
  return Object.entries(changes).some(([key, value]) => {
    const { min, max } = LEVEL_CONSTANTS[key as keyof typeof LEVEL_CONSTANTS];
    return value < min || value > max;
  });
}

/** What other constants make of attempts: how many would have another answer. */
export function changedVerdicts(
  attempts: readonly { attempt: Attempt; need: number }[],
  constants: RaceConstants,
  theta: Theta,
): number {
  const shipped = shippedTheta(constants);
  return attempts.filter(
    ({ attempt, need }) =>
      chanceBefore(attempt, shipped, constants) >= need !==
      chanceBefore(attempt, theta, constants) >= need,
  ).length;
}

/** How well people are known in a plain attempt. Seconds; judgement. */
const PLAIN_DOUBT_SECONDS = 0.03;
/** No cushion is longer. */
const MOST_CUSHION_SECONDS = 1;

/**
 * How often a steal of second works with so many seconds left: delivery and pop less the run, all by plain stopwatch.
 * @param leftSeconds above 0: the ball takes longer
 */
export function chanceAtSum(
  leftSeconds: number,
  level: Level,
  theta: Theta,
  constants: RaceConstants,
): number {
  const { delivery, popSecond, runSdSeconds } = level;
  const attempt: Attempt = {
    toThird: false,
    againstLeft: false,
    slideReckoned: false,
    delivery: { mean: delivery.mean, doubt: PLAIN_DOUBT_SECONDS, within: delivery.sdWithin },
    pop: { mean: popSecond.mean, doubt: PLAIN_DOUBT_SECONDS, within: popSecond.sdWithin },
    run: {
      mean: delivery.mean + popSecond.mean - leftSeconds,
      doubt: PLAIN_DOUBT_SECONDS,
      within: runSdSeconds,
    },
    pitch: UNKNOWN_PITCH,
    timed: {},
    throw: null,
    safe: true,
    weight: 1,
    popTimed: 0,
  };
  return chanceBefore(attempt, theta, constants);
}

/** How many seconds have to be left for a chance: the cushion to go on. @param chance 0..1 */
export function cushionFor(
  chance: number,
  level: Level,
  theta: Theta,
  constants: RaceConstants,
): number {
  let [low, high] = [-MOST_CUSHION_SECONDS, MOST_CUSHION_SECONDS];
  while (high - low > 0.001) {
    const middle = (low + high) / 2;
    if (chanceAtSum(middle, level, theta, constants) < chance) low = middle;
    else high = middle;
  }
  return high;
}
