import { EIGHT_IN_TEN, normalCdf, type Spread } from '../maths/index.ts';
import { chanceBothBefore, coverSeconds, type Cover } from '../race/index.ts';
import type { Level, DoubtfulSpread } from '../timing/index.ts';
import { returnSdSeconds, returnSeconds, tagsAtBase, type OwnReturn, type Stance } from './back.ts';

/** A throw to a base with a runner off it. */
export interface Throw {
  stance: Stance;
  level: Level;
  /** First move (catcher: mitt) to glove at the base. */
  throwing: Spread;
  leftHander: boolean;
  own?: OwnReturn;
  /** The man who has to get to the base for the throw; absent: he stands there. */
  cover?: Cover;
}

/** A middle infielder breaking for second when the pitcher starts to turn. Agreed. */
export function coverOfSecond(feet: number): Cover {
  return { feet, reactSeconds: 0.1, sdSeconds: Math.hypot(0.06, 0.05), reachFeet: 3 };
}

/** The third baseman going back to his bag. Agreed. */
export function coverOfThird(feet: number): Cover {
  return { feet, reactSeconds: 0.15, sdSeconds: Math.hypot(0.06, 0.05), reachFeet: 2 };
}

/**
 * The chance that he is out if they throw, 0..1. Not the risk of a pitch: multiply by how often they throw.
 */
export function chancePicked(toBase: Throw): number {
  const { stance, level, throwing, leftHander, own, cover } = toBase;
  const back = returnSeconds(stance, level, leftHander, own);
  const backSd = returnSdSeconds(level, own);
  const tags = tagsAtBase(level, stance.corner);
  if (cover) {
    const fielder = { meanSeconds: coverSeconds(level, cover), sdSeconds: cover.sdSeconds };
    return chanceBothBefore(throwing, fielder, back, backSd, tags);
  }
  return tags.reduce((sum, { share, seconds, sdSeconds }) => {
    const spread = Math.hypot(throwing.sdSeconds, backSd, sdSeconds);
    return sum + share * normalCdf((back - throwing.meanSeconds - seconds) / spread);
  }, 0);
}

/** Leads looked at. Agreed. */
const SHORTEST_FEET = 4;
const LONGEST_FEET = 30;
const CLOSE_FEET = 1e-4;

/**
 * The longest lead from which a throw gets him no more often than the risk taken, feet.
 * @param risk chance to be out given a throw, between 0 and 1, such as .02
 * @returns from 4 to 30 ft; 4 when even that is too far
 */
export function longestLead(toBase: Throw, risk: number): number {
  return longestWithin(risk, (leadFeet) =>
    chancePicked({ ...toBase, stance: { ...toBase.stance, leadFeet } }),
  );
}

/** A throw whose times are known with some doubt. */
export interface DoubtfulThrow extends Omit<Throw, 'throwing'> {
  throwing: DoubtfulSpread;
}

/**
 * Where the longest safe lead lies, eight times in ten, when the pitcher's move and the runner's
 * return may be off by what is in doubt of them; the unevenness of each try stays.
 * @param risk chance to be out given a throw, between 0 and 1
 */
export function longestLeadBetween(
  { throwing, own, ...rest }: DoubtfulThrow,
  risk: number,
): [shortest: number, longest: number] {
  const doubt = EIGHT_IN_TEN * Math.hypot(throwing.meanSdSeconds, own?.sdSeconds ?? 0);
  const withMove = (laterSeconds: number): number =>
    longestLead(
      {
        ...rest,
        own: { laterSeconds: own?.laterSeconds ?? 0, sdSeconds: 0 },
        throwing: {
          meanSeconds: throwing.meanSeconds + laterSeconds,
          sdSeconds: throwing.spreadSeconds,
        },
      },
      risk,
    );
  return [withMove(-doubt), withMove(doubt)];
}

/** The longest lead at which a chance that rises with the lead is within the risk, to a ten-thousandth of a foot. */
export function longestWithin(
  risk: number,
  chanceAt: (leadFeet: number) => number,
  shortestFeet = SHORTEST_FEET,
): number {
  if (!(risk > 0 && risk < 1))
    throw new RangeError('the longest lead needs a risk between 0 and 1');
  let [low, high] = [shortestFeet, LONGEST_FEET];
  if (chanceAt(high) <= risk) return high;
  while (high - low > CLOSE_FEET) {
    const middle = (low + high) / 2;
    if (chanceAt(middle) > risk) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}
