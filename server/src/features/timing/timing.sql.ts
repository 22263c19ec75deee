import type { Imported, Judgement } from '@bradyon/contract/timing';
import type { Reading, ReadingDraft } from '@bradyon/core/timing';
import type { ReadingId } from '@bradyon/core/units';
import sql, { raw } from 'sql-template-tag';
import { many, maybeOne, one, type Tx } from '../../db/query.ts';

const READING = raw(`
  r.id, r.person_id as "personId", r.kind, r.seconds, r.base, r.style,
  r.lead_feet as "leadFeet", r.start, r.from_feet as "fromFeet", r.to_feet as "toFeet",
  r.method, r.resolution_seconds as "resolutionSeconds", r.moved_from as "movedFrom",
  r.taken_at as "takenAt", r.timed_by as "timedBy",
  coalesce(a.name, r.timed_by_name, 'A former coach') as "timedByName",
  r.aside_reason as "asideReason", r.vouched`);

/** Every reading of the team in scope, the newest first, those set aside included. */
export function selectReadings(tx: Tx): Promise<Reading[]> {
  return many(
    tx,
    sql`select ${READING} from readings r left join accounts a on a.id = r.timed_by
        order by r.taken_at desc, r.recorded_at desc, r.id`,
  );
}

export function selectReading(tx: Tx, id: ReadingId): Promise<Reading | null> {
  return maybeOne(
    tx,
    sql`select ${READING} from readings r left join accounts a on a.id = r.timed_by
        where r.id = ${id}`,
  );
}

/**
 * Adds what is not there yet. One that was moved from another person keeps who timed it.
 * @returns how many were new
 */
export async function insertReadings(tx: Tx, drafts: readonly ReadingDraft[]): Promise<Imported> {
  if (drafts.length === 0) return { added: 0, alreadyThere: 0 };
  const { added } = await one<{ added: number }>(
    tx,
    sql`with added as (
          insert into readings
            (id, person_id, kind, seconds, base, style, lead_feet, start, from_feet, to_feet,
             method, resolution_seconds, moved_from, taken_at, timed_by)
          select d.id, d."personId", d.kind, d.seconds, d.base, d.style, d."leadFeet", d.start,
                 d."fromFeet", d."toFeet", d.method, d."resolutionSeconds", d."movedFrom",
                 d."takenAt", coalesce(m.timed_by, app_account())
          from ${readingRows(drafts)}
          left join readings m on m.id = d."movedFrom"
          on conflict on constraint readings__team_id_id do nothing
          returning id
        )
        select count(*) as added from added`,
  );
  return { added, alreadyThere: drafts.length - added };
}

/** Readings of a file, with who timed them and whether they count. */
export async function restoreReadings(tx: Tx, readings: readonly Reading[]): Promise<void> {
  await tx.query(
    sql`insert into readings
          (id, person_id, kind, seconds, base, style, lead_feet, start, from_feet, to_feet,
           method, resolution_seconds, moved_from, taken_at, timed_by, timed_by_name,
           aside_reason, vouched, aside_by, aside_at)
        select d.id, d."personId", d.kind, d.seconds, d.base, d.style, d."leadFeet", d.start,
               d."fromFeet", d."toFeet", d.method, d."resolutionSeconds", d."movedFrom",
               d."takenAt", d."timedBy", d."timedByName", d."asideReason", d.vouched,
               case when d."asideReason" is not null then app_account() end,
               case when d."asideReason" is not null then now() end
        from ${readingRows(readings)}`,
  );
}

function readingRows(readings: readonly ReadingDraft[]) {
  const columns = raw(
    [
      'id uuid',
      '"personId" uuid',
      'kind text',
      'seconds numeric',
      'base text',
      'style text',
      '"leadFeet" numeric',
      'start text',
      '"fromFeet" numeric',
      '"toFeet" numeric',
      'method text',
      '"resolutionSeconds" numeric',
      '"movedFrom" uuid',
      '"takenAt" timestamptz',
      '"timedBy" uuid',
      '"timedByName" text',
      '"asideReason" text',
      'vouched boolean',
    ].join(', '),
  );
  return sql`jsonb_to_recordset(${JSON.stringify(readings)}::jsonb) as d(${columns})`;
}

/** Sets a reading aside, or with null lets it count. */
export async function updateJudgement(
  tx: Tx,
  id: ReadingId,
  { reason, vouched }: Judgement,
): Promise<void> {
  await tx.query(
    sql`update readings set aside_reason = ${reason}, vouched = ${vouched},
               aside_by = case when ${reason}::text is null then null else app_account() end,
               aside_at = case when ${reason}::text is null then null else now() end
        where id = ${id}`,
  );
}
