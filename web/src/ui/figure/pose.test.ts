import { describe, expect, it } from 'vitest';
import { jointsOf, poseAt, type Pose } from './pose.ts';

const hanging = { shoulder: 0, elbow: 0 };
const straight = { hip: 0, knee: 0 };
const upright: Pose = {
  lean: 0,
  turn: 0,
  nearArm: hanging,
  farArm: hanging,
  nearLeg: straight,
  farLeg: straight,
};

describe('a body by its joints', () => {
  it('stands with its lowest foot on the ground and its head highest', () => {
    const { head, hips, near, far } = jointsOf(upright, 1);
    expect(near.foot).toEqual({ x: 0, y: 0 });
    expect(hips.y).toBeCloseTo(-48, 9);
    expect(head.y).toBeLessThan(near.shoulder.y);
    const lifted = jointsOf({ ...upright, farLeg: { hip: 90, knee: -90 } }, 1);
    expect(lifted.near.foot.y).toBe(0);
    expect(lifted.far.foot.y).toBeCloseTo(-24, 9);
    expect(far.foot.y).toBe(0);
  });

  it('reaches to where it faces, and the other way round when it is turned about', () => {
    const reaching: Pose = { ...upright, lean: 20, nearArm: { shoulder: 90, elbow: 0 } };
    const [right, left] = [jointsOf(reaching, 1), jointsOf(reaching, -1)];
    expect(right.near.hand.x).toBeGreaterThan(right.neck.x + 30);
    expect(right.head.x).toBeGreaterThan(0);
    expect(left.near.hand.x).toBeCloseTo(-right.near.hand.x, 9);
    expect(left.near.hand.y).toBeCloseTo(right.near.hand.y, 9);
  });

  it('keeps the length of every limb, however it bends', () => {
    const length = (a: { x: number; y: number }, b: { x: number; y: number }) =>
      Math.hypot(a.x - b.x, a.y - b.y);
    for (const angle of [-120, -40, 0, 75, 160]) {
      const { near } = jointsOf({ ...upright, nearArm: { shoulder: angle, elbow: angle / 2 } }, 1);
      expect(length(near.shoulder, near.elbow)).toBeCloseTo(17, 9);
      expect(length(near.elbow, near.hand)).toBeCloseTo(16, 9);
    }
  });
});

describe('a movement', () => {
  const leaning = { ...upright, lean: 30 };
  it('passes from frame to frame, and holds before the first and after the last', () => {
    const at = (share: number) =>
      poseAt(
        [
          { at: 0, pose: upright },
          { at: 2, pose: leaning },
        ],
        share,
      ).lean;
    expect([-1, 0, 1, 2, 5].map(at)).toEqual([0, 0, 15, 30, 30]);
  });
});
