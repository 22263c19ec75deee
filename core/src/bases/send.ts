import { NORMAL_9, tabledNormalCdf } from '../maths/normals.ts';
import {
  ONE_BOUNCE_REACH,
  reachFeet,
  SPEED_PER_MPH,
  throwBouncingSeconds,
  throwSeconds,
} from '../race/index.ts';
import type { Sport } from '../rules/index.ts';
import { feetBetween, type Place } from '../units/index.ts';
import type { BasesFigures } from './figures.ts';

/** A ball in an outfielder's hand, and where it may go. */
export interface OutfieldPlay {
  ball: Sport;
  /** Where he has it, and when: seconds after contact (after a catch, 0). */
  at: Place;
  fieldedSeconds: number;
  /** 1 charging, 0 standing, -1 going away. */
  momentum: number;
  /** How often it is bobbled, 0..1; 1: seen to be, 0: seen to be clean. */
  bobble: number;
  /** From fielded to release when standing, seconds. */
  transferSeconds: number;
  armMph: number;
  /** Where the cutoff man stands; null: nobody is there. */
  cutoffAt: Place | null;
  relayMph: number;
  target: Place;
}

/** What the throw is about, in runs or in chance to win. */
export interface SendStakes {
  /** The out, against the run or base. */
  out: number;
  /** What it costs when the trail runner moves up behind the throw. */
  trail: number;
}

/** When the ball is there, tag and all: seconds after contact. Infinity: it does not come that way. */
export interface BallTimes {
  released: number;
  direct: number;
  /** By the cutoff man; Infinity where nobody is there. */
  cut: number;
}

export function ballTimes(play: OutfieldPlay, figures: BasesFigures): BallTimes {
  const arm = { throwSpeed: play.armMph * SPEED_PER_MPH, ball: play.ball };
  const released =
    play.fieldedSeconds + play.transferSeconds - figures.chargeSeconds * play.momentum;
  const feet = feetBetween(play.at, play.target);
  // Two bounces: nobody throws that, he throws to the cutoff man.
  const isTooFar = play.cutoffAt !== null && feet > ONE_BOUNCE_REACH * reachFeet(arm);
  const direct = isTooFar
    ? Number.POSITIVE_INFINITY
    : released + throwBouncingSeconds(feet, arm) + figures.tagSeconds;
  if (!play.cutoffAt) return { released, direct, cut: Number.POSITIVE_INFINITY };
  const relay = { throwSpeed: play.relayMph * SPEED_PER_MPH, ball: play.ball };
  const cut =
    released +
    throwBouncingSeconds(feetBetween(play.at, play.cutoffAt), arm) +
    figures.relaySeconds +
    throwSeconds(feetBetween(play.cutoffAt, play.target), relay) +
    figures.tagSeconds;
  return { released, direct, cut };
}

/** How a runner fares against a throw. Chances 0..1. */
export interface SendRace {
  safe: number;
  /** The throw is cut. */
  cut: number;
  /** A runner behind him moves up. */
  trailUp: number;
}

/** How true a throw is over a distance: on line, and wide but caught; the rest is away. */
function truth(feet: number, sdFeet: number, figures: BasesFigures): { on: number; wide: number } {
  if (feet === 0) return { on: 1, wide: 0 };
  const within = (limit: number): number => 2 * tabledNormalCdf(limit / sdFeet) - 1;
  const on = within(figures.onLineFeet);
  return { on, wide: within(figures.wideFeet) - on };
}

/** Off line, the cutoff man is later by this; past reach of the bag he has farther to go. Judgement. */
const CUT_WIDE_SECONDS = 0.1;
const CUT_AWAY_SECONDS = 0.3;
/** Of relays caught wide, those that are still in time as thrown. */
const RELAY_WIDE = 0.3;

/**
 * The chance that a runner who is at the base at a moment is safe, the cutoff man doing what looks better to him.
 * @param runSeconds when he is there, seconds after contact
 */
export function sendRace(
  runSeconds: number,
  play: OutfieldPlay,
  stakes: SendStakes,
  figures: BasesFigures,
): SendRace {
  const { direct, cut } = ballTimes(play, figures);
  const feet = feetBetween(play.at, play.target);
  const arm = { throwSpeed: play.armMph * SPEED_PER_MPH, ball: play.ball };
  const sd = figures.aimSpread * feet * (feet > reachFeet(arm) ? figures.bounceSpread : 1);
  const { on, wide } = truth(feet, sd, figures);
  const relayFeet = play.cutoffAt ? feetBetween(play.cutoffAt, play.target) : 0;
  const relay = truth(relayFeet, figures.aimSpread * relayFeet, figures);
  const relayGood = relay.on + RELAY_WIDE * relay.wide;

  const known2 = figures.runSdSeconds ** 2 + figures.defenceSdSeconds ** 2;
  const trust = known2 / (known2 + figures.seenSdSeconds ** 2);
  const seenSd = Math.sqrt(known2 * trust);
  const leftSd = Math.sqrt(figures.throwSdSeconds ** 2 + known2 * (1 - trust));

  const throws = [
    { share: on, late: 0, cutLate: 0, caught: 1 },
    { share: wide, late: figures.wideSeconds, cutLate: CUT_WIDE_SECONDS, caught: 1 },
    { share: 1 - on - wide, late: 0, cutLate: CUT_AWAY_SECONDS, caught: 0 },
  ];
  let [out, cutShare] = [0, 0];
  for (const [share, bobbled] of [
    [1 - play.bobble, 0],
    [play.bobble, figures.bobbleSeconds],
  ] as const) {
    if (share === 0) continue;
    for (const thrown of throws) {
      const margin = runSeconds - direct - bobbled - thrown.late;
      const cutMargin = runSeconds - cut - bobbled - thrown.cutLate;
      for (let node = 0; node < NORMAL_9.at.length; node += 1) {
        const seen = (NORMAL_9.at[node] ?? 0) * seenSd;
        const through = thrown.caught * tabledNormalCdf((margin + seen) / leftSd);
        const byCut = relayGood * tabledNormalCdf((cutMargin + seen) / leftSd);
        const better = through * stakes.out - stakes.trail - byCut * stakes.out;
        const lets = play.cutoffAt
          ? 1 / (1 + Math.exp(-better / (figures.hesitation * stakes.out)))
          : 1;
        const weight = share * thrown.share * (NORMAL_9.weights[node] ?? 0);
        out += weight * (lets * through + (1 - lets) * byCut);
        cutShare += weight * (1 - lets);
      }
    }
  }
  return {
    safe: 1 - out,
    cut: cutShare,
    trailUp: figures.trailThrough * (1 - cutShare) + figures.trailCut * cutShare,
  };
}

/** So much quicker or slower a runner may be than reckoned, for the ends of the band. Seconds. */
const SEND_BAND_SECONDS = 0.2;

/** The chance to be safe, with its band. */
export function sendBand(
  runSeconds: number,
  play: OutfieldPlay,
  stakes: SendStakes,
  figures: BasesFigures,
): SendRace & { low: number; high: number } {
  const at = (seconds: number): SendRace => sendRace(seconds, play, stakes, figures);
  return {
    ...at(runSeconds),
    low: at(runSeconds + SEND_BAND_SECONDS).safe,
    high: at(runSeconds - SEND_BAND_SECONDS).safe,
  };
}
