import { randomUUID } from 'node:crypto';
import { makeRandom, normalDraw, type Random } from '@bradyon/core/maths';
import { PRESETS } from '@bradyon/core/rules';
import { fieldOf, simulateGateRun, type Field } from '@bradyon/core/sprint';
import { USUAL_NEEDED_CHANCE } from '@bradyon/core/steals';
import { plainContext, splitsOfBeams } from '@bradyon/core/timing';
import {
  roundToMillisecond,
  type OpponentId,
  type PersonId,
  type ReadingId,
} from '@bradyon/core/units';
import type { Pool } from 'pg';
import sql, { bulk } from 'sql-template-tag';
import { inTransaction, one, type Tx } from '../db/query.ts';
import { hashPassword } from '../features/accounts/index.ts';
import { gaitOf, readingsOf, type DemoReading } from './readings.ts';
import { makeUuid } from './uuid.ts';
import { DEMO_ASSISTANT, DEMO_COACH, DEMO_TEAMS, type DemoPerson } from './world.ts';

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
 * @returns null when the database is in use and has no demo
 */
export function loadDemo(owner: Pool, today: Date): Promise<DemoSignIn | null> {
  const { email, password } = DEMO_COACH;
  return inTransaction(owner, async (tx) => {
    const { demo, accounts } = await one<{ demo: number; accounts: number }>(
      tx,
      sql`select count(*) filter (where demo) as demo, count(*) as accounts from accounts`,
    );
    if (demo > 0) return { email, password, loaded: false };
    if (accounts > 0) return null;
    await insertWorld(tx, today);
    return { email, password, loaded: true };
  });
}

async function insertWorld(tx: Tx, today: Date): Promise<void> {
  const random = makeRandom(SEED);
  const coachId = makeUuid(random);
  const assistantId = makeUuid(random);
  const passwordHash = await hashPassword(DEMO_COACH.password);
  await tx.query(
    sql`insert into accounts (id, email, name, password_hash, demo) values
        (${coachId}, ${DEMO_COACH.email}, ${DEMO_COACH.name}, ${passwordHash}, true)`,
  );
  // Nobody signs in as the assistant: nobody knows this password.
  const unknownHash = await hashPassword(randomUUID());
  await tx.query(
    sql`insert into accounts (id, email, name, password_hash) values
        (${assistantId}, ${DEMO_ASSISTANT.email}, ${DEMO_ASSISTANT.name}, ${unknownHash})`,
  );
  await insertThumb(tx, random, coachId, today);
  for (const [index, team] of DEMO_TEAMS.entries()) {
    const teamId = makeUuid(random);
    const ruleset = PRESETS[team.preset];
    const field = fieldOf({ level: team.level, levelChanges: {}, ruleset });
    await tx.query(
      sql`insert into teams (id, name, level, ruleset, needed_chance, pitcher_throw_limit,
                             catcher_throw_limit, created_by, created_at)
          values (${teamId}, ${team.name}, ${team.level}, ${JSON.stringify(ruleset)},
                  ${USUAL_NEEDED_CHANCE}, 60, 40, ${coachId}, now() + make_interval(secs => ${index}))`,
    );
    await tx.query(
      sql`insert into memberships (team_id, account_id, role) values
          (${teamId}, ${coachId}, 'owner'), (${teamId}, ${assistantId}, 'assistant')`,
    );
    const timers = [coachId, coachId, assistantId];
    const sides = [
      { opponentId: null, people: team.roster },
      ...team.opponents.map(({ name, people }) => ({
        opponentId: makeUuid(random) as OpponentId,
        name,
        people,
      })),
    ];
    for (const side of sides) {
      if ('name' in side) {
        await tx.query(
          sql`insert into opponents (team_id, id, name) values (${teamId}, ${side.opponentId}, ${side.name})`,
        );
      }
      for (const person of side.people) {
        const id = makeUuid(random) as PersonId;
        await insertPerson(tx, teamId, id, side.opponentId, person);
        const ours = side.opponentId === null;
        const readings = readingsOf(random, { ...person, id, ours }, field, today);
        if (ours && person.timed >= 8) {
          readings.push(
            ...(await insertGateRun(tx, random, teamId, { ...person, id }, field, today)),
          );
        }
        if (person.lead) await insertDives(tx, random, teamId, id, person.lead, today);
        await insertReadings(tx, teamId, readings, () => {
          return timers[Math.floor(random() * timers.length)] ?? coachId;
        });
      }
    }
  }
  await insertSeasons(tx, random);
}

const DRILL_REPS = 24;
/** The coach has done the drill; his assistant has not. A little late, as everybody is. */
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

/** A run through the gates, two days ago, and the readings it gave. */
async function insertGateRun(
  tx: Tx,
  random: Random,
  teamId: string,
  person: DemoPerson & { id: PersonId },
  field: Field,
  today: Date,
): Promise<DemoReading[]> {
  const curve = { ...gaitOf(person, field), startSpeed: 0 };
  const last = field.ruleset.baseDistanceFeet - 2;
  const beams = simulateGateRun(random, curve, [0, 10, 30, last]);
  const takenAt = new Date(today.getTime() - 50 * 60 * 60 * 1000 + random() * 3_600_000);
  await tx.query(
    sql`insert into gate_runs (team_id, id, device_name, person_id, taken_at, beams)
        values (${teamId}, ${makeUuid(random)}, 'Gates on the outfield grass', ${person.id},
                ${takenAt}, ${JSON.stringify(beams)})`,
  );
  return splitsOfBeams(beams).splits.map((split) => ({
    ...plainContext('dash'),
    ...split,
    id: makeUuid(random) as ReadingId,
    personId: person.id,
    method: 'gate',
    resolutionSeconds: 0.001,
    movedFrom: null,
    takenAt: takenAt.toISOString(),
    asideReason: null,
  }));
}

/** A season at bat of about this much: those who stand first on the roster are the better ones, more or less. */
async function insertSeasons(tx: Tx, random: Random): Promise<void> {
  const { rows } = await tx.query<{ team_id: string; id: string; nth: number; ours: boolean }>(
    sql`select team_id, id, opponent_id is null as ours, row_number() over (partition by team_id, opponent_id order by created_at, id) as nth
        from people order by team_id, nth`,
  );
  const seasons = rows.map(({ team_id: teamId, id, nth, ours }) => {
    const plateAppearances = 34 + Math.floor(random() * 36);
    const share = (usual: number): number =>
      Math.round(plateAppearances * usual * (0.6 + 0.8 * random()));
    const hits = share(Math.max(0.12, (ours ? 0.38 : 0.33) - nth * 0.025));
    const doubles = Math.floor(hits * 0.2 * random() * 2);
    const triples = random() < 0.3 ? 1 : 0;
    const buntTries = Math.floor(random() * 9);
    return [
      teamId,
      id,
      plateAppearances,
      Math.max(hits, doubles + triples),
      doubles,
      triples,
      0,
      share(0.12),
      share(0.2),
      share(0.04),
      buntTries,
      buntTries - Math.floor(random() * (buntTries / 2 + 1)),
    ];
  });
  await tx.query(
    sql`insert into batting_totals (team_id, person_id, plate_appearances, hits, doubles, triples,
                                    home_runs, walks, strikeouts, reached_on_error,
                                    bunt_tries, bunts_good)
        values ${bulk(seasons)}`,
  );
  // The first nine of the roster bat, as they stand there.
  await tx.query(
    sql`insert into batting_order (team_id, spot, person_id)
        select team_id, nth, id
        from (select team_id, id, row_number() over (partition by team_id order by created_at, id) as nth
              from people where opponent_id is null and not retired) ours
        where nth <= 9`,
  );
}

/** How he came to his lead: from a foot less his elbow was over, from a foot more he was short. */
async function insertDives(
  tx: Tx,
  random: Random,
  teamId: string,
  personId: PersonId,
  lead: number,
  today: Date,
): Promise<void> {
  const takenAt = new Date(today.getTime() - 74 * 60 * 60 * 1000).toISOString();
  const tries = [
    [lead - 1, 'elbowOver', null],
    [lead + 1, 'short', 7],
    [lead, 'handOn', null],
  ] as const;
  await tx.query(
    sql`insert into test_dives (team_id, id, person_id, lead_feet, result, inches_short, taken_at)
        values ${bulk(tries.map((dive) => [teamId, makeUuid(random), personId, ...dive, takenAt]))}`,
  );
}

async function insertPerson(
  tx: Tx,
  teamId: string,
  id: PersonId,
  opponentId: OpponentId | null,
  { number, name, throws, bats, positions, lead }: DemoPerson,
): Promise<void> {
  await tx.query(
    sql`insert into people (team_id, id, opponent_id, number, name, throws, bats, positions, lead_feet)
        values (${teamId}, ${id}, ${opponentId}, ${number}, ${name}, ${throws}, ${bats}, ${positions},
                ${lead ?? null})`,
  );
}

async function insertReadings(
  tx: Tx,
  teamId: string,
  readings: DemoReading[],
  timer: () => string,
): Promise<void> {
  if (readings.length === 0) return;
  const rows = readings.map((reading) => {
    const timedBy = timer();
    const aside = reading.asideReason === null ? null : reading.takenAt;
    return [
      teamId,
      reading.id,
      reading.personId,
      reading.kind,
      reading.seconds,
      reading.base,
      reading.style,
      reading.leadFeet,
      reading.start,
      reading.fromFeet,
      reading.toFeet,
      reading.method,
      reading.resolutionSeconds,
      reading.takenAt,
      timedBy,
      reading.asideReason,
      aside,
      aside === null ? null : timedBy,
    ];
  });
  await tx.query(
    sql`insert into readings (team_id, id, person_id, kind, seconds, base, style, lead_feet, start,
                              from_feet, to_feet, method, resolution_seconds, taken_at, timed_by, aside_reason, aside_at, aside_by)
        values ${bulk(rows)}`,
  );
}
