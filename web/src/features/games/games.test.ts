import { SHIPPED } from '@bradyon/core/advice';
import { playRulesOf, type GameEvent } from '@bradyon/core/games';
import type { Entry, EntryDraft } from '@bradyon/contract/games';
import { PRESETS } from '@bradyon/core/rules';
import type { GameEntryId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { lacksItsResult, openCall, resultOf } from './calls.ts';
import { freshWords } from './Devices.tsx';
import { makeGameReader } from './liveGame.ts';
import { standsWords } from './standsWords.ts';
import { lastOwn } from './useGame.ts';
import { withChanges } from './useReminders.ts';
import { entryWords, pointsText } from './words.ts';

const side = (letter: string) => ({
  order: ['P', 'C', '1B', '2B', '3B', 'SS', 'LF', 'CF', 'RF'].map((pos, index) => ({
    id: `${letter}${String(index + 1)}`,
    pos,
  })),
  flex: null,
  bench: [],
});
let serial = 0;
const draft = (kind: string, told: Record<string, unknown>, slot: string): EntryDraft => ({
  id: `e${String((serial += 1))}` as GameEntryId,
  device: 'tablet',
  place: 'bench',
  at: '2031-05-01T17:30:00.000Z',
  slot,
  kind,
  told,
});
const opened = draft(
  'opened',
  {
    rules: playRulesOf(PRESETS.fullSizeSeven),
    ours: 'away',
    away: side('A'),
    home: side('B'),
  },
  'T1.1.1',
);
const ball = (pitch: number) => draft('pitch', { result: 'ball' }, `T1.1.${String(pitch)}`);
const numbered = (...entries: EntryDraft[]): Map<string, Entry> =>
  new Map(entries.map((entry, index) => [entry.id, { ...entry, seq: index + 1 }]));

describe('a game on a device', () => {
  it('has what waits behind what is numbered, and nothing twice while it is being sent', () => {
    const read = makeGameReader();
    const [first, second] = [ball(1), ball(2)];
    const before = read(numbered(opened, first), [second]);
    expect(before.stands.situation).toMatchObject({ balls: 2 });
    expect([...before.unsent]).toEqual([second.id]);
    // The server has numbered it, and the outbox has not let it go yet.
    const after = read(numbered(opened, first, second), [second]);
    expect([after.unsent.size, after.lastSeq]).toEqual([0, 3]);
    // Nothing of where the game stands has changed by it: no screen is drawn again.
    expect(after.stands).toBe(before.stands);
  });

  it('shows the same when what came of a call is told, and something else at whatever else is', () => {
    const read = makeGameReader();
    const advice = (plays: object | null) =>
      draft('advice', { plays, taken: plays ? null : {} }, 'T1.1.1');
    const [call, pitch, result] = [advice({ need: 0.7 }), ball(1), advice(null)];
    const before = read(numbered(opened), [call, pitch]);
    const told = read(numbered(opened), [call, pitch, result]);
    expect(told.stands.events).toHaveLength(4);
    expect(told.shown).toBe(before.shown);
    expect(told.shown.situation).toEqual(told.stands.situation);
    const next = read(numbered(opened), [call, pitch, result, ball(2)]);
    expect(next.shown).toBe(next.stands);
    expect(read(numbered(opened), [call]).shown.events).toHaveLength(2);
  });

  it('keeps an entry the same object as long as nothing of it changes', () => {
    const read = makeGameReader();
    const kept = numbered(opened, ball(1));
    const [one, other] = [read(kept, []), read(new Map(kept), [])];
    expect(other.stands.events[1]).toBe(one.stands.events[1]);
  });

  it('puts what another device told before it in its place, though its own was first here', () => {
    const read = makeGameReader();
    const [own, theirs] = [ball(2), ball(1)];
    expect(read(numbered(opened), [own]).stands.events.map(({ id }) => id)).toEqual([
      opened.id,
      own.id,
    ]);
    const both = read(numbered(opened, theirs, own), []);
    expect(both.stands.events.map(({ id }) => id)).toEqual([opened.id, theirs.id, own.id]);
    expect(both.stands.situation).toMatchObject({ balls: 2 });
    expect(makeGameReader()(numbered(opened, theirs, own), [])).toEqual(both);
  });
});

const event = (kind: string, more: object = {}): GameEvent =>
  ({
    id: `e${String((serial += 1))}`,
    seq: null,
    device: 'tablet',
    place: 'bench',
    slot: 'T1.1.1',
    kind,
    ...more,
  }) as unknown as GameEvent;

describe('undo', () => {
  it('takes back the last thing of this device, then the one before it', () => {
    const [one, two] = [event('pitch', { result: 'ball' }), event('pitch', { result: 'foul' })];
    const theirs = event('pick', { device: 'phone' });
    const seen = event('reading');
    expect(lastOwn([one, two, theirs, seen], 'tablet')).toBe(two);
    const undo = event('undo', { event: two.id });
    expect(lastOwn([one, two, theirs, seen, undo], 'tablet')).toBe(one);
    // An undo that was undone takes back nothing.
    const redo = event('undo', { event: undo.id });
    expect(lastOwn([one, two, undo, redo], 'tablet')).toBe(two);
    expect(lastOwn([theirs], 'tablet')).toBeNull();
  });
});

describe('what came of a call', () => {
  const after = {
    inning: 1,
    half: 'top',
    outs: 0,
    bases: { first: null, second: 'A1', third: null },
    runs: { away: 0, home: 0 },
  } as never;
  const call = event('advice', { plays: { need: 0.7 }, taken: null }) as never;

  it('is the run itself, safe or out, and says when it stayed open', () => {
    const pitch = event('pitch', { result: 'ball', going: ['second'] });
    const safe = event('steal', { runners: [{ from: 'first', to: 'second' }] });
    const out = event('steal', { runners: [{ from: 'first', out: 'second' }] });
    expect(resultOf(call, [call, pitch, safe], after)).toMatchObject({
      done: 'go',
      resolved: true,
      outcome: 'safe',
    });
    expect(resultOf(call, [call, pitch, out], after).outcome).toBe('out');
    const foul = event('pitch', { result: 'foul', going: ['second'] });
    expect(resultOf(call, [call, foul], after)).toMatchObject({ resolved: false, why: 'foul' });
    const stayed = event('pitch', { result: 'ball' });
    expect(resultOf(call, [call, stayed], after)).toMatchObject({
      done: 'stay',
      resolved: true,
      outcome: 'notRun',
    });
  });

  it('is waited for by the last call only, until it is known', () => {
    expect(openCall([call])).toBe(call);
    const known = event('advice', { plays: null, taken: {} });
    expect(openCall([call, known])).toBeNull();
  });
});

describe('a call whose page was ended right after the tap', () => {
  const call = event('advice', { plays: { need: 0.7 }, taken: null });
  const next = { slot: 'T1.2.2', inning: 1, half: 'top', outs: 0, bases: {}, runs: {} } as never;
  const lacks = (events: GameEvent[], device = call.device, situation = next) =>
    lacksItsResult({ events: [call, ...events], situation }, device);
  const pitch = event('pitch', { result: 'ball' });

  it('lacks its result once the pitch is over, on the device that made it', () => {
    expect(lacks([pitch])).toBe(true);
    expect(lacks([pitch], 'another')).toBe(false);
    expect(lacks([], call.device, { ...(next as object), slot: call.slot } as never)).toBe(false);
    expect(lacks([pitch, event('advice', { plays: null, taken: {} })])).toBe(false);
  });

  it('is waited for as long as nobody has said how the run ended', () => {
    const going = event('pitch', { result: 'ball', going: ['second'] });
    expect(lacks([going])).toBe(false);
    expect(lacks([going, event('steal', { runners: [{ from: 'first', to: 'second' }] })])).toBe(
      true,
    );
  });
});

describe('words of a game', () => {
  const name = () => 'Okafor';
  it('say a play as a coach reads it', () => {
    const hit = event('pitch', {
      result: 'inPlay',
      ball: { result: 'single', fielders: ['CF'] },
      runners: [
        { from: 'third', to: 'home' },
        { from: 'first', out: 'third' },
      ],
    });
    expect(entryWords(hit, name)).toBe('Single, CF, scores, out at third');
    expect(entryWords(event('sign', { play: 'nothing', seen: null }), name)).toBe(
      'Sign: nothing on',
    );
    expect(entryWords(event('sign', { play: 'squeeze', seen: false }), name)).toBe(
      'Sign: Squeeze, missed',
    );
  });

  it('say worth in points, and nothing as nothing', () => {
    expect([pointsText(0.019), pointsText(-0.0894), pointsText(0.0001)]).toEqual([
      '+1.9',
      '−8.9',
      '0.0',
    ]);
  });

  it('say how fresh a device is', () => {
    const seen = (secondsAgo: number, lastSeq: number) =>
      freshWords({ device: 'd', place: 'first', name: 'Teo', secondsAgo, lastSeq }, 12);
    expect(seen(3, 12)).toBe('up to date');
    expect(seen(3, 9)).toBe('3 entries behind');
    expect(seen(300, 12)).toBe('last seen 5 min ago');
  });

  it('say how a game stands from our side', () => {
    const now = {
      inning: 5,
      half: 'top',
      runs: { away: 2, home: 3 },
      over: null,
      slot: 'T5.2.1',
      line: { away: [2], home: [3] },
    } as never;
    expect(standsWords(now, 'away')).toBe('Top 5, down 2–3');
    expect(standsWords(now, 'home')).toBe('Top 5, up 3–2');
    expect(standsWords(null, 'home')).toBe('To play');
  });
});

describe('reminders of a team', () => {
  it('are the shipped ones without what is off, in the team’s words, and its own behind them', () => {
    const own = {
      id: 'own',
      to: 'batter',
      when: [],
      say: 'See it deep.',
      why: '',
      weight: 2,
    } as const;
    const rules = withChanges({
      off: ['f-fly'],
      words: [{ id: 'f-line', say: 'Liner: freeze.' }],
      own: [{ ...own, when: [] }],
    });
    expect(rules).toHaveLength(SHIPPED.length);
    expect(rules.some(({ id }) => id === 'f-fly')).toBe(false);
    expect(rules.find(({ id }) => id === 'f-line')?.say).toBe('Liner: freeze.');
    expect(rules.at(-1)?.id).toBe('own');
  });
});
