import type { PracticeRecord, RepRecord } from '@bradyon/contract/drills';
import type { Kept } from '@bradyon/contract/kept';
import type { Practice } from '@bradyon/core/drills';
import type { PracticeId } from '@bradyon/core/units';
import sql, { raw } from 'sql-template-tag';
import { many, maybeOne, type Tx } from '../../db/query.ts';
import { tallyOf } from '../../db/tally.ts';

/** Reps of the drills. */
export const drillReps = tallyOf<RepRecord>('drill_reps', { rep: ['rep', 'jsonb'] });

/** The newest; a season of practices is fewer. */
const MOST_PRACTICES = 200;
const PRACTICE = raw(`id, starts_at as "startsAt", practice, version`);

interface Row {
  id: PracticeId;
  startsAt: string;
  practice: Omit<Practice, 'startsAt'>;
  version: number;
}
const practiceOf = ({ id, startsAt, practice, version }: Row): Kept<PracticeRecord> => ({
  ...practice,
  id,
  startsAt,
  version,
});

/** Practices, the latest first. */
export async function selectPractices(
  tx: Tx,
  most = MOST_PRACTICES,
): Promise<Kept<PracticeRecord>[]> {
  const rows = await many<Row>(
    tx,
    sql`select ${PRACTICE} from practices where team_id = app_team()
        order by starts_at desc, id limit ${most}`,
  );
  return rows.map(practiceOf);
}

export async function selectPractice(tx: Tx, id: PracticeId): Promise<Kept<PracticeRecord> | null> {
  const row = await maybeOne<Row>(
    tx,
    sql`select ${PRACTICE} from practices where team_id = app_team() and id = ${id}`,
  );
  return row && practiceOf(row);
}

/** Writes a practice whole. @returns null when it was made from another version than the one that is kept */
export async function savePractice(
  tx: Tx,
  { id, startsAt, version, ...practice }: Kept<PracticeRecord>,
): Promise<Kept<PracticeRecord> | null> {
  const whole = JSON.stringify(practice);
  const row = await maybeOne<Row>(
    tx,
    version === 0
      ? sql`insert into practices (id, starts_at, practice) values (${id}, ${startsAt}, ${whole})
            on conflict on constraint practices__team_id_id do nothing
            returning ${PRACTICE}`
      : sql`update practices
            set starts_at = ${startsAt}, practice = ${whole}, version = version + 1
            where team_id = app_team() and id = ${id} and version = ${version}
            returning ${PRACTICE}`,
  );
  return row && practiceOf(row);
}

export async function deletePractice(tx: Tx, id: PracticeId): Promise<void> {
  await tx.query(sql`delete from practices where team_id = app_team() and id = ${id}`);
}

/** Practices of a file, as they were. */
export async function restorePractices(
  tx: Tx,
  practices: readonly PracticeRecord[],
): Promise<void> {
  for (const practice of practices) await savePractice(tx, { ...practice, version: 0 });
}
