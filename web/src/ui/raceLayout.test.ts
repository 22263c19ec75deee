import { describe, expect, it } from 'vitest';
import { layOutRace, type Lane } from './raceLayout.ts';

const ball: Lane = {
  title: 'Ball',
  tone: 'ball',
  legs: [
    { label: 'Delivery', seconds: 1.4, own: true },
    { label: 'Catch and throw', seconds: 2.1, own: true },
    { label: 'tag', seconds: 0.1, own: false },
  ],
  spreadSeconds: 0.08,
};
const runner: Lane = {
  title: 'Runner',
  tone: 'runner',
  legs: [
    { label: 'jump', seconds: 0.13, own: false },
    { label: 'Run', seconds: 3.3, own: true },
  ],
  spreadSeconds: null,
};

describe('layOutRace', () => {
  it('draws both lanes to one scale: equal seconds are equal pixels', () => {
    const { lanes } = layOutRace([ball, runner], 600);
    const [delivery] = lanes[0]?.bars ?? [];
    const run = lanes[1]?.bars[1];
    expect((delivery?.width ?? 0) + 2).toBeCloseTo((((run?.width ?? 0) + 2) * 1.4) / 3.3, 6);
  });

  it('keeps everything inside the picture, however narrow', () => {
    for (const width of [280, 340, 720, 1100]) {
      const { lanes, ticks } = layOutRace([ball, runner], width);
      for (const { bars, endX } of lanes) {
        expect(endX).toBeLessThanOrEqual(width - 10);
        for (const { x } of bars) expect(x).toBeGreaterThanOrEqual(10);
      }
      for (const { x } of ticks) expect(x).toBeLessThan(width);
    }
  });

  it('spans the gap from the end that comes first to the one that comes last', () => {
    const { gap, lanes } = layOutRace([ball, runner], 600);
    expect(gap.fromX).toBe(lanes[1]?.endX);
    expect(gap.toX).toBe(lanes[0]?.endX);
  });

  it('puts the words of a short leg under it', () => {
    const { lanes } = layOutRace([ball, runner], 600);
    expect(lanes[0]?.bars.map(({ inside }) => inside)).toEqual([true, true, false]);
    expect(lanes[0]?.bars[2]?.text).toBe('tag .10');
  });

  it('starts the run before the clock when he left before it', () => {
    const early: Lane = {
      ...runner,
      legs: [
        { label: 'jump', seconds: -0.1, own: false },
        { label: 'Run', seconds: 2.6, own: true },
      ],
    };
    const { lanes, ticks } = layOutRace([ball, early], 600);
    expect(lanes[1]?.bars[1]?.x).toBeLessThan(ticks[0]?.x ?? 0);
    expect(lanes[1]?.bars[0]?.width).toBe(0);
  });
});
