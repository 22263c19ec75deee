/**
 * For whoever runs the server, after a new key stands first in SIGN_KEYS: `node keys.js` wraps the key of every
 * team by it. Then the old one can be taken out. What is sealed stays as it is.
 * OWNER_DATABASE_URL connects as the owner of the tables.
 */
import { signKeysFrom } from './signKeys.ts';
import { makePool } from './db/pool.ts';
import { rewrapKeys } from './features/signs/index.ts';

const owner = makePool(process.env['OWNER_DATABASE_URL'] ?? '');
const keys = signKeysFrom(process.env['SIGN_KEYS'], process.env['SESSION_SECRET'] ?? '');
const { wrapped, already } = await rewrapKeys(owner, keys);
await owner.end();
process.stdout.write(`${String(wrapped)} wrapped anew, ${String(already)} were already.\n`);
