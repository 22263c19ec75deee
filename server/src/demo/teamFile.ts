import { NO_REMINDERS } from '@bradyon/contract/advice';
import { TEAM_FILE_VERSION, type TeamFile } from '@bradyon/contract/files';
import type { Account } from '@bradyon/contract/accounts';
import type { GateRun } from '@bradyon/contract/gates';
import type { BattingRecord } from '@bradyon/contract/innings';
import type { TestDiveRecord } from '@bradyon/contract/leads';
import { makeRandom, type Random } from '@bradyon/core/maths';
import type { Person, Position } from '@bradyon/core/people';
import { PRESETS } from '@bradyon/core/rules';
import { conditionsOf, simulateGateRun, type Conditions } from '@bradyon/core/sprint';
import { USUAL_NEEDED_CHANCE } from '@bradyon/core/steals';
import { plainContext, splitsOfBeams, type Reading } from '@bradyon/core/timing';
import type { GateRunId, OpponentId, PersonId, ReadingId, TestDiveId } from '@bradyon/core/units';
import { demoBunts } from './bunts.ts';
import { demoPractices, demoReps } from './drills.ts';
import { demoLeadLooks } from './leadLooks.ts';
import { demoLooks } from './looks.ts';
import { demoGames } from './games.ts';
import { gaitOf, readingsOf, type DemoReading } from './readings.ts';
import { makeUuid } from './uuid.ts';
import type { DemoPerson, DemoTeam } from './world.ts';

type Timer = Pick<Account, 'id' | 'name'>;

/**
 * A team of the demo world as its file: it comes in the way any other does.
 * @param timers whoever held the watch, as often as they stand here
 */
export function demoTeamFile(
  random: Random,
  team: DemoTeam,
  timers: readonly Timer[],
  today: Date,
): TeamFile {
  const ruleset = PRESETS[team.preset];
  const field = conditionsOf({ level: team.level, levelChanges: {}, ruleset });
  const file: TeamFile = {
    format: 'bradyon-team',
    version: TEAM_FILE_VERSION,
    exportedAt: today.toISOString(),
    team: {
      name: team.name,
      level: team.level,
      ruleset,
      neededChance: USUAL_NEEDED_CHANCE,
      levelChanges: {},
      playChanges: {},
      fieldChanges: { bunts: {}, bases: {} },
      throwLimits: { pitcher: 60, catcher: 40 },
      timeZone: null,
    },
    opponents: [],
    people: [],
    readings: [],
    gateRuns: [],
    together: [],
    testDives: [],
    buntTries: [],
    fielderLooks: [],
    leadLooks: [],
    reps: [],
    practices: [],
    batting: [],
    battingOrder: { personIds: [] },
    games: [],
    reminders: NO_REMINDERS,
  };
  /** A source of its own, so that nothing else of the demo depends on it. */
  const watched = makeRandom(91);
  const add = (demo: DemoPerson, opponentId: OpponentId | null): void => {
    const person = personOf(demo, makeUuid(random) as PersonId, opponentId);
    file.people.push(person);
    const ours = opponentId === null;
    const readings = readingsOf(random, { ...demo, id: person.id, ours }, field, today);
    if (ours && demo.timed >= 8) {
      const run = gateRunOf(random, demo, person.id, field, today);
      file.gateRuns.push(run);
      readings.push(...splitsOf(random, run));
    }
    if (demo.lead) file.testDives.push(...divesOf(random, person.id, demo.lead, today));
    for (const reading of readings) file.readings.push(keptBy(random, timers, reading));
  };
  for (const demo of team.roster) add(demo, null);
  for (const { name, people } of team.opponents) {
    const id = makeUuid(random) as OpponentId;
    file.opponents.push({ id, name, retired: false });
    for (const demo of people) add(demo, id);
  }
  const ours = file.people.filter(({ opponentId }) => opponentId === null);
  const batting = team.order.flatMap((number) => ours.filter((each) => each.number === number));
  file.battingOrder.personIds = batting.map(({ id }) => id);
  const bench = ours.filter((each) => !batting.includes(each));
  const sides = [[...batting, ...bench], ...file.opponents.map(({ id }) => theirOrder(file, id))];
  for (const side of sides) {
    for (const [place, { id, opponentId }] of side.entries())
      file.batting.push(seasonOf(random, id, place, opponentId === null));
  }
  file.games = demoGames(random, file, today);
  file.buntTries = demoBunts(batting, today);
  const theirs = file.people.filter(({ opponentId }) => opponentId !== null);
  file.fielderLooks = demoLooks(theirs, today);
  file.leadLooks = demoLeadLooks(theirs, ruleset, today);
  file.reps = demoReps(batting, field.ruleset.sport, today);
  file.practices = demoPractices([...batting, ...bench], today);
  for (const { people } of team.opponents) {
    for (const demo of people.filter(({ positions: [first] }) => WATCHED.includes(first ?? 'DH'))) {
      const person = file.people.find(
        ({ opponentId, name }) => opponentId !== null && name === demo.name,
      );
      if (!person) continue;
      // Nothing but their running, as one of ours is timed.
      const running = {
        ...demo,
        id: person.id,
        ours: true,
        positions: [],
        timed: 5,
        otherTimed: 0,
      };
      for (const reading of readingsOf(watched, running, field, today)) {
        file.readings.push(keptBy(watched, timers, reading));
      }
    }
  }
  return file;
}

/** Those of theirs who run are timed from across the field. */
const WATCHED: readonly Position[] = ['CF', 'SS', '2B'];

function personOf(demo: DemoPerson, id: PersonId, opponentId: OpponentId | null): Person {
  const { number, name, throws, bats, positions, lead = null } = demo;
  return { id, opponentId, number, name, throws, bats, positions, leadFeet: lead, retired: false };
}

function keptBy(random: Random, timers: readonly Timer[], reading: DemoReading): Reading {
  const timer = timers[Math.floor(random() * timers.length)];
  if (!timer) throw new Error('demoTeamFile: somebody has to hold the watch');
  return { ...reading, timedBy: timer.id, timedByName: timer.name, vouched: false };
}

/** A run through the gates, two days ago. */
function gateRunOf(
  random: Random,
  person: DemoPerson,
  personId: PersonId,
  field: Conditions,
  today: Date,
): GateRun {
  const curve = { ...gaitOf(person, field), startSpeed: 0 };
  const last = field.ruleset.baseDistanceFeet - 2;
  const beams = simulateGateRun(random, curve, [0, 10, 30, last]);
  const takenAt = new Date(today.getTime() - 50 * 60 * 60 * 1000 + random() * 3_600_000);
  return {
    id: makeUuid(random) as GateRunId,
    deviceName: 'Gates on the outfield grass',
    personId,
    takenAt: takenAt.toISOString(),
    beams,
  };
}

function splitsOf(random: Random, run: GateRun): DemoReading[] {
  return splitsOfBeams(run.beams).splits.map((split) => ({
    ...plainContext('dash'),
    ...split,
    id: makeUuid(random) as ReadingId,
    personId: run.personId,
    method: 'gate',
    resolutionSeconds: 0.001,
    movedFrom: null,
    takenAt: run.takenAt,
    asideReason: null,
  }));
}

/** Those of an opponent as they would bat: their pitchers last. */
function theirOrder({ people }: TeamFile, opponentId: OpponentId): Person[] {
  const theirs = people.filter((person) => person.opponentId === opponentId);
  const pitches = ({ positions }: Person): number => (positions.includes('P') ? 1 : 0);
  return theirs.toSorted((a, b) => pitches(a) - pitches(b));
}

/** A season at bat of about this much: whoever bats first is better, more or less. */
function seasonOf(random: Random, personId: PersonId, place: number, ours: boolean): BattingRecord {
  const plateAppearances = 34 + Math.floor(random() * 36);
  const share = (usual: number): number =>
    Math.round(plateAppearances * usual * (0.8 + 0.4 * random()));
  const hits = share(Math.max(0.12, (ours ? 0.36 : 0.33) - place * 0.02));
  const doubles = Math.floor(hits * 0.2 * random() * 2);
  const triples = random() < 0.3 ? 1 : 0;
  const buntTries = Math.floor(random() * 9);
  return {
    personId,
    plateAppearances,
    hits: Math.max(hits, doubles + triples),
    doubles,
    triples,
    homeRuns: 0,
    walks: share(0.12),
    strikeouts: share(0.2),
    reachedOnError: share(0.04),
    buntTries,
    buntsGood: buntTries - Math.floor(random() * (buntTries / 2 + 1)),
  };
}

/** How the lead was found: from a foot less the elbow was over, from a foot more the hand was short. */
function divesOf(random: Random, personId: PersonId, lead: number, today: Date): TestDiveRecord[] {
  const takenAt = new Date(today.getTime() - 74 * 60 * 60 * 1000).toISOString();
  const tries = [
    [lead - 1, 'elbowOver', null],
    [lead + 1, 'short', 7],
    [lead, 'handOn', null],
  ] as const;
  return tries.map(([leadFeet, result, inchesShort]) => ({
    id: makeUuid(random) as TestDiveId,
    personId,
    leadFeet,
    result,
    inchesShort,
    takenAt,
  }));
}
