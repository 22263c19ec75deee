import type { MouseEvent, PointerEvent } from 'react';
import { describe, expect, it } from 'vitest';
import { onTap } from './onTap.ts';

const down = (parts: Partial<PointerEvent>): PointerEvent =>
  ({ isPrimary: true, button: 0, nativeEvent: { timeStamp: 5 }, ...parts }) as PointerEvent;
const click = (detail: number): MouseEvent =>
  ({ detail, nativeEvent: { timeStamp: 9 } }) as MouseEvent;

describe('a tap', () => {
  it('is when the finger comes down, once', () => {
    const taps: number[] = [];
    const heard = onTap((at) => taps.push(at));
    heard.onPointerDown(down({}));
    // The click of the same finger.
    heard.onClick(click(1));
    expect(taps).toEqual([5]);
  });

  it('is a click where there was no finger: Enter, Space, a screen reader', () => {
    const taps: number[] = [];
    onTap((at) => taps.push(at)).onClick(click(0));
    expect(taps).toEqual([9]);
  });

  it('is no second finger and no other button, unless any finger counts', () => {
    const taps: number[] = [];
    const one = onTap((at) => taps.push(at));
    one.onPointerDown(down({ isPrimary: false }));
    one.onPointerDown(down({ button: 2 }));
    expect(taps).toEqual([]);
    onTap((at) => taps.push(at), { anyFinger: true }).onPointerDown(down({ isPrimary: false }));
    expect(taps).toEqual([5]);
  });
});
