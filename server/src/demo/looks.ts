import type { FielderLookRecord } from '@bradyon/contract/bases';
import type { FielderLook, Outfielder } from '@bradyon/core/bases';
import { makeRandom } from '@bradyon/core/maths';
import type { Person } from '@bradyon/core/people';
import type { FielderLookId } from '@bradyon/core/units';
import { makeUuid } from './uuid.ts';

/** What was seen of an outfield before a game: one charges, one waits, one throws over the cutoff man. */
const SEEN: Record<Outfielder, FielderLook[]> = {
  LF: ['charges', 'charges', 'clean', 'charges', 'hitsCutoff', 'clean', 'throwsBehind'],
  CF: ['waits', 'asleep', 'clean', 'waits', 'asleep', 'hitsCutoff', 'asleep', 'waits', 'asleep'],
  RF: ['charges', 'overthrows', 'bobbles', 'waits', 'overthrows', 'clean', 'overthrows'],
};
const HOUR_MS = 3_600_000;

/** Looks at every opponent's outfield; a source of its own, so that nothing else of the demo depends on them. */
export function demoLooks(theirs: readonly Person[], today: Date): FielderLookRecord[] {
  const random = makeRandom(78);
  return theirs.flatMap((person) => {
    const position = (['LF', 'CF', 'RF'] as const).find((each) => each === person.positions[0]);
    if (position === undefined) return [];
    return SEEN[position].map((look, nth): FielderLookRecord => ({
      id: makeUuid(random) as FielderLookId,
      personId: person.id,
      undoes: null,
      look,
      takenAt: new Date(today.getTime() - 52 * HOUR_MS + nth * 120_000).toISOString(),
    }));
  });
}
