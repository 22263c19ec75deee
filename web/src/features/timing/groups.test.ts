import type { Reading } from '@bradyon/core/timing';
import type { AccountId, PersonId, ReadingId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { groupsOf } from './groups.ts';

let serial = 0;
function reading(parts: Partial<Reading>): Reading {
  serial += 1;
  return {
    id: String(serial) as ReadingId,
    personId: 'p' as PersonId,
    kind: 'delivery',
    seconds: 1.4,
    base: 'second',
    style: 'legLift',
    leadFeet: null,
    method: 'thumb',
    takenAt: '2031-05-01T10:00:00.000Z',
    timedBy: 'me' as AccountId,
    timedByName: 'Marit',
    asideReason: null,
    ...parts,
  };
}

describe('groupsOf', () => {
  it('keeps apart what cannot be compared, in the order of the play', () => {
    const groups = groupsOf([
      reading({ kind: 'steal', style: null, base: 'third', seconds: 3.2 }),
      reading({ kind: 'pop', style: null, base: 'second', seconds: 2 }),
      reading({ style: 'slideStep', seconds: 1.2 }),
      reading({ base: 'third' }),
      reading({}),
    ]);
    expect(groups.map(({ title, readings }) => [title, readings.length])).toEqual([
      ['Delivery, leg lift', 2],
      ['Delivery, slide step', 1],
      ['Pop to second', 1],
      ['Steal of third', 1],
    ]);
  });

  it('shows what was set aside, but does not count it', () => {
    const [group] = groupsOf([reading({}), reading({ seconds: 2, asideReason: 'wrong tap' })]);
    expect(group?.readings).toHaveLength(2);
    expect(group?.spread).toMatchObject({ count: 1, meanSeconds: 1.4 });
    expect(groupsOf([reading({ asideReason: 'wrong tap' })])[0]?.spread).toBeNull();
  });
});
