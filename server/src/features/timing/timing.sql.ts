import type { AsideReason, Reading, ReadingDraft } from '@bradyon/core/timing';
import type { ReadingId } from '@bradyon/core/units';
import sql, { raw } from 'sql-template-tag';
import { many, maybeOne, type Tx } from '../../db/query.ts';

const READING = raw(`
  r.id, r.person_id as "personId", r.kind, r.seconds, r.base, r.style,
  r.lead_feet as "leadFeet", r.method, r.taken_at as "takenAt",
  r.timed_by as "timedBy", coalesce(a.name, 'A former coach') as "timedByName",
  r.aside_reason as "asideReason"`);

/** Every reading of the team in scope, the newest first, those set aside included. */
export function selectReadings(tx: Tx): Promise<Reading[]> {
  return many(
    tx,
    sql`select ${READING} from readings r left join accounts a on a.id = r.timed_by
        order by r.taken_at desc, r.recorded_at desc`,
  );
}

export function selectReading(tx: Tx, id: ReadingId): Promise<Reading | null> {
  return maybeOne(
    tx,
    sql`select ${READING} from readings r left join accounts a on a.id = r.timed_by
        where r.id = ${id}`,
  );
}

/** @returns null when the id is taken */
export function insertReading(tx: Tx, draft: ReadingDraft): Promise<Reading | null> {
  const { id, personId, kind, seconds, base, style, leadFeet, method, takenAt } = draft;
  return maybeOne(
    tx,
    sql`with r as (
          insert into readings
            (id, person_id, kind, seconds, base, style, lead_feet, method, taken_at)
          values (${id}, ${personId}, ${kind}, ${seconds}, ${base}, ${style}, ${leadFeet},
                  ${method}, ${takenAt})
          on conflict on constraint readings__team_id_id do nothing
          returning id, person_id, kind, seconds, base, style, lead_feet, method, taken_at,
                    timed_by, aside_reason
        )
        select ${READING} from r left join accounts a on a.id = r.timed_by`,
  );
}

/** Sets a reading aside, or with null brings it back. */
export async function updateAside(
  tx: Tx,
  id: ReadingId,
  reason: AsideReason | null,
): Promise<void> {
  await tx.query(
    sql`update readings set aside_reason = ${reason},
               aside_by = case when ${reason}::text is null then null else app_account() end,
               aside_at = case when ${reason}::text is null then null else now() end
        where id = ${id}`,
  );
}
