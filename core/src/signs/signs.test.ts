import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeRandom } from '../maths/index.ts';
import { automatonOf, TooManySigns } from './automaton.ts';
import { claims, decode, startState, step } from './decode.ts';
import { signGenerator } from './generate.ts';
import type { Scheme, SignContext, SignSystem } from './system.ts';
import { validate } from './validate.ts';

const TOUCHES = ['cap', 'ear', 'belt', 'chin', 'wipe'];
const PLAYS = ['steal', 'bunt', 'squeeze'];
const touch = fc.constantFrom(...TOUCHES);
const play = fc.constantFrom(...PLAYS);
const pairs = fc.array(fc.record({ touch, play }), { minLength: 1, maxLength: 3 });
const values = fc.array(fc.record({ touch, value: fc.integer({ min: 1, max: 3 }) }), {
  minLength: 1,
  maxLength: 3,
});
const scheme: fc.Arbitrary<Scheme> = fc.oneof(
  pairs.map((map): Scheme => ({ kind: 'direct', map })),
  fc
    .tuple(pairs, fc.constantFrom<1 | 2 | -1>(1, 2, -1))
    .map(([map, offset]): Scheme => ({ kind: 'indicator', offset, map })),
  fc
    .tuple(
      fc.array(fc.oneof(play, fc.constant(null)), { minLength: 1, maxLength: 3 }),
      fc.oneof(
        fc.constant<'end'>('end'),
        touch.map((stop) => ({ stop })),
      ),
    )
    .map(([list, until]): Scheme => ({ kind: 'count', list, until })),
  values.map((valued): Scheme => ({
    kind: 'sum',
    take: 2,
    values: valued,
    table: PLAYS.map((each, index) => ({ sum: index + 3, play: each })),
  })),
  values.map((valued): Scheme => ({
    kind: 'card',
    take: 2,
    values: valued,
    codes: PLAYS.map((each, index) => ({ code: `1${String(index + 1)}`, play: each })),
  })),
);
const system: fc.Arbitrary<SignSystem> = fc.record({
  id: fc.constant('any'),
  name: fc.constant('Any'),
  touches: fc.constant(TOUCHES),
  plays: fc.constant(PLAYS.map((id) => ({ id, weight: 1 }))),
  indicator: fc.oneof(
    fc.constant({ kind: 'none' as const }),
    touch.map((hot) => ({ kind: 'fixed' as const, touch: hot })),
    fc
      .tuple(touch, touch)
      .map(([one, other]) => ({ kind: 'byInning' as const, touches: [one, other] })),
    fc.tuple(touch, touch, touch).map(([key, hot, usual]) => ({
      kind: 'keyTouch' as const,
      keys: [{ key, touch: hot }],
      default: usual,
    })),
  ),
  scheme,
  occurrence: fc.constantFrom('first' as const, 'last' as const, 'any' as const),
  modifiers: fc.array(
    fc.record({
      touch,
      from: play,
      to: fc.constantFrom('delayed', 'double'),
      where: fc.constantFrom('anyAfter' as const, 'next' as const),
    }),
    { maxLength: 2 },
  ),
  situational: fc.constant([]),
  wipe: fc.oneof(
    fc.constant(null),
    fc.constantFrom('cancel' as const, 'restart' as const).map((mode) => ({ touch: 'wipe', mode })),
  ),
});
const context: SignContext = { inning: 1, outs: 0, bases: 0 };

/** The proof refuses what is beyond anything a team could remember: what is proved is proved of the others. */
function isWithinReach(own: SignSystem): boolean {
  try {
    for (const inning of [1, 2]) automatonOf(own, { ...context, inning });
    return true;
  } catch (error) {
    if (error instanceof TooManySigns) return false;
    throw error;
  }
}

/** Every sequence up to a length, by the decoder alone. */
function* sequences(most: number): Generator<string[]> {
  let level: string[][] = [[]];
  for (let length = 0; length <= most; length += 1) {
    yield* level;
    level = level.flatMap((sequence) => TOUCHES.map((each) => [...sequence, each]));
  }
}

describe('any system at all', () => {
  it('reads any sequence, and the same whether touch by touch or at once', () => {
    fc.assert(
      fc.property(
        system,
        fc.array(fc.oneof(touch, fc.string()), { maxLength: 14 }),
        (own, told) => {
          let state = startState(own, context);
          for (const each of told) state = step(own, state, each);
          const found = decode(own, told, context);
          const meanings = claims(own, state, context);
          expect(found.kind === 'nothing').toBe(meanings.length === 0);
          expect(found.kind === 'conflict').toBe(meanings.length > 1);
        },
      ),
      { numRuns: 3000 },
    );
  });

  it('is given by sequences that say what they are made to say, as far as it can be hidden at all', () => {
    let made = 0;
    fc.assert(
      fc.property(system, fc.integer(), (own, seed) => {
        fc.pre(isWithinReach(own));
        const random = makeRandom(seed);
        const { meanings, make } = signGenerator(own, context);
        for (const meaning of meanings) {
          for (let time = 0; time < 5; time += 1) {
            const sequence = make(meaning, random);
            if (!sequence) return;
            made += 1;
            const found = decode(own, sequence, context);
            expect(found).toEqual(
              meaning === null ? { kind: 'nothing' } : { kind: 'play', play: meaning },
            );
          }
        }
      }),
      { numRuns: 150 },
    );
    expect(made).toBeGreaterThan(100);
  });

  it('is proved sound only if no sequence has two meanings, and else shown by a shortest one', () => {
    const LONGEST = 4;
    fc.assert(
      fc.property(system, (own) => {
        fc.pre(isWithinReach(own));
        const { issues } = validate(own);
        const shown = issues.flatMap(({ witness }) => witness ?? []);
        for (const { sequence, context: where } of shown)
          expect(decode(own, sequence, where).kind).toBe('conflict');
        const here = shown.filter(({ context: where }) => where.inning === 1);
        const shortest = Math.min(
          Number.POSITIVE_INFINITY,
          ...here.map(({ sequence }) => sequence.length),
        );
        let found = Number.POSITIVE_INFINITY;
        for (const sequence of sequences(LONGEST)) {
          if (decode(own, sequence, context).kind !== 'conflict') continue;
          found = sequence.length;
          break;
        }
        // What is shown for another inning of the cycle may be shorter than what this one has.
        if (own.indicator.kind === 'byInning') {
          if (shown.length === 0) expect(found).toBe(Number.POSITIVE_INFINITY);
          return;
        }
        expect(shortest <= LONGEST ? shortest : Number.POSITIVE_INFINITY).toBe(found);
      }),
      { numRuns: 120 },
    );
  });

  it('is refused where it has more signs at once than anybody could remember', () => {
    // Three plays counted up to a touch, every one that comes, and a modifier on the indicator itself.
    const beyond: SignSystem = {
      id: 'any',
      name: 'Any',
      touches: TOUCHES,
      plays: PLAYS.map((id) => ({ id, weight: 1 })),
      indicator: { kind: 'keyTouch', keys: [{ key: 'cap', touch: 'cap' }], default: 'cap' },
      scheme: { kind: 'count', list: ['steal', 'squeeze', 'bunt'], until: { stop: 'chin' } },
      occurrence: 'any',
      modifiers: [{ touch: 'cap', from: 'steal', to: 'delayed', where: 'next' }],
      situational: [],
      wipe: null,
    };
    expect(() => automatonOf(beyond, context)).toThrow(TooManySigns);
    // And a coach who lays it is told so, instead of losing the screen.
    const { isSound, issues } = validate(beyond);
    expect(isSound).toBe(false);
    expect(issues.map(({ code }) => code)).toContain('TOO_MANY_AT_ONCE');
  });
});
