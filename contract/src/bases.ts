import { FIELDER_LOOKS, type FielderLook } from '@bradyon/core/bases';
import type { FielderLookId, PersonId } from '@bradyon/core/units';
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
} from './rule.ts';

/** What was seen of an outfielder on one ball, or the undoing of it. */
export interface FielderLookRecord {
  id: FielderLookId;
  personId: PersonId;
  /** The one that was a wrong tap; null: this is a look. */
  undoes: FielderLookId | null;
  look: FielderLook;
  takenAt: string;
}
/** As the server keeps it. */
export interface KeptFielderLook extends FielderLookRecord {
  seq: number;
}

const seen = {
  personId: required(id<PersonId>()),
  look: required(oneOf(FIELDER_LOOKS, 'Choose what the fielder did.')),
};
const fields = {
  ...seen,
  id: required(id<FielderLookId>()),
  undoes: required(nullable(id<FielderLookId>())),
  takenAt: required(instant('Say when it was seen.')),
};
export const fielderLookContract = contract<FielderLookRecord>(fields);

const MOST_LOOKS = 500;
export const fielderLooksContract = contract<{ looks: FielderLookRecord[] }>({
  looks: required(rowsOf(fielderLookContract, MOST_LOOKS)),
});

const seq = required(number('A number.', { min: 0, max: Number.MAX_SAFE_INTEGER, whole: true }));
/** What is new of them. */
export interface FielderLooksPage {
  looks: KeptFielderLook[];
  next: number;
  more: boolean;
}
export const fielderLooksPageContract = contract<FielderLooksPage>({
  looks: required(rowsOf(contract<KeptFielderLook>({ ...fields, seq }), 1000)),
  next: seq,
  more: required(flag('true or false')),
});

/** What a game showed of an outfielder. */
export type GameLook = Pick<FielderLookRecord, 'personId' | 'look'>;
export const gameLooksContract = listContract(contract<GameLook>(seen));
