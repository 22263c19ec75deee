import type { BattingOrder, BattingRecord } from '@bradyon/contract/innings';
import type { Imported } from '@bradyon/contract/timing';
import type { PersonId } from '@bradyon/core/units';
import sql, { raw, type Sql } from 'sql-template-tag';
import { many, one, type Tx } from '../../db/query.ts';

const BATTING = raw(`
  person_id as "personId", plate_appearances as "plateAppearances", hits, doubles, triples,
  home_runs as "homeRuns", walks, strikeouts, reached_on_error as "reachedOnError",
  bunt_tries as "buntTries", bunts_good as "buntsGood"`);

const COLUMNS = raw(`person_id, plate_appearances, hits, doubles, triples, home_runs, walks,
  strikeouts, reached_on_error, bunt_tries, bunts_good`);

/** Totals as rows, in the order of COLUMNS. */
function battingRows(records: readonly BattingRecord[]): Sql {
  return sql`select d."personId", d."plateAppearances", d.hits, d.doubles, d.triples, d."homeRuns",
                    d.walks, d.strikeouts, d."reachedOnError", d."buntTries", d."buntsGood"
             from jsonb_to_recordset(${JSON.stringify(records)}::jsonb)
               as d("personId" uuid, "plateAppearances" smallint, hits smallint, doubles smallint,
                    triples smallint, "homeRuns" smallint, walks smallint, strikeouts smallint,
                    "reachedOnError" smallint, "buntTries" smallint, "buntsGood" smallint)`;
}

/** Totals replace those before: a season only has one. */
const REPLACING = raw(`
  on conflict on constraint batting_totals__key do update
    set plate_appearances = excluded.plate_appearances, hits = excluded.hits,
        doubles = excluded.doubles, triples = excluded.triples, home_runs = excluded.home_runs,
        walks = excluded.walks, strikeouts = excluded.strikeouts,
        reached_on_error = excluded.reached_on_error, bunt_tries = excluded.bunt_tries,
        bunts_good = excluded.bunts_good`);

/** Everybody's totals at bat in the team in scope. */
export function selectBatting(tx: Tx): Promise<BattingRecord[]> {
  return many(tx, sql`select ${BATTING} from batting_totals order by person_id`);
}

export function saveBatting(tx: Tx, record: BattingRecord): Promise<BattingRecord> {
  return one(
    tx,
    sql`insert into batting_totals (${COLUMNS}) ${battingRows([record])} ${REPLACING}
        returning ${BATTING}`,
  );
}

/** Many at once; `alreadyThere` are those whose totals are as they were. */
export async function importBatting(tx: Tx, records: readonly BattingRecord[]): Promise<Imported> {
  const before = new Set((await selectBatting(tx)).map((record) => JSON.stringify(record)));
  await tx.query(sql`insert into batting_totals (${COLUMNS}) ${battingRows(records)} ${REPLACING}`);
  const after = await selectBatting(tx);
  const added = after.filter((record) => !before.has(JSON.stringify(record))).length;
  return { added, alreadyThere: records.length - added };
}

export async function deleteBatting(tx: Tx, personId: PersonId): Promise<void> {
  await tx.query(sql`delete from batting_totals where person_id = ${personId}`);
}

/** Totals of a file. */
export async function restoreBatting(tx: Tx, records: readonly BattingRecord[]): Promise<void> {
  await tx.query(sql`insert into batting_totals (${COLUMNS}) ${battingRows(records)}`);
}

/** Who bats when in the team in scope; nobody while it is not set. */
export async function selectOrder(tx: Tx): Promise<BattingOrder> {
  const rows = await many<{ personId: PersonId }>(
    tx,
    sql`select person_id as "personId" from batting_order order by spot`,
  );
  return { personIds: rows.map(({ personId }) => personId) };
}

/** An order replaces the one before; of two at once the second waits, or it would meet the first's rows. */
export async function saveOrder(tx: Tx, { personIds }: BattingOrder): Promise<void> {
  await tx.query(sql`select pg_advisory_xact_lock(hashtextextended(app_team()::text, 0))`);
  await tx.query(sql`delete from batting_order`);
  await tx.query(
    sql`insert into batting_order (spot, person_id)
        select spot, person_id
        from unnest(${personIds}::uuid[]) with ordinality as o(person_id, spot)`,
  );
}
