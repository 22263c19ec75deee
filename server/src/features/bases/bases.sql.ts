import type { FielderLookRecord, FielderLooksPage, KeptFielderLook } from '@bradyon/contract/bases';
import sql, { raw } from 'sql-template-tag';
import { many, type Tx } from '../../db/query.ts';

const LOOK = raw(`id, person_id as "personId", undoes, look, taken_at as "takenAt"`);
const PAGE = 1000;

/** What is new of the looks since a number, in order. */
export async function selectLooks(tx: Tx, since: number): Promise<FielderLooksPage> {
  const looks = await many<KeptFielderLook>(
    tx,
    sql`select seq, ${LOOK} from fielder_looks where team_id = app_team() and seq > ${since}
        order by seq limit ${PAGE}`,
  );
  return { looks, next: looks.at(-1)?.seq ?? since, more: looks.length === PAGE };
}

/** All of them, in order, for the file of the team. */
export function selectAllLooks(tx: Tx): Promise<FielderLookRecord[]> {
  return many(tx, sql`select ${LOOK} from fielder_looks where team_id = app_team() order by seq`);
}

/** Takes looks in; one that is there already stays as it is. */
export async function insertLooks(tx: Tx, looks: readonly FielderLookRecord[]): Promise<void> {
  await tx.query(
    sql`insert into fielder_looks (id, person_id, undoes, look, taken_at)
        select l.id, l."personId", l.undoes, l.look, l."takenAt"
        from jsonb_to_recordset(${JSON.stringify(looks)}::jsonb)
          as l(id uuid, "personId" uuid, undoes uuid, look text, "takenAt" timestamptz)
        on conflict on constraint fielder_looks__team_id_id do nothing`,
  );
}
