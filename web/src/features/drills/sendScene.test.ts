import { drawSituation, isLetThrough, judgeSend, SEND_LEVELS } from '@bradyon/core/drills';
import { byRuns, chainOf, PLAY_LEVELS, runExpectancies } from '@bradyon/core/innings';
import { describe, expect, it } from 'vitest';
import { againstPath, baseSpot } from '../../ui/field/index.ts';
import { CUT_SHARE, sendSceneAt, throwSceneAt } from './sendScene.ts';

const value = byRuns([runExpectancies(chainOf(PLAY_LEVELS.hs))]);
const plays = Array.from({ length: 60 }, (_, seed) => {
  const situation = drawSituation('hs', seed);
  const judged = judgeSend(situation, value, true);
  return judged
    ? [
        {
          seed,
          situation,
          judged,
          decided: null,
          onFirst: true,
          letThrough: isLetThrough(seed, judged),
        },
      ]
    : [];
}).flat();

describe('a play of the trainer', () => {
  it('has the runner at the last stop when the last word is due, and the ball in the glove when it is fielded', () => {
    const { baseFeet } = SEND_LEVELS.hs;
    const [third, home, second] = (['third', 'home', 'second'] as const).map((base) =>
      baseSpot(base, baseFeet),
    );
    if (!third || !home || !second) throw new Error('there are bases');
    expect(plays.length).toBeGreaterThan(20);
    for (const play of plays) {
      const { stopFeet, stopSeconds, fieldedSeconds, fieldedFeet } = play.judged;
      const { runner } = sendSceneAt(play, stopSeconds);
      const past =
        stopFeet >= 0
          ? againstPath({ from: third, to: home }, runner).along
          : againstPath({ from: second, to: third }, runner).along - baseFeet;
      expect(past).toBeCloseTo(stopFeet, 6);
      const { ball, outfielder } = sendSceneAt(play, fieldedSeconds);
      expect(Math.hypot(ball.x, ball.y)).toBeCloseTo(fieldedFeet, 6);
      expect(outfielder.x).toBeCloseTo(ball.x, 6);
    }
  });

  it('only ever goes forward', () => {
    for (const play of plays.slice(0, 10)) {
      let before = -1;
      for (let at = 0; at < 3; at += 0.1) {
        const { ball } = sendSceneAt(play, at);
        const feet = Math.hypot(ball.x, ball.y);
        expect(feet).toBeGreaterThanOrEqual(before);
        before = feet;
      }
    }
  });

  it('keeps the runner from first near second until they are told', () => {
    const second = baseSpot('second', SEND_LEVELS.hs.baseFeet);
    for (const play of plays) {
      const { behind } = sendSceneAt(play, 9);
      if (!behind) throw new Error('somebody was on first');
      expect(Math.hypot(behind.x - second.x, behind.y - second.y)).toBeLessThan(10);
      expect(sendSceneAt({ ...play, onFirst: false }, 9).behind).toBeNull();
    }
  });

  it('shows the throw at the plate when it goes through, and in the cutoff man’s glove when it is cut', () => {
    for (const play of plays) {
      const caught = throwSceneAt(play, CUT_SHARE);
      const end = throwSceneAt(play, 1);
      const wanted = play.letThrough ? { x: 0, y: 0 } : caught;
      expect(Math.hypot(end.x - wanted.x, end.y - wanted.y)).toBeCloseTo(0, 6);
    }
    expect(new Set(plays.map(({ letThrough }) => letThrough)).size).toBe(2);
  });
});
