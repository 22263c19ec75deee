import type { BuntTriesPage, BuntTryRecord, KeptBuntTry } from '@bradyon/contract/bunts';
import sql, { raw } from 'sql-template-tag';
import { many, type Tx } from '../../db/query.ts';

const TRY = raw(`
  id, person_id as "personId", undoes, result, aimed, lane, pace, height, style,
  taken_at as "takenAt"`);
const PAGE = 1000;

/** What is new of the bunts since a number, in order. */
export async function selectTries(tx: Tx, since: number): Promise<BuntTriesPage> {
  const tries = await many<KeptBuntTry>(
    tx,
    sql`select seq, ${TRY} from bunt_tries where team_id = app_team() and seq > ${since}
        order by seq limit ${PAGE}`,
  );
  return { tries, next: tries.at(-1)?.seq ?? since, more: tries.length === PAGE };
}

/** All of them, in order, for the file of the team. */
export function selectAllTries(tx: Tx): Promise<BuntTryRecord[]> {
  return many(tx, sql`select ${TRY} from bunt_tries where team_id = app_team() order by seq`);
}

/** Takes bunts in; one that is there already stays as it is. */
export async function insertTries(tx: Tx, tries: readonly BuntTryRecord[]): Promise<void> {
  await tx.query(
    sql`insert into bunt_tries
          (id, person_id, undoes, result, aimed, lane, pace, height, style, taken_at)
        select b.id, b."personId", b.undoes, b.result, b.aimed, b.lane, b.pace, b.height, b.style,
               b."takenAt"
        from jsonb_to_recordset(${JSON.stringify(tries)}::jsonb)
          as b(id uuid, "personId" uuid, undoes uuid, result text, aimed text, lane text, pace text,
               height text, style text, "takenAt" timestamptz)
        on conflict on constraint bunt_tries__team_id_id do nothing`,
  );
}
