import { describe, expect, it } from 'vitest';
import { TOUCH_SPOTS } from '@bradyon/core/signs';
import { reach } from './reach.ts';

const ARM = { upper: 17, fore: 17, bend: 1 } as const;
const apart = (a: { x: number; y: number }, b: { x: number; y: number }): number =>
  Math.hypot(a.x - b.x, a.y - b.y);

describe('an arm', () => {
  it('reaches every place that a coach touches, with both its bones as long as they are', () => {
    const shoulder = { x: -11, y: 80 };
    for (const { id, x, y } of TOUCH_SPOTS) {
      const { elbow, hand } = reach(shoulder, { x, y }, ARM);
      expect(apart(hand, { x, y }), id).toBeLessThan(0.01);
      expect(apart(shoulder, elbow)).toBeCloseTo(17, 2);
      expect(apart(elbow, hand)).toBeCloseTo(17, 2);
    }
  });

  it('goes as far as it can toward what is too far, and bends to the side it is told', () => {
    const far = reach({ x: 0, y: 0 }, { x: 100, y: 0 }, ARM);
    expect(far.hand.x).toBeCloseTo(34, 1);
    const [right, left] = ([1, -1] as const).map((bend) =>
      reach({ x: 0, y: 0 }, { x: 20, y: 0 }, { ...ARM, bend }),
    );
    expect(right?.elbow.y).toBeLessThan(0);
    expect(left?.elbow.y).toBeGreaterThan(0);
  });
});
