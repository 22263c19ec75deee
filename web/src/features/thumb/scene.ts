import type { ThumbPitch } from '@bradyon/core/timing';
import {
  DELIVERY,
  jointsOf,
  poseAt,
  WINDMILL,
  type Frame,
  type Point,
  type Pose,
} from '../../ui/figure/index.ts';
import { CATCH_AND_THROW, TAKES_THROW } from './poses.ts';

/** What the drill's picture shows at one moment. Coordinates are the picture's own, 800 wide. */
export interface Scene {
  pitcher: Pose;
  catcher: Pose;
  infielder: Pose;
  ball: Point;
  /** Whose hand or glove the ball is in; null in flight. */
  held: 'pitcher' | 'catcher' | 'infielder' | null;
}

type Who = 'pitcher' | 'catcher' | 'infielder';

/** Who stands where, looks which way, and has the ball in which hand. */
export const STANDS = {
  pitcher: { at: { x: 110, y: 240 }, facing: 1, hand: 'near' },
  catcher: { at: { x: 440, y: 268 }, facing: -1, hand: 'near' },
  infielder: { at: { x: 706, y: 256 }, facing: -1, hand: 'near' },
} as const satisfies Record<Who, { at: Point; facing: 1 | -1; hand: 'near' | 'far' }>;
/** How tall they are drawn. */
export const SIZE = 150;

/** The ball's flight from the hand, where the pitch is timed from the first move. */
const FLIGHT_SECONDS = 0.45;
/** Catch to release of the throw to second: the rest of the pop is flight. */
const EXCHANGE_SECONDS = 0.75;
/** In softball the arm goes round in this time before it lets go. */
const WINDMILL_SECONDS = 0.6;
/** From this share of the exchange the ball is in the throwing hand. */
const EXCHANGED = 0.5;

/**
 * The picture at a time. Every event of the pitch is seen exactly when it is said to happen: the foot
 * begins to rise, the ball leaves the hand, the mitt closes, the glove closes.
 * @param seconds since the pitch began to be shown
 */
export function sceneAt(pitch: ThumbPitch, seconds: number): Scene {
  const at = Object.fromEntries(pitch.events.map(({ event, atSeconds }) => [event, atSeconds]));
  const mitt = at['mitt'] ?? 0;
  const bag = at['bag'] ?? 0;
  const fromRelease = at['release'] !== undefined;
  const release = at['release'] ?? mitt - FLIGHT_SECONDS;
  const start = at['firstMove'] ?? release - WINDMILL_SECONDS;
  const thrown = mitt + EXCHANGE_SECONDS;
  const windup = fromRelease ? WINDMILL : DELIVERY;

  const shareOf = (from: number, to: number): number => (seconds - from) / (to - from);
  const poses = {
    pitcher: poseAt(windup, shareOf(start, release)),
    catcher: poseAt(CATCH_AND_THROW, shareOf(mitt, thrown)),
    infielder: poseAt(TAKES_THROW, shareOf(thrown, bag)),
  };
  const handOf = (
    who: Who,
    hand: 'near' | 'far',
    frames?: readonly [Frame, ...Frame[]],
    share = 0,
  ) => inPicture(who, frames ? poseAt(frames, share) : poses[who], hand);

  const released = handOf('pitcher', 'near', windup, 1);
  const caught = handOf('catcher', 'near', CATCH_AND_THROW, 0);
  const thrownFrom = handOf('catcher', 'far', CATCH_AND_THROW, 1);
  const taken = handOf('infielder', 'near', TAKES_THROW, 1);
  if (seconds < release) return { ...poses, ball: handOf('pitcher', 'near'), held: 'pitcher' };
  if (seconds < mitt) return { ...poses, ...flying(released, caught, shareOf(release, mitt), 6) };
  if (seconds < thrown) {
    const share = shareOf(mitt, thrown);
    // From the glove into the hand on the way up, and then with the hand.
    const [glove, hand] = [handOf('catcher', 'near'), handOf('catcher', 'far')];
    const ball = onTheWay(glove, hand, Math.min(1, share / EXCHANGED));
    return { ...poses, ball, held: 'catcher' };
  }
  if (seconds < bag) return { ...poses, ...flying(thrownFrom, taken, shareOf(thrown, bag), 40) };
  return { ...poses, ball: taken, held: 'infielder' };
}

function inPicture(who: Who, pose: Pose, hand: 'near' | 'far'): Point {
  const { at, facing } = STANDS[who];
  const joint = jointsOf(pose, facing)[hand].hand;
  return { x: at.x + (joint.x * SIZE) / 100, y: at.y + (joint.y * SIZE) / 100 };
}

function onTheWay(from: Point, to: Point, share: number): Point {
  return { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
}

function flying(from: Point, to: Point, share: number, arc: number): Pick<Scene, 'ball' | 'held'> {
  const straight = onTheWay(from, to, share);
  return {
    ball: { x: straight.x, y: straight.y - arc * 4 * share * (1 - share) },
    held: null,
  };
}
