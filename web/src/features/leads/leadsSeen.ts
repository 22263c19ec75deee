import type { LeadLookRecord } from '@bradyon/contract/leads';
import {
  knownLead,
  momentOf,
  usualLookFeet,
  type KnownLead,
  type LeadBase,
} from '@bradyon/core/leads';
import type { Person } from '@bradyon/core/people';
import type { Ruleset } from '@bradyon/core/rules';

/** What looks at runners' leads say, under these rules. */
export interface LeadsSeen {
  /** What was seen of somebody, the oldest first. */
  looksAt: (person: Pick<Person, 'id'>, base: LeadBase) => LeadLookRecord[];
  usualFeet: (base: LeadBase) => number;
  known: (person: Pick<Person, 'id'>, base: LeadBase) => KnownLead | null;
  /**
   * A runner as they lead off first, the same one each time: theirs from where they were seen. A lead of ours is what
   * was agreed, not what was taken.
   */
  led: (person: Person) => Person;
}

export function leadsSeen(looks: readonly LeadLookRecord[], ruleset: Ruleset): LeadsSeen {
  const moment = momentOf(ruleset);
  const byPerson = new Map<string, LeadLookRecord[]>();
  // What was seen under other rules is another lead.
  for (const look of looks.filter((each) => each.moment === moment)) {
    byPerson.set(look.personId, [...(byPerson.get(look.personId) ?? []), look]);
  }
  const looksAt: LeadsSeen['looksAt'] = ({ id }, base) =>
    byPerson.get(id)?.filter((look) => look.base === base) ?? [];
  const usualFeet = (base: LeadBase): number => usualLookFeet(base, ruleset);
  const known: LeadsSeen['known'] = (person, base) =>
    knownLead(
      looksAt(person, base).map(({ feet }) => feet),
      usualFeet(base),
    );
  const ledBy = new Map<Person, Person>();
  return {
    looksAt,
    usualFeet,
    known,
    led: (person) => {
      if (moment !== 'set' || person.opponentId === null) return person;
      const before = ledBy.get(person);
      if (before) return before;
      const lead = known(person, 'first');
      const found = lead ? { ...person, leadFeet: lead.feet } : person;
      ledBy.set(person, found);
      return found;
    },
  };
}
