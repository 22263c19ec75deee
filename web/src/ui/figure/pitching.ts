import type { Frame, Pose } from './pose.ts';

const pose = (parts: Partial<Pose>): Pose => ({
  lean: 4,
  turn: 0.15,
  nearArm: { shoulder: 12, elbow: 30 },
  farArm: { shoulder: 12, elbow: 30 },
  nearLeg: { hip: 10, knee: -14 },
  farLeg: { hip: -8, knee: -10 },
  ...parts,
});

/** The poses that a delivery from the stretch passes through. The throwing arm is the near one. */
export const PITCHING = {
  /** Hands together at the belt, weight on both feet. */
  set: pose({
    nearArm: { shoulder: 16, elbow: 96 },
    farArm: { shoulder: 24, elbow: 90 },
    nearLeg: { hip: -7, knee: -6 },
    farLeg: { hip: 9, knee: -6 },
  }),
  /** Weight over the back leg, the front knee up. */
  lifted: pose({
    lean: -5,
    nearArm: { shoulder: 20, elbow: 100 },
    farArm: { shoulder: 28, elbow: 96 },
    nearLeg: { hip: -3, knee: -6 },
    farLeg: { hip: 100, knee: -96 },
  }),
  stride: pose({
    lean: 2,
    nearArm: { shoulder: -92, elbow: 60 },
    farArm: { shoulder: 80, elbow: 12 },
    nearLeg: { hip: -36, knee: -24 },
    farLeg: { hip: 52, knee: -20 },
  }),
  release: pose({
    lean: 34,
    nearArm: { shoulder: 138, elbow: 8 },
    farArm: { shoulder: -14, elbow: 96 },
    nearLeg: { hip: -58, knee: -34 },
    farLeg: { hip: 44, knee: -26 },
  }),
} as const satisfies Record<string, Pose>;

/** A delivery from the stretch: 0 is the first move, 1 the release. */
export const DELIVERY: [Frame, ...Frame[]] = [
  { at: 0, pose: PITCHING.set },
  { at: 0.42, pose: PITCHING.lifted },
  { at: 0.76, pose: PITCHING.stride },
  { at: 1, pose: PITCHING.release },
  {
    at: 1.25,
    pose: pose({
      lean: 62,
      nearArm: { shoulder: 38, elbow: 10 },
      farArm: { shoulder: -24, elbow: 70 },
      nearLeg: { hip: -62, knee: -30 },
      farLeg: { hip: 38, knee: -26 },
    }),
  },
];

/** A windmill: the arm goes all the way round and lets go at the hip. */
export const WINDMILL: [Frame, ...Frame[]] = [
  { at: 0, pose: PITCHING.set },
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
