import { CUES } from '@bradyon/core/drills';
import { makeRandom } from '@bradyon/core/maths';
import { describe, expect, it } from 'vitest';
import { jointsOf } from '../../ui/figure/index.ts';
import { drawLook, flightSeconds, lookAt, mostShown, setSeconds, type Look } from './moves.ts';

const aLook = (parts: Partial<Look> = {}): Look => ({
  cue: 'sinkPivotR',
  signal: true,
  tempo: 1,
  isSlideStep: false,
  wobble: 0,
  ...parts,
});
/** How far two pictures lie apart: the farthest joint. */
function apart(one: Look, other: Look, seconds: number): number {
  const [a, b] = [one, other].map((look) => {
    const { pose, facing } = lookAt(look, seconds);
    const { near, far } = jointsOf(pose, facing);
    return [near.hand, near.foot, near.knee, far.knee, far.foot];
  });
  return Math.max(
    ...(a ?? []).map(({ x, y }, at) => Math.hypot(x - (b?.[at]?.x ?? 0), y - (b?.[at]?.y ?? 0))),
  );
}

describe('a move to read', () => {
  it('tells nothing before it begins, whatever it will be', () => {
    for (const cue of CUES) {
      const [go, stay] = [aLook({ cue }), aLook({ cue, signal: false })];
      expect(lookAt(go, -0.2)).toEqual(lookAt(stay, -0.2));
    }
  });

  it('is told early of a right-hander, and only after the lift of a left-hander or an inside turn', () => {
    const over = (cue: Look['cue'], seconds: number) =>
      apart(aLook({ cue }), aLook({ cue, signal: false }), seconds);
    expect(over('sinkPivotR', 0.15)).toBeGreaterThan(8);
    for (const cue of ['sinkPivotL', 'insideTurn'] as const) {
      expect(over(cue, 0.4)).toBe(0);
      expect(over(cue, 0.66)).toBeGreaterThan(8);
    }
  });

  it('heads down in the dirt, and has a hump off-speed', () => {
    const y = (look: Look, share: number) => lookAt(look, flightSeconds(look) * share).ball?.y ?? 0;
    const [dirt, strike] = [aLook({ cue: 'dirt' }), aLook({ cue: 'dirt', signal: false })];
    expect(y(dirt, 0.5)).toBeGreaterThan(y(strike, 0.5) + 10);
    const [slow, fast] = [aLook({ cue: 'offSpeed' }), aLook({ cue: 'offSpeed', signal: false })];
    expect(y(slow, 0.4)).toBeLessThan(y(fast, 0.4) - 10);
    expect(flightSeconds(slow)).toBeGreaterThan(flightSeconds(fast));
    // The picture stops before the bounce.
    expect(mostShown(dirt)).toBeLessThan(flightSeconds(dirt));
  });

  it('is drawn by lot: half signals, and no tempo gives it away', () => {
    const random = makeRandom(3);
    const looks = Array.from({ length: 400 }, () => drawLook('sinkPivotL', random, null));
    const share = looks.filter(({ signal }) => signal).length / 400;
    expect(Math.abs(share - 0.5)).toBeLessThan(0.1);
    const tempo = (of: boolean) => {
      const own = looks.filter(({ signal }) => signal === of);
      return own.reduce((sum, each) => sum + each.tempo, 0) / own.length;
    };
    expect(Math.abs(tempo(true) - tempo(false))).toBeLessThan(0.03);
    const timed = drawLook('sinkPivotR', random, { tempo: 1.2, isSlideStep: true });
    expect(timed.isSlideStep).toBe(true);
    expect(timed.tempo).toBeGreaterThan(1);
  });
});

describe('how long a pitcher is set', () => {
  const opponent = (holdSeconds: number[]) => ({ tempo: 1, isSlideStep: false, holdSeconds });
  const drawnWith = (holds: number[]): number[] => {
    const random = makeRandom(5);
    return Array.from({ length: 400 }, () => setSeconds(random, opponent(holds)));
  };

  it('is as an opponent holds, as often one way as the other, and never a flinch', () => {
    const holds = drawnWith([1, 3, 3]);
    expect(holds.every((each) => Math.min(Math.abs(each - 1), Math.abs(each - 3)) < 0.5)).toBe(
      true,
    );
    const long = holds.filter((each) => each > 2).length / holds.length;
    expect(long).toBeGreaterThan(0.58);
    expect(long).toBeLessThan(0.75);
    expect(Math.min(...drawnWith([0.4, 0.4, 0.4]))).toBe(0.5);
  });

  it('cannot be timed while too few of the holds are timed', () => {
    const [few, nobody] = [makeRandom(5), makeRandom(5)];
    for (let look = 0; look < 50; look += 1) {
      expect(setSeconds(few, opponent([2, 2]))).toBe(setSeconds(nobody, null));
    }
  });
});
