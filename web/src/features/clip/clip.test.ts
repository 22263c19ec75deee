import { stepOfDeviation } from '@bradyon/core/timing';
import { describe, expect, it } from 'vitest';
import { clipSplits, frameAt, playRate, trueSeconds } from './clip.ts';

describe('the rate of a clip', () => {
  const at = (fps: number, frames: number[]) => frames.map((frame) => frame / fps);

  it('is seen from the frames shown, also when some were skipped', () => {
    expect(playRate(at(30, [0, 1, 2, 3, 4, 5, 6]))).toBe(30);
    expect(playRate(at(29.97, [0, 1, 3, 4, 6, 7, 8, 9]))).toBe(30);
    expect(playRate(at(240, [0, 1, 2, 3, 4, 5]))).toBe(240);
    expect(playRate(at(17, [0, 1, 2, 3, 4, 5]))).toBe(17);
  });

  it('cannot be told from too few', () => {
    expect(playRate(at(30, [0, 1]))).toBeNull();
    expect(playRate([])).toBeNull();
  });
});

describe('true times', () => {
  it('are the clip’s own at its own rate, and shorter for slow motion', () => {
    expect(trueSeconds(1, 2.4, { playFps: 30, trueFps: 30 })).toBe(1.4);
    expect(trueSeconds(1, 12.2, { playFps: 30, trueFps: 240 })).toBe(1.4);
  });

  it('step to the middle of the next frame, and not before the first', () => {
    expect(frameAt(10 / 30, 1, 30)).toBeCloseTo(11.5 / 30, 9);
    expect(frameAt(10 / 30, -1, 30)).toBeCloseTo(9.5 / 30, 9);
    expect(frameAt(0, -5, 30)).toBe(0);
  });
});

describe('the splits of a clip', () => {
  const rates = { playFps: 30, trueFps: 120 };
  const seen = (...at: (number | null)[]) =>
    at.map((seenAt) => (seenAt === null ? null : { seenAt }));

  it('lie between marks that are set', () => {
    expect(clipSplits('battery', seen(2, 7.6, null), rates)).toMatchObject([
      { kind: 'delivery', seconds: 1.4, isSeen: true },
    ]);
    expect(clipSplits('battery', seen(2, 7.6, 16), rates)).toHaveLength(2);
    expect(clipSplits('battery', seen(null, 7.6, 16), rates)).toMatchObject([
      { kind: 'pop', seconds: 2.1 },
    ]);
  });

  it('run forward, except for a runner who left early', () => {
    expect(clipSplits('steal', seen(5, 4), rates)).toEqual([]);
    expect(clipSplits('leave', seen(5, 4.6), rates)).toMatchObject([
      { kind: 'leave', seconds: -0.1 },
    ]);
  });

  it('are off by a frame when both ends are seen, and by less when they are heard', () => {
    const own = { playFps: 30, trueFps: 30 };
    const [both] = clipSplits('pop', seen(1, 3), own);
    expect(stepOfDeviation(both?.sdSeconds ?? 0)).toBeCloseTo(1 / 30, 5);
    const [heard] = clipSplits(
      'pop',
      [
        { heardAt: 1, feet: 60 },
        { heardAt: 3.2, feet: 187 },
      ],
      own,
    );
    expect(heard?.isSeen).toBe(false);
    expect(heard?.sdSeconds).toBeLessThan(both?.sdSeconds ?? 0);
    // The glove at second is farther from the camera by 127 ft: .113 s.
    expect(heard?.seconds).toBeCloseTo(2.2 - 0.113, 3);
  });

  it('between a frame and a sound take off the half frame that an eye is late', () => {
    const [mixed] = clipSplits('battery', [{ seenAt: 2 }, { heardAt: 3.4, feet: 0 }], {
      playFps: 30,
      trueFps: 30,
    });
    expect(mixed?.seconds).toBeCloseTo(1.4 + 0.5 / 30, 3);
  });
});
