import {
  chancePicked,
  judgeLeaving,
  longestLead,
  type OwnReturn,
  type Stakes,
  type Throw,
} from '../leads/index.ts';
import { mean } from '../maths/index.ts';
import { ownSpread, type DoubtfulSpread, type Level } from '../timing/index.ts';

/** A pitcher's wind-up where nobody leads off: first move to the moment at which a runner may leave. Seconds. */
export interface WindUp {
  meanSeconds: number;
  /** How far one lies from another, the thumbs' own taken out. */
  spreadSeconds: number;
  count: number;
}

const LEAST_TIMED = 4;
/** Runners learn to leave on pitchers who are about so even. Seconds, judgement. */
const USUAL_SPREAD_SECONDS = 0.03;
/** However even the pitcher, so much of a runner's unevenness is the runner's. Judgement. */
const OWN_SHARE = 0.6;
/** A runner who aims well is early this often. */
const EARLY_RISK = 0.05;
/** What a pitcher who changes pace from pitch to pitch can come to. Seconds, judgement. */
export const MIXED_SPREAD_SECONDS = 0.06;

/** @param seconds wind-ups as two taps had them @returns null with too few to say how even they are */
export function windUpOf(seconds: readonly number[]): WindUp | null {
  if (seconds.length < LEAST_TIMED) return null;
  return { meanSeconds: mean(seconds), spreadSeconds: ownSpread(seconds), count: seconds.length };
}

/**
 * How soon after they may a runner can leave on this wind-up without being early oftener than one time in twenty:
 * what is uneven in it adds to what is uneven in the runner. Seconds, never below 0.
 * @param leave the runner's next leave-time on usual pitchers @param windUpSpread of one wind-up from another, seconds
 */
export function leaveAimOn(leave: DoubtfulSpread, windUpSpread: number): number {
  const variance = leave.sdSeconds ** 2 + windUpSpread ** 2 - USUAL_SPREAD_SECONDS ** 2;
  const sdSeconds = Math.sqrt(Math.max(variance, (OWN_SHARE * leave.sdSeconds) ** 2));
  return Math.max(0, judgeLeaving({ ...leave, sdSeconds }, 0, EARLY_RISK).aimSeconds);
}

/** How often a runner is so early that it can be told, 0..1: an out. @param leave their next leave-time */
export function leavesEarly(leave: DoubtfulSpread): number {
  return judgeLeaving(leave, 0, EARLY_RISK).chanceEarly;
}

/** The catcher's throw to first behind a runner who went off with the pitch. */
export interface Behind {
  level: Level;
  /** How far off they are as the ball is in the mitt, bag edge to hips. Feet. */
  feet: number;
  /** How much later than the level's this catcher throws to second; negative: quicker. Seconds. */
  catcherLaterSeconds: number;
  own: OwnReturn;
}

export interface BehindJudged {
  /** Out on so many throws, 0..1. */
  chance: number;
  /** Farther off than this a throw wins more than it risks. Feet. */
  paysFromFeet: number;
  pays: boolean;
}

/** They still drift off as the ball is caught. Feet a second, judgement. */
const DRIFTING_SPEED = 3;
/** A throw to first is shorter: of what a catcher differs by at second, so much is left. Judgement. */
const TO_FIRST_SHARE = 0.7;

/** Whether to throw behind them. Somebody has to be at the bag. @param stakes what a base and an out are worth, runs */
export function throwBehind(
  { level, feet, catcherLaterSeconds, own }: Behind,
  { gain, cost }: Stakes,
): BehindJudged {
  const { mean: usual, sdBetween, sdWithin } = level.snapToFirst;
  const toBase: Throw = {
    stance: { leadFeet: feet, corner: 'back', mode: 'twoWay', awaySpeed: DRIFTING_SPEED },
    level,
    throwing: {
      meanSeconds: usual + TO_FIRST_SHARE * catcherLaterSeconds,
      sdSeconds: Math.hypot(sdBetween, sdWithin),
    },
    leftHander: false,
    own,
  };
  const chance = chancePicked(toBase);
  const away = level.throws.wild / 2;
  const needed = Math.min(0.99, Math.max(0.01, (away * gain) / (away * gain + cost)));
  return { chance, paysFromFeet: longestLead(toBase, needed), pays: chance > needed };
}
