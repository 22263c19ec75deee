import type { Role, StaffRole } from '@bradyon/contract/teams';
import type { AccountId, TeamId } from '@bradyon/core/units';
import type { Pool } from 'pg';
import sql from 'sql-template-tag';
import { notFound, Problem } from '../http/problem.ts';
import { inTransaction, one, type Tx } from './query.ts';

/** Work done as an account that has not chosen a team: row-level security shows only its own. */
export function asAccount<T>(
  pool: Pool,
  accountId: AccountId,
  work: (tx: Tx) => Promise<T>,
): Promise<T> {
  return inTransaction(pool, async (tx) => {
    await tx.query(sql`select set_config('app.account_id', ${accountId}, true)`);
    return work(tx);
  });
}

/**
 * Work done inside one team by its staff: row-level security shows only this team's rows.
 * To somebody who does not belong to it the team does not exist.
 */
export function inTeam<T>(
  pool: Pool,
  accountId: AccountId,
  teamId: TeamId,
  work: (tx: Tx, role: StaffRole) => Promise<T>,
  kind: 'usual' | 'snapshot' = 'usual',
): Promise<T> {
  const staffOnly = (tx: Tx, role: Role): Promise<T> => {
    if (role === 'guest') throw new Problem(403, 'A code for one game does not open this.');
    return work(tx, role);
  };
  return scoped(pool, accountId, teamId, staffOnly, kind);
}

/** The same, and open to whoever came in by the code of a game: the rows they see are that game's. */
export function inTeamOrPass<T>(
  pool: Pool,
  accountId: AccountId,
  teamId: TeamId,
  work: (tx: Tx, role: Role) => Promise<T>,
): Promise<T> {
  return scoped(pool, accountId, teamId, work, 'usual');
}

function scoped<T>(
  pool: Pool,
  accountId: AccountId,
  teamId: TeamId,
  work: (tx: Tx, role: Role) => Promise<T>,
  kind: 'usual' | 'snapshot',
): Promise<T> {
  return inTransaction(
    pool,
    async (tx) => {
      const { role } = await one<{ role: Role | null }>(
        tx,
        sql`select enter_team(${accountId}, ${teamId}) as role`,
      );
      if (role === null) throw notFound('You have no such team.');
      return work(tx, role);
    },
    kind,
  );
}

/**
 * Waits until no other transaction holds this lock of the team in scope: what replaces or adds many
 * rows at once takes it first, so that two of them never wait for each other's rows.
 */
export async function lockTeam(tx: Tx): Promise<void> {
  await tx.query(sql`select pg_advisory_xact_lock(hashtextextended(app_team()::text, 0))`);
}
