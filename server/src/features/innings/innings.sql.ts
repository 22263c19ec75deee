import type { BattingOrder, BattingRecord } from '@bradyon/contract/innings';
import type { Kept } from '@bradyon/contract/kept';
import type { Imported } from '@bradyon/contract/timing';
import type { PersonId } from '@bradyon/core/units';
import sql, { raw, type Sql } from 'sql-template-tag';
import { many, maybeOne, one, type Tx } from '../../db/query.ts';
import { lockTeam } from '../../db/scope.ts';

const BATTING = raw(`
  person_id as "personId", plate_appearances as "plateAppearances", hits, doubles, triples,
  home_runs as "homeRuns", walks, strikeouts, reached_on_error as "reachedOnError",
  bunt_tries as "buntTries", bunts_good as "buntsGood", version`);

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
        bunts_good = excluded.bunts_good, version = batting_totals.version + 1`);

/** Everybody's totals at bat in the team in scope. */
export function selectBatting(tx: Tx): Promise<Kept<BattingRecord>[]> {
  return many(tx, sql`select ${BATTING} from batting_totals order by person_id`);
}

export function selectOneBatting(tx: Tx, personId: PersonId): Promise<Kept<BattingRecord> | null> {
  return maybeOne(tx, sql`select ${BATTING} from batting_totals where person_id = ${personId}`);
}

/** @returns null when another version is kept than the one it was made from; 0 is of none */
export function saveBatting(
  tx: Tx,
  { version, ...record }: Kept<BattingRecord>,
): Promise<Kept<BattingRecord> | null> {
  return maybeOne(
    tx,
    version === 0
      ? sql`insert into batting_totals (${COLUMNS}) ${battingRows([record])}
            on conflict on constraint batting_totals__key do nothing returning ${BATTING}`
      : sql`insert into batting_totals (${COLUMNS})
            select * from (${battingRows([record])}) made
            where exists (select 1 from batting_totals where person_id = ${record.personId})
            ${REPLACING} where batting_totals.version = ${version} returning ${BATTING}`,
  );
}

/** Many at once; `alreadyThere` are those whose totals are as they were. */
export async function importBatting(tx: Tx, records: readonly BattingRecord[]): Promise<Imported> {
  await lockTeam(tx);
  const totals = ({ version: _version, ...record }: Kept<BattingRecord>): string =>
    JSON.stringify(record);
  const before = new Set((await selectBatting(tx)).map(totals));
  await tx.query(sql`insert into batting_totals (${COLUMNS}) ${battingRows(records)} ${REPLACING}`);
  const after = await selectBatting(tx);
  const added = after.filter((record) => !before.has(totals(record))).length;
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
export async function selectOrder(tx: Tx): Promise<Kept<BattingOrder>> {
  const { version } = await one<{ version: number }>(
    tx,
    sql`select coalesce((select version from batting_order_versions where team_id = app_team()), 0) as version`,
  );
  const rows = await many<{ personId: PersonId }>(
    tx,
    sql`select person_id as "personId" from batting_order where team_id = app_team() order by spot`,
  );
  return { personIds: rows.map(({ personId }) => personId), version };
}

/**
 * An order replaces the one before; of two at once the second waits, and then finds a newer version.
 * @returns whether it was made from the version that is kept
 */
export async function saveOrder(tx: Tx, order: Kept<BattingOrder>): Promise<boolean> {
  await lockTeam(tx);
  if ((await selectOrder(tx)).version !== order.version) return false;
  await restoreOrder(tx, order);
  return true;
}

export async function restoreOrder(tx: Tx, { personIds }: BattingOrder): Promise<void> {
  await tx.query(
    sql`insert into batting_order_versions (version) values (1)
        on conflict on constraint batting_order_versions__team_id
          do update set version = batting_order_versions.version + 1`,
  );
  await tx.query(sql`delete from batting_order where team_id = app_team()`);
  await tx.query(
    sql`insert into batting_order (spot, person_id)
        select spot, person_id
        from unnest(${personIds}::uuid[]) with ordinality as o(person_id, spot)`,
  );
}
