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
  [OID.timestamptz, (text) => new Date(text).toISOString()],
]);

const standardParser = pg.types.getTypeParser as (
  oid: number,
  format?: 'text' | 'binary',
) => Parser;

/** Connections whose values arrive as the contracts want them: numbers, dates as text, ISO instants. */
export function makePool(databaseUrl: string): pg.Pool {
  return new pg.Pool({
    connectionString: databaseUrl,
    max: 10,
    types: {
      getTypeParser: (oid: number, format?: 'text' | 'binary') =>
        parsers.get(oid) ?? standardParser(oid, format),
    },
  });
}
