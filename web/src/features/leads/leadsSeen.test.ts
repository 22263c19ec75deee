import type { LeadLookRecord } from '@bradyon/contract/leads';
import type { Person } from '@bradyon/core/people';
import { PRESETS } from '@bradyon/core/rules';
import type { LeadLookId, OpponentId, PersonId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { leadsSeen } from './leadsSeen.ts';

const baseball = PRESETS.fullSizeSeven;
const theirs = {
  id: 'runner' as PersonId,
  opponentId: 'them' as OpponentId,
  leadFeet: null,
} as Person;
const ours = { ...theirs, opponentId: null, leadFeet: 10 };
let serial = 0;
const look = (parts: Partial<LeadLookRecord>): LeadLookRecord => ({
  id: `look${String((serial += 1))}` as LeadLookId,
  personId: theirs.id,
  undoes: null,
  base: 'first',
  moment: 'set',
  feet: 15,
  takenAt: '2031-05-01T17:30:00.000Z',
  ...parts,
});

describe('leads that were seen', () => {
  it('move a runner of theirs, and are nothing to one of ours or one who was not seen', () => {
    const { led } = leadsSeen([look({}), look({})], baseball);
    expect(led(theirs).leadFeet).toBeGreaterThan(13);
    expect(led(ours)).toBe(ours);
    const another = { ...theirs, id: 'another' as PersonId };
    expect(led(another)).toBe(another);
  });

  it('give the same runner each time, on which much that is worked out of runners rests', () => {
    const { led } = leadsSeen([look({})], baseball);
    expect(led(theirs)).toBe(led(theirs));
  });

  it('are of one base and one kind of rules', () => {
    const seen = leadsSeen(
      [look({ base: 'second', feet: 19 }), look({ moment: 'mitt' })],
      baseball,
    );
    expect(seen.known(theirs, 'first')).toBeNull();
    expect(seen.known(theirs, 'second')?.looks).toBe(1);
    expect(seen.led(theirs)).toBe(theirs);
    // Where nobody leads off a runner starts from the bag, however far off they are at the mitt.
    const softball = leadsSeen([look({ moment: 'mitt' })], PRESETS.fastpitch43);
    expect(softball.known(theirs, 'first')?.looks).toBe(1);
    expect(softball.led(theirs)).toBe(theirs);
  });
});
