import { gameReader, situationOf, slotToTell, type GameEvent } from '@bradyon/core/games';
import { playRulesOf } from '@bradyon/core/games';
import { PRESETS } from '@bradyon/core/rules';
import { describe, expect, it } from 'vitest';
import { tellingOf } from './typedLog.ts';

const side = (letter: string) => ({
  order: ['P', 'C', '1B', '2B', '3B', 'SS', 'LF', 'CF', 'RF'].map((pos, index) => ({
    id: `${letter}${String(index + 1)}`,
    pos,
  })),
  flex: null,
  bench: [],
});
const opened = {
  id: 'open',
  seq: 1,
  device: 'd',
  place: 'bench',
  slot: 'T1.1.1',
  kind: 'opened',
  rules: playRulesOf(PRESETS.fullSizeSeven),
  ours: 'away',
  away: side('A'),
  home: side('B'),
} as unknown as GameEvent;

/** Types codes one after the other, as the page does. */
function typed(codes: string) {
  const read = gameReader();
  const events = [opened];
  const wrong: string[] = [];
  for (const [index, code] of codes.split(' ').entries()) {
    const { state } = read(events);
    const now = situationOf(state);
    if (!state || !now.open) throw new Error('it was opened');
    const found = tellingOf(code, state);
    if (!found.ok) {
      wrong.push(found.message);
      continue;
    }
    const slot = slotToTell(events, now.slot, found.telling);
    events.push({
      ...found.telling,
      id: `t${String(index)}`,
      seq: index + 2,
      device: 'd',
      place: 'bench',
      slot,
    } as unknown as GameEvent);
  }
  const reading = read(events);
  const now = situationOf(reading.state);
  if (!now.open) throw new Error('it was opened');
  return { now, flagged: reading.flagged, wrong };
}

describe('a half typed from paper', () => {
  it('comes to where the pencil left it', () => {
    const { now, flagged, wrong } = typed('b c 1/LF k b sb g/2B a/CF b b b b');
    expect(wrong).toEqual([]);
    expect(flagged).toEqual([]);
    // Single, steal of second, to third on the ground ball, home on the fly, then a walk.
    expect(now).toMatchObject({ inning: 1, half: 'top', outs: 2, runs: { away: 1, home: 0 } });
    expect(now.bases.first).toBe('A4');
  });

  it('turns a double play, and ends the half with it', () => {
    const { now } = typed('1 s s s dp/SS');
    expect(now).toMatchObject({ half: 'bottom', outs: 0 });
  });

  it('says what is wrong with a code, and keeps the others', () => {
    const { wrong, now } = typed('x b sb g/QB c');
    expect(wrong).toHaveLength(3);
    expect(wrong[1]).toMatch(/nobody is on/);
    expect([now.balls, now.strikes]).toEqual([1, 1]);
  });
});
