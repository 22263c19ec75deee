import type {
  Drill,
  DrillPassDraft,
  KeptSignAnswer,
  OpenDrillPass,
  SignAnswerRecord,
  SignAnswersPage,
} from '@bradyon/contract/signs';
import type { DrillPassId, PersonId, TeamId } from '@bradyon/core/units';
import sql, { raw } from 'sql-template-tag';
import { many, maybeOne, one, type Tx } from '../../db/query.ts';
import type { WrappedKey } from './seal.ts';

export interface SealedBook extends WrappedKey {
  teamId: TeamId;
  sealed: Buffer;
  version: number;
}

const BOOK = raw(`
  team_id as "teamId", key_id as "keyId", wrapped_key as "wrappedKey", sealed, version`);

export function selectBook(tx: Tx): Promise<SealedBook | null> {
  return maybeOne(tx, sql`select ${BOOK} from sign_books where team_id = app_team()`);
}

/** @returns null when another version is kept than the one it was made from; 0 is of none */
export function saveBook(
  tx: Tx,
  { keyId, wrappedKey, sealed, version }: Omit<SealedBook, 'teamId'>,
): Promise<SealedBook | null> {
  return maybeOne(
    tx,
    version === 0
      ? sql`insert into sign_books (key_id, wrapped_key, sealed, version)
            values (${keyId}, ${wrappedKey}, ${sealed}, 1)
            on conflict on constraint sign_books__team_id do nothing returning ${BOOK}`
      : sql`update sign_books
            set key_id = ${keyId}, wrapped_key = ${wrappedKey}, sealed = ${sealed}, version = version + 1
            where team_id = app_team() and version = ${version} returning ${BOOK}`,
  );
}

const ANSWER = raw(`
  seq, id, person_id as "personId", meant, answered, seconds, taken_at as "takenAt"`);
const PAGE = 1000;

/** What is new of the answers since a number, in order. */
export async function selectAnswers(tx: Tx, since: number): Promise<SignAnswersPage> {
  const answers = await many<KeptSignAnswer>(
    tx,
    sql`select ${ANSWER} from sign_answers where team_id = app_team() and seq > ${since}
        order by seq limit ${PAGE}`,
  );
  return { answers, next: answers.at(-1)?.seq ?? since, more: answers.length === PAGE };
}

/** Those of one player, so many of the newest. */
export function selectAnswersOf(
  tx: Tx,
  personId: PersonId,
  most: number,
): Promise<KeptSignAnswer[]> {
  return many(
    tx,
    sql`select ${ANSWER} from sign_answers where team_id = app_team() and person_id = ${personId}
        order by seq desc limit ${most}`,
  );
}

/** Takes answers in; one that is there already stays as it is. */
export async function insertAnswers(tx: Tx, answers: readonly SignAnswerRecord[]): Promise<void> {
  await tx.query(
    sql`insert into sign_answers (id, person_id, meant, answered, seconds, taken_at)
        select a.id, a."personId", a.meant, a.answered, a.seconds, a."takenAt"
        from jsonb_to_recordset(${JSON.stringify(answers)}::jsonb)
          as a(id uuid, "personId" uuid, meant text, answered text, seconds numeric, "takenAt" timestamptz)
        on conflict on constraint sign_answers__team_id_id do nothing`,
  );
}

/** A player's link ends by itself. */
const DRILL_DAYS = 30;
const OPEN_PASS = raw(`id, person_id as "personId", expires_at as "expiresAt"`);

export function insertDrillPass(
  tx: Tx,
  { id, personId }: DrillPassDraft,
  codeHash: Buffer,
): Promise<OpenDrillPass> {
  return one(
    tx,
    sql`insert into drill_passes (id, person_id, code_hash, expires_at)
        values (${id}, ${personId}, ${codeHash}, now() + make_interval(days => ${DRILL_DAYS}))
        returning ${OPEN_PASS}`,
  );
}

export function selectDrillPasses(tx: Tx): Promise<OpenDrillPass[]> {
  return many(
    tx,
    sql`select ${OPEN_PASS} from drill_passes
        where team_id = app_team() and expires_at > now() order by expires_at`,
  );
}

export async function deleteDrillPass(tx: Tx, id: DrillPassId): Promise<void> {
  await tx.query(sql`delete from drill_passes where team_id = app_team() and id = ${id}`);
}

/** Comes in by a player's code. @returns null when the code opens nothing */
export async function enterDrill(tx: Tx, codeHash: Buffer): Promise<PersonId | null> {
  return (await one<{ id: PersonId | null }>(tx, sql`select enter_drill(${codeHash}) as id`)).id;
}

export function selectDrillTitle(tx: Tx): Promise<Pick<Drill, 'team' | 'player' | 'level'>> {
  return one(tx, sql`select team, player, level from drill_title()`);
}
