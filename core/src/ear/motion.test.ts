import { describe, expect, it } from 'vitest';
import { makeRandom, normalDraw } from '../maths/index.ts';
import { firstMoveOf, luminanceOf, motionBetween } from './index.ts';

describe('motion between pictures', () => {
  it('is how much a pixel changes on average, by how bright it looks', () => {
    const black = luminanceOf(Uint8ClampedArray.of(0, 0, 0, 255, 0, 0, 0, 255));
    const half = luminanceOf(Uint8ClampedArray.of(255, 255, 255, 255, 0, 0, 0, 255));
    expect(motionBetween(black, black)).toBe(0);
    expect(motionBetween(black, half)).toBeCloseTo(127.5, 0);
    const [green] = luminanceOf(Uint8ClampedArray.of(0, 255, 0, 255));
    const [blue] = luminanceOf(Uint8ClampedArray.of(0, 0, 255, 255));
    expect(green).toBeGreaterThan(blue ?? 0);
    expect(motionBetween(new Uint8Array(0), new Uint8Array(0))).toBe(0);
    expect(() => motionBetween(black, new Uint8Array(3))).toThrow(RangeError);
  });
});

describe('a first move', () => {
  /** A camera's own noise, and from one picture on a pitcher who moves. */
  const trace = (seed: number, from: number, moves: readonly number[]) => {
    const random = makeRandom(seed);
    return Array.from({ length: 90 }, (_, nth) => {
      const move = nth < from ? 0 : (moves[nth - from] ?? moves.at(-1) ?? 0);
      return nth === 0 ? 0 : 1 + Math.abs(normalDraw(random, 0, 0.08)) + move;
    });
  };

  it('is the first of three pictures running that differ from the rest', () => {
    for (let seed = 1; seed <= 40; seed += 1) {
      expect(firstMoveOf(trace(seed, 47, [1.2, 2, 3]), 30).frame).toBe(47);
    }
  });

  it('is no single flash', () => {
    const flash = trace(3, 200, []);
    flash[30] = 9;
    flash[31] = 9;
    expect(firstMoveOf(flash, 30).frame).toBeNull();
  });

  it('is not claimed of who never rests, or of too short a clip', () => {
    expect(
      firstMoveOf(
        Array.from({ length: 60 }, (_, nth) => (nth % 2 ? 9 : 8)),
        30,
      ).frame,
    ).toBeNull();
    expect(firstMoveOf([0, 5, 5, 5, 5], 30).frame).toBeNull();
    expect(firstMoveOf([], 30).frame).toBeNull();
  });
});
