/**
 * Prepares the database before the server starts: `node setup.js <demo>`, demo being
 * `keep` (load the demo if the database is new) or `fresh` (remove everything, load the demo).
 * Prints the application's connection as one line of JSON.
 */
import { signKeysFrom } from './signKeys.ts';
import { migrationsBeside } from './db/migrate.ts';
import { makePool } from './db/pool.ts';
import { dropDatabase, prepareDatabase, type Cluster } from './db/setup.ts';
import { loadDemo } from './demo/load.ts';

const DATABASE = 'bradyon';
const mode = process.argv[2];
if (mode !== 'keep' && mode !== 'fresh') throw new Error('Say keep or fresh.');

const cluster = JSON.parse(process.env['CLUSTER'] ?? '{}') as Cluster;
if (mode === 'fresh') await dropDatabase(cluster.adminUrl, DATABASE);
const urls = await prepareDatabase(cluster, DATABASE, migrationsBeside(import.meta.url, '..'));

const owner = makePool(urls.owner);
const signKeys = signKeysFrom(process.env['SIGN_KEYS'], process.env['SESSION_SECRET'] ?? '');
const demo = await loadDemo(owner, new Date(), signKeys);
// So that the first queries are planned for the tables as they are, not as empty ones.
await owner.query('analyze');
await owner.end();
process.stdout.write(`${JSON.stringify({ appUrl: urls.app, demo })}\n`);
