import type { ReadingId } from '@bradyon/core/units';
import { beforeEach, describe, expect, it } from 'vitest';
import {
  endChain,
  expire,
  settle,
  takeWatch,
  tap,
  undo,
  useWatchStore,
  unsettled,
} from './watchStore.ts';

const delivery = { id: 'delivery' as ReadingId };
const pop = { id: 'pop' as ReadingId };

beforeEach(() => {
  takeWatch('steal');
  takeWatch('battery');
});

describe('the watch in hand', () => {
  it('gives back, tap by tap, the readings that an undo has to set aside', () => {
    tap(1000, 0);
    tap(2400, 0);
    settle(0, delivery);
    tap(4500, 0);
    settle(1, pop);
    expect(undo()).toBe('pop');
    expect(undo()).toBe('delivery');
    expect(undo()).toBeNull();
    expect(useWatchStore.getState()).toMatchObject({ watch: { tapsMs: [] }, fates: [] });
  });

  it('forgets what became of the last chain when a new one starts', () => {
    tap(1000, 0);
    tap(2400, 0);
    settle(0, delivery);
    endChain();
    expect(useWatchStore.getState().fates).toEqual([delivery]);
    tap(20_000, 0);
    expect(useWatchStore.getState().fates).toEqual([]);
  });

  it('keeps the delivery when no throw came', () => {
    tap(1000, 0);
    tap(2400, 0);
    settle(0, delivery);
    expire(7000);
    expect(useWatchStore.getState()).toMatchObject({ watch: { ended: true }, fates: [delivery] });
  });

  it('goes on in another watch that begins alike', () => {
    takeWatch('batteryFromSet');
    tap(1000, 0);
    tap(3500, 0);
    settle(0, delivery);
    takeWatch('pickFromSet');
    tap(4600, 0);
    expect(useWatchStore.getState()).toMatchObject({
      watch: { tapsMs: [1000, 3500, 4600], ended: true },
      fates: [delivery],
    });
  });

  it('starts over when another watch is taken in hand, not when it is the same', () => {
    tap(1000, 0);
    takeWatch('battery');
    expect(useWatchStore.getState().watch.tapsMs).toEqual([1000]);
    takeWatch('homeToFirst');
    expect(useWatchStore.getState().watch.tapsMs).toEqual([]);
  });

  it('gives what fell until it is settled, and then never again', () => {
    takeWatch('battery');
    tap(1000, 1_900_000_000_000);
    tap(2410, 1_900_000_000_000);
    const due = unsettled('battery');
    expect(due.map(({ split }) => split.seconds)).toEqual([1.41]);
    expect(unsettled('battery')).toEqual(due);
    settle(0, { id: 'a' as ReadingId });
    expect(unsettled('battery')).toEqual([]);
    tap(4500, 1_900_000_000_000);
    expect(unsettled('battery').map(({ index }) => index)).toEqual([1]);
    expect(unsettled('runners' as never)).toEqual([]);
  });

  it('takes the moment of a tap from the wall clock at the tap, also after the device has slept', () => {
    takeWatch('battery');
    tap(1000, 1_900_000_000_000);
    // Three hours asleep: the taps' own clock stood still.
    const afterSleep = 1_900_000_000_000 + 3 * 3_600_000;
    tap(2400, afterSleep);
    expect(unsettled('battery')[0]?.atMs).toBe(afterSleep + 2400);
  });
});
