import { DatabaseError, type ClientBase, type Pool, type QueryConfig } from 'pg';
import type { Sql } from 'sql-template-tag';

/** A connection inside a transaction. */
export type Tx = Pick<ClientBase, 'query'>;

/**
 * A name for each text, so that a connection parses and plans it once and not at every request. The
 * texts are those of the code: what is entered goes into them as parameters only, so they stay few.
 */
const names = new Map<string, string>();
function named({ text, values }: Sql): QueryConfig {
  const name = names.get(text) ?? `q${names.size}`;
  names.set(text, name);
  return { name, text, values };
}

/** All rows of a query. */
export async function many<Row extends object>(tx: Tx, query: Sql): Promise<Row[]> {
  return (await tx.query<Row>(named(query))).rows;
}

/** The row of a query, or null; more than one is a fault in the query. */
export async function maybeOne<Row extends object>(tx: Tx, query: Sql): Promise<Row | null> {
  const rows = await many<Row>(tx, query);
  if (rows.length > 1) throw new Error('maybeOne: the query gave several rows');
  return rows[0] ?? null;
}

/** The single row of a query that always gives one. */
export async function one<Row extends object>(tx: Tx, query: Sql): Promise<Row> {
  const row = await maybeOne<Row>(tx, query);
  if (row === null) throw new Error('one: the query gave no row');
  return row;
}

/** Two that waited for each other, or read what the other changed: one of them only has to begin again. */
const COLLISIONS = ['40P01', '40001'];
const MOST_TRIES = 4;

const collided = (error: unknown): boolean =>
  error instanceof DatabaseError && COLLISIONS.includes(error.code ?? '');

/**
 * Runs the work in one transaction: all of it is kept, or none. It may be run again from its
 * beginning, so it does nothing but query.
 * @param kind `snapshot`: reads only, and everything as it was at one moment
 */
export async function inTransaction<T>(
  pool: Pool,
  work: (tx: Tx) => Promise<T>,
  kind: 'usual' | 'snapshot' = 'usual',
): Promise<T> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await runOnce(pool, work, kind);
    } catch (error) {
      if (tries === MOST_TRIES || !collided(error)) throw error;
    }
  }
}

const BEGIN = {
  usual: 'begin',
  snapshot: 'begin isolation level repeatable read read only',
} as const;

async function runOnce<T>(
  pool: Pool,
  work: (tx: Tx) => Promise<T>,
  kind: keyof typeof BEGIN,
): Promise<T> {
  const client = await pool.connect();
  try {
    await client.query(BEGIN[kind]);
    const result = await work(client);
    await client.query('commit');
    client.release();
    return result;
  } catch (error) {
    // A connection that cannot even roll back is thrown away rather than reused.
    const broken = await client.query('rollback').then(
      () => false,
      () => true,
    );
    client.release(broken);
    throw error;
  }
}
