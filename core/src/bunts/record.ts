import { normalCdf } from '../maths/index.ts';
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
  /** How hard he was to bunt it, and how hard it came off. */
  calledPace: BuntPace | null;
  pace: BuntPace | null;
  height: PitchHeight | null;
  style: BuntStyle;
}

/** A bunter's own record set beside the level's figures. */
export interface OwnBunting {
  tries: number;
  fair: number;
  /** How much of the shares, of the direction and of the pace is his own, 0..1. */
  ownShares: number;
  ownAim: number;
  ownPace: number;
  /** His lean from where he aims, degrees; toward third positive. Shrunk. */
  leanDegrees: number;
  skill: BuntSkill;
}

/** So many tries the level's shares count; so many aimed bunts the level's spreads. Judgement. */
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
  const paced = tried.flatMap(({ calledPace, pace, result }) =>
    calledPace && pace && result === 'fair' ? [{ called: calledPace, pace }] : [],
  );
  const outside = level.tipped === 0 ? 0 : level.tipped / (level.tipped + FOUL_PAST_LINES);
  return {
    tries: tried.length,
    fair: of('fair'),
    ownShares: tried.length / (tried.length + LEVEL_TRIES),
    ownAim: aimed.length / (aimed.length + LEVEL_AIMED),
    ownPace: paced.length / (paced.length + LEVEL_AIMED),
    leanDegrees: lean,
    skill: {
      ...level,
      missed: shared(of('missed'), level.missed),
      popped: shared(of('popped'), level.popped),
      tipped: shared(of('foul') * outside, level.tipped),
      sdDegrees: spread,
      sdPace: paceSpread(paced, level.sdPace),
    },
  };
}

/**
 * The middle of each pace, and where it ends, in the logarithm of the speed off the bat: rolls of about 20, 28 and
 * 50 ft, told apart at 24 and 38. Judgement.
 */
const PACE_AT: Record<BuntPace, number> = { dead: -0.21, soft: 0, firm: 0.34 };
const PACE_ENDS: Record<BuntPace, readonly [from: number, to: number]> = {
  dead: [Number.NEGATIVE_INFINITY, -0.11],
  soft: [-0.11, 0.18],
  firm: [0.18, Number.POSITIVE_INFINITY],
};
/** Spreads that are tried, as multiples of the level's. */
const PACE_SPREADS = Array.from({ length: 56 }, (_, nth) => 0.4 * 1.04 ** nth);

/** How often a bunt called for one pace comes off at another. */
function paceShare(called: BuntPace, pace: BuntPace, sdPace: number): number {
  const [from, to] = PACE_ENDS[pace];
  const middle = PACE_AT[called];
  return normalCdf((to - middle) / sdPace) - normalCdf((from - middle) / sdPace);
}

/**
 * The spread of the pace under which what was called and what came off are likeliest. Only the pace's word is known
 * of each bunt, so it is the words that are counted; the level speaks as if so many of its bunts had been seen too.
 */
function paceSpread(
  paced: readonly { called: BuntPace; pace: BuntPace }[],
  levelSd: number,
): number {
  if (paced.length === 0) return levelSd;
  const words = BUNT_PACES.flatMap((called) => {
    const own = paced.filter((each) => each.called === called);
    const levels = (LEVEL_AIMED * own.length) / paced.length;
    return BUNT_PACES.map((pace) => ({
      called,
      pace,
      seen:
        own.filter((each) => each.pace === pace).length + levels * paceShare(called, pace, levelSd),
    }));
  });
  const likely = (sd: number): number =>
    words.reduce(
      (sum, { called, pace, seen }) =>
        seen === 0 ? sum : sum + seen * Math.log(paceShare(called, pace, sd)),
      0,
    );
  return PACE_SPREADS.map((factor) => factor * levelSd).reduce((best, sd) =>
    likely(sd) > likely(best) ? sd : best,
  );
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
