import {
  describeTotalsMisfit,
  EVENTS,
  type BattingRates,
  type BattingTotals,
  type BuntOutcomes,
  type ContactShares,
  type PlayChanges,
  type SqueezeOutcomes,
} from '@bradyon/core/innings';
import type { PersonId } from '@bradyon/core/units';
import { versionField, type Kept } from './kept.ts';
import {
  contract,
  id,
  listContract,
  listOf,
  number,
  optional,
  required,
  rowsOf,
  type Misfit,
} from './rule.ts';
import { IMPORT_ROWS } from './timing.ts';

/** Somebody's season at bat so far. */
export interface BattingRecord extends BattingTotals {
  personId: PersonId;
}

const count = (what: string) =>
  required(
    number(`Enter ${what}, a whole number from 0 to 2000.`, { min: 0, max: 2000, whole: true }),
  );

const battingFields = {
  personId: required(id<PersonId>()),
  plateAppearances: count('plate appearances'),
  hits: count('hits'),
  doubles: count('doubles'),
  triples: count('triples'),
  homeRuns: count('home runs'),
  walks: count('walks'),
  strikeouts: count('strikeouts'),
  reachedOnError: count('times on base by an error'),
  buntTries: count('sacrifices tried'),
  buntsGood: count('sacrifices that moved the runner'),
};
export const battingContract = contract<BattingRecord>(battingFields, describeTotalsMisfit);
export const keptBattingContract = contract<Kept<BattingRecord>>(
  { ...battingFields, version: versionField },
  describeTotalsMisfit,
);
/** What the games say of everybody at bat. */
export const gameBattingContract = listContract(battingContract);
export const battingsContract = listContract(keptBattingContract);

/** Many seasons at once, as a file brings them; they replace those before. */
export interface BattingImport {
  batting: BattingRecord[];
}

/** The first of many who stands there twice, or null. */
export function battingMisfit(batting: readonly BattingRecord[]): Misfit | null {
  const seen = new Set<PersonId>();
  for (const [index, record] of batting.entries()) {
    if (seen.has(record.personId)) {
      return {
        path: `batting.${String(index)}`,
        message: 'This batter is listed twice.',
      };
    }
    seen.add(record.personId);
  }
  return null;
}

export const battingImportContract = contract<BattingImport>(
  { batting: required(rowsOf(battingContract, IMPORT_ROWS)) },
  ({ batting }) => battingMisfit(batting),
);

/** The most who bat in turn. */
export const MOST_BATTERS = 15;

/** Who bats when. */
export interface BattingOrder {
  personIds: PersonId[];
}
const orderFields = { personIds: required(listOf(id<PersonId>(), MOST_BATTERS)) };
export const battingOrderContract = contract<BattingOrder>(orderFields);
export const keptBattingOrderContract = contract<Kept<BattingOrder>>({
  ...orderFields,
  version: versionField,
});

const share = (what: string) => required(number(`${what}: enter 0 to 100 %.`, { min: 0, max: 1 }));

const contactRule = contract<ContactShares>({
  through: share('Through'),
  outAtHome: share('Out at home'),
  conceded: share('Run conceded'),
  scoresIfHolding: share('Scores if they wait'),
});

/** A team's own sheets of how the game goes; that each adds up is asked of the whole team. */
export const playChangesRule = contract<PlayChanges>({
  rates: optional(
    contract<BattingRates>(
      Object.fromEntries(EVENTS.map((event) => [event, share('A share')])) as Parameters<
        typeof contract<BattingRates>
      >[0],
    ),
  ),
  bunt: optional(
    contract<BuntOutcomes>({
      success: share('Runner moved over'),
      leadOut: share('Lead runner out'),
      safe: share('Everybody safe'),
      popOut: share('Popped up'),
      popDouble: share('Popped into two'),
      strikeout: share('Strikeout'),
      swingAway: share('Ends swinging away'),
    }),
  ),
  squeeze: optional(
    contract<SqueezeOutcomes>({
      scored: share('Run in, batter out'),
      scoredAndSafe: share('Run in, all safe'),
      outAtHome: share('Out at the plate'),
      missed: share('Missed, runner out'),
      foul: share('Fouled off'),
      popDouble: share('Popped into two'),
      popOut: share('Popped up'),
    }),
  ),
  contactIn: optional(contactRule),
  contactBack: optional(contactRule),
});
