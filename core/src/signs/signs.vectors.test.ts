import { describe, expect, it } from 'vitest';
import decodings from '../../vectors/signs/decode.json';
import systems from '../../vectors/signs/systems.json';
import counts from '../../vectors/signs/counts.json';
import { automatonOf, countSequences, minimal } from './automaton.ts';
import { decode } from './decode.ts';
import learn from '../../vectors/signs/learn.json';
import validations from '../../vectors/signs/validate.json';
import cards from '../../vectors/signs/cards.json';
import rng from '../../vectors/signs/rng.json';
import { makeRandom } from '../maths/index.ts';
import { betaCdf, betaQuantile } from '../maths/beta.ts';
import { loadOf } from './learn.ts';
import { afterSign, missOf, missPrior, pairMisses } from './misses.ts';
import { issueNumberCard } from './numberCard.ts';
import { dueDay, newMemory, priority, review } from './schedule.ts';
import type { SignSystem } from './system.ts';
import { validate } from './validate.ts';

const all = systems as unknown as Record<string, SignSystem>;
const systemOf = (id: string): SignSystem => {
  const found = all[id];
  if (!found) throw new Error(`no system ${id}`);
  return found;
};

describe('decoding', () => {
  const names = [...new Set(decodings.map(({ system }) => system))];
  it.each(names)('reads every sequence of %s', (name) => {
    const own = decodings.filter(({ system }) => system === name);
    expect(own.length).toBeGreaterThan(0);
    for (const { ctx, seq, expect: expected } of own) {
      expect(decode(systemOf(name), seq, ctx), seq.join(' ')).toEqual(expected);
    }
  });
});

describe('the machine of a system', () => {
  it.each(counts)(
    'counts every sequence of $system, meaning by meaning',
    ({ system, contexts }) => {
      for (const { ctx, minimalStates, words } of contexts) {
        const machine = automatonOf(systemOf(system), ctx);
        const small = minimal(machine);
        expect(small.next).toHaveLength(minimalStates);
        for (const [length, expected] of Object.entries(words)) {
          const wanted = Object.fromEntries(
            Object.entries(expected as Record<string, string>).map(([name, count]) => [
              name,
              BigInt(count),
            ]),
          );
          expect(countSequences(machine, Number(length))).toEqual(wanted);
          expect(countSequences(small, Number(length))).toEqual(wanted);
        }
      }
    },
  );
});

describe('the validator', () => {
  it.each(validations)('judges $system', ({ system, ok, issues }) => {
    const found = validate(systemOf(system));
    expect(found.isSound).toBe(ok);
    const essence = (each: {
      code: string;
      plays?: readonly string[] | undefined;
      length: number | undefined;
    }) => `${each.code} ${(each.plays ?? []).toSorted().join('+')} ${String(each.length ?? '')}`;
    const errors = found.issues.filter(({ level }) => level === 'error');
    expect(
      errors
        .map(({ code, plays, witness }) =>
          essence({ code, plays, length: witness?.sequence.length }),
        )
        .toSorted(),
    ).toEqual(
      issues
        .map((each) => {
          const {
            code,
            plays,
            witnessLength: length,
          } = each as {
            code: string;
            plays?: string[];
            witnessLength?: number;
          };
          return essence({ code, plays, length });
        })
        .toSorted(),
    );
    // Each sequence that is shown really means what it is said to mean.
    for (const { witness, plays } of errors) {
      if (!witness) continue;
      expect(decode(systemOf(system), witness.sequence, witness.context)).toEqual({
        kind: 'conflict',
        plays: plays.toSorted(),
      });
    }
  });
});

describe('what a system asks of a player', () => {
  it.each(learn.load)('$system', ({ system, items, parts, tier }) => {
    expect(loadOf(systemOf(system))).toEqual({ items, parts, tier });
  });
});

describe('what is believed of a player', () => {
  it('has the Beta distribution right', () => {
    for (const { x, a, b, p } of learn.betaCdf) expect(betaCdf(x, a, b)).toBeCloseTo(p, 9);
    for (const { p, a, b, x } of learn.betaInv) expect(betaQuantile(p, a, b)).toBeCloseTo(x, 9);
  });

  it('follows every sign, and fades', () => {
    let belief = missPrior(0);
    for (const { day, missed, a, b, mean, lo, hi } of learn.miss) {
      belief = afterSign(belief, { day, missed });
      expect(belief.a).toBeCloseTo(a, 9);
      expect(belief.b).toBeCloseTo(b, 9);
      const now = missOf(belief);
      expect([now.mean, now.low, now.high].map((each) => each.toFixed(7))).toEqual(
        [mean, lo, hi].map((each) => each.toFixed(7)),
      );
    }
    expect(pairMisses(0.12, 0.12)).toBeCloseTo(0.2256, 9);
  });

  it('knows when a sign is due again', () => {
    let memory = newMemory(0);
    for (const each of learn.review) {
      memory = review(memory, { isRight: each.ok, seconds: each.sec, day: each.day });
      expect(memory.halfLifeDays).toBeCloseTo(each.h, 9);
      expect(memory.logSeconds).toBeCloseTo(each.rt, 9);
      expect(memory.miss.a).toBeCloseTo(each.miss.a, 9);
      expect(memory.miss.b).toBeCloseTo(each.miss.b, 9);
      expect(memory.miss.day).toBe(each.miss.t);
      expect(dueDay(memory, false)).toBeCloseTo(each.due, 9);
      expect(dueDay(memory, true)).toBeCloseTo(each.dueCritical, 9);
    }
    // The squeeze first, and the longer ago the sooner.
    expect(priority(memory, true, 6)).toBeGreaterThan(priority(memory, false, 6));
    expect(priority(memory, false, 9)).toBeGreaterThan(priority(memory, false, 6));
  });
});

/** Every code one digit from another, and every swap of neighbours. */
function nearCodes(codes: readonly string[]): string[] {
  const all = new Set(codes);
  return codes.filter((code) => {
    const [one = '', two = '', three = ''] = code;
    const swaps = [`${two}${one}${three}`, `${one}${three}${two}`];
    const isNear = codes.some(
      (other) =>
        other !== code && other.split('').filter((digit, at) => digit !== code[at]).length === 1,
    );
    return isNear || swaps.some((swap) => swap !== code && all.has(swap));
  });
}

describe('number cards', () => {
  it('are as safe as those that were made elsewhere', () => {
    for (const card of cards) {
      const codes = card.codes.map(({ code }) => code);
      expect(nearCodes(codes)).toEqual([]);
      for (const code of codes) {
        const [a = 0, b = 0, c] = code.split('').map(Number);
        expect((card.alpha * a + card.beta * b + card.k) % 10).toBe(c);
      }
    }
  });

  it('share no code within ten issues, and take one misheard digit for nothing', () => {
    const shares = ['steal', 'bunt', 'squeeze'].map((play) => ({ play, codes: 6 }));
    for (let seed = 1; seed <= 20; seed += 1) {
      const seen = new Set<string>();
      for (let issue = 0; issue < 10; issue += 1) {
        const { codes } = issueNumberCard(makeRandom(seed), issue, shares, 50);
        expect(codes).toHaveLength(50);
        expect(nearCodes(codes.map(({ code }) => code))).toEqual([]);
        expect(codes.filter(({ play }) => play === 'squeeze')).toHaveLength(6);
        for (const { code } of codes) {
          expect(seen.has(code), `${code} again in issue ${String(issue)}`).toBe(false);
          seen.add(code);
        }
      }
    }
    expect(() => issueNumberCard(makeRandom(1), 0, shares, 101)).toThrow(RangeError);
  });

  it('are drawn with the agreed source of numbers', () => {
    for (const [seed, numbers] of rng.mulberry32 as [number, number[]][]) {
      const random = makeRandom(seed);
      expect(numbers.map(() => random())).toEqual(numbers);
    }
  });
});
