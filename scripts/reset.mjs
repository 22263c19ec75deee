/**
 * `npm run reset -- coach@example.org`: a code with which that coach sets a new password, once. For whoever
 * runs the server, when no owner of a team can make one.
 */
import path from 'node:path';
import { makeFolder, startCluster, stateFolder } from './cluster.mjs';
import { ensureBuilt, ensurePackages } from './install.mjs';
import { Advice, run } from './say.mjs';
import { command } from './system.mjs';

const DATABASE = 'bradyon';

await run(async () => {
  const email = process.argv[2];
  if (!email) throw new Advice('Say whose: npm run reset -- coach@example.org');
  ensurePackages();
  ensureBuilt(['server']);
  const cluster = await startCluster(makeFolder(stateFolder()));
  const url = new URL(cluster.adminUrl);
  url.username = 'bradyon_owner';
  url.password = cluster.ownerPassword;
  url.pathname = `/${DATABASE}`;
  const program = path.resolve(import.meta.dirname, '../server/dist/reset.js');
  const env = { ...process.env, OWNER_DATABASE_URL: url.toString() };
  const code = command('node', [program, email], { env }).trim();
  process.stdout.write(`${code}\nIt works once, for one day, at /reset.\n`);
});
