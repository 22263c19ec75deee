import { TALLY_PAGE, type KeptRow, type TallyPage, type TallyRow } from '@bradyon/contract/tally';
import sql, { raw } from 'sql-template-tag';
import { many, type Tx } from './query.ts';

/** Rows that are added and never changed, in the order of their numbers. */
export interface Tally<Row extends TallyRow> {
  /** What is new since a number, a page at a time. */
  since(tx: Tx, since: number): Promise<TallyPage<Row>>;
  /** All of them, for the file of the team. */
  all(tx: Tx): Promise<Row[]>;
  /** Takes rows in; one that is there already stays as it is. */
  insert(tx: Tx, rows: readonly Row[]): Promise<void>;
}

type Own<Row extends TallyRow> = Exclude<keyof Row, keyof TallyRow> & string;

/**
 * The tally of a table.
 * @param own the columns that only this tally has, by what a row calls them, with their type; words of the code
 */
export function tallyOf<Row extends TallyRow>(
  table: string,
  own: Record<Own<Row>, readonly [column: string, type: string]>,
): Tally<Row> {
  const columns = [
    ['id', 'id', 'uuid'],
    ['personId', 'person_id', 'uuid'],
    ['undoes', 'undoes', 'uuid'],
    ['takenAt', 'taken_at', 'timestamptz'],
    ...Object.entries<readonly [string, string]>(own).map(([key, [column, type]]) => [
      key,
      column,
      type,
    ]),
  ] as const;
  const from = raw(table);
  const read = raw(columns.map(([key, column]) => `${column} as "${key}"`).join(', '));
  const names = raw(columns.map(([, column]) => column).join(', '));
  const sent = raw(columns.map(([key]) => `r."${key}"`).join(', '));
  const shape = raw(columns.map(([key, , type]) => `"${key}" ${type}`).join(', '));
  const key = raw(`${table}__team_id_id`);
  return {
    async since(tx, since) {
      const rows = await many<KeptRow<Row>>(
        tx,
        sql`select seq, ${read} from ${from} where team_id = app_team() and seq > ${since}
            order by seq limit ${TALLY_PAGE}`,
      );
      return { rows, next: rows.at(-1)?.seq ?? since, more: rows.length === TALLY_PAGE };
    },
    all: (tx) =>
      many<Row>(tx, sql`select ${read} from ${from} where team_id = app_team() order by seq`),
    async insert(tx, rows) {
      await tx.query(
        sql`insert into ${from} (${names})
            select ${sent} from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb) as r(${shape})
            on conflict on constraint ${key} do nothing`,
      );
    },
  };
}
