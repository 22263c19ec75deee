import { SEND_LEVELS, type SendLevel, type SendLevelName } from '@bradyon/core/drills';
import { distanceAfter } from '@bradyon/core/sprint';
import { baseSpot, offPath, spotOf, type Spot } from '../../ui/field/index.ts';
import type { TrainerPlay } from './drills.worker.ts';

/** Degrees from the first-base line of a single to each field. */
const BEARING = { left: 72, centre: 45, right: 18 } as const;
const OUTFIELDER_REACTS_SECONDS = 0.45;

/** Where everything is at a moment of the play. */
export interface SendScene {
  ball: Spot;
  outfielder: Spot;
  runner: Spot;
  /** The runner from first; null where nobody was there. */
  behind: Spot | null;
}

function atBearing(degrees: number, feet: number): Spot {
  const angle = (degrees * Math.PI) / 180;
  return spotOf({ x: feet * Math.cos(angle), y: feet * Math.sin(angle) });
}

const between = (from: Spot, to: Spot, share: number): Spot => ({
  x: from.x + (to.x - from.x) * share,
  y: from.y + (to.y - from.y) * share,
});
const held = (share: number): number => Math.min(1, Math.max(0, share));

export function levelOf(name: SendLevelName): SendLevel {
  return SEND_LEVELS[name];
}

/** @param seconds after contact */
export function sendSceneAt(play: TrainerPlay, seconds: number): SendScene {
  const { situation, judged, onFirst } = play;
  const level = levelOf(situation.level);
  const bearing = BEARING[situation.field];
  const fielded = atBearing(bearing, judged.fieldedFeet);
  const stands = offPath(
    { from: { x: 0, y: 0 }, to: atBearing(bearing, situation.outfielderFeet) },
    { along: situation.outfielderFeet, left: situation.asideFeet },
  );
  const flown = held(seconds / judged.fieldedSeconds);
  const ran = held(
    (seconds - OUTFIELDER_REACTS_SECONDS) / (judged.fieldedSeconds - OUTFIELDER_REACTS_SECONDS),
  );
  return {
    // A single slows down as it rolls.
    ball: between({ x: 0, y: 0 }, fielded, 1 - (1 - flown) ** 1.5),
    outfielder: between(stands, fielded, ran),
    runner: runnerAt(situation.runnerSpeed, level, judged, seconds),
    behind: onFirst ? behindAt(level, seconds) : null,
  };
}

/** From the outfielder's hand to the cutoff man, and from there to the plate or into a glove; 0..1 of the throw. */
export function throwSceneAt(play: TrainerPlay, share: number): Spot {
  const { situation, judged, letThrough } = play;
  const from = atBearing(BEARING[situation.field], judged.fieldedFeet);
  const cutoff = spotOf(levelOf(situation.level).cutoffs[situation.field]);
  if (share <= CUT_SHARE) return between(from, cutoff, share / CUT_SHARE);
  if (!letThrough) return cutoff;
  return between(cutoff, { x: 0, y: 0 }, held((share - CUT_SHARE) / (1 - CUT_SHARE)));
}

/** So much of a throw home is over when it comes to the cutoff man. */
export const CUT_SHARE = 0.6;

/** The runner from first rounds second, and waits to be told. */
const ROUNDS_FEET = 6;

function behindAt(level: SendLevel, seconds: number): Spot {
  const { baseFeet, accelerationSeconds, leadFeet, leadSpeed, runnerSpeed } = level;
  const curve = { topSpeed: runnerSpeed, accelerationSeconds, startSpeed: leadSpeed };
  const feet = Math.min(
    baseFeet + ROUNDS_FEET,
    leadFeet + distanceAfter(Math.max(0, seconds), curve),
  );
  const [first, second, third] = (['first', 'second', 'third'] as const).map((base) =>
    baseSpot(base, baseFeet),
  ) as [Spot, Spot, Spot];
  return feet <= baseFeet
    ? offPath({ from: first, to: second }, { along: feet, left: 0 })
    : offPath({ from: second, to: third }, { along: feet - baseFeet, left: 0 });
}

/** The runner from second, so that the last stop is passed exactly when it is. */
function runnerAt(
  topSpeed: number,
  { baseFeet, accelerationSeconds, leadFeet, leadSpeed }: SendLevel,
  { stopFeet, stopSeconds }: TrainerPlay['judged'],
  seconds: number,
): Spot {
  const curve = { topSpeed, accelerationSeconds, startSpeed: leadSpeed };
  const toStop = baseFeet - leadFeet + stopFeet;
  const feet =
    leadFeet +
    (distanceAfter(Math.max(0, seconds), curve) / distanceAfter(stopSeconds, curve)) * toStop;
  const [second, third, home] = (['second', 'third', 'home'] as const).map((base) =>
    baseSpot(base, baseFeet),
  ) as [Spot, Spot, Spot];
  return feet <= baseFeet
    ? offPath({ from: second, to: third }, { along: feet, left: 0 })
    : offPath({ from: third, to: home }, { along: Math.min(feet - baseFeet, baseFeet), left: 0 });
}
