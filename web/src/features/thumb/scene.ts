import type { ThumbPitch } from '@bradyon/core/timing';

/** What the drill's picture shows at one moment. Coordinates are the picture's own, 800 wide, 320 high. */
export interface Scene {
  /** 0 set, 1 highest, and down again in the stride. */
  leg: number;
  /** Where the throwing arm points, degrees from hanging down, backward positive. */
  arm: number;
  /** The front foot's way toward the plate, 0 to 1. */
  stride: number;
  ball: { x: number; y: number };
  /** Whose glove the ball is in; null in flight. */
  held: 'pitcher' | 'catcher' | 'infielder' | null;
}

export const PITCHER = { x: 110, y: 250 };
export const CATCHER = { x: 440, y: 268 };
export const INFIELDER = { x: 700, y: 236 };
const MITT = { x: CATCHER.x - 22, y: CATCHER.y - 34 };
const GLOVE = { x: INFIELDER.x - 16, y: INFIELDER.y - 34 };
const HAND = { x: PITCHER.x + 26, y: PITCHER.y - 66 };

/** The ball's flight from the hand, where the pitch is timed from the first move. */
const FLIGHT_SECONDS = 0.45;
/** Catch to release of the throw to second: the rest of the pop is flight. */
const EXCHANGE_SECONDS = 0.75;
/** In softball the arm goes round in this time before it lets go. */
const WINDMILL_SECONDS = 0.6;

function clamp(value: number): number {
  return Math.min(1, Math.max(0, value));
}

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
  const windup = clamp((seconds - start) / (release - start));
  const thrown = mitt + EXCHANGE_SECONDS;

  const scene: Scene = {
    leg: fromRelease ? 0 : Math.sin(Math.PI * Math.min(1, windup * 1.15)),
    arm: fromRelease
      ? 360 * windup
      : windup < 0.6
        ? 200 * (windup / 0.6)
        : 200 - 170 * ((windup - 0.6) / 0.4),
    stride: clamp((windup - 0.35) / 0.65),
    ball: { x: PITCHER.x + 8, y: PITCHER.y - 74 },
    held: 'pitcher',
  };
  if (seconds < release) return scene;
  if (seconds < mitt) return flying(scene, HAND, MITT, (seconds - release) / (mitt - release), 6);
  if (seconds < thrown) return { ...scene, ball: MITT, held: 'catcher' };
  if (seconds < bag) return flying(scene, MITT, GLOVE, (seconds - thrown) / (bag - thrown), 46);
  return { ...scene, ball: GLOVE, held: 'infielder' };
}

function flying(
  scene: Scene,
  from: { x: number; y: number },
  to: { x: number; y: number },
  share: number,
  arc: number,
): Scene {
  return {
    ...scene,
    held: null,
    ball: {
      x: from.x + (to.x - from.x) * share,
      y: from.y + (to.y - from.y) * share - arc * 4 * share * (1 - share),
    },
  };
}
