import { speedAfter, timeToCover, type Gait } from '../sprint/index.ts';
import type { BasesFigures } from './figures.ts';

/** A runner who takes a base, turns it, and may go for the next: second to home, first to third. */
export interface TurningRunner extends Gait {
  leadFeet: number;
  startSpeed: number;
  /** Until he has read the hit. */
  readSeconds: number;
}

/** At full speed to the end, or ready to stop: braking before the turn, sprinting when told. */
export type Pace = 'full' | 'controlled';

/** The turn costs gradually: from so far before the bag to so far past it. */
const TURN_FROM_FEET = -20;
const TURN_OVER_FEET = 40;

function turned(feetPast: number): number {
  return Math.min(1, Math.max(0, (feetPast - TURN_FROM_FEET) / TURN_OVER_FEET));
}

/** When he is where, on his way round a bag. */
export interface TurningLeg {
  /** When he is so many feet past the bag, seconds after contact. */
  secondsAt: (feetPast: number) => number;
  speedAt: (feetPast: number) => number;
}

/** At full speed round the bag. */
function fullLeg(runner: TurningRunner, baseFeet: number, turnSeconds: number): TurningLeg {
  const curve = { ...runner, startSpeed: Math.min(runner.startSpeed, runner.topSpeed) };
  const from = baseFeet - runner.leadFeet;
  const straight = (feetPast: number): number => timeToCover(Math.max(0, from + feetPast), curve);
  return {
    secondsAt: (feetPast) =>
      runner.readSeconds + straight(feetPast) + turnSeconds * turned(feetPast),
    speedAt: (feetPast) => speedAfter(straight(feetPast), curve),
  };
}

/** Braking before the bag to a speed from which he can still stop, and holding it. */
function controlledLeg(runner: TurningRunner, baseFeet: number, figures: BasesFigures): TurningLeg {
  const full = fullLeg(runner, baseFeet, 0);
  const brakesAt = -figures.controlledFrom;
  const held = figures.controlledSpeed * runner.topSpeed;
  const coming = full.speedAt(brakesAt);
  const slowing = Math.max(0, coming - held);
  /** Who comes in slower than the held speed goes on gathering it. */
  const brakeSeconds = slowing / figures.controlledBrake;
  const brakeFeet = (coming ** 2 - Math.min(coming, held) ** 2) / (2 * figures.controlledBrake);
  const cruise = Math.min(coming, held);
  const start = full.secondsAt(brakesAt);
  return {
    secondsAt: (feetPast) => {
      const turn = figures.controlledTurnSeconds * turned(feetPast);
      const past = feetPast - brakesAt;
      if (past <= 0) return full.secondsAt(feetPast) + turn;
      if (past < brakeFeet) {
        const speed = Math.sqrt(coming ** 2 - 2 * figures.controlledBrake * past);
        return start + (coming - speed) / figures.controlledBrake + turn;
      }
      return start + brakeSeconds + (past - brakeFeet) / cruise + turn;
    },
    speedAt: (feetPast) => {
      const past = feetPast - brakesAt;
      if (past <= 0) return full.speedAt(feetPast);
      if (past < brakeFeet) return Math.sqrt(coming ** 2 - 2 * figures.controlledBrake * past);
      return cruise;
    },
  };
}

/** His way round the bag, before anybody tells him anything. */
export function turningLeg(
  runner: TurningRunner,
  pace: Pace,
  baseFeet: number,
  figures: BasesFigures,
): TurningLeg {
  return pace === 'full'
    ? fullLeg(runner, baseFeet, figures.turnSeconds)
    : controlledLeg(runner, baseFeet, figures);
}

/** When he is at the next base if he never lets up, seconds after contact. */
export function fullSeconds(
  runner: TurningRunner,
  baseFeet: number,
  figures: BasesFigures,
): number {
  return turningLeg(runner, 'full', baseFeet, figures).secondsAt(baseFeet);
}

/**
 * When he is at the next base if he runs under control and is sent on from a place.
 * @param signalFeet where he is when the coach sends him, past the bag positive
 */
export function controlledSeconds(
  runner: TurningRunner,
  signalFeet: number,
  baseFeet: number,
  figures: BasesFigures,
): number {
  const leg = turningLeg(runner, 'controlled', baseFeet, figures);
  const speed = leg.speedAt(signalFeet);
  const goesFrom = signalFeet + speed * figures.coachSeconds;
  const turnLeft = figures.controlledTurnSeconds * (1 - turned(signalFeet));
  return (
    leg.secondsAt(signalFeet) +
    figures.coachSeconds +
    timeToCover(Math.max(0, baseFeet - goesFrom), {
      ...runner,
      startSpeed: Math.min(speed, runner.topSpeed),
    }) +
    turnLeft
  );
}
