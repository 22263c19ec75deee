import type { Opponent, Person } from '../people/index.ts';
import type { PersonId } from '../units/index.ts';
import { plain, type Column } from './table.ts';

export type WhoColumn = 'side' | 'number' | 'name';

/** The columns that say whose row it is. */
export const WHO_COLUMNS: readonly Column<WhoColumn>[] = [
  { key: 'side', title: 'Team', aliases: ['opponent', 'club', 'side'], needed: false },
  { key: 'number', title: 'Number', aliases: ['no', 'nr', 'shirt', 'jersey'], needed: false },
  { key: 'name', title: 'Name', aliases: ['player', 'full name'], needed: false },
];

/** Whom the team knows, and its own name, which a file may give as the side. */
export interface Known {
  people: readonly Person[];
  opponents: readonly Opponent[];
  ourName: string;
}

/**
 * Whose row it is, by number, by name, or by both; or why that cannot be told.
 * @param nobody the reason when the row has neither
 */
export function whoseRow(
  read: (key: WhoColumn) => string,
  { people, opponents, ourName }: Known,
  nobody: string,
): { id: PersonId } | { reason: string } {
  const side = read('side');
  const isOurs = side === '' || plain(side) === plain(ourName);
  const opponent = opponents.find(({ name }) => plain(name) === plain(side));
  if (!isOurs && !opponent) return { reason: `Team "${side}" is not known: add it first.` };
  const number = read('number').replace(/^#/, '');
  const name = read('name');
  if (number === '' && name === '') return { reason: nobody };
  const fits = people.filter(
    (person) =>
      person.opponentId === (isOurs ? null : (opponent?.id ?? null)) &&
      (number === '' || person.number === number) &&
      (name === '' || plain(person.name) === plain(name)),
  );
  const active = fits.filter(({ retired }) => !retired);
  const [only, another] = active.length > 0 ? active : fits;
  const who = [number, name].filter((part) => part !== '').join(' ');
  if (!only) return { reason: `${who} is not on the roster. Add the player first.` };
  return another ? { reason: `More than one ${who}: enter number and name.` } : { id: only.id };
}
