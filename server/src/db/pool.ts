import pg from 'pg';

const OID = { int8: 20, numeric: 1700, date: 1082, timestamptz: 1184 };

/** A whole number that JavaScript holds exactly, or a loud failure. */
function parseInt8(text: string): number {
  const value = Number(text);
  if (!Number.isSafeInteger(value)) throw new RangeError('an int8 does not fit a number');
  return value;
}

type Parser = (text: string) => unknown;
const parsers = new Map<number, Parser>([
  [OID.int8, parseInt8],
  [OID.numeric, Number],
  [OID.date, (text) => text],
  // The package's own parser knows years before 1000 and offsets with seconds.
  [OID.timestamptz, (text) => (standardParser(OID.timestamptz)(text) as Date).toISOString()],
]);

const standardParser = pg.types.getTypeParser as (
  oid: number,
  format?: 'text' | 'binary',
) => Parser;

/** How long is waited before a request is told to come back. */
const CONNECT_MS = 5000;
const LOCK_MS = 5000;
const STATEMENT_MS = 15_000;

export interface PoolOptions {
  max?: number;
  statementMs?: number;
  /** Told of a connection that was lost; the pool replaces it by itself. */
  onLost?: (error: Error) => void;
}

/** Connections in UTC whose values arrive as the contracts want them: numbers, dates as text, ISO instants. */
export function makePool(
  databaseUrl: string,
  { max = 10, statementMs = STATEMENT_MS, onLost = () => undefined }: PoolOptions = {},
): pg.Pool {
  const pool = new pg.Pool({
    connectionString: databaseUrl,
    max,
    connectionTimeoutMillis: CONNECT_MS,
    options: '-c timezone=UTC',
    statement_timeout: statementMs,
    lock_timeout: LOCK_MS,
    idle_in_transaction_session_timeout: statementMs,
    // The server's own limit comes first; this is for a server that is gone without a word.
    query_timeout: statementMs + CONNECT_MS,
    keepAlive: true,
    types: {
      getTypeParser: (oid: number, format?: 'text' | 'binary') =>
        parsers.get(oid) ?? standardParser(oid, format),
    },
  }); // A connection that dies while somebody holds it says so here, and to nobody else: unheard, its
  // error would end the process. Whoever holds it learns of it from the query that fails.
  pool.on('connect', (client) => client.on('error', onLost));
  // The same of one that nobody holds.
  pool.on('error', () => undefined);
  return pool;
}
