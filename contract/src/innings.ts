import { describeTotalsMisfit, type BattingTotals } from '@bradyon/core/innings';
import type { PersonId } from '@bradyon/core/units';
import { contract, id, listContract, number, required } from './rule.ts';

/** Somebody's season at bat so far. */
export interface BattingRecord extends BattingTotals {
  personId: PersonId;
}

const count = (what: string) =>
  required(
    number(`Enter ${what}, a whole number from 0 to 2000.`, { min: 0, max: 2000, whole: true }),
  );

export const battingContract = contract<BattingRecord>(
  {
    personId: required(id<PersonId>()),
    plateAppearances: count('plate appearances'),
    hits: count('hits'),
    doubles: count('doubles'),
    triples: count('triples'),
    homeRuns: count('home runs'),
    walks: count('walks'),
    strikeouts: count('strikeouts'),
    reachedOnError: count('times on base by an error'),
  },
  describeTotalsMisfit,
);
export const battingsContract = listContract(battingContract);
