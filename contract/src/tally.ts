import type { Id, PersonId } from '@bradyon/core/units';
import {
  contract,
  flag,
  id,
  instant,
  nullable,
  number,
  required,
  rowsOf,
  type Contract,
  type Rule,
} from './rule.ts';

/** What a tally is made of: taps that are added, never changed; a wrong one is undone by a row of its own. */
export interface TallyRow<RowId extends Id<string> = Id<string>> {
  id: RowId;
  personId: PersonId | null;
  /** The one that was a wrong tap; null: this one counts. */
  undoes: RowId | null;
  takenAt: string;
}
/** As the server keeps it. */
export type KeptRow<Row> = Row & { seq: number };

/** What is new of a tally. */
export interface TallyPage<Row> {
  rows: KeptRow<Row>[];
  next: number;
  more: boolean;
}

const MOST_SENT = 500;
export const TALLY_PAGE = 1000;
const seq = required(number('A number.', { min: 0, max: Number.MAX_SAFE_INTEGER, whole: true }));

/** The fields that every row of a tally has. */
export function tallyFields<RowId extends Id<string>>() {
  return {
    id: required(id<RowId>()),
    personId: required(id<PersonId>()),
    undoes: required(nullable(id<RowId>())),
    takenAt: required(instant('Say when it was.')),
  };
}

/** What is sent to a tally, and what comes back. */
export interface TallyContracts<Row extends TallyRow> {
  row: Contract<Row>;
  sent: Contract<{ rows: Row[] }>;
  page: Contract<TallyPage<Row>>;
}

/** A row with its number. */
function keptRow<Row extends TallyRow>(row: Rule<Row>): Rule<KeptRow<Row>> {
  return {
    read(value, path, found) {
      const { seq: number, ...rest } = Object(value) as { seq?: unknown };
      return { ...row.read(rest, path, found), seq: seq.read(number, `${path}.seq`, found) };
    },
  };
}

/** @param row `tallyFields` and what is the tally’s own */
export function tallyContracts<Row extends TallyRow>(row: Contract<Row>): TallyContracts<Row> {
  return {
    row,
    sent: contract<{ rows: Row[] }>({ rows: required(rowsOf(row, MOST_SENT)) }),
    page: contract<TallyPage<Row>>({
      rows: required(rowsOf(keptRow(row), TALLY_PAGE)),
      next: seq,
      more: required(flag('true or false')),
    }),
  };
}
