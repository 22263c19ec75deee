import type {
  StaffThumb,
  ThumbRepDraft,
  Together,
  TogetherDraft,
  TogetherTimeDraft,
} from '@bradyon/contract/thumb';
import type { TogetherId } from '@bradyon/core/units';
import sql, { raw } from 'sql-template-tag';
import { many, maybeOne, type Tx } from '../../db/query.ts';

const REP = raw(
  'id, late_seconds as "lateSeconds", frame_seconds as "frameSeconds", taken_at as "takenAt"',
);
/** A thumb is judged by its newest reps; more are not asked for. */
const NEWEST = 200;

/** Reps of the account in scope, the oldest first. */
export function selectReps(tx: Tx): Promise<ThumbRepDraft[]> {
  return many(
    tx,
    sql`select ${REP} from (
          select id, late_seconds, frame_seconds, taken_at from thumb_reps where account_id = app_account()
          order by taken_at desc, id limit ${NEWEST}
        ) newest order by taken_at, id`,
  );
}

export function selectRep(tx: Tx, id: ThumbRepDraft['id']): Promise<ThumbRepDraft | null> {
  return maybeOne(
    tx,
    sql`select ${REP} from thumb_reps where account_id = app_account() and id = ${id}`,
  );
}

/** @returns null when the id is taken */
export function insertRep(tx: Tx, rep: ThumbRepDraft): Promise<ThumbRepDraft | null> {
  const { id, lateSeconds, frameSeconds, takenAt } = rep;
  return maybeOne(
    tx,
    sql`insert into thumb_reps (id, late_seconds, frame_seconds, taken_at)
        values (${id}, ${JSON.stringify(lateSeconds)}, ${frameSeconds}, ${takenAt})
        on conflict on constraint thumb_reps__account_id_id do nothing returning ${REP}`,
  );
}

export async function deleteReps(tx: Tx): Promise<void> {
  await tx.query(sql`delete from thumb_reps where account_id = app_account()`);
}

/** The reps of everybody on the staff of the team in scope, the oldest first. */
export function selectStaffThumbs(tx: Tx): Promise<StaffThumb[]> {
  return many(
    tx,
    sql`select account_id as "accountId",
               jsonb_agg(jsonb_build_object('lateSeconds', late_seconds,
                                            'frameSeconds', frame_seconds)
                         order by taken_at, id) as reps
        from (
          select account_id, id, late_seconds, frame_seconds, taken_at,
                 row_number() over (partition by account_id order by taken_at desc, id) as nth
          from thumb_reps
          where account_id in (select account_id from memberships where team_id = app_team())
        ) numbered
        where nth <= ${NEWEST}
        group by account_id`,
  );
}

const TOGETHER = raw(`
  t.id, t.kind, t.started_at as "startedAt",
  coalesce(
    (select jsonb_agg(jsonb_build_object('accountId', m.account_id, 'name', m.name,
                                         'event', m.event, 'seconds', m.seconds)
                      order by m.event, m.account_id)
     from together_times m where m.together_id = t.id), '[]') as times`);

/** What the team in scope timed together, the newest first. */
export function selectTogether(tx: Tx): Promise<Together[]> {
  return many(tx, sql`select ${TOGETHER} from together t order by t.started_at desc, t.id`);
}

export function selectOneTogether(tx: Tx, id: TogetherId): Promise<Together | null> {
  return maybeOne(tx, sql`select ${TOGETHER} from together t where t.id = ${id}`);
}

/** @returns whether it is new */
export async function insertTogether(tx: Tx, { id, kind }: TogetherDraft): Promise<boolean> {
  const made = await maybeOne(
    tx,
    sql`insert into together (id, kind) values (${id}, ${kind})
        on conflict on constraint together__team_id_id do nothing returning id`,
  );
  return made !== null;
}

/** The first time of an event counts: a repeat changes nothing. */
export async function insertTogetherTime(
  tx: Tx,
  id: TogetherId,
  { event, seconds }: TogetherTimeDraft,
): Promise<void> {
  await tx.query(
    sql`insert into together_times (together_id, event, seconds, name)
        select ${id}, ${event}, ${seconds}, a.name from accounts a where a.id = app_account()
        on conflict on constraint together_times__key do nothing`,
  );
}

/** Sessions of a file. */
export async function restoreTogether(tx: Tx, sessions: readonly Together[]): Promise<void> {
  const json = JSON.stringify(sessions);
  await tx.query(
    sql`insert into together (id, kind, started_at)
        select d.id, d.kind, d."startedAt" from jsonb_to_recordset(${json}::jsonb)
          as d(id uuid, kind text, "startedAt" timestamptz)`,
  );
  await tx.query(
    sql`insert into together_times (together_id, account_id, event, seconds, name)
        select d.id, m."accountId", m.event, m.seconds, m.name
        from jsonb_to_recordset(${json}::jsonb) as d(id uuid, times jsonb),
             jsonb_to_recordset(d.times)
               as m("accountId" uuid, event smallint, seconds numeric, name text)`,
  );
}
