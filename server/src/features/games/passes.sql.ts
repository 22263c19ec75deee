import type { Admission, OpenPass, PassDraft } from '@bradyon/contract/games';
import type { AccountId, GameId, PassId, TeamId } from '@bradyon/core/units';
import sql from 'sql-template-tag';
import { many, maybeOne, one, type Tx } from '../../db/query.ts';

/** A pass ends by itself: nobody coaches a base for longer. */
const HOURS = 12;

export function insertPass(
  tx: Tx,
  gameId: GameId,
  { id, place }: PassDraft,
  codeHash: Buffer,
): Promise<OpenPass> {
  return one(
    tx,
    sql`insert into game_passes (id, game_id, place, code_hash, expires_at)
        values (${id}, ${gameId}, ${place}, ${codeHash}, now() + make_interval(hours => ${HOURS}))
        returning id, place, expires_at as "expiresAt", 0 as guests`,
  );
}

export function selectPasses(tx: Tx, gameId: GameId): Promise<OpenPass[]> {
  return many(
    tx,
    sql`select id, place, expires_at as "expiresAt", guests_of(id) as guests
        from game_passes where game_id = ${gameId} and expires_at > now() order by expires_at`,
  );
}

/** Takes a pass away: whoever came in by it is out. */
export async function deletePass(tx: Tx, gameId: GameId, id: PassId): Promise<void> {
  await tx.query(sql`delete from game_passes where game_id = ${gameId} and id = ${id}`);
}

export async function sweepGuests(tx: Tx): Promise<void> {
  await tx.query(sql`select sweep_guests()`);
}

/** @returns null when the code opens nothing */
export async function redeemPass(
  db: Tx,
  accountId: AccountId,
  codeHash: Buffer,
): Promise<TeamId | null> {
  return (
    await one<{ id: TeamId | null }>(db, sql`select redeem_pass(${accountId}, ${codeHash}) as id`)
  ).id;
}

/** What an account came in for; null: it came in by no code, or that is over. */
export function selectAdmission(db: Tx, accountId: AccountId): Promise<Admission | null> {
  return maybeOne(
    db,
    sql`select team_id as "teamId", game_id as "gameId", place, expires_at as "expiresAt"
        from pass_of(${accountId})`,
  );
}
