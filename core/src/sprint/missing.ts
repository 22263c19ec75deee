import type { Person } from '../people/index.ts';
import { timesFromRelease, type Ruleset } from '../rules/index.ts';
import {
  daysSince,
  OLD_AFTER_DAYS,
  plainContext,
  populationKey,
  type ReadingContext,
} from '../timing/index.ts';
import type { Population } from './populations.ts';

/** What would make a person's numbers good. */
export interface Missing {
  context: ReadingContext;
  need: { none: true } | { more: number } | { daysOld: number } | { doubtful: number };
}

/**
 * What is missing of the times a coach decides by: never timed, too old, in doubt, or not enough.
 * @param nowMs milliseconds since 1970
 * @returns what is wanted of his positions, in the order of the play; empty: all is well
 */
export function missingOf(
  person: Pick<Person, 'positions' | 'opponentId'>,
  populations: readonly Population[],
  ruleset: Ruleset,
  nowMs: number,
): Missing[] {
  return wantedOf(person, ruleset).flatMap((context): Missing[] => {
    const key = populationKey(context);
    const own = populations.find((each) => each.key === key);
    if (!own?.estimate || own.estimate.count === 0 || own.newestAt === null) {
      return [{ context, need: { none: true } }];
    }
    const daysOld = daysSince(own.newestAt, nowMs);
    if (daysOld > OLD_AFTER_DAYS) return [{ context, need: { daysOld } }];
    if (own.doubtful.size > 0) return [{ context, need: { doubtful: own.doubtful.size } }];
    const { moreNeeded } = own.estimate;
    return moreNeeded > 0 ? [{ context, need: { more: moreNeeded } }] : [];
  });
}

/** The times that decisions about somebody stand on. */
export function wantedOf(
  { positions, opponentId }: Pick<Person, 'positions' | 'opponentId'>,
  ruleset: Ruleset,
): ReadingContext[] {
  const { leadRule } = ruleset;
  const wanted: ReadingContext[] = [];
  if (positions.includes('P')) {
    if (timesFromRelease(ruleset)) wanted.push(plainContext('flight'));
    else if (leadRule === 'open') {
      wanted.push(
        { ...plainContext('delivery'), style: 'legLift' },
        { ...plainContext('delivery'), style: 'slideStep' },
        { ...plainContext('pick'), base: 'first' },
      );
    }
  }
  if (positions.includes('C')) wanted.push({ ...plainContext('pop'), base: 'second' });
  if (opponentId === null) {
    if (leadRule !== 'open') wanted.push(plainContext('leave'));
    wanted.push({ ...plainContext('steal'), base: 'second' }, plainContext('homeToFirst'));
  }
  return wanted;
}
