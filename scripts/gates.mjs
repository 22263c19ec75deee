/** `npm run gates -- --token <token>`: simulated timing gates send runs to a running Bradyon. */
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { ensureBuilt, ensurePackages } from './install.mjs';
import { run } from './say.mjs';

await run(() => {
  ensurePackages();
  ensureBuilt();
  const program = path.resolve(import.meta.dirname, '../server/dist/gates.js');
  const { status } = spawnSync('node', [program, ...process.argv.slice(2)], { stdio: 'inherit' });
  process.exitCode = status ?? 1;
});
