import type { BattingRecord } from '@bradyon/contract/innings';
import type { PersonId } from '@bradyon/core/units';
import sql, { raw } from 'sql-template-tag';
import { many, one, type Tx } from '../../db/query.ts';

const BATTING = raw(`
  person_id as "personId", plate_appearances as "plateAppearances", hits, doubles, triples,
  home_runs as "homeRuns", walks, strikeouts, reached_on_error as "reachedOnError"`);

/** Everybody's totals at bat in the team in scope. */
export function selectBatting(tx: Tx): Promise<BattingRecord[]> {
  return many(tx, sql`select ${BATTING} from batting_totals order by person_id`);
}

/** Totals replace those before: a season only has one. */
export function saveBatting(tx: Tx, record: BattingRecord): Promise<BattingRecord> {
  const { personId, plateAppearances, hits, doubles, triples, homeRuns } = record;
  const { walks, strikeouts, reachedOnError } = record;
  return one(
    tx,
    sql`insert into batting_totals (person_id, plate_appearances, hits, doubles, triples, home_runs,
                                    walks, strikeouts, reached_on_error)
        values (${personId}, ${plateAppearances}, ${hits}, ${doubles}, ${triples}, ${homeRuns},
                ${walks}, ${strikeouts}, ${reachedOnError})
        on conflict on constraint batting_totals__key do update
          set plate_appearances = excluded.plate_appearances, hits = excluded.hits,
              doubles = excluded.doubles, triples = excluded.triples,
              home_runs = excluded.home_runs, walks = excluded.walks,
              strikeouts = excluded.strikeouts, reached_on_error = excluded.reached_on_error
        returning ${BATTING}`,
  );
}

export async function deleteBatting(tx: Tx, personId: PersonId): Promise<void> {
  await tx.query(sql`delete from batting_totals where person_id = ${personId}`);
}

/** Totals of a file. */
export async function restoreBatting(tx: Tx, records: readonly BattingRecord[]): Promise<void> {
  await tx.query(
    sql`insert into batting_totals (person_id, plate_appearances, hits, doubles, triples, home_runs,
                                    walks, strikeouts, reached_on_error)
        select d."personId", d."plateAppearances", d.hits, d.doubles, d.triples, d."homeRuns",
               d.walks, d.strikeouts, d."reachedOnError"
        from jsonb_to_recordset(${JSON.stringify(records)}::jsonb)
          as d("personId" uuid, "plateAppearances" smallint, hits smallint, doubles smallint,
               triples smallint, "homeRuns" smallint, walks smallint, strikeouts smallint,
               "reachedOnError" smallint)`,
  );
}
