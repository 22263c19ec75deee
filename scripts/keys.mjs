/**
 * `SIGN_KEYS=new:...,old:... npm run keys`: wraps the key of every team's signs by the first of these. Start the
 * server with the same SIGN_KEYS; once this has run, the old one can be left out.
 */
import path from 'node:path';
import { makeFolder, startCluster, stateFolder } from './cluster.mjs';
import { ensureBuilt, ensurePackages } from './install.mjs';
import { run } from './say.mjs';
import { command } from './system.mjs';

await run(async () => {
  ensurePackages();
  ensureBuilt(['server']);
  const cluster = await startCluster(makeFolder(stateFolder()));
  const url = new URL(cluster.adminUrl);
  url.username = 'bradyon_owner';
  url.password = cluster.ownerPassword;
  url.pathname = '/bradyon';
  const program = path.resolve(import.meta.dirname, '../server/dist/keys.js');
  const env = {
    ...process.env,
    OWNER_DATABASE_URL: url.toString(),
    SESSION_SECRET: cluster.sessionSecret,
  };
  process.stdout.write(command('node', [program], { env }));
});
