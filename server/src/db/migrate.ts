import { fileURLToPath } from 'node:url';
import { runner } from 'node-pg-migrate';

/** Brings the schema up to date. Connects as the owner of the tables. */
export async function migrate(ownerUrl: string, migrationsFolder: string): Promise<number> {
  const done = await runner({
    databaseUrl: ownerUrl,
    dir: migrationsFolder,
    direction: 'up',
    migrationsTable: 'migrations',
    log: () => undefined,
  });
  return done.length;
}

/** Where the migrations lie, seen from a source or a built file of the server. */
export function migrationsBeside(moduleUrl: string, ...up: string[]): string {
  return fileURLToPath(new URL([...up, 'migrations'].join('/'), moduleUrl));
}
