import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  READY,
  WATCH_PLANS,
  endWatch,
  expectedMark,
  expireWatch,
  keepMarks,
  splitsOf,
  tapWatch,
  undoTap,
  type Watch,
} from './index.ts';

const battery = WATCH_PLANS.battery;
const tapAt = (...timesMs: number[]): Watch =>
  timesMs.reduce((watch, atMs) => tapWatch(watch, battery, atMs), READY);

describe('the chained watch', () => {
  it('makes a delivery of the first two taps and a pop of the third', () => {
    expect(splitsOf(tapAt(1000), battery)).toEqual([]);
    expect(splitsOf(tapAt(1000, 2410.4), battery)).toEqual([{ kind: 'delivery', seconds: 1.41 }]);
    const done = tapAt(1000, 2410.4, 4500.2);
    expect(splitsOf(done, battery)).toEqual([
      { kind: 'delivery', seconds: 1.41 },
      { kind: 'pop', seconds: 2.09 },
    ]);
    expect(done.ended).toBe(true);
  });

  it('starts a new chain with the tap after the bag', () => {
    const next = tapAt(1000, 2410, 4500, 20_000);
    expect(next.tapsMs).toEqual([20_000]);
    expect(expectedMark(next)).toBe(1);
  });

  it('can end after the mitt, keeping the delivery', () => {
    const ended = endWatch(tapAt(1000, 2410));
    expect(splitsOf(ended, battery)).toHaveLength(1);
    expect(expectedMark(ended)).toBe(0);
    expect(endWatch(tapAt(1000))).toEqual(READY);
  });

  it('refuses a second tap of the same shaky thumb and says so', () => {
    const bounced = tapAt(1000, 1090);
    expect(bounced.tapsMs).toEqual([1000]);
    expect(bounced.notice).toBe('bounce');
    expect(tapAt(1000, 2410, 4500, 4560).tapsMs).toEqual([1000, 2410, 4500]);
  });

  it('undoes the last tap only, and runs on', () => {
    const undone = undoTap(tapAt(1000, 2410, 4500));
    expect(undone.ended).toBe(false);
    expect(splitsOf(undone, battery)).toEqual([{ kind: 'delivery', seconds: 1.41 }]);
    expect(undoTap(undoTap(undone)).tapsMs).toEqual([]);
  });

  it('ends by itself when no throw came, and clears a first move without a pitch', () => {
    expect(expireWatch(tapAt(1000, 2400), battery, 6300).ended).toBe(false);
    expect(expireWatch(tapAt(1000, 2400), battery, 6500).ended).toBe(true);
    expect(expireWatch(tapAt(1000), battery, 5100)).toEqual({ ...READY, notice: 'expired' });
    expect(expireWatch(READY, battery, 99_999)).toBe(READY);
  });

  it('waits for each event as long as its kind can take', () => {
    const fromSet = WATCH_PLANS.batteryFromSet;
    const set = tapWatch(READY, fromSet, 1000);
    expect(expireWatch(set, fromSet, 15_000)).toBe(set);
    const moved = tapWatch(set, fromSet, 4000);
    expect(splitsOf(moved, fromSet)).toEqual([{ kind: 'hold', seconds: 3 }]);
    expect(expireWatch(moved, fromSet, 8500).ended).toBe(true);
  });

  it('turns a pitch into a pick-off in mid-chain and keeps what was tapped', () => {
    const { batteryFromSet, pickFromSet, pick } = WATCH_PLANS;
    const moved = tapWatch(tapWatch(READY, batteryFromSet, 0), batteryFromSet, 2500);
    const turned = keepMarks(moved, batteryFromSet, pickFromSet);
    expect(splitsOf(tapWatch(turned, pickFromSet, 3600), pickFromSet)).toEqual([
      { kind: 'hold', seconds: 2.5 },
      { kind: 'pick', seconds: 1.1 },
    ]);
    // Another beginning, or a chain that has gone past it: start over.
    expect(keepMarks(moved, batteryFromSet, pick)).toEqual(READY);
    const caught = tapWatch(moved, batteryFromSet, 3900);
    expect(keepMarks(caught, batteryFromSet, pickFromSet)).toEqual(READY);
  });

  it('adds up: the splits of any chain sum to last tap less first', () => {
    const gaps = fc.array(fc.integer({ min: 150, max: 3900 }), { minLength: 1, maxLength: 2 });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e9 }), gaps, (startMs, gapsMs) => {
        const taps = gapsMs.reduce((all, gap) => [...all, (all.at(-1) ?? 0) + gap], [startMs]);
        const total = splitsOf(tapAt(...taps), battery).reduce(
          (sum, { seconds }) => sum + seconds,
          0,
        );
        expect(total).toBeCloseTo(((taps.at(-1) ?? 0) - startMs) / 1000, 6);
      }),
    );
  });
});
