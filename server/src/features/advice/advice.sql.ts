import type { Reminders } from '@bradyon/contract/advice';
import type { Kept } from '@bradyon/contract/kept';
import sql from 'sql-template-tag';
import { maybeOne, type Tx } from '../../db/query.ts';

const NOTHING: Kept<Reminders> = { off: [], words: [], own: [], version: 0 };

interface Row {
  changes: Reminders;
  version: number;
}
const asKept = ({ changes, version }: Row): Kept<Reminders> => ({ ...changes, version });

/** What the team in scope changed of the reminders. */
export async function selectReminders(tx: Tx): Promise<Kept<Reminders>> {
  const row = await maybeOne<Row>(
    tx,
    sql`select changes, version from reminders where team_id = app_team()`,
  );
  return row ? asKept(row) : NOTHING;
}

/** @returns null when another version is kept than the one it was made from; 0 is of none */
export async function saveReminders(
  tx: Tx,
  { version, ...changes }: Kept<Reminders>,
): Promise<Kept<Reminders> | null> {
  const row = await maybeOne<Row>(
    tx,
    version === 0
      ? sql`insert into reminders (changes, version) values (${JSON.stringify(changes)}, 1)
            on conflict on constraint reminders__team_id do nothing returning changes, version`
      : sql`update reminders set changes = ${JSON.stringify(changes)}, version = version + 1
            where team_id = app_team() and version = ${version} returning changes, version`,
  );
  return row && asKept(row);
}
