import { CALL_DRILLS, waitOf, type Cue } from '@bradyon/core/drills';
import { drawn, normalDraw, type Random } from '@bradyon/core/maths';
import { PITCHING, poseAt, type Frame, type Point, type Pose } from '../../ui/figure/index.ts';

/** One move or pitch to read, as it will be shown. */
export interface Look {
  cue: Cue;
  /** Going is right. */
  signal: boolean;
  /** Slower or quicker than usual; about 1. */
  tempo: number;
  /** A low lift, quick to the plate. */
  isSlideStep: boolean;
  /** How far to either side a pitch misses, -1..1: none looks like the other. */
  wobble: number;
}

/** A pitcher as opponents have timed one: deliveries against the drawn one's, and holds. */
export interface OpponentLook {
  tempo: number;
  isSlideStep: boolean;
  holdSeconds: readonly number[];
}

const LEAST_HOLDS = 3;
/** No two holds are quite alike, and a hold is no flinch. Seconds. Judgement. */
const [HOLD_SD, SHORTEST_HOLD] = [0.08, 0.5];

/** How long a pitcher is set before the first move: an opponent as timed, anybody else so that it cannot be timed. */
export function setSeconds(random: Random, own: OpponentLook | null): number {
  const holds = own?.holdSeconds ?? [];
  if (holds.length < LEAST_HOLDS) return waitOf(random(), CALL_DRILLS.pitcher.wait);
  const hold = holds[Math.floor(random() * holds.length)] ?? SHORTEST_HOLD;
  return Math.max(SHORTEST_HOLD, normalDraw(random, hold, HOLD_SD));
}

/** What is seen at a moment. Coordinates are the picture's own: 800 wide, the plate to the right. */
export interface LookScene {
  pose: Pose;
  facing: 1 | -1;
  ball: Point | null;
}

const pose = (parts: Partial<Pose>): Pose => ({ ...PITCHING.set, ...parts });

const LOW_LIFT = pose({
  lean: 2,
  nearLeg: { hip: -18, knee: -22 },
  farLeg: { hip: 34, knee: -30 },
});
/** The back foot comes off, hips and shoulders open to the base. */
const PIVOT = pose({
  lean: 6,
  turn: 0.95,
  nearArm: { shoulder: 40, elbow: 110 },
  farArm: { shoulder: 66, elbow: 40 },
  nearLeg: { hip: 16, knee: -22 },
  farLeg: { hip: -14, knee: -12 },
});
const THROW_OVER = pose({
  lean: 18,
  turn: 0.3,
  nearArm: { shoulder: 120, elbow: 18 },
  farArm: { shoulder: -10, elbow: 80 },
  nearLeg: { hip: -34, knee: -16 },
  farLeg: { hip: 36, knee: -18 },
});
/** The knee goes round with the body instead of to the plate. */
const SPIN = pose({
  lean: 0,
  turn: 0.9,
  nearArm: { shoulder: 30, elbow: 100 },
  farArm: { shoulder: 34, elbow: 90 },
  nearLeg: { hip: -4, knee: -8 },
  farLeg: { hip: 84, knee: -104 },
});

type Frames = [Frame, ...Frame[]];

/** Whole moves, seconds from the first. */
function framesOf({ cue, signal, isSlideStep }: Look): { frames: Frames; turnsAt: number | null } {
  const lift = isSlideStep ? LOW_LIFT : PITCHING.lifted;
  const up = isSlideStep ? 0.22 : 0.46;
  const home: Frames = [
    { at: 0, pose: PITCHING.set },
    { at: up, pose: lift },
    { at: up + 0.36, pose: PITCHING.stride },
    { at: up + 0.6, pose: PITCHING.release },
  ];
  if (signal || cue === 'dirt' || cue === 'offSpeed') return { frames: home, turnsAt: null };
  if (cue === 'sinkPivotR') {
    // A quick turn on the back foot: nothing of a lift.
    const over: Frames = [
      { at: 0, pose: PITCHING.set },
      { at: 0.18, pose: PIVOT },
      { at: 0.42, pose: THROW_OVER },
    ];
    return { frames: over, turnsAt: 0.2 };
  }
  // The same lift as to the plate, and only then the turn.
  const turn: Frames = [
    { at: 0, pose: PITCHING.set },
    { at: 0.46, pose: PITCHING.lifted },
    { at: 0.66, pose: cue === 'insideTurn' ? SPIN : PIVOT },
    { at: 0.92, pose: THROW_OVER },
  ];
  return { frames: turn, turnsAt: 0.68 };
}

/** Where the pitcher stands, and how tall. */
export const PITCHER_AT = { x: 170, y: 244 } as const;
export const PITCHER_SIZE = 170;
export const PLATE_X = 690;
const HAND = { x: 205, y: 100 } as const;
const GROUND_Y = 244;

/** How long a pitch flies, seconds; off-speed takes longer. */
const FLIGHT = { fast: 0.43, slow: 0.55 } as const;

/** From the release to the mitt, or to the bounce. Seconds. */
export function flightSeconds({ cue, signal, tempo }: Look): number {
  return (cue === 'offSpeed' && signal ? FLIGHT.slow : FLIGHT.fast) * tempo;
}

/** Whether what is read is a ball in flight and not a body. */
export const isFlight = (cue: Cue): boolean => cue === 'dirt' || cue === 'offSpeed';

/** The ball between hand and plate. @param share of the flight 0..1 */
function ballAt({ cue, signal, wobble }: Look, share: number): Point {
  const x = HAND.x + (PLATE_X - HAND.x) * share;
  // A dirt ball heads down from the hand; a slow one has a hump in the way.
  const end = cue === 'dirt' && signal ? GROUND_Y - 2 : 176 + 16 * wobble;
  const hump = cue === 'offSpeed' && signal ? 46 : 12;
  return { x, y: HAND.y + (end - HAND.y) * share - 4 * hump * share * (1 - share) };
}

/**
 * What is seen so long after it began: the first move of a body, the release of a ball.
 * @param seconds below 0: the pitcher is set, or about to let go
 */
export function lookAt(look: Look, seconds: number): LookScene {
  const at = seconds / look.tempo;
  if (isFlight(look.cue)) {
    const share = Math.min(1, Math.max(0, seconds / flightSeconds(look)));
    return { pose: PITCHING.release, facing: 1, ball: seconds < 0 ? HAND : ballAt(look, share) };
  }
  const { frames, turnsAt } = framesOf(look);
  return {
    pose: poseAt(frames, at),
    facing: turnsAt !== null && at >= turnsAt ? -1 : 1,
    ball: null,
  };
}

/** How long a read may be shown at most, seconds: a ball never so far as its bounce or the mitt. */
export function mostShown(look: Look): number {
  return isFlight(look.cue) ? Math.max(0, flightSeconds(look) - 0.05) : 0.7;
}

/** A look as it is drawn by lot: tempo, lift and side vary, so that only the move itself tells. */
export function drawLook(
  cue: Cue,
  random: Random,
  own: { tempo: number; isSlideStep: boolean } | null,
): Look {
  const signal = random() < 0.5;
  const tempo = (own?.tempo ?? 1) * (0.9 + 0.2 * random());
  const isSlideStep = drawn([2, 1], random) === 1;
  return {
    cue,
    signal,
    tempo,
    isSlideStep: own?.isSlideStep ?? isSlideStep,
    wobble: 2 * random() - 1,
  };
}
