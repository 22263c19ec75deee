import {
  BUNT_LANES,
  BUNT_PACES,
  BUNT_RESULTS,
  BUNT_STYLES,
  PITCH_HEIGHTS,
  type BuntTry,
} from '@bradyon/core/bunts';
import type { BuntTryId, PersonId } from '@bradyon/core/units';
import { tallyContracts, tallyFields } from './tally.ts';
import {
  contract,
  id,
  listContract,
  nullable,
  oneOf,
  readingOlder,
  required,
  type Misfit,
} from './rule.ts';

/** One bunt of somebody in practice, or the undoing of one. */
export interface BuntTryRecord extends BuntTry {
  id: BuntTryId;
  personId: PersonId;
  /** The one that was a wrong tap; null: this is a bunt. */
  undoes: BuntTryId | null;
  takenAt: string;
}

/** What of a bunt does not go together, or null. */
function tryMisfit({ result, lane, pace }: BuntTryRecord): Misfit | null {
  if (result === 'fair' && lane === null) {
    return { path: 'lane', message: 'Choose where the fair bunt went.' };
  }
  if ((result === 'missed' || result === 'pulledBack') && (lane !== null || pace !== null)) {
    return { path: 'lane', message: 'A ball that was not hit went nowhere.' };
  }
  return null;
}

const bunted = {
  result: required(oneOf(BUNT_RESULTS, 'Choose how the bunt came off.')),
  aimed: required(nullable(oneOf(BUNT_LANES, 'Choose the lane that was called.'))),
  lane: required(nullable(oneOf(BUNT_LANES, 'Choose where it went.'))),
  calledPace: required(nullable(oneOf(BUNT_PACES, 'Choose the pace that was called.'))),
  pace: required(nullable(oneOf(BUNT_PACES, 'Choose dead, soft or firm.'))),
  height: required(nullable(oneOf(PITCH_HEIGHTS, 'Choose a high, middle or low pitch.'))),
  style: required(oneOf(BUNT_STYLES, 'Choose how it was bunted.')),
};
/** Until team files of version 7 nobody said which pace was called. */
export const buntTally = tallyContracts(
  readingOlder(
    contract<BuntTryRecord>({ ...tallyFields<BuntTryId>(), ...bunted }, tryMisfit),
    (value) =>
      typeof value === 'object' && value !== null ? { calledPace: null, ...value } : value,
  ),
);

/** A bunt of a game. */
export interface GameBunt extends BuntTry {
  personId: PersonId;
}
export const gameBuntsContract = listContract(
  contract<GameBunt>({ personId: required(id<PersonId>()), ...bunted }),
);
