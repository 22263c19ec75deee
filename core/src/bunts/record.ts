import type { BuntSkill } from './aim.ts';

/** Lanes of the counter, from the third-base line to the first-base line. */
export const BUNT_LANES = ['third', 'thirdMiddle', 'middle', 'firstMiddle', 'first'] as const;
export type BuntLane = (typeof BUNT_LANES)[number];

export const BUNT_RESULTS = ['fair', 'foul', 'missed', 'popped', 'pulledBack'] as const;
export type BuntResult = (typeof BUNT_RESULTS)[number];

export const BUNT_PACES = ['dead', 'soft', 'firm'] as const;
export type BuntPace = (typeof BUNT_PACES)[number];

export const BUNT_STYLES = ['square', 'pivot', 'drag', 'push', 'slap'] as const;
export type BuntStyle = (typeof BUNT_STYLES)[number];

export const PITCH_HEIGHTS = ['high', 'middle', 'low'] as const;
export type PitchHeight = (typeof PITCH_HEIGHTS)[number];

/** One try, in practice or in a game. */
export interface BuntTry {
  result: BuntResult;
  /** Where he aimed, and where it went; null: not said, or nowhere. */
  aimed: BuntLane | null;
  lane: BuntLane | null;
  pace: BuntPace | null;
  height: PitchHeight | null;
  style: BuntStyle;
}

/** A bunter's own record set beside the level's figures. */
export interface OwnBunting {
  tries: number;
  fair: number;
  /** How much of the shares and of the direction is his own, 0..1. */
  ownShares: number;
  ownAim: number;
  /** His lean from where he aims, degrees; toward third positive. Shrunk. */
  leanDegrees: number;
  skill: BuntSkill;
}

/** So many tries the level's shares count; so many aimed bunts the level's spread. Judgement. */
const LEVEL_TRIES = 40;
const LEVEL_AIMED = 25;
const LANE_DEGREES = 90 / BUNT_LANES.length;
/** What rounding to a lane adds to the spread. */
const ROUNDING = LANE_DEGREES ** 2 / 12;

/** The middle of a lane, degrees from the first-base line. */
export function laneDegrees(lane: BuntLane): number {
  return 90 - (BUNT_LANES.indexOf(lane) + 0.5) * LANE_DEGREES;
}

/**
 * His own tries pull the level's figures toward his, the more the more there are. Pitches that he pulled
 * back from are no tries.
 */
export function ownBunting(tries: readonly BuntTry[], level: BuntSkill): OwnBunting {
  const tried = tries.filter(({ result }) => result !== 'pulledBack');
  const of = (result: BuntResult): number => tried.filter((each) => each.result === result).length;
  const shared = (own: number, usual: number): number =>
    (own + LEVEL_TRIES * usual) / (tried.length + LEVEL_TRIES);
  // A foul of his own is a tip or one past the line: the line is told by the aim.
  const aimed = tried.flatMap(({ aimed: from, lane, result }) =>
    from && lane && result === 'fair' ? [laneDegrees(lane) - laneDegrees(from)] : [],
  );
  const lean = aimed.reduce((sum, off) => sum + off, 0) / (aimed.length + LEVEL_AIMED);
  const squares = aimed.reduce((sum, off) => sum + Math.max(0, off ** 2 - ROUNDING), 0);
  const spread = Math.sqrt(
    (squares + LEVEL_AIMED * level.sdDegrees ** 2) / (aimed.length + LEVEL_AIMED),
  );
  const outside = level.tipped === 0 ? 0 : level.tipped / (level.tipped + FOUL_PAST_LINES);
  return {
    tries: tried.length,
    fair: of('fair'),
    ownShares: tried.length / (tried.length + LEVEL_TRIES),
    ownAim: aimed.length / (aimed.length + LEVEL_AIMED),
    leanDegrees: lean,
    skill: {
      ...level,
      missed: shared(of('missed'), level.missed),
      popped: shared(of('popped'), level.popped),
      tipped: shared(of('foul') * outside, level.tipped),
      sdDegrees: spread,
    },
  };
}

/** Of tries of a usual bunter, those fouled past a line: what a counted foul may also be. Judgement. */
const FOUL_PAST_LINES = 0.15;

/** How many of somebody's tries were fair, by one thing that is told of each. */
export interface TriesBy<Word extends string> {
  word: Word;
  tries: number;
  fair: number;
}

/**
 * Tries told apart by style or by the height of the pitch, in their order; without what was never tried.
 * @param words every word there is
 */
export function triesBy<Word extends string>(
  tries: readonly BuntTry[],
  words: readonly Word[],
  of: (bunt: BuntTry) => string | null,
): TriesBy<Word>[] {
  const tried = tries.filter(({ result }) => result !== 'pulledBack');
  return words.flatMap((word) => {
    const own = tried.filter((bunt) => of(bunt) === word);
    const fair = own.filter(({ result }) => result === 'fair').length;
    return own.length === 0 ? [] : [{ word, tries: own.length, fair }];
  });
}
