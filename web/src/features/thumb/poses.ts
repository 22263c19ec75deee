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
