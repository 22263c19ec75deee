import { describe, expect, it } from 'vitest';
import systems from '../../vectors/signs/systems.json';
import { makeRandom } from '../maths/index.ts';
import { armAnswer, armQuestions } from './arms.ts';
import { decode } from './decode.ts';
import { tuneIdle, signGenerator } from './generate.ts';
import { drillRound, dueSigns, isMissed, knownSigns, type SignAnswer } from './round.ts';
import type { SignSystem } from './system.ts';

const ind = (systems as unknown as Record<string, SignSystem>)['ind'];
if (!ind) throw new Error('no system');
const right = (meant: string | null, day: number): SignAnswer => ({
  meant,
  answered: meant,
  seconds: 1,
  day,
});
const wrong = (meant: string | null, answered: string | null, day: number): SignAnswer => ({
  meant,
  answered,
  seconds: 1,
  day,
});

describe('a round of a drill', () => {
  it('asks what it says it means, each sequence once, and often nothing on', () => {
    const items = drillRound(ind, knownSigns([]), { size: 60, day: 10, random: makeRandom(3) });
    expect(items).toHaveLength(60);
    expect(new Set(items.map(({ touches }) => touches.join(' '))).size).toBe(60);
    for (const { touches, context, means } of items) {
      const found = decode(ind, touches, context);
      expect(found.kind === 'play' ? found.play : null).toBe(means);
    }
    const nothing = items.filter(({ means }) => means === null).length;
    expect(nothing).toBeGreaterThan(12);
    expect(nothing).toBeLessThan(38);
  });

  it('asks first for what is forgotten, and for the squeeze above all', () => {
    const sure = ['steal', 'bunt', 'hit-and-run', 'take', 'slash'].flatMap((play) =>
      [1, 2, 3, 4, 5].map((day) => right(play, day)),
    );
    const known = knownSigns([...sure, wrong('squeeze', null, 5)]);
    const items = drillRound(ind, known, { size: 12, day: 5.2, random: makeRandom(8) });
    const live = items.filter(({ means }) => means !== null);
    const squeezes = live.filter(({ means }) => means === 'squeeze').length;
    expect(squeezes).toBeGreaterThan(live.length / 3);
    expect(dueSigns(ind, known, 5.3)).toContain('squeeze');
    expect(dueSigns(ind, known, 5.3)).not.toContain('bunt');
  });

  it('keeps nothing on apart: taken for a play it is a false alarm', () => {
    const known = knownSigns([right(null, 1), wrong(null, 'steal', 2), right('bunt', 2)]);
    expect(known).toMatchObject({ nothingOn: 2, falseAlarms: 1 });
    expect([...known.memories.keys()]).toEqual(['bunt']);
    expect(isMissed(wrong(null, 'steal', 2))).toBe(true);
    expect(isMissed({ ...right('bunt', 1), seconds: 3.4 })).toBe(true);
    expect(isMissed(right('bunt', 1))).toBe(false);
  });
});

describe('arm signals', () => {
  it('are for one runner: the other waits for their own', () => {
    const questions = armQuestions(300, makeRandom(2));
    const others = questions.filter((question) => question.for !== question.you);
    expect(others.length).toBeGreaterThan(50);
    for (const question of others) {
      expect(question.you).toBe('trail');
      expect(armAnswer(question)).toBeNull();
    }
    expect(armAnswer({ signal: 'stop', for: 'trail', you: 'trail' })).toBe('stop');
  });
});

describe('sequences with nothing on', () => {
  it('touch every place about as often as live ones once they are tuned', () => {
    const context = { inning: 1, outs: 0, bases: 0 };
    const idle = tuneIdle(ind, context, makeRandom(6));
    const mean = (make: () => string[] | null): Map<string, number> => {
      const seen = new Map<string, number>();
      for (let sample = 0; sample < 600; sample += 1)
        for (const touch of make() ?? []) seen.set(touch, (seen.get(touch) ?? 0) + 1 / 600);
      return seen;
    };
    const apart = (weights: Record<string, number>): number => {
      const own = signGenerator(ind, context, weights);
      const random = makeRandom(12);
      const plays = own.meanings.filter((meaning) => meaning !== null);
      const live = mean(() => own.make(plays[Math.floor(random() * plays.length)] ?? null, random));
      const none = mean(() => own.make(null, random));
      return ind.touches.reduce(
        (sum, touch) => sum + Math.abs((live.get(touch) ?? 0) - (none.get(touch) ?? 0)),
        0,
      );
    };
    expect(apart(idle)).toBeLessThan(apart({}));
  });
});
