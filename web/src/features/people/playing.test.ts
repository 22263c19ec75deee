import type { Opponent, Person } from '@bradyon/core/people';
import type { OpponentId, PersonId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { NOBODY_PICKED, resolvePlaying } from './playing.ts';

const otters: Opponent = { id: 'otters' as OpponentId, name: 'Millrace Otters', retired: false };
const newcomers: Opponent = { id: 'new' as OpponentId, name: 'Newcomers', retired: false };

function person(id: string, opponentId: OpponentId | null, positions: Person['positions']): Person {
  return {
    id: id as PersonId,
    opponentId,
    number: '',
    name: id,
    throws: 'right',
    bats: 'right',
    positions,
    leadFeet: null,
    retired: false,
  };
}

const people = [
  person('our runner', null, ['CF']),
  person('their fielder', otters.id, ['1B']),
  person('their catcher', otters.id, ['C']),
  person('their pitcher', otters.id, ['P']),
];

describe('resolvePlaying', () => {
  it('offers the first opponent with players, his pitcher, his catcher and our runner', () => {
    const onField = resolvePlaying(NOBODY_PICKED, people, [newcomers, otters]);
    expect(onField.facing).toBe(otters.id);
    expect(onField.pitcher?.id).toBe('their pitcher');
    expect(onField.catcher?.id).toBe('their catcher');
    expect(onField.runner?.id).toBe('our runner');
  });

  it('keeps what was picked, also a fielder who came in to pitch', () => {
    const picked = { ...NOBODY_PICKED, pitcherId: 'their fielder' as PersonId };
    expect(resolvePlaying(picked, people, [otters]).pitcher?.id).toBe('their fielder');
  });

  it('lets go of somebody who retired or plays for another side', () => {
    const picked = {
      ...NOBODY_PICKED,
      facing: 'ours' as const,
      pitcherId: 'their pitcher' as PersonId,
    };
    expect(resolvePlaying(picked, people, [otters]).pitcher).toBeNull();
    const retired = people.map((each) =>
      each.id === 'their pitcher' ? { ...each, retired: true } : each,
    );
    expect(resolvePlaying(NOBODY_PICKED, retired, [otters]).pitcher).toBeNull();
  });

  it('has nobody in a team without players', () => {
    const onField = resolvePlaying(NOBODY_PICKED, [], []);
    expect(onField).toMatchObject({ facing: 'ours', pitcher: null, catcher: null, runner: null });
  });
});
