import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeSound, makeEar, onsetsOf, envelopeOf, type MadeNoise, type Onset } from './index.ts';
import { makeBand } from './band.ts';

const RATE = 48_000;

/** What an ear hears of a sound that comes block by block, as a browser gives it. */
function heardOf(sound: Float32Array, sampleRate = RATE): Onset[] {
  const ear = makeEar(sampleRate);
  const onsets: Onset[] = [];
  for (let at = 0; at < sound.length; at += 128)
    onsets.push(...ear.hear(sound.subarray(at, at + 128)));
  return onsets;
}

/** Bursts about a second and a half apart, at no round instants. */
function burstsAt(count: number, overDb: number, nth = 0) {
  return Array.from({ length: count }, (_, each) => ({
    atSeconds: 1.6 + 1.4 * each + ((0.137 * (nth + 1) + 0.0773 * each) % 0.4),
    overDb,
  }));
}

describe('what is let through', () => {
  const loudnessAt = (hz: number): number => {
    const band = makeBand(RATE);
    let power = 0;
    for (let at = 0; at < RATE / 4; at += 1) {
      power += band(Math.sin((2 * Math.PI * hz * at) / RATE)) ** 2;
    }
    return 10 * Math.log10((2 * power) / (RATE / 4));
  };

  it('is the band of a mitt, and little beside it', () => {
    expect(loudnessAt(3000)).toBeGreaterThan(-0.5);
    expect(loudnessAt(1200)).toBeCloseTo(-3, 0);
    expect(loudnessAt(120)).toBeLessThan(-35);
    expect(loudnessAt(20_000)).toBeLessThan(-20);
  });

  it('needs a device that tells the band at all', () => {
    expect(() => makeBand(8000)).toThrow(RangeError);
    expect(() => makeEar(Number.NaN)).toThrow(RangeError);
  });
});

describe('a sharp sound', () => {
  it.each<[MadeNoise, number]>([
    ['pink', 30],
    ['pink', 20],
    ['crowd', 20],
    ['wind', 20],
    ['bus', 20],
  ])('in %s, %i dB over it, is found within 5 ms, and nothing else is', (noise, overDb) => {
    const bursts = burstsAt(7, overDb);
    const sound = makeSound({ seed: 3, seconds: 12, noise, bursts });
    const heard = heardOf(sound);
    expect(heard).toHaveLength(bursts.length);
    for (const [nth, { atSeconds }] of heard.entries()) {
      expect(Math.abs(atSeconds - (bursts[nth]?.atSeconds ?? 0))).toBeLessThan(0.002);
    }
    expect(heard.filter(({ isSure }) => isSure).length).toBeGreaterThanOrEqual(6);
  });

  it('begins where it rises itself, not with a rustle just before it', () => {
    const bursts = [1.8, 3.3, 4.7].flatMap((atSeconds) => [
      { atSeconds: atSeconds - 0.004, overDb: 18 },
      { atSeconds, overDb: 45 },
    ]);
    const heard = heardOf(makeSound({ seed: 6, seconds: 6, noise: 'pink', bursts }));
    expect(heard.map(({ atSeconds }) => atSeconds)).toEqual(
      [1.8, 3.3, 4.7].map((at) => expect.closeTo(at, 2.7) as number),
    );
  });

  it('10 dB over it is mostly found, as exactly, and not always sure', () => {
    const found = [1, 2, 3].flatMap((seed) => {
      const bursts = burstsAt(7, 10, seed);
      return heardOf(makeSound({ seed, seconds: 12, noise: 'pink', bursts })).map((onset) => ({
        ...onset,
        off: Math.min(...bursts.map(({ atSeconds }) => Math.abs(atSeconds - onset.atSeconds))),
      }));
    });
    expect(found.length).toBeGreaterThan(14);
    for (const { off } of found) expect(off).toBeLessThan(0.003);
    expect(found.some(({ isSure }) => isSure)).toBe(true);
    expect(found.some(({ isSure }) => !isSure)).toBe(true);
  });

  it('that hardly stands out is not claimed to be sure', () => {
    const seeds = [1, 2, 3, 4];
    const heard = seeds.flatMap((seed) =>
      heardOf(makeSound({ seed, seconds: 12, noise: 'pink', bursts: burstsAt(7, 6, seed) })),
    );
    expect(heard.filter(({ isSure }) => isSure)).toEqual([]);
    expect(heard.length).toBeLessThan(3);
  });

  it('is the same however the device cuts the sound, and on a device of another rate', () => {
    const bursts = burstsAt(3, 25);
    const sound = makeSound({ seed: 5, seconds: 6, noise: 'pink', bursts });
    const whole = makeEar(RATE).hear(sound);
    expect(whole).toEqual(heardOf(sound));
    const other = heardOf(
      makeSound({ seed: 5, seconds: 6, noise: 'pink', bursts, sampleRate: 44_100 }),
      44_100,
    );
    for (const [nth, { atSeconds }] of other.entries()) {
      expect(Math.abs(atSeconds - (bursts[nth]?.atSeconds ?? 0))).toBeLessThan(0.005);
    }
    expect(other).toHaveLength(3);
  });

  it('and its echo are one, and in the first second nobody is heard', () => {
    const bursts = [
      { atSeconds: 0.5, overDb: 30 },
      { atSeconds: 2, overDb: 30 },
      { atSeconds: 2.08, overDb: 24 },
    ];
    const heard = heardOf(makeSound({ seed: 7, seconds: 3, noise: 'pink', bursts }));
    expect(heard).toHaveLength(1);
    expect(heard[0]?.atSeconds).toBeCloseTo(2, 2);
  });

  it('comes after any noise alone: pure noise has none', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const sound = makeSound({ seed, seconds: 3, noise: 'pink', bursts: [] });
        expect(heardOf(sound)).toEqual([]);
      }),
      { numRuns: 12 },
    );
  });
});

describe('loudness', () => {
  it('says that a bus is passing, hears no mitt in it by mistake, and that it is gone', () => {
    const sound = makeSound({ seed: 9, seconds: 16, noise: 'bus', bursts: [] });
    const ear = makeEar(RATE);
    const loudAt: number[] = [];
    for (let at = 0; at < sound.length; at += 128) {
      expect(ear.hear(sound.subarray(at, at + 128))).toEqual([]);
      if (ear.loudness().isLoud) loudAt.push(at / RATE);
    }
    expect(loudAt[0]).toBeGreaterThan(4);
    expect(loudAt.at(-1)).toBeLessThan(14);
    expect(loudAt.length * 128).toBeGreaterThan(3 * RATE);
  });

  it('settles first, and asks for more where the noise is uneven', () => {
    const after = (noise: MadeNoise) => {
      const ear = makeEar(RATE);
      ear.hear(makeSound({ seed: 2, seconds: 0.9, noise, bursts: [] }));
      const first = ear.loudness();
      ear.hear(makeSound({ seed: 2, seconds: 6, noise, bursts: [] }));
      return { first, then: ear.loudness() };
    };
    const [even, uneven] = [after('pink'), after('crowd')];
    expect(even.first.isSettling).toBe(true);
    expect(even.then.isSettling).toBe(false);
    expect(even.then.neededDb).toBeCloseTo(7, 1);
    expect(uneven.then.neededDb).toBeGreaterThan(even.then.neededDb);
  });

  it('of silence is a number', () => {
    const ear = makeEar(RATE);
    expect(ear.hear(new Float32Array(2 * RATE))).toEqual([]);
    expect(Number.isFinite(ear.loudness().nowDb)).toBe(true);
    // A device that lets nothing through while it is quiet makes no mitt of a breath.
    const breath = Float32Array.from({ length: RATE }, (_, at) => 2e-5 * Math.sin(at));
    expect(ear.hear(breath)).toEqual([]);
  });
});

describe('the sound of a clip', () => {
  const bursts = [
    { atSeconds: 0.31, overDb: 28 },
    { atSeconds: 1.77, overDb: 25 },
    { atSeconds: 3.912, overDb: 25 },
  ];

  it('is heard from its very beginning, exactly', () => {
    const sound = makeSound({ seed: 11, seconds: 4.5, noise: 'pink', bursts });
    const heard = onsetsOf(sound, RATE);
    expect(heard).toHaveLength(3);
    for (const [nth, { atSeconds }] of heard.entries()) {
      expect(Math.abs(atSeconds - (bursts[nth]?.atSeconds ?? 0))).toBeLessThan(0.003);
    }
  });

  it('may be short, or nothing', () => {
    expect(onsetsOf(new Float32Array(0), RATE)).toEqual([]);
    const short = makeSound({
      seed: 11,
      seconds: 0.6,
      noise: 'pink',
      bursts: [{ atSeconds: 0.31, overDb: 28 }],
    });
    expect(onsetsOf(short, RATE)).toHaveLength(1);
  });

  it('is drawn by the loudest of each stretch', () => {
    expect(envelopeOf(Float32Array.of(0, 0.2, -0.5, 0.1), 2)).toEqual([
      expect.closeTo(0.2, 6),
      expect.closeTo(0.5, 6),
    ]);
    expect(envelopeOf(Float32Array.of(3), 1)).toEqual([1]);
  });
});
