import type { Kept } from '@bradyon/contract/kept';
import type {
  Invite,
  InviteDraft,
  Member,
  OpenInvite,
  Team,
  TeamDraft,
} from '@bradyon/contract/teams';
import type { AccountId, InviteId, TeamId } from '@bradyon/core/units';
import sql, { raw } from 'sql-template-tag';
import { many, maybeOne, one, type Tx } from '../../db/query.ts';

const TEAM = raw(`
  t.id, t.name, t.level, t.ruleset, t.needed_chance as "neededChance",
  t.level_changes as "levelChanges", t.play_changes as "playChanges",
  t.field_changes as "fieldChanges",
  jsonb_build_object('pitcher', t.pitcher_throw_limit, 'catcher', t.catcher_throw_limit)
    as "throwLimits", t.time_zone as "timeZone", t.version, m.role`);

/** The teams of the account in scope, with its role in each. */
export function selectTeams(tx: Tx): Promise<Team[]> {
  return many(
    tx,
    sql`select ${TEAM}
        from teams t
        join memberships m on m.team_id = t.id and m.account_id = app_account()
        order by t.created_at, t.name`,
  );
}

/** The team in scope, for whoever came in by the code of one of its games. */
export function selectTeamOfPass(tx: Tx): Promise<Team> {
  return one(
    tx,
    sql`select ${TEAM} from teams t cross join (select 'guest' as role) m where t.id = app_team()`,
  );
}

/** The team of one of whose games the account has the code; null: of none. */
export async function selectPassTeam(tx: Tx, accountId: AccountId): Promise<TeamId | null> {
  const pass = await maybeOne<{ teamId: TeamId }>(
    tx,
    sql`select team_id as "teamId" from pass_of(${accountId})`,
  );
  return pass?.teamId ?? null;
}

export function selectTeam(tx: Tx, id: TeamId): Promise<Team | null> {
  return maybeOne(
    tx,
    sql`select ${TEAM}
        from teams t
        join memberships m on m.team_id = t.id and m.account_id = app_account()
        where t.id = ${id}`,
  );
}

/** @returns whether the team is new: an id that is taken, by whomever, makes nothing */
export async function insertTeam(tx: Tx, team: TeamDraft): Promise<boolean> {
  const { id, name, level, ruleset, neededChance, levelChanges, playChanges, throwLimits } = team;
  const { timeZone, fieldChanges } = team;
  await tx.query(sql`select set_config('app.team_id', ${id}, true)`);
  const made = await maybeOne(
    tx,
    sql`insert into teams (id, name, level, ruleset, needed_chance, level_changes,
                           play_changes, field_changes, pitcher_throw_limit, catcher_throw_limit, time_zone)
        values (${id}, ${name}, ${level}, ${JSON.stringify(ruleset)}, ${neededChance},
                ${JSON.stringify(levelChanges)}, ${JSON.stringify(playChanges)}, ${JSON.stringify(fieldChanges)}, ${throwLimits.pitcher}, ${throwLimits.catcher}, ${timeZone})
        on conflict do nothing returning id`,
  );
  if (made) {
    await tx.query(sql`insert into memberships (account_id, role) values (app_account(), 'owner')`);
  }
  return made !== null;
}

/** @returns whether it was the version that is kept, and is changed now */
export async function updateTeam(tx: Tx, team: Kept<TeamDraft>): Promise<boolean> {
  const { id, name, level, ruleset, neededChance, levelChanges, playChanges, throwLimits } = team;
  const changed = await maybeOne(
    tx,
    sql`update teams set name = ${name}, level = ${level},
               ruleset = ${JSON.stringify(ruleset)}, needed_chance = ${neededChance},
               level_changes = ${JSON.stringify(levelChanges)},
               play_changes = ${JSON.stringify(playChanges)},
               field_changes = ${JSON.stringify(team.fieldChanges)},
               pitcher_throw_limit = ${throwLimits.pitcher},
               catcher_throw_limit = ${throwLimits.catcher}, time_zone = ${team.timeZone},
               version = version + 1
        where id = ${id} and version = ${team.version} returning id`,
  );
  return changed !== null;
}

/** Removes the team in scope with everything in it, for good. */
export async function eraseTeam(tx: Tx): Promise<void> {
  await tx.query(sql`select erase_team()`);
}

/** Everyone of the team in scope, the owner first. */
export function selectMembers(tx: Tx): Promise<Member[]> {
  return many(
    tx,
    sql`select m.account_id as "accountId", a.name, m.role
        from memberships m join accounts a on a.id = m.account_id
        where m.team_id = app_team()
        order by m.role desc, m.joined_at, a.name`,
  );
}

/** Owners stay: a team without one could not be run. A code that was made before lets nobody back in. */
export async function deleteAssistant(tx: Tx, accountId: AccountId): Promise<boolean> {
  const gone = await maybeOne(
    tx,
    sql`delete from memberships
        where team_id = app_team() and account_id = ${accountId} and role = 'assistant'
        returning account_id`,
  );
  if (gone === null) return false;
  await tx.query(
    sql`insert into removed_members (account_id) values (${accountId})
        on conflict on constraint removed_members__team_id_account_id
          do update set removed_at = excluded.removed_at`,
  );
  return true;
}

/** @returns false when a code of the owner in scope would open more than the owner's own teams */
export async function openReset(tx: Tx, accountId: AccountId, codeHash: Buffer): Promise<boolean> {
  const { opened } = await one<{ opened: boolean }>(
    tx,
    sql`select open_reset(${accountId}, ${codeHash}) as opened`,
  );
  return opened;
}

export async function insertInvite(
  tx: Tx,
  { id, many }: InviteDraft,
  codeHash: Buffer,
): Promise<Omit<Invite, 'code'>> {
  return one(
    tx,
    sql`insert into invites (id, code_hash, many) values (${id}, ${codeHash}, ${many})
        returning id, many, expires_at as "expiresAt"`,
  );
}

export function selectOpenInvites(tx: Tx): Promise<OpenInvite[]> {
  return many(
    tx,
    sql`select id, many, expires_at as "expiresAt" from invites
        where expires_at > now() order by expires_at`,
  );
}

export async function deleteInvite(tx: Tx, id: InviteId): Promise<void> {
  await tx.query(sql`delete from invites where id = ${id}`);
}

/** Joins the account in scope to the team that this code invites to; null when it invites to none. */
export async function redeemInvite(
  tx: Tx,
  accountId: AccountId,
  codeHash: Buffer,
): Promise<TeamId | null> {
  const { id } = await one<{ id: TeamId | null }>(
    tx,
    sql`select redeem_invite(${accountId}, ${codeHash}) as id`,
  );
  return id;
}
