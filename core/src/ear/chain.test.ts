import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  anyLength,
  doubtBesideThumb,
  doubtBetween,
  EAR_PLANS,
  earState,
  happenedAt,
  lateBySeconds,
  speedOfSound,
  withMoment,
  type EarPlanName,
  type Hearing,
  type Moment,
  type Source,
  type Stand,
} from './index.ts';

const home: Source = { place: { x: 0, y: 0 }, sdFeet: 3 };
const second: Source = { place: { x: 90, y: 90 }, sdFeet: 3 };
/** 30 ft behind the plate, in line with second. */
const backstop: Stand = { place: { x: -21.213, y: -21.213 }, celsius: 20 };

const pop = (lateSeconds: readonly number[] = [0, 0]): Hearing => ({
  plan: EAR_PLANS.pop,
  lateSeconds,
  bounds: () => ({ min: 1.7, max: 3.2 }),
});
const ears = (...at: number[]): Moment[] =>
  at.map((atSeconds) => ({ atSeconds, by: 'ear', isSure: true }));
const tap = (atSeconds: number): Moment => ({ atSeconds, by: 'tap', isSure: true });
const sounds = (moments: readonly Moment[], hearing: Hearing, now: number) =>
  earState(moments, hearing, now);

describe('the way of the sound', () => {
  it('is as long as it takes: agreed figures', () => {
    expect(speedOfSound(0)).toBeCloseTo(1087, 0);
    expect(speedOfSound(20)).toBeCloseTo(1126, 0);
    expect(speedOfSound(30)).toBeCloseTo(1145, 0);
    expect(
      lateBySeconds({ place: { x: 10, y: 0 }, sdFeet: 3 }, { ...backstop, place: home.place }),
    ).toBeCloseTo(0.009, 3);
    expect(lateBySeconds(second, backstop) - lateBySeconds(home, backstop)).toBeCloseTo(0.113, 3);
    expect(() => speedOfSound(80)).toThrow(RangeError);
  });

  it('is best known in line with both gloves, and worst between them', () => {
    const between: Stand = { ...backstop, place: { x: 45, y: 45 } };
    const aside: Stand = { ...backstop, place: { x: 90, y: -15 } };
    const [inLine, box, middle] = [backstop, aside, between].map((stand) =>
      doubtBetween(home, second, stand),
    ) as [number, number, number];
    expect(inLine).toBeLessThan(0.009);
    expect(box).toBeGreaterThan(inLine);
    expect(middle).toBeGreaterThan(box);
    // One ear is worth far more than a thumb.
    expect(middle).toBeLessThan(0.045 / 2);
  });

  it('counts beside a thumb too, and the device’s own delay with it', () => {
    const measured = doubtBesideThumb(home, backstop, 'measured');
    expect(doubtBesideThumb(home, backstop, 'typical')).toBeGreaterThan(measured);
    expect(measured).toBeLessThan(0.01);
  });

  it('to a camera is taken out of what a clip has heard', () => {
    const { atSeconds, sdSeconds } = happenedAt(3, 60);
    expect(3 - atSeconds).toBeCloseTo(0.053, 3);
    expect(sdSeconds).toBeGreaterThan(0.003);
    // Finer than a frame of the usual camera.
    expect(sdSeconds).toBeLessThan(1 / 30 / Math.sqrt(12));
  });

  it('taken out, a throw lasts as long from wherever it is heard', () => {
    const feet = fc.double({ min: -60, max: 160, noNaN: true });
    fc.assert(
      fc.property(feet, feet, fc.double({ min: 1.8, max: 3.1, noNaN: true }), (x, y, truth) => {
        const stand: Stand = { place: { x, y }, celsius: 12 };
        const late = [lateBySeconds(home, stand), lateBySeconds(second, stand)];
        const heard = ears(5 + (late[0] ?? 0), 5 + truth + (late[1] ?? 0));
        const found = sounds(heard, pop(late), 20);
        expect(found.state).toBe('one');
        if (found.state !== 'one') return;
        expect(found.chain.splits[0]?.seconds).toBeCloseTo(truth, 2);
      }),
    );
  });
});

describe('a pop by ear', () => {
  it('waits for a glove, then whether more comes, and is kept when nothing did', () => {
    expect(sounds(ears(10), pop(), 11).state).toBe('waiting');
    expect(sounds(ears(10, 12.08), pop(), 12.1)).toMatchObject({
      state: 'open',
      chains: [{ splits: [{ kind: 'pop', seconds: 2.08 }] }],
    });
    expect(sounds(ears(10, 12.08), pop(), 15.4)).toMatchObject({
      state: 'one',
      chain: { splits: [{ kind: 'pop', seconds: 2.08 }] },
    });
  });

  it('is nothing without a glove in time', () => {
    expect(sounds(ears(10), pop(), 13.5).state).toBe('nothing');
    expect(sounds(ears(10, 11), pop(), 14.5).state).toBe('nothing');
    expect(sounds(ears(10, 14), pop(), 17.5).state).toBe('nothing');
  });

  it('is asked about when two gloves fit, two mitts do, or one is not sure', () => {
    expect(sounds(ears(10, 12.08, 12.6), pop(), 16)).toMatchObject({
      state: 'ask',
      chains: [{ splits: [{ seconds: 2.08 }] }, { splits: [{ seconds: 2.6 }] }],
    });
    expect(sounds(ears(10, 10.3, 12.2), pop(), 16)).toMatchObject({ state: 'ask' });
    const faint: Moment[] = [...ears(10), { ...tap(12.08), by: 'ear', isSure: false }];
    expect(sounds(faint, pop(), 16)).toMatchObject({ state: 'ask', chains: [{ isSure: false }] });
  });

  it('of two throws that cross is asked about, and of a din is not told', () => {
    const crossing = ears(10, 10.8, 12.1, 12.9);
    const found = sounds(crossing, pop(), 17);
    expect(found.state).toBe('ask');
    const din = ears(...Array.from({ length: 9 }, (_, nth) => 10 + 0.5 * nth));
    expect(sounds(din, pop(), 20).state).toBe('noise');
  });
});

describe('what a thumb begins or ends', () => {
  const bounds: Hearing['bounds'] = (kind) =>
    kind === 'delivery' ? { min: 1, max: 2.2 } : { min: 1.7, max: 3.2 };
  const hearing = (name: EarPlanName, lateSeconds: readonly number[]): Hearing => ({
    plan: EAR_PLANS[name],
    lateSeconds,
    bounds,
  });

  it('is a delivery: the mitt’s way is taken out, the thumb has none', () => {
    const found = sounds([tap(4), ...ears(5.45)], hearing('delivery', [0, 0.027]), 8);
    expect(found).toMatchObject({ chain: { splits: [{ kind: 'delivery', seconds: 1.423 }] } });
  });

  it('is a delivery and a pop, or a delivery alone when nobody threw', () => {
    const both = hearing('battery', [0, 0.027, 0.139]);
    expect(sounds([tap(4), ...ears(5.45, 7.7)], both, 12)).toMatchObject({
      chain: {
        splits: [
          { kind: 'delivery', seconds: 1.423 },
          { kind: 'pop', seconds: 2.138 },
        ],
      },
    });
    expect(sounds([tap(4), ...ears(5.45)], both, 12)).toMatchObject({
      chain: { splits: [{ kind: 'delivery' }] },
    });
  });

  it('hears nothing before the tap', () => {
    const first = withMoment([], { ...tap(3), by: 'ear' }, hearing('delivery', [0, 0]));
    expect(first).toEqual([]);
    expect(withMoment(first, tap(4), hearing('delivery', [0, 0]))).toHaveLength(1);
  });

  it('is over with the tap on the bag', () => {
    const toFirst: Hearing = {
      plan: EAR_PLANS.homeToFirst,
      lateSeconds: [0.03, 0],
      bounds: () => ({ min: 3.4, max: 6 }),
    };
    const heard = [...ears(10, 13.2), tap(14.3)];
    expect(sounds(heard, toFirst, 14.35)).toMatchObject({
      state: 'one',
      chain: { splits: [{ kind: 'homeToFirst', seconds: 4.33 }] },
    });
  });
});

it('forgets what is too old to be part of anything, and keeps what may', () => {
  const moment = fc.record({
    atSeconds: fc.double({ min: 0, max: 60, noNaN: true }),
    by: fc.constantFrom('ear' as const, 'tap' as const),
    isSure: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(moment, { maxLength: 30 }), (all) => {
      const inOrder = all.toSorted((a, b) => a.atSeconds - b.atSeconds);
      const kept = inOrder.reduce<readonly Moment[]>(
        (before, each) => withMoment(before, each, pop()),
        [],
      );
      const last = inOrder.at(-1)?.atSeconds ?? 0;
      expect(kept.every(({ atSeconds }) => atSeconds >= last - 3.2)).toBe(true);
      const recentEars = inOrder.filter(
        ({ by, atSeconds }) => by === 'ear' && atSeconds >= last - 3.2,
      );
      expect(kept.filter(({ by }) => by === 'ear')).toEqual(recentEars);
    }),
  );
});

it('knows how long a kind may last where the level does not', () => {
  expect(anyLength('outfieldThrow')).toEqual({ min: 0.8, max: 9 });
});
