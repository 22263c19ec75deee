import { HANDS, POSITIONS, SIDES_OF_PLATE, type Opponent, type Person } from '@bradyon/core/people';
import type { OpponentId, PersonId } from '@bradyon/core/units';
import { versionField, type Kept } from './kept.ts';
import {
  contract,
  flag,
  id,
  listContract,
  listOf,
  nullable,
  number,
  oneOf,
  required,
  rowsOf,
  text,
} from './rule.ts';
import { IMPORT_ROWS } from './timing.ts';

const personFields = {
  id: required(id<PersonId>()),
  opponentId: required(nullable(id<OpponentId>())),
  number: required(
    text('Enter a jersey number of up to three digits, or leave it blank.', {
      min: 0,
      max: 3,
      pattern: /^\d{0,3}$/,
    }),
  ),
  name: required(text('Enter a name, up to 80 letters.', { max: 80 })),
  throws: required(oneOf(HANDS, 'Choose the throwing hand.')),
  bats: required(oneOf(SIDES_OF_PLATE, 'Choose which side they bat from.')),
  positions: required(listOf(oneOf(POSITIONS, 'Choose positions from the list.'), 10)),
  leadFeet: required(
    nullable(
      number('Enter a lead from 1 to 30 ft, or leave it blank.', { min: 1, max: 30, decimals: 2 }),
    ),
  ),
  retired: required(flag('Say whether this player is retired.')),
};
export const personContract = contract<Person>(personFields);
export const keptPersonContract = contract<Kept<Person>>({
  ...personFields,
  version: versionField,
});
export const peopleContract = listContract(keptPersonContract);

/** Many people at once, as a file brings them. */
export interface PeopleImport {
  people: Person[];
}
export const peopleImportContract = contract<PeopleImport>({
  people: required(rowsOf(personContract, IMPORT_ROWS)),
});

const opponentFields = {
  id: required(id<OpponentId>()),
  name: required(text("Enter the opponent's name, up to 80 letters.", { max: 80 })),
  retired: required(flag('Say whether they are retired.')),
};
export const opponentContract = contract<Opponent>(opponentFields);
export const keptOpponentContract = contract<Kept<Opponent>>({
  ...opponentFields,
  version: versionField,
});
export const opponentsContract = listContract(keptOpponentContract);
