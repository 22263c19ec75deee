import type { GateDevice, GateDeviceDraft, GateRun } from '@bradyon/contract/gates';
import type { GateDeviceId, GateRunId, PersonId } from '@bradyon/core/units';
import sql, { raw } from 'sql-template-tag';
import { many, maybeOne, type Tx } from '../../db/query.ts';

const DEVICE = raw('id, name, runner_id as "runnerId", created_at as "createdAt"');
const RUN = raw(
  'id, device_name as "deviceName", person_id as "personId", taken_at as "takenAt", beams',
);
const NEWEST_RUNS = 50;

export function selectDevices(tx: Tx): Promise<GateDevice[]> {
  return many(tx, sql`select ${DEVICE} from gate_devices order by created_at, id`);
}

/** @returns null when the id is taken */
export function insertDevice(
  tx: Tx,
  { id, name }: GateDeviceDraft,
  tokenHash: Buffer,
): Promise<GateDevice | null> {
  return maybeOne(
    tx,
    sql`insert into gate_devices (id, name, token_hash) values (${id}, ${name}, ${tokenHash})
        on conflict on constraint gate_devices__team_id_id do nothing returning ${DEVICE}`,
  );
}

/** @returns null when there is no such device */
export function updateRunner(
  tx: Tx,
  id: GateDeviceId,
  runnerId: PersonId | null,
): Promise<GateDevice | null> {
  return maybeOne(
    tx,
    sql`update gate_devices set runner_id = ${runnerId} where id = ${id} returning ${DEVICE}`,
  );
}

export async function deleteDevice(tx: Tx, id: GateDeviceId): Promise<boolean> {
  const gone = await maybeOne(tx, sql`delete from gate_devices where id = ${id} returning id`);
  return gone !== null;
}

/** The device that holds this token; puts its team in scope. */
export function enterDevice(
  tx: Tx,
  tokenHash: Buffer,
): Promise<{ name: string; runnerId: PersonId | null } | null> {
  return maybeOne(
    tx,
    sql`select device_name as name, runner_id as "runnerId" from enter_device(${tokenHash})`,
  );
}

/** Who runs: by the number on our roster, or by id. */
export function selectRunner(
  tx: Tx,
  number: string | undefined,
  runnerId: PersonId | null,
): Promise<{ id: PersonId; name: string } | null> {
  return number === undefined
    ? maybeOne(tx, sql`select id, name from people where id = ${runnerId}`)
    : maybeOne(
        tx,
        sql`select id, name from people
            where opponent_id is null and not retired and number = ${number}`,
      );
}

export function selectPersonById(
  tx: Tx,
  id: PersonId,
): Promise<{ name: string; number: string } | null> {
  return maybeOne(tx, sql`select name, number from people where id = ${id}`);
}

/** The newest runs of the team in scope. */
export function selectRuns(tx: Tx): Promise<GateRun[]> {
  return many(
    tx,
    sql`select ${RUN} from gate_runs order by taken_at desc, id limit ${NEWEST_RUNS}`,
  );
}

export function selectAllRuns(tx: Tx): Promise<GateRun[]> {
  return many(tx, sql`select ${RUN} from gate_runs order by taken_at, id`);
}

export function selectRun(tx: Tx, id: GateRunId): Promise<GateRun | null> {
  return maybeOne(tx, sql`select ${RUN} from gate_runs where id = ${id}`);
}

/** @returns null when the id is taken */
export function insertRun(tx: Tx, run: GateRun): Promise<GateRun | null> {
  const { id, deviceName, personId, takenAt, beams } = run;
  return maybeOne(
    tx,
    sql`insert into gate_runs (id, device_name, person_id, taken_at, beams)
        values (${id}, ${deviceName}, ${personId}, ${takenAt}, ${JSON.stringify(beams)})
        on conflict on constraint gate_runs__team_id_id do nothing returning ${RUN}`,
  );
}

/** Runs of a file. */
export async function restoreRuns(tx: Tx, runs: readonly GateRun[]): Promise<void> {
  await tx.query(
    sql`insert into gate_runs (id, device_name, person_id, taken_at, beams)
        select d.id, d."deviceName", d."personId", d."takenAt", d.beams
        from jsonb_to_recordset(${JSON.stringify(runs)}::jsonb)
          as d(id uuid, "deviceName" text, "personId" uuid, "takenAt" timestamptz, beams jsonb)`,
  );
}
