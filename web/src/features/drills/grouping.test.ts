import type { PersonId } from '@bradyon/core/units';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { groupHeaded, groupsOfList, listOfGroups } from './grouping.ts';

const ids = (...names: string[]) => names as PersonId[];

describe('groups as one list', () => {
  const everybody = ids('a', 'b', 'c', 'd', 'e');

  it('says under each heading who is there, and last who is not', () => {
    const list = listOfGroups([ids('c', 'a'), ids('e')], everybody);
    expect(list).toEqual(['group 0', 'c', 'a', 'group 1', 'e', 'group none', 'b', 'd']);
    expect(groupHeaded('group 1')).toBe(1);
    expect(groupHeaded('group none')).toBeNull();
    expect(groupHeaded('a')).toBeUndefined();
  });

  it('moves a player to another group past its heading, and to the first where none is above', () => {
    expect(groupsOfList(['group 0', 'c', 'group 1', 'a', 'e', 'group none', 'b'], 2)).toEqual([
      ids('c'),
      ids('a', 'e'),
    ]);
    expect(groupsOfList(['e', 'group 0', 'c', 'group 1', 'group none'], 2)).toEqual([
      ids('e', 'c'),
      [],
    ]);
  });

  it('leaves out who is no player any more', () => {
    expect(listOfGroups([ids('gone', 'a')], ids('a'))).toEqual(['group 0', 'a', 'group none']);
  });

  it('comes back as it was from any groups', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -1, max: 3 }), { maxLength: 12 }), (places) => {
        const players = places.map((_, at) => `p${String(at)}` as PersonId);
        const groups = [0, 1, 2, 3].map((group) => players.filter((_, at) => places[at] === group));
        expect(groupsOfList(listOfGroups(groups, players), 4)).toEqual(groups);
      }),
    );
  });
});
