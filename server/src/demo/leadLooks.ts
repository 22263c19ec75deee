import type { LeadLookRecord } from '@bradyon/contract/leads';
import { momentOf, usualLookFeet } from '@bradyon/core/leads';
import { makeRandom } from '@bradyon/core/maths';
import type { Person, Position } from '@bradyon/core/people';
import type { Ruleset } from '@bradyon/core/rules';
import type { LeadLookId } from '@bradyon/core/units';
import { makeUuid } from './uuid.ts';

/** Who of theirs is looked at, and how much farther off than usual they are. Feet. */
const BOLDER: Partial<Record<Position, number>> = { CF: 1.5, SS: 0.5, '2B': -1 };
const LOOKS = 4;
const HOUR_MS = 3_600_000;

/** Looks at the leads of those who run; a source of its own, so that nothing else of the demo depends on them. */
export function demoLeadLooks(
  theirs: readonly Person[],
  ruleset: Ruleset,
  today: Date,
): LeadLookRecord[] {
  const random = makeRandom(79);
  return theirs.flatMap(({ id: personId, positions: [first] }) => {
    const bolder = first && BOLDER[first];
    if (bolder === undefined) return [];
    return Array.from({ length: LOOKS }, (_, nth): LeadLookRecord => ({
      id: makeUuid(random) as LeadLookId,
      personId,
      undoes: null,
      base: 'first',
      moment: momentOf(ruleset),
      feet: Math.round(usualLookFeet('first', ruleset) + bolder + 2 * random() - 1),
      takenAt: new Date(today.getTime() - 52 * HOUR_MS + nth * 90_000).toISOString(),
    }));
  });
}
