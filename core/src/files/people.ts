import {
  POSITIONS,
  type Hand,
  type Opponent,
  type Person,
  type Position,
  type SideOfPlate,
} from '../people/index.ts';
import type { OpponentId, PersonId } from '../units/index.ts';
import { cellOf, plain, wordOf, type Column, type Matching, type Row } from './table.ts';

export type PersonColumn =
  'side' | 'number' | 'name' | 'throws' | 'bats' | 'positions' | 'lead' | 'retired';

/** The columns of a roster file. */
export const PERSON_COLUMNS: readonly Column<PersonColumn>[] = [
  { key: 'side', title: 'Team', aliases: ['opponent', 'club', 'side'], needed: false },
  { key: 'number', title: 'Number', aliases: ['no', 'nr', 'shirt', 'jersey'], needed: false },
  { key: 'name', title: 'Name', aliases: ['player', 'full name'], needed: true },
  { key: 'throws', title: 'Throws', aliases: ['throw', 't', 'throwing hand'], needed: false },
  { key: 'bats', title: 'Bats', aliases: ['bat', 'b', 'hits'], needed: false },
  { key: 'positions', title: 'Positions', aliases: ['position', 'pos', 'plays'], needed: false },
  { key: 'lead', title: 'Lead', aliases: ['lead ft', 'lead feet'], needed: false },
  { key: 'retired', title: 'Retired', aliases: [], needed: false },
];

const HAND_WORDS: Record<Hand, readonly string[]> = { right: ['r'], left: ['l'] };
const SIDE_WORDS: Record<SideOfPlate, readonly string[]> = {
  right: ['r'],
  left: ['l'],
  switch: ['s', 'both', 'b'],
};
const YES_NO: Record<'yes' | 'no', readonly string[]> = {
  yes: ['y', 'true', '1', 'retired'],
  no: ['n', 'false', '0'],
};

/** A roster file read: its rows, and the opponents it names that are not known yet. */
export interface PeopleRead {
  rows: Row<Person>[];
  newOpponents: Opponent[];
}

/** Makes the same id of the same text every time, so that a second import doubles nothing. */
export type MakeId = (text: string) => string;

/**
 * Reads a roster file.
 * @param lines the rows below the heading, cell by cell
 * @param known whom the team has already
 * @param ourName the name of our own team, which a file may give as the side
 */
export function readPeople(
  lines: readonly (readonly string[])[],
  matching: Matching<PersonColumn>,
  known: { people: readonly Person[]; opponents: readonly Opponent[]; ourName: string },
  makeId: MakeId,
): PeopleRead {
  const opponents = new Map(known.opponents.map((each) => [plain(each.name), each]));
  const newOpponents: Opponent[] = [];
  // Who wears a number on a side, and who is known by number and name.
  const worn = new Map<string, string>();
  const wearers = new Map<string, Person>();
  for (const person of known.people) {
    wearers.set(identityOf(person), person);
    if (!person.retired && person.number !== '') {
      worn.set(`${person.opponentId ?? ''} ${person.number}`, person.name);
    }
  }
  const seen = new Set<string>();

  const sideOf = (text: string): OpponentId | null => {
    if (text === '' || plain(text) === plain(known.ourName)) return null;
    const own = opponents.get(plain(text));
    if (own) return own.id;
    const made = {
      id: makeId(`opponent ${plain(text)}`) as OpponentId,
      name: text,
      retired: false,
    };
    opponents.set(plain(text), made);
    newOpponents.push(made);
    return made.id;
  };

  const rows = lines.map((cells, index): Row<Person> => {
    const line = index + 2;
    const read = (key: PersonColumn): string => cellOf(cells, matching, key);
    const reasons: string[] = [];
    const refuse = <T>(reason: string, instead: T): T => {
      reasons.push(reason);
      return instead;
    };
    const name = read('name');
    if (name === '') reasons.push('Enter a name.');
    else if (name.length > 80) reasons.push('Enter a name of up to 80 letters.');
    const number = read('number').replace(/^#/, '');
    if (!/^\d{0,3}$/.test(number)) reasons.push(`Number "${number}": enter up to three figures.`);
    const side = read('side');
    if (side.length > 80) reasons.push("Enter the team's name, up to 80 letters.");
    const throws =
      wordOf(HAND_WORDS, read('throws')) ??
      (read('throws') === ''
        ? 'right'
        : refuse(`Throws "${read('throws')}": enter right or left.`, 'right' as const));
    const bats =
      wordOf(SIDE_WORDS, read('bats')) ??
      (read('bats') === ''
        ? throws
        : refuse(`Bats "${read('bats')}": enter right, left or switch.`, throws));
    const positions = positionsOf(read('positions'), reasons);
    const lead = read('lead');
    const leadFeet = lead === '' ? null : Number(lead);
    if (leadFeet !== null && !(leadFeet >= 1 && leadFeet <= 30)) {
      reasons.push(`Lead "${lead}": enter feet, 1 to 30.`);
    }
    const retired = wordOf(YES_NO, read('retired'));
    if (retired === undefined) reasons.push('Retired: enter yes or no.');
    if (reasons.length > 0) return { line, ok: false, reasons };

    const opponentId = sideOf(side);
    const person: Person = {
      id: makeId(`person ${opponentId ?? ''} ${number} ${plain(name)}`) as PersonId,
      opponentId,
      number,
      name,
      throws,
      bats,
      positions,
      leadFeet,
      retired: retired === 'yes',
    };
    if (seen.has(person.id)) {
      return { line, ok: false, reasons: [`${name} is in this file twice.`] };
    }
    const wearer = wearers.get(identityOf(person));
    const taken = worn.get(`${opponentId ?? ''} ${number}`);
    if (!wearer && number !== '' && taken !== undefined && !person.retired) {
      return { line, ok: false, reasons: [`Number ${number} is worn by ${taken}.`] };
    }
    seen.add(person.id);
    if (number !== '' && !person.retired) worn.set(`${opponentId ?? ''} ${number}`, name);
    return { line, ok: true, value: wearer ?? person, alreadyThere: wearer !== undefined };
  });
  // An opponent of bad rows only is not made.
  const used = new Set(rows.flatMap((row) => (row.ok ? [row.value.opponentId] : [])));
  return { rows, newOpponents: newOpponents.filter(({ id }) => used.has(id)) };
}

function identityOf({ opponentId, number, name }: Person): string {
  return `${opponentId ?? ''} ${number} ${plain(name)}`;
}

function positionsOf(text: string, reasons: string[]): Position[] {
  const words = text
    .toUpperCase()
    .split(/[\s,;/]+/)
    .filter((word) => word !== '');
  const unknown = words.filter((word) => !(POSITIONS as readonly string[]).includes(word));
  if (unknown.length > 0) {
    reasons.push(`Positions "${unknown.join(', ')}": enter ${POSITIONS.join(', ')}.`);
  }
  return [...new Set(words)] as Position[];
}

/** The rows of a roster file, under the titles of PERSON_COLUMNS; the inverse of reading it. */
export function writePeople(
  people: readonly Person[],
  opponents: readonly Opponent[],
): Record<string, string>[] {
  const names = new Map(opponents.map(({ id, name }) => [id, name]));
  return people.map((person) => ({
    Team: person.opponentId === null ? '' : (names.get(person.opponentId) ?? ''),
    Number: person.number,
    Name: person.name,
    Throws: person.throws,
    Bats: person.bats,
    Positions: person.positions.join(' '),
    Lead: person.leadFeet === null ? '' : String(person.leadFeet),
    Retired: person.retired ? 'yes' : '',
  }));
}
