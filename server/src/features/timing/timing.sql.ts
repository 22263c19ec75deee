import { PAGE_ROWS, type ReadingsPage } from '@bradyon/contract/timing';
import type { Reading, ReadingDraft } from '@bradyon/core/timing';
import type { PersonId, ReadingId } from '@bradyon/core/units';
import sql, { raw } from 'sql-template-tag';
import { many, maybeOne, one, type Tx } from '../../db/query.ts';

const READING = raw(`
  r.id, r.person_id as "personId", r.kind, r.seconds, r.base, r.style,
  r.lead_feet as "leadFeet", r.start, r.from_feet as "fromFeet", r.to_feet as "toFeet",
  r.method, r.resolution_seconds as "resolutionSeconds", r.moved_from as "movedFrom",
  r.taken_at as "takenAt", r.timed_by as "timedBy",
  coalesce(a.name, r.timed_by_name, 'A former coach') as "timedByName",
  r.aside_reason as "asideReason", r.vouched`);

/** Takes the next marks of the team in scope, whose row is held to the end: first of all that is written. */
export async function takeMarks(tx: Tx, howMany: number): Promise<number> {
  const { before } = await one<{ before: number }>(
    tx,
    sql`select take_marks(${howMany}::integer) as before`,
  );
  return before;
}

/**
 * What was added, judged or deleted since a mark, in that order. Marks become visible in their order,
 * so that whoever asks on from `next` has missed nothing.
 */
export async function selectPage(tx: Tx, since: number): Promise<ReadingsPage> {
  const { last } = await one<{ last: number }>(
    tx,
    sql`select coalesce((select last from reading_marks where team_id = app_team()), 0) as last`,
  );
  const rows = await many<Reading & { mark: number }>(
    tx,
    sql`select r.mark, ${READING} from readings r left join accounts a on a.id = r.timed_by
        where r.mark > ${since} order by r.mark limit ${PAGE_ROWS}`,
  );
  const goneRows = await many<{ id: ReadingId; mark: number }>(
    tx,
    sql`select id, mark from gone_readings where mark > ${since} order by mark limit ${PAGE_ROWS}`,
  );
  const full = [rows, goneRows].flatMap((list) =>
    list.length === PAGE_ROWS ? [list.at(-1)?.mark ?? 0] : [],
  );
  const seen = Math.max(last, since, ...[rows, goneRows].map((list) => list.at(-1)?.mark ?? 0));
  const next = Math.min(seen, ...full);
  return {
    readings: rows.filter(({ mark }) => mark <= next).map(({ mark: _mark, ...reading }) => reading),
    gone: goneRows.filter(({ mark }) => mark <= next).map(({ id }) => id),
    next,
    more: full.length > 0,
  };
}

/** Every reading of the team in scope a part at a time, as a file has them: the newest first. */
export async function* selectInParts(tx: Tx, partRows: number): AsyncGenerator<Reading[]> {
  let at: { takenAt: string; id: string } | null = null;
  for (;;) {
    const rows: Reading[] = await many<Reading>(
      tx,
      sql`select ${READING} from readings r left join accounts a on a.id = r.timed_by
          where ${at?.id ?? null}::uuid is null
             or (r.taken_at, r.id) < (${at?.takenAt ?? null}::timestamptz, ${at?.id ?? null}::uuid)
          order by r.taken_at desc, r.id desc limit ${partRows}`,
    );
    const last = rows.at(-1);
    if (!last) return;
    yield rows;
    at = { takenAt: last.takenAt, id: last.id };
  }
}

export function selectReading(tx: Tx, id: ReadingId): Promise<Reading | null> {
  return maybeOne(
    tx,
    sql`select ${READING} from readings r left join accounts a on a.id = r.timed_by
        where r.id = ${id}`,
  );
}

/**
 * Holds the team's marks, so that two devices take their steps one after the other and nobody is
 * deleted meanwhile.
 * @returns what the account in scope is called
 */
export async function holdMarks(tx: Tx): Promise<string> {
  const { name } = await one<{ name: string }>(
    tx,
    sql`select take_marks(0), name from accounts where id = app_account()`,
  );
  return name;
}

/** What the team knows of a reading's id, and of the person who is to have it. */
export interface Known {
  id: ReadingId;
  reading: Reading | null;
  /** Deleted for good. */
  gone: boolean;
  /** The person who is to have it, if there is such a person. */
  personId: PersonId | null;
}

/** What is known of each of these, in one round trip. */
export async function selectKnown(
  tx: Tx,
  asked: readonly { id: ReadingId; personId: PersonId | null }[],
): Promise<Known[]> {
  const rows = await many<
    Reading & { asked: ReadingId; there: boolean; gone: boolean; askedPerson: PersonId | null }
  >(
    tx,
    sql`select ${READING}, d.id as asked, r.id is not null as there, g.id is not null as gone,
               p.id as "askedPerson"
        from unnest(${asked.map(({ id }) => id)}::uuid[],
                    ${asked.map(({ personId }) => personId)}::uuid[]) as d(id, person_id)
        -- By their keys, whatever the planner takes the team's readings to be: never the whole table.
        left join lateral (select * from readings where id = d.id offset 0) r on true
        left join lateral (select id from gone_readings where id = d.id offset 0) g on true
        left join lateral (select id from people where id = d.person_id offset 0) p on true
        left join accounts a on a.id = r.timed_by`,
  );
  return rows.map(({ asked: id, there, gone, askedPerson, ...reading }) => ({
    id,
    reading: there ? reading : null,
    gone,
    personId: askedPerson,
  }));
}

/**
 * Adds those that are not there yet and whose person is. One that was moved from another person keeps
 * who timed it; one that was deleted stays deleted.
 * @returns those that were new
 */
export async function insertReadings(tx: Tx, drafts: readonly ReadingDraft[]): Promise<Reading[]> {
  if (drafts.length === 0) return [];
  const before = await takeMarks(tx, drafts.length);
  const rows = await many<Pick<Reading, 'id' | 'timedBy' | 'timedByName'>>(
    tx,
    sql`insert into readings as r
          (id, person_id, kind, seconds, base, style, lead_feet, start, from_feet, to_feet,
           method, resolution_seconds, moved_from, taken_at, timed_by, mark)
        select d.id, d."personId", d.kind, d.seconds, d.base, d.style, d."leadFeet", d.start,
               d."fromFeet", d."toFeet", d.method, d."resolutionSeconds", d."movedFrom",
               d."takenAt", coalesce(m.timed_by, app_account()), ${before}::bigint + d.nth
        from ${readingRows(drafts)}
        left join lateral (select timed_by from readings where id = d."movedFrom" offset 0) m on true
        where not exists (select 1 from gone_readings g where g.id = d.id)
          and exists (select 1 from people p where p.id = d."personId")
        on conflict on constraint readings__team_id_id do nothing
        returning r.id, r.timed_by as "timedBy",
                  (select name from accounts a where a.id = r.timed_by) as "timedByName"`,
  );
  const added = new Map(rows.map((row) => [row.id, row]));
  return drafts.flatMap((draft) => {
    const row = added.get(draft.id);
    return row ? [{ ...draft, ...row, asideReason: null, vouched: false }] : [];
  });
}

/** Readings as they are given, with who timed them and whether they count. */
export async function restoreReadings(tx: Tx, readings: readonly Reading[]): Promise<void> {
  if (readings.length === 0) return;
  await many(
    tx,
    sql`with marks as (select take_marks(${readings.length}::integer) as before)
        insert into readings
          (id, person_id, kind, seconds, base, style, lead_feet, start, from_feet, to_feet,
           method, resolution_seconds, moved_from, taken_at, timed_by, timed_by_name,
           aside_reason, vouched, aside_by, aside_at, mark)
        select d.id, d."personId", d.kind, d.seconds, d.base, d.style, d."leadFeet", d.start,
               d."fromFeet", d."toFeet", d.method, d."resolutionSeconds", d."movedFrom",
               d."takenAt", d."timedBy",
               -- Whoever is on the staff is called what they are called now.
               case when a.id is null then d."timedByName" end, d."asideReason", d.vouched,
               case when d."asideReason" is not null then app_account() end,
               case when d."asideReason" is not null then now() end,
               marks.before + d.nth
        from marks, ${readingRows(readings)} left join accounts a on a.id = d."timedBy"`,
  );
}

const COLUMNS = [
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
];
const NAMES = raw(COLUMNS.map((column) => column.split(' ')[0]).join(', '));
const TYPED = raw(COLUMNS.join(', '));

function readingRows(readings: readonly ReadingDraft[]) {
  return sql`rows from (jsonb_to_recordset(${JSON.stringify(readings)}::jsonb) as (${TYPED}))
             with ordinality as d(${NAMES}, nth)`;
}

/** Sets readings aside, or lets them count again. */
export async function updateJudgements(tx: Tx, readings: readonly Reading[]): Promise<void> {
  if (readings.length === 0) return;
  const before = await takeMarks(tx, readings.length);
  await tx.query(
    sql`update readings r set aside_reason = d."asideReason", vouched = d.vouched,
               aside_by = case when d."asideReason" is null then null else app_account() end,
               aside_at = case when d."asideReason" is null then null else now() end,
               mark = ${before}::bigint + d.nth
        from ${readingRows(readings)}
        where r.id = d.id`,
  );
}

/** Deletes readings for good, and remembers that they are. */
export async function deleteReadings(tx: Tx, ids: readonly ReadingId[]): Promise<void> {
  if (ids.length === 0) return;
  const before = await takeMarks(tx, ids.length);
  await tx.query(sql`delete from readings where id = any(${ids}::uuid[])`);
  await tx.query(
    sql`insert into gone_readings (id, mark)
        select id, ${before}::bigint + nth from unnest(${ids}::uuid[]) with ordinality as d(id, nth)
        on conflict do nothing`,
  );
}
