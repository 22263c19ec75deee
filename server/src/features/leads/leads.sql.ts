import type { LeadLookRecord, TestDiveRecord } from '@bradyon/contract/leads';
import type { TestDiveId } from '@bradyon/core/units';
import sql, { raw } from 'sql-template-tag';
import { many, maybeOne, type Tx } from '../../db/query.ts';
import { tallyOf } from '../../db/tally.ts';

/** How far off runners were seen. */
export const leadLooks = tallyOf<LeadLookRecord>('lead_looks', {
  base: ['base', 'text'],
  moment: ['moment', 'text'],
  feet: ['feet', 'numeric'],
});

const DIVE = raw(`
  id, person_id as "personId", lead_feet as "leadFeet", result, inches_short as "inchesShort",
  taken_at as "takenAt"`);

/** Test dives of the team in scope, the newest first. */
export function selectDives(tx: Tx): Promise<TestDiveRecord[]> {
  return many(tx, sql`select ${DIVE} from test_dives order by taken_at desc, id`);
}

export function selectDive(tx: Tx, id: TestDiveId): Promise<TestDiveRecord | null> {
  return maybeOne(tx, sql`select ${DIVE} from test_dives where id = ${id}`);
}

/** @returns null when the id is taken */
export function insertDive(tx: Tx, dive: TestDiveRecord): Promise<TestDiveRecord | null> {
  const { id, personId, leadFeet, result, inchesShort, takenAt } = dive;
  return maybeOne(
    tx,
    sql`insert into test_dives (id, person_id, lead_feet, result, inches_short, taken_at)
        values (${id}, ${personId}, ${leadFeet}, ${result}, ${inchesShort}, ${takenAt})
        on conflict on constraint test_dives__team_id_id do nothing returning ${DIVE}`,
  );
}

export async function deleteDive(tx: Tx, id: TestDiveId): Promise<void> {
  await tx.query(sql`delete from test_dives where id = ${id}`);
}

/** Test dives of a file. */
export async function restoreDives(tx: Tx, dives: readonly TestDiveRecord[]): Promise<void> {
  await tx.query(
    sql`insert into test_dives (id, person_id, lead_feet, result, inches_short, taken_at)
        select d.id, d."personId", d."leadFeet", d.result, d."inchesShort", d."takenAt"
        from jsonb_to_recordset(${JSON.stringify(dives)}::jsonb)
          as d(id uuid, "personId" uuid, "leadFeet" numeric, result text, "inchesShort" numeric,
               "takenAt" timestamptz)`,
  );
}
