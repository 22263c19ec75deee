import { describe, expect, it } from 'vitest';
import { againstPath, baseSpot, halfFeet, offPath, toField, toPicture } from './geometry.ts';

describe('the field', () => {
  it('has its bases as far apart as the rules say', () => {
    const order = ['home', 'first', 'second', 'third', 'home'] as const;
    for (const [index, base] of order.slice(1).entries()) {
      const [a, b] = [baseSpot(order[index] ?? 'home', 60), baseSpot(base, 60)];
      expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeCloseTo(60, 9);
    }
  });

  it('knows a place off a path, and back', () => {
    const path = { from: baseSpot('second', 90), to: baseSpot('third', 90) };
    // Running from second to third, the outfield is on the right.
    const deep = offPath(path, { along: 15, left: -8 });
    expect(Math.hypot(deep.x - path.from.x, deep.y - path.from.y)).toBeCloseTo(17, 9);
    const back = againstPath(path, deep);
    expect(back.along).toBeCloseTo(15, 9);
    expect(back.left).toBeCloseTo(-8, 9);
    expect(deep.x).toBeLessThan(offPath(path, { along: 15, left: 0 }).x);
  });

  it('is drawn with second base on top, and found again in the picture', () => {
    const view = { left: -20, top: 140, width: 60, height: 60 };
    const second = toPicture(view, baseSpot('second', 90));
    const first = toPicture(view, baseSpot('first', 90));
    expect(second.y).toBeLessThan(first.y);
    expect(toField(view, second)).toEqual(baseSpot('second', 90));
  });

  it('goes by half feet', () => {
    expect(halfFeet(11.3, 4, 20)).toBe(11.5);
    expect(halfFeet(2, 4, 20)).toBe(4);
  });
});
