import { FIELDER_LOOKS, type FielderLook } from '@bradyon/core/bases';
import type { FielderLookId, PersonId } from '@bradyon/core/units';
import { tallyContracts, tallyFields } from './tally.ts';
import { contract, id, listContract, oneOf, required } from './rule.ts';

/** What was seen of an outfielder on one ball, or the undoing of it. */
export interface FielderLookRecord {
  id: FielderLookId;
  personId: PersonId;
  /** The one that was a wrong tap; null: this is a look. */
  undoes: FielderLookId | null;
  look: FielderLook;
  takenAt: string;
}

const look = required(oneOf(FIELDER_LOOKS, 'Choose what the fielder did.'));
export const lookTally = tallyContracts(
  contract<FielderLookRecord>({ ...tallyFields<FielderLookId>(), look }),
);

/** What a game showed of an outfielder. */
export type GameLook = Pick<FielderLookRecord, 'personId' | 'look'>;
export const gameLooksContract = listContract(
  contract<GameLook>({ personId: required(id<PersonId>()), look }),
);
