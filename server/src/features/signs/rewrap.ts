import type { TeamId } from '@bradyon/core/units';
import type { Pool } from 'pg';
import sql from 'sql-template-tag';
import type { SignKey } from '../../signKeys.ts';
import { many, one } from '../../db/query.ts';
import { makeVault, type WrappedKey } from './seal.ts';

/** Wraps the key of every team by the newest of the server's. @param owner sees all teams */
export async function rewrapKeys(
  owner: Pool,
  keys: readonly SignKey[],
): Promise<{ wrapped: number; already: number }> {
  const vault = makeVault(keys);
  const rows = await many<WrappedKey & { teamId: TeamId }>(
    owner,
    sql`select team_id as "teamId", key_id as "keyId", wrapped_key as "wrappedKey" from sign_books`,
  );
  let wrapped = 0;
  for (const row of rows) {
    const fresh = vault.rewrapped(row, row.teamId);
    if (!fresh) continue;
    // Only where nobody has wrapped it since.
    const { count } = await one<{ count: number }>(
      owner,
      sql`with done as (
            update sign_books set key_id = ${fresh.keyId}, wrapped_key = ${fresh.wrappedKey}
            where team_id = ${row.teamId} and key_id = ${row.keyId} returning 1
          ) select count(*) as count from done`,
    );
    wrapped += count;
  }
  return { wrapped, already: rows.length - wrapped };
}
