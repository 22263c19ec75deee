import { describe, expect, it } from 'vitest';
import systems from '../../vectors/signs/systems.json';
import { makeRandom } from '../maths/index.ts';
import { decode } from './decode.ts';
import { fixesFor } from './fixes.ts';
import { signGenerator } from './generate.ts';
import {
  freeTouches,
  inSchool,
  newSystem,
  phraseFor,
  PICKOFF_PLAYS,
  schoolOf,
  SCHOOLS,
  SIGN_PLAYS,
} from './schools.ts';
import { slipsOf } from './slips.ts';
import type { SignSystem } from './system.ts';
import { traceOf } from './trace.ts';
import { validate } from './validate.ts';

const all = systems as unknown as Record<string, SignSystem>;
const systemOf = (id: string): SignSystem => {
  const found = all[id];
  if (!found) throw new Error(`no system ${id}`);
  return found;
};
const plain = { inning: 1, outs: 0, bases: 0 };

describe('a new system', () => {
  it.each(SCHOOLS)('of %s is sound and carries every play', (school) => {
    for (const plays of [
      SIGN_PLAYS.slice(0, 4),
      SIGN_PLAYS.slice(0, 6),
      PICKOFF_PLAYS.slice(0, 6),
    ]) {
      const system = newSystem(school, plays, makeRandom(5));
      expect(validate(system).issues).toEqual([]);
      expect(schoolOf(system)).toBe(school);
      const { make } = signGenerator(system, plain);
      for (const { id } of plays) expect(make(id, makeRandom(2)), id).not.toBeNull();
      expect(make(null, makeRandom(2))).not.toBeNull();
    }
  });

  it('keeps the plays, the touches and an indicator of the team when the school changes', () => {
    const own = newSystem('indicator', SIGN_PLAYS.slice(0, 5), makeRandom(1));
    const counted = inSchool(
      { ...own, indicator: { kind: 'fixed', touch: 'hip' }, touches: [...own.touches, 'hip'] },
      'count',
      makeRandom(1),
    );
    expect(counted.indicator).toEqual({ kind: 'fixed', touch: 'hip' });
    expect(counted.plays).toEqual(own.plays);
    expect(validate(counted).issues).toEqual([]);
    expect(inSchool(counted, 'touch', makeRandom(1)).indicator).toEqual({ kind: 'none' });
  });

  it('puts nothing beside the squeeze in a list, and gives the list a phrase', () => {
    const { scheme } = newSystem('count', SIGN_PLAYS.slice(0, 4), makeRandom(1));
    expect(scheme).toMatchObject({ list: ['steal', 'bunt', 'hitAndRun', null, 'squeeze'] });
    const words = phraseFor(['steal', 'bunt', null, 'squeeze']).split(' ');
    expect(words.map((word) => word.slice(0, 1).toLowerCase())).toEqual(['s', 'b', 'n', 's']);
    expect(new Set(words).size).toBe(4);
  });

  it('knows which touches are still free', () => {
    const free = freeTouches(newSystem('indicator', SIGN_PLAYS.slice(0, 4), makeRandom(1)));
    expect(free).not.toContain('belt');
    expect(free).not.toContain('cap');
    expect(free[0]).toBe('brim');
  });
});

describe('a fix', () => {
  const broken = Object.entries(all).flatMap(([name, system]) =>
    validate(system)
      .issues.filter(({ level }) => level === 'error')
      .map((issue) => ({ name: `${name} ${issue.code} ${issue.plays.join('+')}`, system, issue })),
  );
  it.each(broken)('mends $name', ({ system, issue }) => {
    const fixes = fixesFor(issue, system);
    expect(fixes.length).toBeGreaterThan(0);
    for (const fix of fixes) {
      const after = validate(fix.system).issues;
      expect(
        after.some(
          ({ code, plays }) =>
            code === issue.code && plays.join() === issue.plays.join() && issue.plays.length > 0,
        ),
      ).toBe(false);
      expect(after.filter(({ level }) => level === 'error').length).toBeLessThanOrEqual(
        validate(system).issues.filter(({ level }) => level === 'error').length,
      );
    }
  });

  it('is not offered when it would mend nothing', () => {
    const own = newSystem('indicator', SIGN_PLAYS.slice(0, 4), makeRandom(1));
    if (own.scheme.kind !== 'indicator') throw new Error('an indicator was expected');
    const map = own.scheme.map.with(1, { touch: 'cap', play: 'bunt' });
    const torn: SignSystem = { ...own, occurrence: 'any', scheme: { ...own.scheme, map } };
    const issue = validate(torn).issues.find(({ plays }) => plays.join() === 'bunt,steal');
    if (!issue) throw new Error('an issue was expected');
    // Which sign counts is another question: one touch would still be two plays.
    const kinds = fixesFor(issue, torn).map(({ what }) => what.kind);
    expect(kinds).not.toContain('firstCounts');
    expect(kinds).not.toContain('lastCounts');
  });

  it('is there for a conflict that was built on purpose', () => {
    const own = newSystem('indicator', SIGN_PLAYS.slice(0, 4), makeRandom(1));
    const { scheme } = own;
    if (scheme.kind !== 'indicator') throw new Error('an indicator was expected');
    const doubled = {
      ...own,
      scheme: { ...scheme, map: scheme.map.with(1, { touch: 'cap', play: 'bunt' }) },
    };
    const [issue] = validate(doubled).issues;
    expect(issue).toMatchObject({ code: 'TWO_MEANINGS', plays: ['bunt', 'steal'] });
    expect(issue?.witness?.sequence).toEqual(['belt', 'cap']);
    const [fix] = issue ? fixesFor(issue, doubled) : [];
    expect(fix?.what).toEqual({ kind: 'movePlay', play: 'bunt', to: 'brim' });
    expect(fix && validate(fix.system).isSound).toBe(true);
  });
});

describe('what each touch did', () => {
  const roles = (id: string, sequence: string, context = plain): string =>
    traceOf(systemOf(id), sequence.split(' '), context)
      .map(({ role }) => role)
      .join(' ');

  it('is told in the order of the touches', () => {
    expect(roles('ind', 'ear belt cap chin')).toBe('decoy indicator sign decoy');
    expect(roles('ind', 'belt cap wipe belt nose')).toBe('wiped wiped wipe indicator sign');
    expect(roles('indBefore', 'ear cap belt')).toBe('decoy sign indicator');
    expect(roles('direct', 'belt cap chest')).toBe('decoy sign decoy');
    expect(roles('count', 'ear cap chin').split(' ')).toContain('decoy');
  });

  it('has one role a touch, and the sign just where a play is read', () => {
    for (const system of Object.values(all)) {
      const { make, meanings } = signGenerator(system, plain);
      for (const meaning of meanings) {
        const sequence = make(meaning, makeRandom(9));
        if (!sequence) continue;
        const traced = traceOf(system, sequence, plain);
        expect(traced.map(({ touch }) => touch)).toEqual(sequence);
        const isRead = decode(system, sequence, plain).kind === 'play';
        const marks = traced.filter(({ role }) =>
          ['sign', 'stop', 'digit', 'counted'].includes(role),
        );
        if (isRead) expect(marks.length, `${system.id} ${sequence.join(' ')}`).toBeGreaterThan(0);
      }
    }
  });
});

describe('one slip', () => {
  const rows = (id: string) =>
    slipsOf(systemOf(id), plain, { samples: 300, random: makeRandom(4) });
  const mean = (id: string, of: (row: ReturnType<typeof rows>[number]) => number): number => {
    const live = rows(id).filter(({ meaning }) => meaning !== null);
    return live.reduce((sum, row) => sum + of(row), 0) / live.length;
  };

  it('turns a count into its neighbor, an indicator into nothing, and a number card into no play at all', () => {
    expect(mean('countStop', ({ missed }) => missed.wrong)).toBeGreaterThan(0.3);
    expect(mean('ind', ({ missed }) => missed.wrong)).toBeLessThan(0.15);
    expect(mean('ind', ({ missed }) => missed.same)).toBeGreaterThan(0.6);
    expect(mean('card', ({ missed }) => missed.wrong)).toBeLessThan(0.12);
  });

  it('has the squeeze first, nothing on last, and shares that add up', () => {
    const table = rows('ind');
    expect(table[0]).toMatchObject({ meaning: 'squeeze', isCritical: true });
    expect(table.at(-1)?.meaning).toBeNull();
    for (const { missed, misread } of table)
      for (const { same, nothing, wrong } of [missed, misread])
        expect(same + nothing + wrong).toBeCloseTo(1, 9);
  });
});
