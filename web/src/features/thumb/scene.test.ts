import { makeRandom } from '@bradyon/core/maths';
import { nextThumbPitch } from '@bradyon/core/timing';
import { describe, expect, it } from 'vitest';
import { sceneAt } from './scene.ts';

const EDGE = 0.001;

describe('the picture of the drill', () => {
  it('shows each event exactly when it happens', () => {
    const pitch = nextThumbPitch(makeRandom(3), false);
    const [first = 0, mitt = 0, bag = 0] = pitch.events.map(({ atSeconds }) => atSeconds);
    const still = sceneAt(pitch, 0).pitcher;
    const lifted = (seconds: number) =>
      sceneAt(pitch, seconds).pitcher.farLeg.hip - still.farLeg.hip;
    expect(lifted(first - EDGE)).toBe(0);
    expect(lifted(first + 0.05)).toBeGreaterThan(3);
    expect(sceneAt(pitch, mitt - EDGE).held).toBeNull();
    expect(sceneAt(pitch, mitt + EDGE).held).toBe('catcher');
    expect(sceneAt(pitch, bag - EDGE).held).toBeNull();
    expect(sceneAt(pitch, bag + EDGE).held).toBe('infielder');
  });

  it('lets the ball go at the release in softball', () => {
    const pitch = nextThumbPitch(makeRandom(3), true);
    const release = pitch.events[0]?.atSeconds ?? 0;
    expect(sceneAt(pitch, release - EDGE).held).toBe('pitcher');
    expect(sceneAt(pitch, release + EDGE).held).toBeNull();
  });

  it('never lets the ball jump', () => {
    const pitch = nextThumbPitch(makeRandom(5), false);
    let before = sceneAt(pitch, 0);
    for (let seconds = 0; seconds < 7; seconds += 1 / 120) {
      const now = sceneAt(pitch, seconds);
      const way = Math.hypot(now.ball.x - before.ball.x, now.ball.y - before.ball.y);
      expect(way).toBeLessThan(30);
      before = now;
    }
  });
});
