import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, inject, it, onTestFinished } from 'vitest';
import { makePool } from '../src/db/pool.ts';
import { dropDatabase } from '../src/db/setup.ts';
import { aDelivery, aSeason, startApiForTest, tap } from './api.ts';

const docs = readFileSync(path.resolve(import.meta.dirname, '../../docs/deploy.md'), 'utf8');

/** A command as it stands in the docs. */
function command(name: string): string {
  const found = new RegExp(`\`\`\`sh ${name}\n(.*?)\`\`\``, 's').exec(docs)?.[1];
  if (!found) throw new Error(`docs/deploy.md has no ${name}`);
  return found;
}

it('a backup is taken and restored by the commands of the docs, and has everything', async () => {
  const api = await startApiForTest();
  const { coach, base, pitcher, team } = await aSeason(api);
  await tap(coach, base, aDelivery(pitcher.id), aDelivery(pitcher.id));

  const folder = mkdtempSync(path.join(os.tmpdir(), 'bradyon-backup-'));
  const { adminUrl } = inject('cluster');
  const database = `restored_${team.id.replaceAll('-', '')}`;
  onTestFinished(async () => {
    rmSync(folder, { recursive: true, force: true });
    await dropDatabase(adminUrl, database);
  });
  const admin = makePool(adminUrl, { max: 1 });
  await admin.query(`create database ${database} owner bradyon_owner`);
  await admin.end();
  const empty = new URL(adminUrl);
  empty.pathname = `/${database}`;
  for (const name of ['backup', 'restore']) {
    const { status, stderr } = spawnSync('sh', ['-c', command(name)], {
      encoding: 'utf8',
      env: {
        ...process.env,
        BACKUP_FILE: path.join(folder, 'bradyon.dump'),
        OWNER_DATABASE_URL: api.ownerUrl,
        EMPTY_DATABASE_URL: empty.toString(),
      },
    });
    expect([status, stderr]).toEqual([0, '']);
  }

  const restored = makePool(empty.toString(), { max: 1 });
  const { rows: tables } = await restored.query<{ name: string }>(
    `select table_name as name from information_schema.tables
     where table_schema = 'public' and table_type = 'BASE TABLE'`,
  );
  expect(tables.length).toBeGreaterThan(15);
  for (const { name } of tables) {
    const text = `select count(*)::int as n, md5(string_agg(each::text, '' order by each::text)) as sum from ${name} each`;
    const [there, here] = [await restored.query(text), await api.owner.query(text)];
    expect(there.rows, name).toEqual(here.rows);
  }
  // And the application may do there what it may here, no more.
  const { rows: policies } = await restored.query('select 1 from pg_policies');
  expect(policies.length).toBeGreaterThan(12);
  await restored.end();
});
