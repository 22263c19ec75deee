import {
  ARM_SIGNALS,
  PICKOFF_PLAYS,
  SIGN_PLAYS,
  TOUCH_SPOTS,
  fixesFor,
  newSystem,
  validate,
} from '@bradyon/core/signs';
import { describe, expect, it } from 'vitest';
import { ARMS } from './armPoses.ts';
import { secureRandom } from '../../api/random.ts';
import { fixWords, handsAt, issueWords, oneIn, signWord, touchWord } from './words.ts';

describe('words of signs', () => {
  it('has one for every play, touch and arm signal', () => {
    for (const { id } of [...SIGN_PLAYS, ...PICKOFF_PLAYS]) {
      expect(signWord(id)).toMatch(/^[A-Z]/);
      expect(signWord(id)).not.toBe(id);
    }
    for (const { id } of TOUCH_SPOTS) expect(touchWord(id)).toBe(id);
    for (const signal of ARM_SIGNALS) expect(ARMS[signal].says.length).toBeGreaterThan(20);
    expect(signWord(null)).toBe('Nothing on');
  });

  it('names a conflict and its fix as a coach does', () => {
    const system = newSystem('touch', SIGN_PLAYS.slice(0, 3), () => 0.5);
    if (system.scheme.kind !== 'direct') throw new Error('one touch was expected');
    const map = system.scheme.map.with(1, { touch: 'cap', play: 'bunt' });
    const torn = { ...system, scheme: { ...system.scheme, map } };
    const [issue] = validate(torn).issues;
    if (!issue) throw new Error('an issue was expected');
    expect(issueWords(issue)).toBe('cap means Bunt and Steal.');
    expect(fixesFor(issue, torn).map(({ what }) => fixWords(what))[0]).toBe('Bunt on the brim');
  });

  it('says a chance as one in so many', () => {
    expect(oneIn(0.2)).toBe('1 in 5');
    expect(oneIn(0.9)).toBe('1 in 1');
    expect(oneIn(0)).toBe('hardly ever');
  });
});

describe('the hands of a coach', () => {
  it('are at what is touched, and down when nothing is', () => {
    const down = handsAt(null);
    expect(down.mark).toBeNull();
    for (const { id, x, y } of TOUCH_SPOTS) expect(handsAt(id).mark).toEqual({ x, y });
    expect(handsAt('wrist').hands.left).not.toEqual(down.hands.left);
    expect(handsAt('cap').hands.left).toEqual(down.hands.left);
  });
});

describe('the source of signs and codes', () => {
  it('is uniform, and never 1', () => {
    const drawn = Array.from({ length: 4000 }, secureRandom);
    expect(Math.min(...drawn)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...drawn)).toBeLessThan(1);
    const mean = drawn.reduce((sum, each) => sum + each, 0) / drawn.length;
    expect(Math.abs(mean - 0.5)).toBeLessThan(0.03);
    expect(new Set(drawn).size).toBe(4000);
  });
});
