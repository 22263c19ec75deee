import type { Kept } from '@bradyon/contract/kept';
import type { Imported } from '@bradyon/contract/timing';
import type { Opponent, Person } from '@bradyon/core/people';
import type { OpponentId, PersonId } from '@bradyon/core/units';
import sql, { raw } from 'sql-template-tag';
import { many, maybeOne, one, type Tx } from '../../db/query.ts';
import { lockTeam } from '../../db/scope.ts';

const OPPONENT = raw('id, name, retired, version');
const PERSON = raw(
  'id, opponent_id as "opponentId", number, name, throws, bats, positions, lead_feet as "leadFeet", retired, version',
);

/** Opponents of the team in scope, by name. */
export function selectOpponents(tx: Tx): Promise<Kept<Opponent>[]> {
  return many(tx, sql`select ${OPPONENT} from opponents order by lower(name)`);
}

export function selectOpponent(tx: Tx, id: OpponentId): Promise<Kept<Opponent> | null> {
  return maybeOne(tx, sql`select ${OPPONENT} from opponents where id = ${id}`);
}

/** @returns null when the id is taken */
export function insertOpponent(
  tx: Tx,
  { id, name, retired }: Opponent,
): Promise<Kept<Opponent> | null> {
  return maybeOne(
    tx,
    sql`insert into opponents (id, name, retired) values (${id}, ${name}, ${retired})
        on conflict on constraint opponents__team_id_id do nothing returning ${OPPONENT}`,
  );
}

/** @returns null when there is no such opponent in the team, or no longer in this version */
export function updateOpponent(
  tx: Tx,
  { id, name, retired, version }: Kept<Opponent>,
): Promise<Kept<Opponent> | null> {
  return maybeOne(
    tx,
    sql`update opponents set name = ${name}, retired = ${retired}, version = version + 1
        where id = ${id} and version = ${version} returning ${OPPONENT}`,
  );
}

/** Everybody the team in scope knows, ours and theirs, retired ones too. */
export function selectPeople(tx: Tx): Promise<Kept<Person>[]> {
  return many(tx, sql`select ${PERSON} from people order by created_at, name, id`);
}

export function selectPerson(tx: Tx, id: PersonId): Promise<Kept<Person> | null> {
  return maybeOne(tx, sql`select ${PERSON} from people where id = ${id}`);
}

/** @returns null when the id is taken */
export function insertPerson(tx: Tx, person: Person): Promise<Kept<Person> | null> {
  const { id, opponentId, number, name, throws, bats, positions, leadFeet, retired } = person;
  return maybeOne(
    tx,
    sql`insert into people (id, opponent_id, number, name, throws, bats, positions, lead_feet, retired)
        values (${id}, ${opponentId}, ${number}, ${name}, ${throws}, ${bats}, ${positions}, ${leadFeet},
                ${retired})
        on conflict on constraint people__team_id_id do nothing returning ${PERSON}`,
  );
}

/**
 * Adds many at once. Whose id, or whose number on that side, is there already is left as it is.
 * @returns how many were new
 */
export async function insertPeople(tx: Tx, people: readonly Person[]): Promise<Imported> {
  await lockTeam(tx);
  const { added } = await one<{ added: number }>(
    tx,
    sql`with added as (
          insert into people (id, opponent_id, number, name, throws, bats, positions, lead_feet, retired)
          select ${PERSON_COLUMNS} from ${personRows(people)}
          on conflict do nothing returning id
        )
        select count(*) as added from added`,
  );
  return { added, alreadyThere: people.length - added };
}

/** People of a file, in its order. */
export async function restorePeople(tx: Tx, people: readonly Person[]): Promise<void> {
  await tx.query(
    sql`insert into people
          (id, opponent_id, number, name, throws, bats, positions, lead_feet, retired, created_at)
        select ${PERSON_COLUMNS}, now() + nth * interval '1 microsecond'
        from ${personRows(people)}`,
  );
}

export async function restoreOpponents(tx: Tx, opponents: readonly Opponent[]): Promise<void> {
  await tx.query(
    sql`insert into opponents (id, name, retired)
        select id, name, retired from jsonb_to_recordset(${JSON.stringify(opponents)}::jsonb)
          as d(id uuid, name text, retired boolean)`,
  );
}

const PERSON_COLUMNS = raw(`
  (d->>'id')::uuid, (d->>'opponentId')::uuid, d->>'number', d->>'name', d->>'throws', d->>'bats',
  array(select jsonb_array_elements_text(d->'positions')), (d->>'leadFeet')::numeric,
  (d->>'retired')::boolean`);

function personRows(people: readonly Person[]) {
  return sql`jsonb_array_elements(${JSON.stringify(people)}::jsonb) with ordinality as each(d, nth)`;
}

/** Removes somebody and everything timed of them. @returns false when there is no such person */
export async function erasePerson(tx: Tx, id: PersonId): Promise<boolean> {
  return (await one<{ gone: boolean }>(tx, sql`select erase_person(${id}) as gone`)).gone;
}

/**
 * Which side somebody plays for never changes.
 * @returns null when there is no such person in the team, or no longer in this version
 */
export function updatePerson(tx: Tx, person: Kept<Person>): Promise<Kept<Person> | null> {
  const { id, opponentId, number, name, throws, bats, positions, leadFeet, retired } = person;
  return maybeOne(
    tx,
    sql`update people set number = ${number}, name = ${name}, throws = ${throws}, bats = ${bats},
               positions = ${positions}, lead_feet = ${leadFeet}, retired = ${retired}, version = version + 1
        where id = ${id} and opponent_id is not distinct from ${opponentId}
          and version = ${person.version} returning ${PERSON}`,
  );
}
