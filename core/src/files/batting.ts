import { describeTotalsMisfit, type BattingTotals } from '../innings/index.ts';
import type { Opponent, Person } from '../people/index.ts';
import type { PersonId } from '../units/index.ts';
import { cellOf, figureOf, type Column, type Matching, type Row } from './table.ts';
import { whoseRow, WHO_COLUMNS, type Known, type WhoColumn } from './who.ts';

/** Somebody's season at bat. */
export type Season = BattingTotals & { personId: PersonId };

type CountColumn =
  | 'plateAppearances'
  | 'atBats'
  | 'hits'
  | 'doubles'
  | 'triples'
  | 'homeRuns'
  | 'walks'
  | 'hitByPitch'
  | 'sacrifices'
  | 'strikeouts'
  | 'reachedOnError'
  | 'buntTries'
  | 'buntsGood';
export type BattingColumn = WhoColumn | CountColumn;

function count(
  key: CountColumn,
  title: string,
  aliases: string[],
  needed = false,
): Column<BattingColumn> {
  return { key, title, aliases, needed };
}

/** The columns of a file of seasons. */
export const BATTING_COLUMNS: readonly Column<BattingColumn>[] = [
  ...WHO_COLUMNS,
  count('plateAppearances', 'PA', ['plate appearances', 'tpa']),
  count('atBats', 'AB', ['at bats']),
  count('hits', 'H', ['hits'], true),
  count('doubles', '2B', ['doubles']),
  count('triples', '3B', ['triples']),
  count('homeRuns', 'HR', ['home runs', 'homers']),
  count('walks', 'BB', ['walks', 'base on balls']),
  count('hitByPitch', 'HBP', ['hit by pitch', 'hb']),
  count('sacrifices', 'SAC', ['sacrifices', 'sf', 'sh', 'sac']),
  count('strikeouts', 'SO', ['strikeouts', 'k', 'ks']),
  count('reachedOnError', 'ROE', ['reached on error', 'on by error', 'e']),
  count('buntTries', 'Sacrifices tried', ['bunts tried']),
  count('buntsGood', 'Sacrifices good', ['bunts good']),
];

/**
 * Reads a file of seasons at bat. Without plate appearances they are at bats, walks, hit by pitch and
 * sacrifices together.
 * @param lines the rows below the heading, cell by cell
 * @param known whom the team has, and the seasons that are there already
 */
export function readBatting(
  lines: readonly (readonly string[])[],
  matching: Matching<BattingColumn>,
  known: Known & { batting: readonly Season[] },
): Row<Season>[] {
  const there = new Map(known.batting.map((season) => [season.personId, season]));
  const seen = new Set<PersonId>();
  return lines.map((cells, index): Row<Season> => {
    const line = index + 2;
    const read = (key: BattingColumn): string => cellOf(cells, matching, key);
    const reasons: string[] = [];
    const person = whoseRow(read, known, 'Enter a number or a name.');
    if ('reason' in person) reasons.push(person.reason);
    const counted = (key: CountColumn): number => {
      const value = figureOf(read(key)) ?? 0;
      if (Number.isInteger(value) && value >= 0 && value <= MOST) return value;
      const title = BATTING_COLUMNS.find((column) => column.key === key)?.title ?? key;
      reasons.push(`${title} "${read(key)}": enter a whole number from 0 to ${String(MOST)}.`);
      return 0;
    };
    const walks = counted('walks') + counted('hitByPitch');
    const plate =
      read('plateAppearances') === ''
        ? counted('atBats') + walks + counted('sacrifices')
        : counted('plateAppearances');
    if (read('plateAppearances') === '' && read('atBats') === '') {
      reasons.push('Give plate appearances (PA) or at bats (AB).');
    }
    const totals: BattingTotals = {
      plateAppearances: plate,
      hits: counted('hits'),
      doubles: counted('doubles'),
      triples: counted('triples'),
      homeRuns: counted('homeRuns'),
      walks,
      strikeouts: counted('strikeouts'),
      reachedOnError: counted('reachedOnError'),
      buntTries: counted('buntTries'),
      buntsGood: counted('buntsGood'),
    };
    if ('reason' in person || reasons.length > 0) return { line, ok: false, reasons };
    const misfit = describeTotalsMisfit(totals);
    if (misfit) return { line, ok: false, reasons: [misfit.message] };
    if (seen.has(person.id)) {
      return { line, ok: false, reasons: ['This player is in the file twice.'] };
    }
    seen.add(person.id);
    const before = there.get(person.id);
    const keys = Object.keys(totals) as (keyof BattingTotals)[];
    const alreadyThere = before !== undefined && keys.every((key) => before[key] === totals[key]);
    return { line, ok: true, value: { personId: person.id, ...totals }, alreadyThere };
  });
}

const MOST = 2000;

/** The rows of a file of seasons, under the titles of BATTING_COLUMNS; the inverse of reading it. */
export function writeBatting(
  seasons: readonly Season[],
  people: readonly Person[],
  opponents: readonly Opponent[],
): Record<string, string | number>[] {
  const byId = new Map(people.map((person) => [person.id, person]));
  const names = new Map(opponents.map(({ id, name }) => [id, name]));
  return seasons.map((season) => {
    const person = byId.get(season.personId);
    return {
      Team: person?.opponentId ? (names.get(person.opponentId) ?? '') : '',
      Number: person?.number ?? '',
      Name: person?.name ?? '',
      PA: season.plateAppearances,
      H: season.hits,
      '2B': season.doubles,
      '3B': season.triples,
      HR: season.homeRuns,
      BB: season.walks,
      SO: season.strikeouts,
      ROE: season.reachedOnError,
      'Sacrifices tried': season.buntTries,
      'Sacrifices good': season.buntsGood,
    };
  });
}
