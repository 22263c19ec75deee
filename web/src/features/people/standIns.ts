import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';

/** Whom a race needs. */
const RACE_ROLES = ['pitcher', 'catcher', 'runner'] as const;
export type RaceRole = (typeof RACE_ROLES)[number];

const typical = (role: RaceRole, positions: Person['positions']): Person => ({
  id: `typical ${role}` as PersonId,
  opponentId: null,
  number: '',
  name: `the ${role}`,
  throws: 'right',
  bats: 'right',
  positions,
  leadFeet: null,
  retired: false,
});

/** Who stands in where nobody is chosen: typical of the level, and nobody's times. */
const STAND_INS: Record<RaceRole, Person> = {
  pitcher: typical('pitcher', ['P']),
  catcher: typical('catcher', ['C']),
  runner: typical('runner', []),
};

/** Whoever is chosen, else a typical one. */
export function orTypical(person: Person | null, role: RaceRole): Person {
  return person ?? STAND_INS[role];
}

/** The part that somebody stands in for; null: a real person. */
export function standsInFor({ id }: Pick<Person, 'id'>): RaceRole | null {
  return RACE_ROLES.find((role) => STAND_INS[role].id === id) ?? null;
}
