import { HANDS, POSITIONS, SIDES_OF_PLATE, type Opponent, type Person } from '@bradyon/core/people';
import { IMPORT_ROWS } from './timing.ts';
import type { OpponentId, PersonId } from '@bradyon/core/units';
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

export const personContract = contract<Person>({
  id: required(id<PersonId>()),
  opponentId: required(nullable(id<OpponentId>())),
  number: required(
    text('Enter a shirt number of up to three figures, or leave it empty.', {
      min: 0,
      max: 3,
      pattern: /^\d{0,3}$/,
    }),
  ),
  name: required(text('Enter a name, up to 80 letters.', { max: 80 })),
  throws: required(oneOf(HANDS, 'Choose the hand he throws with.')),
  bats: required(oneOf(SIDES_OF_PLATE, 'Choose the side he bats from.')),
  positions: required(listOf(oneOf(POSITIONS, 'Choose positions from the list.'), 10)),
  leadFeet: required(
    nullable(number('Enter his lead, 1 to 30 ft, or leave it empty.', { min: 1, max: 30 })),
  ),
  retired: required(flag('Say whether he is retired.')),
});
export const peopleContract = listContract(personContract);

/** Many people at once, as a file brings them. */
export interface PeopleImport {
  people: Person[];
}
export const peopleImportContract = contract<PeopleImport>({
  people: required(rowsOf(personContract, IMPORT_ROWS)),
});

export const opponentContract = contract<Opponent>({
  id: required(id<OpponentId>()),
  name: required(text("Enter the opponent's name, up to 80 letters.", { max: 80 })),
  retired: required(flag('Say whether they are retired.')),
});
export const opponentsContract = listContract(opponentContract);
