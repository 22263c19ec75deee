import { describe, expect, it } from 'vitest';
import { aReading } from '../../test/aReading.ts';
import { makeRandom, normalDraw } from '../maths/index.ts';
import { PRESETS } from '../rules/index.ts';
import { conditionsOf, populationsOf } from '../sprint/index.ts';
import type { AccountId, ReadingId } from '../units/index.ts';
import { growthOf } from './growth.ts';

const field = conditionsOf({ level: 'hs', levelChanges: {}, ruleset: PRESETS.fullSizeSeven });
const person = { throws: 'right', bats: 'right' } as const;
const day = (nth: number): string =>
  new Date(Date.UTC(2031, 3, 1) + nth * 86_400_000).toISOString();

/** Deliveries around a mean before and after a day, three days apart. */
const deliveries = (
  before: number,
  after: number,
  {
    by = ['a', 'a'],
    count = 12,
    seed = 1,
  }: { by?: [string, string]; count?: number; seed?: number } = {},
) => {
  const random = makeRandom(seed);
  return Array.from({ length: 2 * count }, (_, nth) =>
    aReading({
      id: `r${String(nth)}` as ReadingId,
      kind: 'delivery',
      style: 'legLift',
      seconds: Number(normalDraw(random, nth < count ? before : after, 0.05).toFixed(3)),
      method: 'thumb',
      timedBy: (nth < count ? by[0] : by[1]) as AccountId,
      takenAt: day(3 * nth),
    }),
  );
};
const growth = (readings: ReturnType<typeof deliveries>, now = day(72)) =>
  growthOf(person, populationsOf(person, readings, field, new Map()), field, 'hs', new Date(now));

describe('growth', () => {
  it('is called where it is beyond doubt, and not where nothing changed', () => {
    const [quicker] = growth(deliveries(1.5, 1.25));
    expect(quicker?.trend.verdict).toBe('quicker');
    expect(quicker?.trend.change ?? 0).toBeLessThan(-0.1);
    const [slower] = growth(deliveries(1.25, 1.5));
    expect(slower?.trend.verdict).toBe('slower');
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const [same] = growth(deliveries(1.4, 1.4, { seed }));
      expect(same?.trend.verdict).toBe('cannotTell');
    }
  });

  it('does not take a new thumb for a new pace', () => {
    const [one] = growth(deliveries(1.42, 1.36));
    const [other] = growth(deliveries(1.42, 1.36, { by: ['a', 'b'] }));
    expect(other?.trend.changeSd ?? 0).toBeGreaterThan(one?.trend.changeSd ?? 1);
    expect(other?.trend.verdict).toBe('cannotTell');
  });

  it('says when a number is out of date, and nothing of fewer than three times or of holds', () => {
    const own = deliveries(1.4, 1.4);
    expect(growth(own)[0]?.isStale).toBe(false);
    const [old] = growth(own, day(200));
    expect(old?.isStale).toBe(true);
    expect(old?.doubtSeconds ?? 0).toBeGreaterThan(growth(own)[0]?.doubtSeconds ?? 1);
    expect(growth(own.slice(0, 2))).toEqual([]);
    const holds = own.map((each) => ({ ...each, kind: 'hold' as const, style: null, seconds: 2 }));
    expect(growth(holds)).toEqual([]);
    // What was set aside was never timed.
    const aside = own.map((each) => ({ ...each, asideReason: 'wrong tap' as const }));
    expect(growth(aside)).toEqual([]);
  });
});
