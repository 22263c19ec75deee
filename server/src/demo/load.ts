import { randomUUID } from 'node:crypto';
import { makeRandom, normalDraw, type Random } from '@bradyon/core/maths';
import { roundToMillisecond, type AccountId, type TeamId } from '@bradyon/core/units';
import type { Pool } from 'pg';
import sql, { bulk } from 'sql-template-tag';
import { inTransaction, one, type Tx } from '../db/query.ts';
import { hashPassword } from '../features/accounts/index.ts';
import { restoreTeam } from '../features/files/index.ts';
import type { SignKey } from '../signKeys.ts';
import { insertDemoSigns } from './signs.ts';
import { demoTeamFile } from './teamFile.ts';
import { makeUuid } from './uuid.ts';
import { DEMO_ASSISTANT, DEMO_COACH, DEMO_TEAMS } from './world.ts';

const SEED = 4680;

/** How to sign in to the demo. */
export interface DemoSignIn {
  email: string;
  password: string;
  /** Whether it was loaded just now. */
  loaded: boolean;
}

/**
 * Loads the demo world into a database that has no accounts yet.
 * @param owner connections as the owner of the tables
 * @param today the day that the readings' dates are counted back from
 * @param signKeys the server's, by which the signs are sealed
 * @returns null when the database is in use and has no demo
 */
export function loadDemo(
  owner: Pool,
  today: Date,
  signKeys: readonly SignKey[],
): Promise<DemoSignIn | null> {
  const { email, password } = DEMO_COACH;
  return inTransaction(owner, async (tx) => {
    const { demo, accounts } = await one<{ demo: number; accounts: number }>(
      tx,
      sql`select count(*) filter (where demo) as demo, count(*) as accounts from accounts`,
    );
    if (demo > 0) return { email, password, loaded: false };
    if (accounts > 0) return null;
    await insertWorld(tx, today, signKeys);
    return { email, password, loaded: true };
  });
}

async function insertWorld(tx: Tx, today: Date, signKeys: readonly SignKey[]): Promise<void> {
  const random = makeRandom(SEED);
  const coach = { id: makeUuid(random) as AccountId, name: DEMO_COACH.name };
  const assistant = { id: makeUuid(random) as AccountId, name: DEMO_ASSISTANT.name };
  const passwordHash = await hashPassword(DEMO_COACH.password);
  // Nobody signs in as the assistant: nobody knows this password.
  const unknownHash = await hashPassword(randomUUID());
  await tx.query(
    sql`insert into accounts (id, email, name, password_hash, demo) values
        (${coach.id}, ${DEMO_COACH.email}, ${coach.name}, ${passwordHash}, true),
        (${assistant.id}, ${DEMO_ASSISTANT.email}, ${assistant.name}, ${unknownHash}, false)`,
  );
  await insertThumb(tx, random, coach.id, today);
  await tx.query(sql`select set_config('app.account_id', ${coach.id}, true)`);
  for (const [index, team] of DEMO_TEAMS.entries()) {
    const teamId = makeUuid(random) as TeamId;
    // Most times are the coach's.
    const file = demoTeamFile(random, team, [coach, coach, assistant], today);
    await restoreTeam(tx, teamId, file);
    const players = file.people.filter(({ opponentId }) => opponentId === null).map(({ id }) => id);
    await insertDemoSigns(tx, { random, team, teamId, players, today, signKeys });
    await tx.query(
      sql`insert into memberships (account_id, role) values (${assistant.id}, 'assistant')`,
    );
    // One after the other, though they are made in one moment.
    await tx.query(
      sql`update teams set created_at = now() + make_interval(secs => ${index})
          where id = ${teamId}`,
    );
  }
}

const DRILL_REPS = 24;
/** The coach has done the drill; the assistant has not. A little late, as everybody is. */
async function insertThumb(tx: Tx, random: Random, accountId: string, today: Date): Promise<void> {
  const late = (mean: number): number => roundToMillisecond(normalDraw(random, mean, 0.032));
  const rows = Array.from({ length: DRILL_REPS }, (_, rep) => {
    const lateSeconds =
      rep % 2 === 0
        ? { firstMove: late(0.12), mitt: late(0.05), bag: late(0.05) }
        : { release: late(0.06), mitt: late(0.05), bag: late(0.05) };
    const takenAt = new Date(today.getTime() - (3 * DRILL_REPS - rep) * 60 * 60 * 1000);
    return [accountId, makeUuid(random), JSON.stringify(lateSeconds), 1 / 60, takenAt];
  });
  await tx.query(
    sql`insert into thumb_reps (account_id, id, late_seconds, frame_seconds, taken_at)
        values ${bulk(rows)}`,
  );
}
