import type { ImportProgress } from '@bradyon/contract/files';
import type { TeamId } from '@bradyon/core/units';
import sql from 'sql-template-tag';
import { maybeOne, type Tx } from '../../db/query.ts';

/** How far the file is that will be this team, for the account in scope. */
export function selectProgress(tx: Tx, id: TeamId): Promise<ImportProgress | null> {
  return maybeOne(
    tx,
    sql`select stage, done, of from team_imports
        where account_id = app_account() and id = ${id}`,
  );
}

/** Files that nobody waits for any more are forgotten with it. */
export async function saveProgress(
  tx: Tx,
  id: TeamId,
  { stage, done, of }: ImportProgress,
): Promise<void> {
  await tx.query(sql`delete from team_imports where updated_at < now() - interval '1 day'`);
  await tx.query(
    sql`insert into team_imports (id, stage, done, of) values (${id}, ${stage}, ${done}, ${of})
        on conflict on constraint team_imports__account_id_id
          do update set stage = ${stage}, done = ${done}, of = ${of}, updated_at = now()`,
  );
}
