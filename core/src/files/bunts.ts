import {
  BUNT_LANES,
  BUNT_PACES,
  BUNT_RESULTS,
  BUNT_STYLES,
  PITCH_HEIGHTS,
  type BuntTry,
} from '../bunts/index.ts';
import type { Opponent, Person } from '../people/index.ts';
import type { BuntTryId, PersonId } from '../units/index.ts';
import type { MakeId } from './people.ts';
import { instantOf } from './readings.ts';
import { cellOf, wordOf, type Column, type Matching, type Row } from './table.ts';
import { whoseRow, WHO_COLUMNS, type Known, type WhoColumn } from './who.ts';

/** A bunt of a file. */
export interface BuntOfFile extends BuntTry {
  id: BuntTryId;
  personId: PersonId;
  undoes: null;
  takenAt: string;
}

type OwnColumn =
  'result' | 'aimed' | 'lane' | 'calledPace' | 'pace' | 'height' | 'style' | 'takenAt';
export type BuntColumn = WhoColumn | OwnColumn;

/** The columns of a file of bunts. */
export const BUNT_COLUMNS: readonly Column<BuntColumn>[] = [
  ...WHO_COLUMNS,
  { key: 'result', title: 'Result', aliases: ['outcome'], needed: true },
  { key: 'aimed', title: 'Called', aliases: ['aimed', 'target'], needed: false },
  { key: 'lane', title: 'Lane', aliases: ['went', 'direction'], needed: false },
  { key: 'calledPace', title: 'Called pace', aliases: ['pace called'], needed: false },
  { key: 'pace', title: 'Pace', aliases: ['speed'], needed: false },
  { key: 'height', title: 'Pitch', aliases: ['height', 'pitch height'], needed: false },
  { key: 'style', title: 'Style', aliases: ['technique'], needed: false },
  { key: 'takenAt', title: 'Date', aliases: ['day', 'when'], needed: true },
];

/** Each word stands for itself. */
function wordsOf<T extends string>(words: readonly T[]): Record<T, readonly string[]> {
  return Object.fromEntries(words.map((word) => [word, []])) as unknown as Record<
    T,
    readonly string[]
  >;
}
const RESULTS = wordsOf(BUNT_RESULTS);
const LANES = wordsOf(BUNT_LANES);
const PACES = wordsOf(BUNT_PACES);
const HEIGHTS = wordsOf(PITCH_HEIGHTS);
const STYLES = wordsOf(BUNT_STYLES);

/**
 * Reads a file of bunts. The same file again is the same bunts.
 * @param lines the rows below the heading, cell by cell
 * @param known whom the team has, and the bunts that are there already
 */
export function readBunts(
  lines: readonly (readonly string[])[],
  matching: Matching<BuntColumn>,
  known: Known & { bunts: readonly { id: BuntTryId }[] },
  makeId: MakeId,
): Row<BuntOfFile>[] {
  const there = new Set<string>(known.bunts.map(({ id }) => id));
  const repeats = new Map<string, number>();
  return lines.map((cells, index): Row<BuntOfFile> => {
    const line = index + 2;
    const read = (key: BuntColumn): string => cellOf(cells, matching, key);
    const reasons: string[] = [];
    const person = whoseRow(read, known, 'Enter a number or a name.');
    if ('reason' in person) reasons.push(person.reason);
    const word = <T extends string>(
      words: Record<T, readonly string[]>,
      key: OwnColumn,
    ): T | null => {
      const found = wordOf(words, read(key));
      if (found !== undefined) return found;
      const title = BUNT_COLUMNS.find((column) => column.key === key)?.title ?? key;
      reasons.push(
        `${title} "${read(key)}" is not known: enter one of ${Object.keys(words).join(', ')}.`,
      );
      return null;
    };
    const result = word(RESULTS, 'result');
    if (result === null && read('result') === '') reasons.push('Result: enter how it came off.');
    const isHit = result !== 'missed' && result !== 'pulledBack';
    const lane = word(LANES, 'lane');
    if (result === 'fair' && lane === null) reasons.push('Lane: enter where the fair bunt went.');
    const takenAt = instantOf(read('takenAt'));
    if (takenAt === null) reasons.push('Date: enter it like 2031-05-01 or 2031-05-01 17:30.');
    const rest = {
      aimed: word(LANES, 'aimed'),
      lane: isHit ? lane : null,
      calledPace: word(PACES, 'calledPace'),
      pace: isHit ? word(PACES, 'pace') : null,
      height: word(HEIGHTS, 'height'),
      style: word(STYLES, 'style') ?? ('square' as const),
      undoes: null,
    };
    if ('reason' in person || reasons.length > 0 || result === null || takenAt === null) {
      return { line, ok: false, reasons };
    }
    const bunt = { personId: person.id, result, takenAt, ...rest };
    // Two equal rows of one file are two bunts.
    const text = JSON.stringify(bunt);
    const nth = (repeats.get(text) ?? 0) + 1;
    repeats.set(text, nth);
    const id = makeId(`${text} ${String(nth)}`) as BuntTryId;
    return { line, ok: true, value: { id, ...bunt }, alreadyThere: there.has(id) };
  });
}

/** The rows of a file of bunts, under the titles of BUNT_COLUMNS; the inverse of reading it. */
export function writeBunts(
  bunts: readonly (BuntTry & { personId: PersonId; takenAt: string })[],
  people: readonly Person[],
  opponents: readonly Opponent[],
): Record<string, string | number>[] {
  const byId = new Map(people.map((person) => [person.id, person]));
  const names = new Map(opponents.map(({ id, name }) => [id, name]));
  return bunts.map((bunt) => {
    const person = byId.get(bunt.personId);
    return {
      Team: person?.opponentId ? (names.get(person.opponentId) ?? '') : '',
      Number: person?.number ?? '',
      Name: person?.name ?? '',
      Result: bunt.result,
      Called: bunt.aimed ?? '',
      Lane: bunt.lane ?? '',
      'Called pace': bunt.calledPace ?? '',
      Pace: bunt.pace ?? '',
      Pitch: bunt.height ?? '',
      Style: bunt.style,
      Date: bunt.takenAt,
    };
  });
}
