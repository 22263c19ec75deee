/**
 * `npm run fuzz`: nonsense on every route, far longer than npm test has time for.
 * `npm run fuzz -- 100000` says how many requests; FUZZ_SEED names another run.
 */
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { ensurePackages } from './install.mjs';
import { run } from './say.mjs';
import { ensurePostgres } from './system.mjs';

const root = path.resolve(import.meta.dirname, '..');

await run(() => {
  ensurePackages();
  ensurePostgres();
  const requests = process.argv[2] ?? '100000';
  const seed = process.env.FUZZ_SEED ?? String(Date.now() % 2 ** 31);
  process.stdout.write(`Seed ${seed}\n`);
  const { status } = spawnSync(
    'npx',
    ['--no-install', 'vitest', 'run', '--project', 'server', 'test/fuzz.test.ts'],
    {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, FUZZ_REQUESTS: requests, FUZZ_SEED: seed },
    },
  );
  process.exitCode = status ?? 1;
});
