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

  it('lie between marks that are set', () => {
    expect(clipSplits('battery', [2, 7.6, null], rates)).toEqual([
      { kind: 'delivery', seconds: 1.4 },
    ]);
    expect(clipSplits('battery', [2, 7.6, 16], rates)).toHaveLength(2);
    expect(clipSplits('battery', [null, 7.6, 16], rates)).toEqual([{ kind: 'pop', seconds: 2.1 }]);
  });

  it('run forward, except for a runner who left early', () => {
    expect(clipSplits('steal', [5, 4], rates)).toEqual([]);
    expect(clipSplits('leave', [5, 4.6], rates)).toEqual([{ kind: 'leave', seconds: -0.1 }]);
  });
});
