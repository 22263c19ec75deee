import type { Opponent, Person } from '../people/index.ts';
import {
  ASIDE_REASONS,
  DELIVERY_STYLES,
  METHODS,
  describeMisfit,
  type Reading,
  type ReadingDraft,
  type ReadingKind,
  type StartTechnique,
} from '../timing/index.ts';
import { FEET_PER_METER, roundToMillisecond, type Base, type ReadingId } from '../units/index.ts';
import type { MakeId } from './people.ts';
import { cellOf, figureOf, wordOf, type Column, type Matching, type Row } from './table.ts';
import { whoseRow, WHO_COLUMNS, type Known } from './who.ts';

export type ReadingColumn =
  | 'id'
  | 'side'
  | 'number'
  | 'name'
  | 'kind'
  | 'seconds'
  | 'base'
  | 'style'
  | 'lead'
  | 'start'
  | 'from'
  | 'to'
  | 'takenAt';

/** The columns of a file of times. */
export const READING_COLUMNS: readonly Column<ReadingColumn>[] = [
  { key: 'id', title: 'Id', aliases: [], needed: false },
  ...WHO_COLUMNS,
  { key: 'kind', title: 'Timed', aliases: ['kind', 'what', 'event', 'type'], needed: true },
  { key: 'seconds', title: 'Seconds', aliases: ['time', 's', 'sec', 'result'], needed: true },
  { key: 'base', title: 'Base', aliases: ['to base', 'bag'], needed: false },
  { key: 'style', title: 'Style', aliases: ['delivery style'], needed: false },
  { key: 'lead', title: 'Lead', aliases: ['lead ft', 'lead m'], needed: false },
  { key: 'start', title: 'Start', aliases: ['first step', 'technique'], needed: false },
  { key: 'from', title: 'From', aliases: ['from ft', 'from m'], needed: false },
  { key: 'to', title: 'To', aliases: ['to ft', 'to m', 'distance'], needed: false },
  {
    key: 'takenAt',
    title: 'Date',
    aliases: ['day', 'taken at', 'when', 'timestamp'],
    needed: true,
  },
];

const KIND_NAMES: Record<ReadingKind, readonly string[]> = {
  hold: ['set to first move'],
  delivery: ['time to the plate', 'to plate'],
  flight: ['release to mitt'],
  pick: ['pick-off', 'pickoff move'],
  pop: ['pop time'],
  leave: ['leave-time', 'leave time'],
  steal: ['steal time'],
  diveBack: ['dive back', 'dive'],
  homeToFirst: ['home to first', 'h1', 'home to 1st'],
  firstToThird: ['first to third', '1st to 3rd'],
  secondToHome: ['second to home', '2nd to home'],
  dash: ['sprint'],
  outfieldThrow: ['outfield throw', 'throw from the outfield'],
};
const BASE_NAMES: Record<Base, readonly string[]> = {
  first: ['1', '1b', '1st'],
  second: ['2', '2b', '2nd'],
  third: ['3', '3b', '3rd'],
  home: ['4', 'hp', 'plate'],
};
const STYLE_NAMES: Record<(typeof DELIVERY_STYLES)[number], readonly string[]> = {
  legLift: ['leg lift', 'lift'],
  slideStep: ['slide step', 'slide'],
};
const START_NAMES: Record<StartTechnique, readonly string[]> = {
  dropStep: ['drop step', 'drop'],
  crossover: ['cross', 'cross over'],
  rocker: ['rock'],
  frontFoot: ['front foot'],
};

/** In which unit a file has its leads and distances. */
export type DistanceUnit = 'ft' | 'm';

/**
 * Reads a file of times. A row is somebody's by number, by name, or by both.
 * @param lines the rows below the heading, cell by cell
 * @param known the team's people, opponents and readings
 */
export function readReadings(
  lines: readonly (readonly string[])[],
  matching: Matching<ReadingColumn>,
  known: Known & { readings: readonly Pick<Reading, 'id'>[] },
  unit: DistanceUnit,
  makeId: MakeId,
): Row<ReadingDraft>[] {
  const there = new Set<string>(known.readings.map(({ id }) => id));
  const repeats = new Map<string, number>();
  return lines.map((cells, index): Row<ReadingDraft> => {
    const line = index + 2;
    const read = (key: ReadingColumn): string => cellOf(cells, matching, key);
    const reasons: string[] = [];
    const person = whoseRow(read, known, 'Enter a number or a name.');
    if ('reason' in person) reasons.push(person.reason);

    const figure = (key: 'seconds' | 'lead' | 'from' | 'to', title: string): number | null => {
      const value = figureOf(read(key));
      if (value === null || Number.isFinite(value)) return value;
      reasons.push(`${title} "${read(key)}": enter a number.`);
      return null;
    };
    const feet = (key: 'lead' | 'from' | 'to', title: string, step: number): number | null => {
      const value = figure(key, title);
      return value === null
        ? null
        : Math.round((unit === 'm' ? value * FEET_PER_METER : value) / step) * step;
    };
    const word = <T extends string>(
      words: Record<T, readonly string[]>,
      key: ReadingColumn,
      title: string,
    ): T | null => {
      const found = wordOf(words, read(key));
      if (found !== undefined) return found;
      const allowed = Object.keys(words).join(', ');
      reasons.push(`${title} "${read(key)}" is not known: enter one of ${allowed}.`);
      return null;
    };

    const kind = word(KIND_NAMES, 'kind', 'Timed');
    if (kind === null && read('kind') === '') reasons.push('Timed: enter what was timed.');
    const seconds = figure('seconds', 'Seconds');
    if (seconds === null && read('seconds') === '') reasons.push('Enter the seconds.');
    const takenAt = instantOf(read('takenAt'));
    if (takenAt === null) reasons.push('Date: enter it like 2031-05-01 or 2031-05-01 17:30.');
    const base = word(BASE_NAMES, 'base', 'Base');
    const style = word(STYLE_NAMES, 'style', 'Style');
    const start = word(START_NAMES, 'start', 'Start');
    const leadFeet = feet('lead', 'Lead', 0.1);
    const toFeet = feet('to', 'To', 0.01);
    const fromFeet = feet('from', 'From', 0.01) ?? (kind === 'dash' && toFeet !== null ? 0 : null);
    if (
      'reason' in person ||
      reasons.length > 0 ||
      kind === null ||
      seconds === null ||
      takenAt === null
    ) {
      return { line, ok: false, reasons };
    }
    const rest = {
      personId: person.id,
      kind,
      seconds: roundToMillisecond(seconds),
      base,
      style,
      leadFeet: leadFeet === null ? null : Number(leadFeet.toFixed(1)),
      start,
      fromFeet: fromFeet === null ? null : Number(fromFeet.toFixed(2)),
      toFeet: toFeet === null ? null : Number(toFeet.toFixed(2)),
      method: 'import' as const,
      resolutionSeconds: null,
      movedFrom: null,
      takenAt,
    };
    const misfit = describeMisfit(rest);
    if (misfit) return { line, ok: false, reasons: [misfit.message] };
    // Two equal rows of one file are two readings; the same file again is the same two.
    const text = JSON.stringify(rest);
    const nth = (repeats.get(text) ?? 0) + 1;
    repeats.set(text, nth);
    const given = read('id').toLowerCase();
    const id = (UUID.test(given) ? given : makeId(`${text} ${nth}`)) as ReadingId;
    return { line, ok: true, value: { id, ...rest }, alreadyThere: there.has(id) };
  });
}

const UUID = /^[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/;

const DAY = /^(\d{4})-(\d{2})-(\d{2})$/;
const TIME = /^(\d{1,2})(:\d{2}(?::\d{2}(?:\.\d+)?)?)(Z|[+-]\d{2}:?\d{2})?$/;

/** A day, a day with a time by this device's clock, or an instant; as an ISO instant. Null: it is none. */
export function instantOf(text: string): string | null {
  const [day = '', clock = '12:00', ...rest] = text.split(/[T ]/);
  const [, year, month, date] = (DAY.exec(day) ?? []).map(Number);
  const time = TIME.exec(clock);
  if (year === undefined || month === undefined || !date || !time || rest.length > 0) return null;
  // A day that is not in the calendar would roll over into the next month.
  if (date > new Date(Date.UTC(year, month, 0)).getUTCDate()) return null;
  const [, hour = '', minutes = '', zone = ''] = time;
  const at = new Date(`${day}T${hour.padStart(2, '0')}${minutes}${zone}`);
  return Number.isNaN(at.getTime()) ? null : at.toISOString();
}

/** The rows of a file of times, under the titles of READING_COLUMNS and what else is known of each. */
export function writeReadings(
  readings: readonly Reading[],
  people: readonly Person[],
  opponents: readonly Opponent[],
): Record<string, string | number>[] {
  const byId = new Map(people.map((person) => [person.id, person]));
  const names = new Map(opponents.map(({ id, name }) => [id, name]));
  return readings.map((reading) => {
    const person = byId.get(reading.personId);
    return {
      Id: reading.id,
      Team: person?.opponentId ? (names.get(person.opponentId) ?? '') : '',
      Number: person?.number ?? '',
      Name: person?.name ?? '',
      Timed: reading.kind,
      Seconds: reading.seconds,
      Base: reading.base ?? '',
      Style: reading.style ?? '',
      Lead: reading.leadFeet ?? '',
      Start: reading.start ?? '',
      From: reading.fromFeet ?? '',
      To: reading.toFeet ?? '',
      Date: reading.takenAt,
      Method: reading.method satisfies (typeof METHODS)[number],
      'Timed by': reading.timedByName,
      'Set aside': (reading.asideReason satisfies (typeof ASIDE_REASONS)[number] | null) ?? '',
    };
  });
}
