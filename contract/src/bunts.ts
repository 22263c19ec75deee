import {
  BUNT_LANES,
  BUNT_PACES,
  BUNT_RESULTS,
  BUNT_STYLES,
  PITCH_HEIGHTS,
  type BuntTry,
} from '@bradyon/core/bunts';
import type { BuntTryId, PersonId } from '@bradyon/core/units';
import {
  contract,
  flag,
  id,
  instant,
  listContract,
  nullable,
  number,
  oneOf,
  required,
  rowsOf,
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
/** As the server keeps it. */
export interface KeptBuntTry extends BuntTryRecord {
  seq: number;
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
  personId: required(id<PersonId>()),
  result: required(oneOf(BUNT_RESULTS, 'Choose how the bunt came off.')),
  aimed: required(nullable(oneOf(BUNT_LANES, 'Choose the lane that was called.'))),
  lane: required(nullable(oneOf(BUNT_LANES, 'Choose where it went.'))),
  pace: required(nullable(oneOf(BUNT_PACES, 'Choose dead, soft or firm.'))),
  height: required(nullable(oneOf(PITCH_HEIGHTS, 'Choose a high, middle or low pitch.'))),
  style: required(oneOf(BUNT_STYLES, 'Choose how it was bunted.')),
};
const fields = {
  ...bunted,
  id: required(id<BuntTryId>()),
  undoes: required(nullable(id<BuntTryId>())),
  takenAt: required(instant('Say when the bunt was.')),
};
export const buntTryContract = contract<BuntTryRecord>(fields, tryMisfit);

const MOST_TRIES = 500;
export const buntTriesContract = contract<{ tries: BuntTryRecord[] }>({
  tries: required(rowsOf(buntTryContract, MOST_TRIES)),
});

const seq = required(number('A number.', { min: 0, max: Number.MAX_SAFE_INTEGER, whole: true }));
/** What is new of them. */
export interface BuntTriesPage {
  tries: KeptBuntTry[];
  next: number;
  more: boolean;
}
export const buntTriesPageContract = contract<BuntTriesPage>({
  tries: required(rowsOf(contract<KeptBuntTry>({ ...fields, seq }), 1000)),
  next: seq,
  more: required(flag('true or false')),
});

/** A bunt of a game. */
export interface GameBunt extends BuntTry {
  personId: PersonId;
}
export const gameBuntsContract = listContract(contract<GameBunt>(bunted));
