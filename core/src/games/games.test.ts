import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import rulesets from '../../vectors/games/rulesets.json';
import lineUps from '../../vectors/games/lineups.json';
import whole from '../../vectors/games/whole-games.json';
import type { Position } from '../people/index.ts';
import type { GameEvent, LineUp, PlayRules } from './events.ts';
import { PRESETS } from '../rules/index.ts';
import type { PersonId } from '../units/index.ts';
import { PLAY_LEVELS } from '../innings/index.ts';
import { makeRandom } from '../maths/index.ts';
import { boxOf } from './box.ts';
import { countsOf } from './counts.ts';
import { playOn } from './madeUp.ts';
import { looksOf } from './fielding.ts';
import { playRulesOf } from './playRules.ts';
import { recordsOf } from './records.ts';
import { gameReader, readGame } from './reading.ts';
import { situationOf } from './situation.ts';
import { makeSlot, parseSlot } from './slot.ts';
import { buntsOf } from './season.ts';
import { slotToTell } from './telling.ts';

const rules = rulesets as unknown as Record<string, PlayRules>;
const teams = lineUps as unknown as Record<string, LineUp>;

/** A list as a vector has it, names of rules and line-ups put in. */
function eventsOf(events: readonly object[]): GameEvent[] {
  return events.map((event) => {
    const { rules: ruleset, away, home } = event as Record<string, unknown>;
    const named = <T>(all: Record<string, T>, value: unknown): unknown =>
      typeof value === 'string' ? all[value] : value;
    return ruleset === undefined
      ? event
      : {
          ...event,
          rules: named(rules, ruleset),
          away: named(teams, away),
          home: named(teams, home),
        };
  }) as unknown as GameEvent[];
}
const [baseball, fastpitch] = whole.cases.map(({ events }) => eventsOf(events)) as [
  GameEvent[],
  GameEvent[],
];

const NAMES = ['fullSizeSeven', 'pickLimited', 'fastpitch43', 'youngDiamond'] as const;
const opened = (name: string): GameEvent =>
  ({
    id: 'opened',
    seq: 1,
    device: 'd1',
    place: 'bench',
    slot: 'T1.1.1',
    kind: 'opened',
    rules: rules[name],
    ours: 'home',
    away: teams[name === 'youngDiamond' ? 'awayEleven' : 'awayNine'],
    home: teams[name === 'youngDiamond' ? 'homeEleven' : 'homeNine'],
  }) as unknown as GameEvent;

const base = fc.constantFrom('first', 'second', 'third', 'home');
const player = fc.constantFrom('A1', 'A2', 'A3', 'A9', 'A10', 'B1', 'B5', 'B10', 'Z1');
const side = fc.constantFrom('away', 'home');
const move = fc.record(
  {
    from: fc.constantFrom('batter', 'first', 'second', 'third'),
    to: base,
    out: base,
    how: fc.constantFrom('force', 'tag', 'doubledOff', 'error'),
  },
  { requiredKeys: ['from'] },
);
const runners = fc.array(move, { maxLength: 3 });
const pitch = fc.record(
  {
    kind: fc.constant('pitch'),
    result: fc.constantFrom(
      'ball',
      'called',
      'swinging',
      'foul',
      'foulBunt',
      'foulTip',
      'inPlay',
      'inPlay',
      'hitByPitch',
      'interference',
      'illegal',
      'noPitch',
    ),
    dropped: fc.boolean(),
    runners,
    ball: fc.record({
      result: fc.constantFrom(
        'single',
        'double',
        'homeRun',
        'error',
        'fieldersChoice',
        'thrownOut',
        'caught',
      ),
      contact: fc.constantFrom('ground', 'fly', 'bunt'),
    }),
  },
  { requiredKeys: ['kind', 'result'] },
);
const other = fc.oneof(
  fc.record({ kind: fc.constant('steal'), runners }),
  fc.record({
    kind: fc.constant('pick'),
    base,
    result: fc.constantFrom('back', 'out', 'wild', 'rundown'),
    runners,
  }),
  fc.record({
    kind: fc.constantFrom(
      'balk',
      'stepOff',
      'intentionalWalk',
      'batterOut',
      'outOfTurn',
      'halfEnded',
    ),
  }),
  fc.record({
    kind: fc.constant('appeal'),
    runner: player,
    base,
    why: fc.constantFrom('missedBase', 'leftBeforeCatch'),
  }),
  fc.record({
    kind: fc.constant('sub'),
    team: side,
    moves: fc.array(
      fc.record(
        { in: player, for: player, pos: fc.constantFrom('P', 'CF', 'DH') },
        { requiredKeys: ['in'] },
      ),
      { minLength: 1, maxLength: 2 },
    ),
  }),
  fc.record({ kind: fc.constant('batterUp'), batter: player }),
  fc.record({ kind: fc.constantFrom('absent', 'arrived'), team: side, player }),
  fc.record({
    kind: fc.constant('correction'),
    set: fc.record(
      {
        inning: fc.integer({ min: 0, max: 9 }),
        outs: fc.integer({ min: 0, max: 3 }),
        balls: fc.integer({ min: 0, max: 3 }),
        runs: fc.record({ away: fc.integer({ min: 0, max: 9 }) }),
        bases: fc.record({ first: fc.option(player) }),
        over: fc.constant(false),
      },
      { requiredKeys: [] },
    ),
  }),
  fc.record({
    kind: fc.constantFrom('undo', 'settle'),
    event: fc.integer({ min: 0, max: 40 }).map((n) => `e${String(n)}`),
  }),
);
/** What nobody would send: any fields of any sort. */
const nonsense = fc.record({
  kind: fc.constantFrom(
    'pitch',
    'sub',
    'correction',
    'opened',
    'steal',
    'courtesy',
    'reading',
    'laserBeam',
  ),
  runners: fc.anything(),
  moves: fc.anything(),
  set: fc.anything(),
  ball: fc.anything(),
  result: fc.anything(),
  team: fc.anything(),
});

interface Draft {
  kind: string;
}
/** Drafts told one after the other, each in the slot where the teller sees the game. */
function told(name: string, drafts: readonly Draft[], places: readonly number[]): GameEvent[] {
  const events = [opened(name)];
  const read = gameReader();
  for (const [index, draft] of drafts.entries()) {
    const situation = situationOf(read(events).state);
    const slot = situation.open ? situation.slot : 'T1.1.1';
    const place = ['bench', 'third', 'first', 'stands'][places[index] ?? 0];
    events.push({
      ...draft,
      id: `e${String(index)}`,
      seq: index + 2,
      device: place,
      place,
      slot,
    } as unknown as GameEvent);
  }
  return events;
}
const games = fc
  .tuple(
    fc.constantFrom(...NAMES),
    fc.array(fc.oneof({ weight: 5, arbitrary: pitch }, { weight: 2, arbitrary: other }), {
      minLength: 5,
      maxLength: 60,
    }),
    fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 60, maxLength: 60 }),
  )
  .map(([name, drafts, places]) => told(name, drafts, places));

describe('any list of entries', () => {
  it('comes to a legal situation, with a reason for whatever does not count', () => {
    fc.assert(
      fc.property(games, (events) => {
        const { state, flagged } = readGame(events);
        const now = situationOf(state);
        if (!now.open) throw new Error('it was opened');
        expect(now.outs).toBeLessThanOrEqual(now.over ? 3 : 2);
        expect(now.balls).toBeLessThanOrEqual(3);
        expect(now.strikes).toBeLessThanOrEqual(2);
        // Out of turn and set by hand, somebody may be due who is on base: that is shown as it is.
        const on = Object.values(now.bases).filter((id) => id !== null);
        if (!events.some(({ kind }) => kind === 'batterUp' || kind === 'correction'))
          expect(new Set(on).size).toBe(on.length);
        for (const team of ['away', 'home'] as const)
          expect(now.line[team].reduce((sum, runs) => sum + runs, 0)).toBe(now.runs[team]);
        const known = new Set(events.map(({ id }) => id));
        expect(flagged.every(({ id }) => known.has(id))).toBe(true);
      }),
      { numRuns: 150 },
    );
  });

  it('never throws, whatever is sent', () => {
    fc.assert(
      fc.property(fc.array(nonsense, { maxLength: 12 }), fc.anything(), (drafts, slot) => {
        const events = told('fullSizeSeven', [], []);
        for (const [index, draft] of drafts.entries())
          events.push({
            ...draft,
            id: `x${String(index)}`,
            seq: index + 2,
            device: 'd',
            place: 'bench',
            slot: index % 3 === 0 ? slot : 'T1.1.1',
          } as unknown as GameEvent);
        expect(() => situationOf(readGame(events).state)).not.toThrow();
      }),
      { numRuns: 300 },
    );
  });

  it('comes to the same in any order of arrival, and with anything sent twice', () => {
    fc.assert(
      fc.property(games, fc.infiniteStream(fc.nat()), (events, order) => {
        const keys = new Map(events.map(({ id }) => [id, order.next().value ?? 0]));
        const mixed = [...events, ...events.slice(0, 7)].toSorted(
          (a, b) => (keys.get(a.id) ?? 0) - (keys.get(b.id) ?? 0),
        );
        const [one, other] = [readGame(events), readGame(mixed)];
        expect(situationOf(other.state)).toEqual(situationOf(one.state));
        expect(other.flagged).toEqual(one.flagged);
        expect(other.conflicts).toEqual(one.conflicts);
      }),
      { numRuns: 80 },
    );
  });

  it('comes to what one device told when three told the same, however their outboxes mixed', () => {
    const plain = fc
      .tuple(fc.constantFrom(...NAMES), fc.array(pitch, { minLength: 5, maxLength: 30 }))
      // What cannot be is not told again by the others.
      .map(([name, drafts]) =>
        told(
          name,
          drafts.filter((_, index) => {
            const all = told(name, drafts.slice(0, index + 1), []);
            return !readGame(all).flagged.some(({ id }) => id === `e${String(index)}`);
          }),
          [],
        ),
      )
      .filter((events) => readGame(events).flagged.length === 0);
    const mix = fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 100, maxLength: 100 });
    fc.assert(
      fc.property(plain, mix, (events, turns) => {
        const [open, ...rest] = events;
        if (!open) throw new Error('it was opened');
        const queues = ['bench', 'third', 'first'].map((place) =>
          rest.map((event) => ({ ...event, id: `${place} ${event.id}`, place, device: place })),
        );
        const mixed: GameEvent[] = [open];
        for (const turn of [...turns, ...queues.flatMap((queue, nth) => queue.map(() => nth))]) {
          const next = queues[turn]?.shift();
          if (next) mixed.push({ ...next, seq: mixed.length + 1 } as unknown as GameEvent);
        }
        const [alone, together] = [readGame(events), readGame(mixed)];
        expect(situationOf(together.state)).toEqual(situationOf(alone.state));
        expect(together.conflicts).toEqual([]);
      }),
      { numRuns: 80 },
    );
  });

  it('is as before when an undo is undone', () => {
    fc.assert(
      fc.property(games, fc.nat(), (events, nth) => {
        const target = events[1 + (nth % (events.length - 1))];
        if (!target || target.kind === 'undo') return;
        const after = (id: string, event: string) =>
          ({
            ...target,
            id,
            seq: 1000 + Number(id.slice(1)),
            kind: 'undo',
            event,
          }) as unknown as GameEvent;
        const before = readGame(events);
        // What an undo of the list itself hides stays hidden.
        if (events.some((event) => event.kind === 'undo' && event.event === target.id)) return;
        const again = readGame([...events, after('u1', target.id), after('u2', 'u1')]);
        expect(situationOf(again.state)).toEqual(situationOf(before.state));
        expect(again.flagged).toEqual(before.flagged);
      }),
      { numRuns: 80 },
    );
  });

  /** Read on, entry by entry, it is at each of them what it is read whole. */
  const growsAlike = (events: readonly GameEvent[]): void => {
    const read = gameReader();
    for (let count = 1; count <= events.length; count += 1) {
      const known = events.slice(0, count);
      const [grown, atOnce] = [read(known), readGame(known)];
      expect(situationOf(grown.state)).toEqual(situationOf(atOnce.state));
      expect(grown.flagged).toEqual(atOnce.flagged);
      expect(grown.conflicts).toEqual(atOnce.conflicts);
    }
  };

  it('reads the same as it grows, entry by entry, as it does whole', () => {
    fc.assert(fc.property(games, growsAlike), { numRuns: 60 });
  });

  it('reads so too where much is undone, settled, told twice and out of its sequence', () => {
    const LONGEST = 14;
    const before = fc.integer({ min: 1, max: 6 });
    const afterthought = fc.record({ kind: fc.constantFrom('undo', 'undo', 'settle'), before });
    const drafts = fc.array(fc.oneof({ weight: 3, arbitrary: pitch }, afterthought), {
      minLength: 3,
      maxLength: LONGEST,
    });
    const where = fc.array(fc.integer({ min: 0, max: 3 }), {
      minLength: LONGEST,
      maxLength: LONGEST,
    });
    const slips = fc.array(
      fc.record({ at: fc.nat(LONGEST), what: fc.constantFrom('id', 'seq'), before }),
      { maxLength: 2 },
    );
    const idBefore = (index: number, back: number): string =>
      index < back ? 'opened' : `e${String(index - back)}`;
    fc.assert(
      fc.property(drafts, where, slips, (some, places, slipped) => {
        const pointed = some.map((draft, index) =>
          'before' in draft ? { ...draft, event: idBefore(index, draft.before) } : draft,
        );
        const events = told('fullSizeSeven', pointed, places);
        for (const { at, what, before: back } of slipped) {
          const event = events[1 + at];
          if (what === 'id' && event) event.id = idBefore(at, back);
          if (what === 'seq' && event) event.seq = Math.max(2, 2 + at - back);
        }
        growsAlike(events);
      }),
      { numRuns: 600 },
    );
  });
});

describe('a half inning', () => {
  it('has every batter who is done out, home, or left on base', () => {
    for (const events of [baseball, fastpitch]) {
      const read = gameReader();
      let half = '';
      let count = { turns: 0, ended: 0, placed: 0 };
      for (let last = 1; last <= events.length; last += 1) {
        const now = situationOf(read(events.slice(0, last)).state);
        if (!now.open || now.over) continue;
        const name = `${now.half} ${String(now.inning)}`;
        const on = Object.values(now.bases).filter((id) => id !== null).length;
        const side = now.half === 'top' ? 'away' : 'home';
        // The turns of the half so far are in the slot.
        const turns = Number(/\.(\d+)\./.exec(now.slot)?.[1]) - 1;
        const runs = now.line[side].at(-1) ?? 0;
        if (name !== half) {
          half = name;
          count = { turns, ended: runs + now.outs + on, placed: on };
          continue;
        }
        count = { ...count, turns, ended: runs + now.outs + on };
        expect(count.ended).toBe(count.turns + count.placed);
      }
    }
  });
});

describe('the rules of a team', () => {
  it('open a game by themselves', () => {
    const limited = playRulesOf({ ...PRESETS.smallDiamond, runLimitPerHalf: 5 });
    expect(limited).toMatchObject({ runLimit: 5, runRules: [{ lead: 10, after: 4 }] });
    expect(playRulesOf({ ...PRESETS.fullSizeNine }).runRules).toEqual([]);
    const [open] = told('fullSizeSeven', [], []);
    const own = { ...open, rules: limited } as GameEvent;
    expect(situationOf(readGame([own]).state)).toMatchObject({ open: true, inning: 1 });
  });
});

describe('counts', () => {
  it('touch nothing but themselves, whatever a player or a zone is called', () => {
    const [open] = told('fullSizeSeven', [], []);
    if (open?.kind !== 'opened') throw new Error('it was opened');
    const order = open.away.order.with(0, { id: '__proto__' as PersonId, pos: 'CF' });
    const events = [
      { ...open, away: { ...open.away, order } },
      {
        id: 'bunt',
        seq: 2,
        device: 'd',
        place: 'bench',
        slot: 'T1.1.1',
        kind: 'pitch',
        result: 'inPlay',
        ball: { result: 'single', contact: 'bunt', zone: '__proto__' },
      },
    ] as unknown as GameEvent[];
    const { away } = countsOf(readGame(events).state);
    expect(away.turns).toBe(1);
    expect(Object.keys(away.batters)).toEqual(['__proto__']);
    expect(Object.keys(Object.prototype)).toEqual([]);
    expect(({} as Record<string, unknown>)['single']).toBeUndefined();
  });
});

describe('a slot', () => {
  it('is read as it is written', () => {
    for (const text of ['T1.1.1', 'B12.3.14', '2:T8.1.1', '1:B9.2.3#4']) {
      const slot = parseSlot(text);
      expect(slot && makeSlot(slot)).toBe(text);
    }
    for (const text of ['', 'T1.1', 'X1.1.1', 'T0.1.1', 'T1.0.1', 'T1.1.1#0'])
      expect(parseSlot(text)).toBeNull();
  });
});

describe('a slot to tell with', () => {
  const pick = { kind: 'pick', base: 'first', result: 'back' } as const;
  const asEvent = (id: string, telling: object, slot: string) =>
    ({ id, seq: null, device: 'd', place: 'first', slot, ...telling }) as unknown as GameEvent;

  it('numbers the second pick at one place, and the first again when that is taken back', () => {
    const [open] = told('fullSizeSeven', [], []);
    if (!open) throw new Error('it was opened');
    expect(slotToTell([open], 'T1.1.1', pick)).toBe('T1.1.1');
    const one = [open, asEvent('p1', pick, 'T1.1.1')];
    expect(slotToTell(one, 'T1.1.1', pick)).toBe('T1.1.1#2');
    const two = [...one, asEvent('p2', pick, 'T1.1.1#2')];
    expect(slotToTell(two, 'T1.1.1', pick)).toBe('T1.1.1#3');
    const undone = [...one, asEvent('u', { kind: 'undo', event: 'p1' }, 'T1.1.1')];
    expect(slotToTell(undone, 'T1.1.1', pick)).toBe('T1.1.1');
    // Another place, and another kind of thing, begin at one.
    expect(slotToTell(two, 'T1.1.2', pick)).toBe('T1.1.2');
    expect(slotToTell(two, 'T1.1.1', { kind: 'stepOff' })).toBe('T1.1.1');
  });

  it('never numbers a pitch: told again it is the same pitch', () => {
    const [open] = told('fullSizeSeven', [], []);
    if (!open) throw new Error('it was opened');
    const ball = { kind: 'pitch', result: 'ball' } as const;
    expect(slotToTell([open, asEvent('e', ball, 'T1.1.1')], 'T1.1.1', ball)).toBe('T1.1.1');
  });
});

describe('a made-up game', () => {
  it('is played to its end without anything that could not be, under every ruleset', () => {
    for (const [index, name] of NAMES.entries()) {
      for (let seed = 1; seed <= 6; seed += 1) {
        const events = told(name, [], []);
        const random = makeRandom(seed * 100 + index);
        let serial = 0;
        const teller = () => ({
          id: `m${String((serial += 1))}`,
          device: 'd1',
          place: 'bench' as const,
          at: '2026-06-01T10:00:00.000Z',
        });
        for (const event of playOn(events, random, PLAY_LEVELS.hs.rates, teller))
          events.push(event);
        const { state, flagged, conflicts } = readGame(events);
        expect(state?.over?.winner).toMatch(/away|home/);
        expect(flagged).toEqual([]);
        expect(conflicts).toEqual([]);
        expect(events.length).toBeGreaterThan(100);
      }
    }
  });

  it('is the same game from the same seed', () => {
    const play = (): GameEvent[] => {
      const events = told('fullSizeSeven', [], []);
      const teller = () => ({
        id: `m${String(events.length)}`,
        device: 'd',
        place: 'bench' as const,
      });
      for (const event of playOn(events, makeRandom(7), PLAY_LEVELS.hs.rates, teller)) {
        events.push(event);
      }
      return events;
    };
    expect(play()).toEqual(play());
  });
});

describe('the box of a game', () => {
  it('has every run, plate appearance and steal that the game counted', () => {
    for (const events of [baseball, fastpitch]) {
      const { state } = readGame(events);
      const [box, counts] = [boxOf(state), countsOf(state)];
      const now = situationOf(state);
      if (!now.open) throw new Error('it was opened');
      for (const team of ['away', 'home'] as const) {
        const sum = (of: 'runs' | 'plateAppearances' | 'hits' | 'stolen'): number =>
          box.lines[team].reduce((total, line) => total + line[of], 0);
        const { outcomes, steals } = counts[team];
        expect(sum('runs')).toBe(now.runs[team]);
        expect(sum('hits')).toBe(
          outcomes.single + outcomes.double + outcomes.triple + outcomes.homeRun,
        );
        expect(sum('stolen')).toBe(steals.second.stolen + steals.third.stolen + steals.home.stolen);
        const caught = steals.second.out + steals.third.out + steals.home.out;
        const listed = box.outsOnBases.filter((out) => out.side === team && out.kind !== 'play');
        expect(listed.length).toBeGreaterThanOrEqual(caught - counts[team].pickedOff);
      }
    }
  });
});

describe('the outfielders of a game', () => {
  it('are seen fielding hits clean and bobbling, whoever stands there then', () => {
    const { state } = readGame(baseball);
    const looks = looksOf(state);
    const balls = recordsOf(state).flatMap(({ event, batting }) =>
      event.kind === 'pitch' &&
      event.result === 'inPlay' &&
      ['single', 'double', 'triple', 'error'].includes(event.ball?.result ?? '') &&
      !['fly', 'pop'].includes(event.ball?.contact ?? '') &&
      ['LF', 'CF', 'RF'].includes(event.ball?.fielders?.[0] ?? '')
        ? [{ batting, error: event.ball?.result === 'error' }]
        : [],
    );
    expect(balls.length).toBeGreaterThan(0);
    expect(looks.filter(({ look }) => look === 'clean' || look === 'bobbles')).toHaveLength(
      balls.length,
    );
    expect(looks.filter(({ look }) => look === 'bobbles')).toHaveLength(
      balls.filter(({ error }) => error).length,
    );
    expect(looksOf(null)).toEqual([]);
  });

  it('keep the out that came by the cutoff man, and not the one thrown through', () => {
    const single = baseball.find(
      (event) => event.kind === 'pitch' && event.ball?.result === 'single' && event.ball.fielders,
    );
    if (single?.kind !== 'pitch' || !single.ball) throw new Error('nobody singled');
    const until = baseball.slice(0, baseball.indexOf(single));
    const thrown = (by: Position[]) => {
      const ball = { ...single.ball, result: 'single' as const, contact: 'ground' as const };
      const runners = [{ from: 'batter' as const, out: 'second' as const, how: 'tag', by }];
      const told = { ...single, ball: { ...ball, fielders: ['CF'] }, runners };
      return looksOf(readGame([...until, told]).state).slice(looksOf(readGame(until).state).length);
    };
    expect(thrown(['CF', 'SS', '2B']).map(({ look }) => look)).toEqual(['clean', 'hitsCutoff']);
    expect(thrown(['CF', '2B']).map(({ look }) => look)).toEqual(['clean']);
  });
});

describe('the bunts of a game', () => {
  it('are as many as the game counted, each with whoever bunted it', () => {
    for (const events of [baseball, fastpitch]) {
      const { state } = readGame(events);
      const bunts = buntsOf(state);
      const { away, home } = countsOf(state);
      const counted = (of: 'tries' | 'missed' | 'foul' | 'popped' | 'inPlay'): number =>
        away.bunts[of] + home.bunts[of];
      const made = (result: string): number =>
        bunts.filter(({ bunt }) => bunt.result === result).length;
      expect(bunts).toHaveLength(counted('tries'));
      expect(made('missed')).toBe(counted('missed'));
      expect(made('foul')).toBe(counted('foul'));
      expect(made('popped')).toBe(counted('popped'));
      expect(made('fair')).toBe(counted('inPlay') - counted('popped'));
    }
  });

  it('are told by where they lay, else by the third of the field that was tapped', () => {
    const fair = [baseball, fastpitch].flatMap((events) => buntsOf(readGame(events).state));
    // 26 ft along the first-base line and 13 along the third: between the first line and the middle.
    expect(fair.map(({ bunt }) => bunt.lane)).toContain('firstMiddle');
    expect(buntsOf(null)).toEqual([]);
  });
});
