import { SPEED_PER_MPH, throwBouncingSeconds, throwSeconds } from '../race/index.ts';
import { timeToCover } from '../sprint/index.ts';
import { feetBetween, type Place } from '../units/index.ts';
import type { BasesFigures } from './figures.ts';
import { turningLeg, type Pace, type TurningLeg, type TurningRunner } from './leg.ts';
import { ballTimes, type OutfieldPlay } from './send.ts';

/** The last place where a runner can still be stopped and get back to the bag he turned. */
export interface LastStop {
  /** Where he is when the coach has to signal: past the bag positive, before it negative. */
  feet: number;
  /** When, seconds after contact. */
  seconds: number;
  /** Where the coach has to stand to be seen, feet past the bag toward the next base. */
  coachFeet: number;
}

const SCAN_FROM_FEET = -60;
const SCAN_STEP_FEET = 0.5;
/** So far in front of the runner the coach has to be to be seen. */
const IN_FRONT_FEET = 6;

/** Whether the defense throws behind a runner who stops, or only when the ball is in. */
export type Alertness = 'alert' | 'sleepy';

/**
 * By how much a runner who is stopped at a place is back at the bag before the ball, seconds.
 * @param bag the bag that he has turned
 */
function holdMargin(
  feet: number,
  leg: TurningLeg,
  runner: TurningRunner,
  play: OutfieldPlay,
  bag: Place,
  alertness: Alertness,
  figures: BasesFigures,
): number {
  const { coachSeconds, stopBrake, stopTurnSeconds, backSpeed } = figures;
  const told = leg.secondsAt(feet);
  const speed = leg.speedAt(feet);
  const over = Math.max(0, feet + speed * coachSeconds + speed ** 2 / (2 * stopBrake));
  const back =
    told +
    coachSeconds +
    speed / stopBrake +
    stopTurnSeconds +
    timeToCover(over, { ...runner, topSpeed: backSpeed * runner.topSpeed, startSpeed: 0 });
  const read = told + coachSeconds + figures.defenceReadSeconds;
  return ballBehind(read, play, bag, alertness, figures) + figures.tagSeconds - back;
}

/** When the ball is at the bag behind him, once the defense has read the stop. */
function ballBehind(
  read: number,
  play: OutfieldPlay,
  bag: Place,
  alertness: Alertness,
  figures: BasesFigures,
): number {
  const arm = { throwSpeed: play.armMph * SPEED_PER_MPH, ball: play.ball };
  const relay = { throwSpeed: play.relayMph * SPEED_PER_MPH, ball: play.ball };
  const { released } = ballTimes(play, figures);
  if (alertness === 'alert' && read <= released) {
    return released + throwBouncingSeconds(feetBetween(play.at, bag), arm);
  }
  const turned = (from: Place): number =>
    Math.max(released + throwBouncingSeconds(feetBetween(play.at, from), arm), read) +
    figures.redirectSeconds +
    throwSeconds(feetBetween(from, bag), relay);
  return Math.min(
    play.cutoffAt ? turned(play.cutoffAt) : Number.POSITIVE_INFINITY,
    turned(play.target),
  );
}

/**
 * The last place to stop a runner.
 * A second chance after the ball is thrown, where there is one, is not counted on.
 * @returns null when he cannot be stopped safely anywhere
 */
export function lastStop(
  runner: TurningRunner,
  pace: Pace,
  play: OutfieldPlay,
  bag: Place,
  baseFeet: number,
  alertness: Alertness,
  figures: BasesFigures,
): LastStop | null {
  const leg = turningLeg(runner, pace, baseFeet, figures);
  let last: number | null = null;
  for (let feet = SCAN_FROM_FEET; feet <= baseFeet; feet += SCAN_STEP_FEET) {
    if (feet < runner.leadFeet - baseFeet) continue;
    const margin = holdMargin(feet, leg, runner, play, bag, alertness, figures);
    if (margin >= figures.stopMargin) last = feet;
    else if (last !== null) break;
  }
  if (last === null) return null;
  return {
    feet: last,
    seconds: leg.secondsAt(last),
    coachFeet: Math.max(0, last + leg.speedAt(last) * figures.coachSeconds + IN_FRONT_FEET),
  };
}
