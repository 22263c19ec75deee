import type { Frame, Pose } from '../../ui/figure/index.ts';

const pose = (parts: Partial<Pose>): Pose => ({
  lean: 4,
  turn: 0.15,
  nearArm: { shoulder: 12, elbow: 30 },
  farArm: { shoulder: 12, elbow: 30 },
  nearLeg: { hip: 10, knee: -14 },
  farLeg: { hip: -8, knee: -10 },
  ...parts,
});

/** Hands together at the belt, weight on both feet. The throwing arm is the near one. */
const SET = pose({
  nearArm: { shoulder: 16, elbow: 96 },
  farArm: { shoulder: 24, elbow: 90 },
  nearLeg: { hip: -7, knee: -6 },
  farLeg: { hip: 9, knee: -6 },
});
const FOLLOWED_THROUGH = pose({
  lean: 62,
  nearArm: { shoulder: 38, elbow: 10 },
  farArm: { shoulder: -24, elbow: 70 },
  nearLeg: { hip: -62, knee: -30 },
  farLeg: { hip: 38, knee: -26 },
});

/** A delivery from the stretch: 0 is the first move, 1 the release. */
export const DELIVERY: [Frame, ...Frame[]] = [
  { at: 0, pose: SET },
  {
    at: 0.42,
    pose: pose({
      lean: -5,
      nearArm: { shoulder: 20, elbow: 100 },
      farArm: { shoulder: 28, elbow: 96 },
      nearLeg: { hip: -3, knee: -6 },
      farLeg: { hip: 100, knee: -96 },
    }),
  },
  {
    at: 0.76,
    pose: pose({
      lean: 2,
      nearArm: { shoulder: -92, elbow: 60 },
      farArm: { shoulder: 80, elbow: 12 },
      nearLeg: { hip: -36, knee: -24 },
      farLeg: { hip: 52, knee: -20 },
    }),
  },
  {
    at: 1,
    pose: pose({
      lean: 34,
      nearArm: { shoulder: 138, elbow: 8 },
      farArm: { shoulder: -14, elbow: 96 },
      nearLeg: { hip: -58, knee: -34 },
      farLeg: { hip: 44, knee: -26 },
    }),
  },
  { at: 1.25, pose: FOLLOWED_THROUGH },
];

/** A windmill: the arm goes all the way round and lets go at the hip. */
export const WINDMILL: [Frame, ...Frame[]] = [
  { at: 0, pose: SET },
  {
    at: 0.4,
    pose: pose({
      lean: 12,
      nearArm: { shoulder: 150, elbow: 6 },
      farArm: { shoulder: 60, elbow: 20 },
      nearLeg: { hip: -20, knee: -16 },
      farLeg: { hip: 46, knee: -40 },
    }),
  },
  {
    at: 1,
    pose: pose({
      lean: 6,
      nearArm: { shoulder: 364, elbow: 8 },
      farArm: { shoulder: 30, elbow: 60 },
      nearLeg: { hip: -34, knee: -30 },
      farLeg: { hip: 36, knee: -10 },
    }),
  },
  {
    at: 1.3,
    pose: pose({
      lean: 10,
      nearArm: { shoulder: 420, elbow: 60 },
      farArm: { shoulder: 20, elbow: 60 },
      nearLeg: { hip: -20, knee: -46 },
      farLeg: { hip: 30, knee: -14 },
    }),
  },
];

const CROUCH = pose({
  lean: 22,
  nearArm: { shoulder: 62, elbow: 18 },
  farArm: { shoulder: 6, elbow: 84 },
  nearLeg: { hip: 104, knee: -132 },
  farLeg: { hip: 92, knee: -124 },
});

/** A catch and a throw: 0 is the ball in the mitt, 1 the release. The glove is on the near hand. */
export const CATCH_AND_THROW: [Frame, ...Frame[]] = [
  { at: 0, pose: CROUCH },
  {
    at: 0.5,
    pose: pose({
      lean: 14,
      nearArm: { shoulder: 40, elbow: 96 },
      farArm: { shoulder: 20, elbow: 108 },
      nearLeg: { hip: 40, knee: -52 },
      farLeg: { hip: -12, knee: -24 },
    }),
  },
  {
    at: 0.8,
    pose: pose({
      lean: 0,
      nearArm: { shoulder: 84, elbow: 10 },
      farArm: { shoulder: -84, elbow: 70 },
      nearLeg: { hip: 34, knee: -16 },
      farLeg: { hip: -30, knee: -18 },
    }),
  },
  {
    at: 1,
    pose: pose({
      lean: 24,
      nearArm: { shoulder: 10, elbow: 90 },
      farArm: { shoulder: 132, elbow: 8 },
      nearLeg: { hip: 40, knee: -24 },
      farLeg: { hip: -44, knee: -26 },
    }),
  },
];

/** Waits at the bag and takes the throw: 0 is when the thrower lets go, 1 the ball in the glove. */
export const TAKES_THROW: [Frame, ...Frame[]] = [
  {
    at: 0,
    pose: pose({
      lean: 16,
      nearArm: { shoulder: 24, elbow: 60 },
      farArm: { shoulder: 18, elbow: 62 },
      nearLeg: { hip: 26, knee: -34 },
      farLeg: { hip: -16, knee: -22 },
    }),
  },
  {
    at: 1,
    pose: pose({
      lean: 20,
      nearArm: { shoulder: 48, elbow: 14 },
      farArm: { shoulder: 20, elbow: 50 },
      nearLeg: { hip: 34, knee: -34 },
      farLeg: { hip: -24, knee: -20 },
    }),
  },
];
