import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { phoneSlots, ROOMS } from './rooms.ts';

describe('the rooms', () => {
  it('have a key each, and stand together by group', () => {
    expect(new Set(ROOMS.map(({ key }) => key)).size).toBe(ROOMS.length);
    const groups = ROOMS.map(({ group }) => group);
    const runs = groups.filter((group, index) => group !== groups[index - 1]);
    expect(new Set(runs).size).toBe(runs.length);
  });

  it('fit a phone: five slots with More in them, and none is lost', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), (count) => {
        const rooms = Array.from({ length: count }, (_, index) => index);
        const { bar, more } = phoneSlots(rooms);
        expect([...bar, ...more]).toEqual(rooms);
        expect(bar.length + (more.length > 0 ? 1 : 0)).toBeLessThanOrEqual(5);
        expect(more.length).not.toBe(1);
      }),
    );
  });
});
