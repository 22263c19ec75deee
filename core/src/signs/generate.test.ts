import { describe, expect, it } from 'vitest';
import systems from '../../vectors/signs/systems.json';
import { makeRandom } from '../maths/index.ts';
import { contextsOf } from './contexts.ts';
import { decode } from './decode.ts';
import { signGenerator, type Meaning, type SignGenerator } from './generate.ts';
import { indicatorIn, type SignContext, type SignSystem } from './system.ts';

const all = Object.values(systems as unknown as Record<string, SignSystem>);
/** Systems in which every meaning can be hidden, with a context of each. */
const usable = all.flatMap((system) => {
  const [context] = contextsOf(system);
  if (!context) return [];
  const generator = signGenerator(system, context);
  const isUsable = generator.make(null, makeRandom(1)) !== null;
  return isUsable ? [{ name: system.id, system, context, generator }] : [];
});

function make(generator: SignGenerator, meaning: Meaning, seed: number, avoid?: Set<string>) {
  const made = generator.make(meaning, makeRandom(seed), avoid);
  if (!made) throw new Error('a sequence was expected');
  return made;
}
function says(system: SignSystem, sequence: string[], context: SignContext): Meaning | undefined {
  const found = decode(system, sequence, context);
  if (found.kind === 'conflict') return undefined;
  return found.kind === 'play' ? found.play : null;
}

describe('sequences', () => {
  it('can be made for most systems', () => {
    expect(usable.length).toBeGreaterThan(all.length / 2);
  });

  it.each(usable)('of $name say what they are made to say', ({ system, context, generator }) => {
    expect(generator.meanings).toContain(null);
    for (const meaning of generator.meanings) {
      for (let seed = 0; seed < 40; seed += 1) {
        const made = make(generator, meaning, seed);
        expect(says(system, made, context), made.join(' ')).toBe(meaning);
        expect(made.length).toBeGreaterThanOrEqual(6);
        expect(made.length).toBeLessThanOrEqual(10);
        for (const [index, touch] of made.entries()) expect(touch).not.toBe(made[index - 1]);
      }
    }
  });

  it.each(usable)(
    'of $name have one shape whatever they say: length, indicator, wipe-off',
    ({ system, context, generator }) => {
      // Counted to the end, where the indicator stands is what it says.
      const isPlace = system.scheme.kind === 'count' && system.scheme.until === 'end';
      const hot = isPlace ? null : indicatorIn(system.indicator, context);
      const shape = (sequence: string[]): string[] =>
        sequence.map((touch) =>
          touch === system.wipe?.touch || (touch === hot && system.indicator.kind !== 'keyTouch')
            ? touch
            : '',
        );
      for (let seed = 0; seed < 40; seed += 1) {
        const nothingOn = shape(make(generator, null, seed));
        for (const meaning of generator.meanings)
          expect(shape(make(generator, meaning, seed))).toEqual(nothingOn);
      }
    },
  );

  it('do not come back while there are others', () => {
    const [first] = usable;
    if (!first) throw new Error('no system');
    for (const meaning of first.generator.meanings) {
      const once = make(first.generator, meaning, 7);
      const again = make(first.generator, meaning, 7, new Set([once.join(' ')]));
      expect(again).not.toEqual(once);
      expect(says(first.system, again, first.context)).toBe(meaning);
    }
  });

  it('are refused for a meaning that the context does not have, and for a system of nothing but signs', () => {
    const [first] = usable;
    expect(first?.generator.make('no such play', makeRandom(1))).toBeNull();
    const bare: SignSystem = {
      id: 'bare',
      name: 'Bare',
      touches: ['cap', 'belt'],
      plays: [{ id: 'steal', weight: 1 }],
      indicator: { kind: 'fixed', touch: 'cap' },
      scheme: { kind: 'indicator', offset: 1, map: [{ touch: 'belt', play: 'steal' }] },
      occurrence: 'first',
      modifiers: [],
      situational: [],
      wipe: null,
    };
    const context = { inning: 1, outs: 0, bases: 0 };
    expect(signGenerator(bare, context).make('steal', makeRandom(1))).toBeNull();
  });
});
