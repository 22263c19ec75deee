import { CALL_DRILLS, makeBlock, type CallDrillName } from '@bradyon/core/drills';
import { describe, expect, it } from 'vitest';
import { abba, handsAt, scriptOf, tapSecondsOf, turnOf } from './caller.ts';

describe('a rep as it comes', () => {
  it('calls within its law, whatever the drill, the last cue at the call', () => {
    for (const name of Object.keys(CALL_DRILLS) as CallDrillName[]) {
      const { reps } = makeBlock(CALL_DRILLS[name], 12, 20);
      for (const rep of reps) {
        const script = scriptOf(rep, name);
        const last = script.cues.at(-1);
        expect(script.callSeconds).toBeGreaterThanOrEqual(rep.waitSeconds);
        if (rep.call === 'none') {
          expect(last?.cue).toBe('relax');
          expect(last?.atSeconds).toBeGreaterThan(script.callSeconds);
        } else {
          expect(last?.atSeconds).toBe(script.callSeconds);
        }
      }
    }
  });

  it('has a hop before the call that tells go from back', () => {
    const script = scriptOf({ call: 'back', waitSeconds: 2, gapSeconds: 0.8 }, 'hop');
    expect(script.cues).toEqual([
      { cue: 'hop', atSeconds: 2 },
      { cue: 'back', atSeconds: 2.8 },
    ]);
  });

  it('shows hands that meet at the clap, and stop short where none comes', () => {
    const clap = scriptOf({ call: 'go', waitSeconds: 1, handsSeconds: 0.5 }, 'clapSeen');
    expect(clap.callSeconds).toBe(1.5);
    expect([0.9, 1.25, 1.5, 2].map((at) => handsAt(at, clap))).toEqual([0, 0.5, 1, 1]);
    const empty = scriptOf({ call: 'none', waitSeconds: 3, handsSeconds: 0.5 }, 'clapSeen');
    expect(handsAt(9, empty)).toBeLessThan(1);
    const heard = scriptOf({ call: 'go', waitSeconds: 1 }, 'clapHeard');
    expect(handsAt(2, heard)).toBe(0);
  });

  it('takes two first steps by turns, and a line round and round', () => {
    expect([0, 1, 2, 3, 4].map((nth) => abba(nth, ['a', 'b']))).toEqual(['a', 'b', 'b', 'a', 'a']);
    expect([0, 1, 2, 3].map((nth) => turnOf(['x', 'y', 'z'], nth))).toEqual(['x', 'y', 'z', 'x']);
    expect(turnOf([], 3)).toBeNull();
  });

  it('counts a tap from its call, before it below 0', () => {
    expect(tapSecondsOf(1250, 1000)).toBe(0.25);
    expect(tapSecondsOf(900, 1000)).toBe(-0.1);
  });
});
