/**
 * A body by its joints. Angles are degrees; a limb that hangs straight down is at 0, and what is in
 * front of the body is positive. Elbows bend forward, so their angle is positive; knees bend
 * backward, so theirs is negative.
 */
export interface Pose {
  /** How far the trunk leans forward from upright. */
  lean: number;
  /** How far the body is turned to whoever looks: 0 from the side, 1 straight on. */
  turn: number;
  /** The arm and the leg on the side of whoever looks, and those behind. */
  nearArm: Arm;
  farArm: Arm;
  nearLeg: Leg;
  farLeg: Leg;
}
interface Arm {
  shoulder: number;
  elbow: number;
}
interface Leg {
  hip: number;
  knee: number;
}

/** A place in a picture: right and down are positive. */
export interface Point {
  x: number;
  y: number;
}

/** Where the joints of a body come to lie, its lowest foot on the ground at 0, 0. */
export interface Joints {
  head: Point;
  neck: Point;
  hips: Point;
  near: Side;
  far: Side;
}
interface Side {
  shoulder: Point;
  elbow: Point;
  hand: Point;
  hip: Point;
  knee: Point;
  foot: Point;
}

/** Lengths of a body 100 high. Shares of height as usual in drawing. */
const TRUNK = 35;
const NECK_TO_HEAD = 9;
const THIGH = 24;
const SHIN = 24;
const UPPER_ARM = 17;
const FOREARM = 16;
const SHOULDERS = 11;
const HIPS = 6;

/** Where the joints lie. @param facing 1: the body faces right, -1: left */
export function jointsOf(pose: Pose, facing: 1 | -1): Joints {
  const off = (from: Point, angle: number, length: number): Point => ({
    x: from.x + facing * Math.sin(radians(angle)) * length,
    y: from.y + Math.cos(radians(angle)) * length,
  });
  const hips = { x: 0, y: 0 };
  // The trunk goes up: it leans forward where a limb would swing back.
  const neck = off(hips, 180 - pose.lean, TRUNK);
  const head = off(neck, 180 - pose.lean * 0.6, NECK_TO_HEAD);
  const side = (arm: Arm, leg: Leg, way: 1 | -1): Side => {
    const shoulder = { x: neck.x + way * SHOULDERS * pose.turn, y: neck.y + 3 };
    const elbow = off(shoulder, arm.shoulder, UPPER_ARM);
    const hip = { x: hips.x + way * HIPS * pose.turn, y: hips.y };
    const knee = off(hip, leg.hip, THIGH);
    return {
      shoulder,
      elbow,
      hand: off(elbow, arm.shoulder + arm.elbow, FOREARM),
      hip,
      knee,
      foot: off(knee, leg.hip + leg.knee, SHIN),
    };
  };
  const near = side(pose.nearArm, pose.nearLeg, -1);
  const far = side(pose.farArm, pose.farLeg, 1);
  const down = Math.max(near.foot.y, far.foot.y);
  const lift = (point: Point): Point => ({ x: point.x, y: point.y - down });
  const liftSide = (all: Side): Side => ({
    shoulder: lift(all.shoulder),
    elbow: lift(all.elbow),
    hand: lift(all.hand),
    hip: lift(all.hip),
    knee: lift(all.knee),
    foot: lift(all.foot),
  });
  return {
    head: lift(head),
    neck: lift(neck),
    hips: lift(hips),
    near: liftSide(near),
    far: liftSide(far),
  };
}

function radians(degrees: number): number {
  return (degrees * Math.PI) / 180;
}

/** A pose on the way from one to another. @param share 0 to 1 */
function between(from: Pose, to: Pose, share: number): Pose {
  const mix = (a: number, b: number): number => a + (b - a) * share;
  const arm = (a: Arm, b: Arm): Arm => ({
    shoulder: mix(a.shoulder, b.shoulder),
    elbow: mix(a.elbow, b.elbow),
  });
  const leg = (a: Leg, b: Leg): Leg => ({ hip: mix(a.hip, b.hip), knee: mix(a.knee, b.knee) });
  return {
    lean: mix(from.lean, to.lean),
    turn: mix(from.turn, to.turn),
    nearArm: arm(from.nearArm, to.nearArm),
    farArm: arm(from.farArm, to.farArm),
    nearLeg: leg(from.nearLeg, to.nearLeg),
    farLeg: leg(from.farLeg, to.farLeg),
  };
}

/** A pose and when it is reached. */
export interface Frame {
  at: number;
  pose: Pose;
}

/** The pose at a time, between the two frames around it; before the first and after the last it holds. */
export function poseAt(frames: readonly [Frame, ...Frame[]], at: number): Pose {
  let before: Frame = frames[0];
  for (const frame of frames) {
    if (frame.at > at) {
      if (at <= before.at) return before.pose;
      return between(before.pose, frame.pose, (at - before.at) / (frame.at - before.at));
    }
    before = frame;
  }
  return before.pose;
}
