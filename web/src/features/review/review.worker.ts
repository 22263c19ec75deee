import {
  asLevelChanges,
  attemptsOf,
  chanceAtSum,
  changedVerdicts,
  cushionFor,
  isOutside,
  raceConstantsOf,
  refit,
  refusalOf,
  shippedTheta,
  type Refit,
  type Refusal,
  type LookedAt,
  type ReckonedReading,
  type SeasonCall,
} from '@bradyon/core/review';
import { LEVELS, type LevelChanges } from '@bradyon/core/timing';
import type { ReadingId } from '@bradyon/core/units';
import { expose } from 'comlink';

/** What a team's own attempts say of its level's numbers. */
export interface Learned {
  found: Refit;
  shipped: number[];
  changes: LevelChanges;
  refusal: Refusal | null;
  /** Of the attempts, how many would have had another answer. */
  changedVerdicts: number;
  /** Times that were taken of the attempts themselves, and throws that somebody told. */
  timed: number;
  throws: number;
  /** How often a steal works with so many seconds left, and the seconds for the chance that is needed. */
  board: { leftSeconds: number; before: number; after: number }[];
  cushion: { before: number; after: number };
}

const LEFT_SECONDS = [-0.1, 0, 0.1];

const heavy = {
  /**
   * Starts from the level as shipped each time, never from a re-fit before.
   * @param need the chance that the team goes by @param readings what was timed of attempts, by id
   * @param outsWithCall share of outs stealing that have a call; null: no out yet
   */
  learn: (
    calls: readonly SeasonCall[],
    { level: levelName, isOpen, now }: Pick<LookedAt, 'level' | 'isOpen' | 'now'>,
    readings: Record<ReadingId, ReckonedReading>,
    need: number,
    outsWithCall: number | null,
    onProgress: (done: number) => void,
  ): Learned => {
    const level = LEVELS[levelName];
    const constants = raceConstantsOf(level);
    const attempts = attemptsOf(calls, {
      level: levelName,
      isOpen,
      now,
      readingOf: (id) => readings[id] ?? null,
    });
    const found = refit(attempts, constants, onProgress);
    const shipped = shippedTheta(constants);
    const changes = asLevelChanges(found, level);
    return {
      found,
      shipped,
      changes,
      refusal: isOutside(changes) ? 'tooFar' : refusalOf(found, outsWithCall),
      changedVerdicts: changedVerdicts(
        attempts.map((attempt) => ({ attempt, need })),
        constants,
        found.theta,
      ),
      timed: attempts.reduce((sum, { timed }) => sum + Object.keys(timed).length, 0),
      throws: attempts.filter((attempt) => attempt.throw !== null).length,
      board: LEFT_SECONDS.map((leftSeconds) => ({
        leftSeconds,
        before: chanceAtSum(leftSeconds, level, shipped, constants),
        after: chanceAtSum(leftSeconds, level, found.theta, constants),
      })),
      cushion: {
        before: cushionFor(need, level, shipped, constants),
        after: cushionFor(need, level, found.theta, constants),
      },
    };
  },
};
export type Heavy = typeof heavy;

expose(heavy);
