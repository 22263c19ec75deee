import { PRESET_NAMES, PRESETS } from '@bradyon/core/rules';
import { USUAL_SQUEEZE } from '@bradyon/core/innings';
import { levelsOf } from '@bradyon/core/timing';
import type { Person } from '@bradyon/core/people';
import type { ReadingDraft } from '@bradyon/core/timing';
import type {
  AccountId,
  GateRunId,
  PersonId,
  ReadingId,
  TeamId,
  LeadLookId,
  TestDiveId,
  BuntTryId,
} from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { signUpContract, type SignUp } from './accounts.ts';
import { buntTally, type BuntTryRecord } from './bunts.ts';
import { TEAM_FILE_VERSION, teamFileContract, teamImportContract, type TeamFile } from './files.ts';
import { gateEventContract, type GateEvent } from './gates.ts';
import { battingContract, type BattingRecord } from './innings.ts';
import { testDiveContract, type LeadLookRecord, type TestDiveRecord } from './leads.ts';
import { opponentContract, personContract } from './people.ts';
import type { Contract } from './rule.ts';
import { joinContract, teamDraftContract, type TeamDraft } from './teams.ts';
import { readingDraftContract } from './timing.ts';

const uuid = '0b6f1c1e-7a52-4f0e-9d0a-2f9c7c1f3a55';
const otherUuid = '5c0a7f44-90b1-4d7e-8a3e-6de1d2b7c101';
const batting: BattingRecord = {
  personId: uuid as PersonId,
  plateAppearances: 40,
  hits: 8,
  doubles: 2,
  triples: 0,
  homeRuns: 1,
  walks: 5,
  strikeouts: 9,
  buntTries: 2,
  buntsGood: 1,
  reachedOnError: 1,
};
const testDive: TestDiveRecord = {
  id: uuid as TestDiveId,
  personId: uuid as PersonId,
  leadFeet: 11.5,
  result: 'handOn',
  inchesShort: null,
  takenAt: '2031-05-01T17:30:00.000Z',
};

const leadLook: LeadLookRecord = {
  id: uuid as LeadLookId,
  personId: uuid as PersonId,
  undoes: null,
  base: 'first',
  moment: 'set',
  feet: 12.5,
  takenAt: '2031-05-01T17:30:00.000Z',
};

/** The field that a change to an accepted example is refused for; null when it is accepted. */
function faultOf<T extends object>(contract: Contract<T>, value: T, change: object): string | null {
  const checked = contract.check({ ...value, ...change });
  return checked.ok ? null : (checked.errors[0]?.path ?? '');
}

const signUp: SignUp = {
  id: uuid as AccountId,
  name: 'Marit Adeyemi',
  email: 'coach@example.org',
  password: 'ten letters or more',
};
const person: Person = {
  id: uuid as PersonId,
  opponentId: null,
  number: '00',
  name: 'Dara Whitlock',
  throws: 'right',
  bats: 'switch',
  positions: ['P', 'CF'],
  leadFeet: null,
  retired: false,
};
const team: TeamDraft = {
  id: uuid as TeamId,
  name: 'Tern Rock Skuas',
  level: 'hs',
  ruleset: PRESETS.fullSizeSeven,
  neededChance: 0.8,
  levelChanges: {},
  playChanges: {},
  fieldChanges: { bunts: {}, bases: {} },
  throwLimits: { pitcher: 80, catcher: null },
  timeZone: 'America/Chicago',
};
const delivery: ReadingDraft = {
  id: uuid as ReadingId,
  personId: uuid as PersonId,
  kind: 'delivery',
  seconds: 1.38,
  base: 'second',
  style: 'legLift',
  leadFeet: null,
  start: null,
  fromFeet: null,
  toFeet: null,
  method: 'thumb',
  resolutionSeconds: null,
  movedFrom: null,
  takenAt: '2031-05-01T17:30:00.000Z',
};

describe('the contracts', () => {
  it.each([
    [{}, null],
    [{ email: 'nobody' }, 'email'],
    [{ password: 'short' }, 'password'],
    [{ name: ' ' }, 'name'],
  ])('sign up with %j: %s', (change, fault) => {
    expect(faultOf(signUpContract, signUp, change)).toBe(fault);
  });

  it.each([
    [{}, null],
    [{ number: '' }, null],
    [{ number: '1234' }, 'number'],
    [{ number: '4a' }, 'number'],
    [{ throws: 'switch' }, 'throws'],
    [{ positions: ['P', 'XX'] }, 'positions.1'],
    [{ opponentId: 'them' }, 'opponentId'],
  ])('a person with %j: %s', (change, fault) => {
    expect(faultOf(personContract, person, change)).toBe(fault);
  });

  it.each([
    [{ neededChance: 1 }, 'neededChance'],
    [{ levelChanges: { topSpeed: 99 } }, 'levelChanges.topSpeed'],
    [{ levelChanges: { gravity: 9.8 } }, 'levelChanges.gravity'],
    [{ level: 'fpHs' }, 'level'],
    [{ timeZone: null }, null],
    [{ timeZone: 'Skerry/Nowhere' }, 'timeZone'],
    [{ playChanges: { squeeze: { ...USUAL_SQUEEZE, scored: 0.4 } } }, 'playChanges.squeeze'],
    [{ playChanges: { rates: { strikeout: 1 } } }, 'playChanges.rates.walk'],
    [{ fieldChanges: { bunts: { wild: 2 }, bases: {} } }, 'fieldChanges.bunts.wild'],
    [{ fieldChanges: { bunts: {}, bases: { gravity: 2 } } }, 'fieldChanges.bases.gravity'],
    [{ ruleset: { ...PRESETS.fullSizeSeven, innings: 7.5 } }, 'ruleset.innings'],
    [
      { ruleset: { ...PRESETS.fullSizeSeven, runRuleAfterInning: null } },
      'ruleset.runRuleAfterInning',
    ],
  ])('a team with %j: %s', (change, fault) => {
    expect(faultOf(teamDraftContract, team, change)).toBe(fault);
  });

  it.each(PRESET_NAMES)('accept the preset %s with a level of its sport', (name) => {
    const [level] = levelsOf(PRESETS[name].sport);
    expect(faultOf(teamDraftContract, team, { ruleset: PRESETS[name], level })).toBeNull();
  });

  it.each([
    [{}, null],
    [{ seconds: 30 }, 'seconds'],
    [{ seconds: '1.4' }, 'seconds'],
    [{ kind: 'pop', style: null, seconds: 2.1 }, null],
    [{ kind: 'pop', style: null, seconds: 2.1, base: null }, 'base'],
    [{ takenAt: 'just now' }, 'takenAt'],
    [{ kind: 'leave', style: null, base: null, seconds: -0.12, start: 'rocker' }, null],
    [{ start: 'sprint' }, 'start'],
    [{ method: 'clip', resolutionSeconds: 0.033333 }, null],
    [{ timedBy: uuid }, 'timedBy'],
  ])('a reading with %j: %s', (change, fault) => {
    expect(faultOf(readingDraftContract, delivery, change)).toBe(fault);
  });

  const run = {
    id: uuid as GateRunId,
    type: 'run',
    takenAt: '2031-05-01T17:30:00.000Z',
    beams: [
      { feet: 0, seconds: 0 },
      { feet: 10, seconds: null },
      { feet: 85, seconds: 4.1 },
    ],
  } as const satisfies GateEvent;

  it.each([
    [{}, null],
    [{ number: '4' }, null],
    [{ number: '4a' }, 'number'],
    [{ beams: [{ feet: 0, seconds: 0 }] }, 'beams'],
    [{ beams: undefined }, 'beams'],
    [{ type: 'pitch' }, 'seconds'],
    [{ type: 'pitch', beams: undefined, seconds: 0.46 }, null],
    [{ type: 'pitch', beams: undefined, seconds: 71 }, 'seconds'],
  ])('a gate event with %j: %s', (change, fault) => {
    expect(faultOf<GateEvent>(gateEventContract, run, change)).toBe(fault);
  });

  it.each([
    [{}, null],
    [{ doubles: 9 }, 'hits'],
    [{ strikeouts: 30 }, 'plateAppearances'],
    [{ walks: -1 }, 'walks'],
    [{ hits: 2.5 }, 'hits'],
  ])('totals at bat with %j: %s', (change, fault) => {
    expect(faultOf<BattingRecord>(battingContract, batting, change)).toBe(fault);
  });

  it.each([
    [{}, null],
    [{ result: 'short', inchesShort: 6 }, null],
    [{ result: 'short' }, 'inchesShort'],
    [{ inchesShort: 6 }, 'inchesShort'],
    [{ leadFeet: 0 }, 'leadFeet'],
    [{ result: 'caught' }, 'result'],
  ])('a test dive with %j: %s', (change, fault) => {
    expect(faultOf<TestDiveRecord>(testDiveContract, testDive, change)).toBe(fault);
  });

  const buntTry: BuntTryRecord = {
    id: uuid as BuntTryId,
    personId: uuid as PersonId,
    undoes: null,
    result: 'fair',
    aimed: 'third',
    lane: 'thirdMiddle',
    calledPace: null,
    pace: 'soft',
    height: null,
    style: 'square',
    takenAt: '2031-05-01T17:30:00.000Z',
  };

  it.each([
    [{}, null],
    [{ result: 'missed', lane: null, pace: null }, null],
    [{ lane: null }, 'lane'],
    [{ result: 'missed' }, 'lane'],
    [{ style: 'chop' }, 'style'],
    [{ pace: 'hard' }, 'pace'],
    [{ calledPace: 'hard' }, 'calledPace'],
    [{ takenAt: 'yesterday' }, 'takenAt'],
  ])('a bunt of practice with %j: %s', (change, fault) => {
    expect(faultOf<BuntTryRecord>(buntTally.row, buntTry, change)).toBe(fault);
  });

  it('reads a bunt from before a pace was called', () => {
    const { calledPace: _pace, ...older } = buntTry;
    expect(buntTally.row.check(older)).toEqual({ ok: true, value: buntTry });
  });

  it('says which row of a tally is wrong, and numbers what it gives out', () => {
    const sent = buntTally.sent.check({ rows: [buntTry, { ...buntTry, pace: 'hard' }] });
    expect(sent).toMatchObject({ ok: false, errors: [{ path: 'rows.1.pace' }] });
    const page = { rows: [{ ...buntTry, seq: 4 }], next: 4, more: false };
    expect(buntTally.page.check(page)).toEqual({ ok: true, value: page });
    expect(buntTally.page.check({ ...page, rows: [buntTry] })).toMatchObject({
      errors: [{ path: 'rows.0.seq' }],
    });
  });

  const { id: _, ...teamOfFile } = team;
  const file: TeamFile = {
    format: 'bradyon-team',
    version: TEAM_FILE_VERSION,
    exportedAt: '2031-05-01T17:30:00.000Z',
    team: teamOfFile,
    opponents: [],
    people: [person],
    readings: [
      {
        ...delivery,
        timedBy: uuid as AccountId,
        timedByName: 'Marit',
        asideReason: null,
        vouched: false,
      },
    ],
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
    reminders: { off: [], words: [], own: [] },
  };

  it('a team file of version 1 is read as what it is today', () => {
    const {
      neededChance: _chance,
      levelChanges: _changes,
      playChanges: _sheets,
      fieldChanges: _field,
      timeZone: _zone,
      ...oldTeam
    } = teamOfFile;
    const { leadFeet: _lead, ...oldPerson } = person;
    const {
      testDives: _dives,
      buntTries: _bunts,
      fielderLooks: _looks,
      leadLooks: _leads,
      batting: _batting,
      battingOrder: _order,
      ...rest
    } = file;
    const old = {
      ...rest,
      version: 1,
      team: { ...oldTeam, neededMarginSeconds: 0.06 },
      people: [oldPerson],
    };
    const now = { ...file, team: { ...teamOfFile, timeZone: null } };
    expect(teamFileContract.check(old)).toEqual({ ok: true, value: now });
    const made = teamImportContract.check({ id: uuid, file: old });
    expect(made).toEqual({ ok: true, value: { id: uuid, file: now } });
    for (const none of [null, 7, { file: null }, { version: 1, people: [null] }]) {
      expect(teamFileContract.check(none).ok).toBe(false);
      expect(teamImportContract.check(none).ok).toBe(false);
    }
  });

  it('a team file of version 2 is read in every shape that version had', () => {
    const { timeZone: _zone, playChanges, fieldChanges: _field, ...oldTeam } = teamOfFile;
    const { batting: seasons, battingOrder, games: _games, ...rest } = file;
    const value = { ...file, team: { ...teamOfFile, timeZone: null } };
    for (const later of [
      {},
      { batting: seasons },
      { batting: seasons, battingOrder },
      { batting: seasons, battingOrder, team: { ...oldTeam, playChanges } },
    ]) {
      const old = { ...rest, team: oldTeam, version: 2, ...later };
      expect(teamFileContract.check(old)).toEqual({ ok: true, value });
    }
  });

  it('a team file of version 4 has no bunts of practice and no constants of the field', () => {
    const { fieldChanges: _field, ...oldTeam } = teamOfFile;
    const { buntTries: _bunts, fielderLooks: _looks, ...rest } = file;
    const old = { ...rest, version: 4, team: oldTeam };
    expect(teamFileContract.check(old)).toEqual({ ok: true, value: file });
    const five = { ...rest, buntTries: file.buntTries, version: 5 };
    expect(teamFileContract.check(five)).toEqual({ ok: true, value: file });
  });

  it('a team file of version 3 has the rules that came later as they are usual in the sport', () => {
    const { reEntry: _reEntry, courtesyRunner: _courtesy, ...older } = teamOfFile.ruleset;
    const old = { ...file, version: 3, team: { ...teamOfFile, ruleset: older } };
    const read = teamFileContract.check(old);
    expect(read).toMatchObject({
      ok: true,
      value: { version: TEAM_FILE_VERSION, team: { ruleset: { reEntry: 'startersOnce' } } },
    });
    const softball = { ...older, sport: 'softball', illegalPitchAdvances: undefined };
    const other = { ...old, team: { ...old.team, level: 'fpHs', ruleset: softball } };
    expect(teamFileContract.check(other).ok).toBe(false);
    const { illegalPitchAdvances: _illegal, ...without } = softball;
    const third = { ...old, team: { ...old.team, level: 'fpHs', ruleset: without } };
    expect(teamFileContract.check(third)).toMatchObject({
      ok: true,
      value: { team: { ruleset: { illegalPitchAdvances: true } } },
    });
  });

  const run1 = {
    id: uuid,
    deviceName: 'Gates',
    personId: uuid,
    takenAt: '2031-05-01T17:30:00.000Z',
    beams: [
      { feet: 0, seconds: 0 },
      { feet: 10, seconds: 0.9 },
    ],
  };
  const entry1 = {
    id: uuid,
    device: 'Bench tablet',
    place: 'bench',
    at: '2031-05-01T17:30:00.000Z',
    slot: 'T1.1.1',
    kind: 'pitch',
    told: { result: 'ball' },
    seq: 1,
  };
  const game1 = {
    id: uuid,
    opponentId: null,
    startsAt: '2031-05-01T17:00:00.000Z',
    weAreHome: true,
    lastSeq: 1,
    entries: [entry1],
  };
  const together = {
    id: uuid,
    kind: 'pop',
    startedAt: '2031-05-01T17:30:00.000Z',
    times: [{ event: 1, seconds: 2.1, accountId: uuid, name: 'Marit' }],
  };
  it.each([
    [{}, null],
    [{ people: [person, person] }, 'people.1.id'],
    [{ people: [person, { ...person, id: otherUuid }] }, 'people.1.number'],
    [{ people: [person, { ...person, id: otherUuid, retired: true }] }, null],
    [{ readings: [file.readings[0], file.readings[0]] }, 'readings.1.id'],
    [{ testDives: [testDive, testDive] }, 'testDives.1.id'],
    [{ testDives: [{ ...testDive, result: 'short' }] }, 'testDives.0.inchesShort'],
    [{ gateRuns: [run1] }, null],
    [{ gateRuns: [run1, run1] }, 'gateRuns.1.id'],
    [{ games: [game1] }, null],
    [{ games: [game1, game1] }, 'games.1.id'],
    [{ games: [{ ...game1, entries: [entry1, entry1] }] }, 'games.0.entries.1.seq'],
    [{ games: [{ ...game1, lastSeq: 0 }] }, 'games.0.entries.0.seq'],
    [{ games: [{ ...game1, opponentId: otherUuid }] }, 'games.0'],
    [
      { games: [{ ...game1, lastSeq: 2, entries: [entry1, { ...entry1, seq: 2 }] }] },
      'games.0.entries.1.id',
    ],
    [{ gateRuns: [{ ...run1, beams: run1.beams.toReversed() }] }, 'gateRuns.0.beams'],
    [{ together: [together, together] }, 'together.1.id'],
    [
      { together: [{ ...together, times: [...together.times, ...together.times] }] },
      'together.0.times.1',
    ],
    [{ batting: [batting, batting] }, 'batting.1'],
    [{ batting: [{ ...batting, doubles: 9 }] }, 'batting.0.hits'],
    [{ readings: [{ ...file.readings[0], movedFrom: otherUuid }] }, 'readings.0'],
    [{ readings: [{ ...file.readings[0], movedFrom: uuid }] }, 'readings.0.movedFrom'],
    [{ testDives: [{ ...testDive, personId: otherUuid }] }, 'testDives.0'],
    [{ leadLooks: [leadLook] }, null],
    [{ leadLooks: [leadLook, leadLook] }, 'leadLooks.1.id'],
    [{ leadLooks: [{ ...leadLook, personId: otherUuid }] }, 'leadLooks.0'],
    [{ leadLooks: [{ ...leadLook, feet: 41 }] }, 'leadLooks.0.feet'],
    [{ leadLooks: [{ ...leadLook, base: 'third' }] }, 'leadLooks.0.base'],
    [{ format: 'other' }, 'format'],
    [{ version: TEAM_FILE_VERSION + 1 }, 'version'],
    [{ people: [] }, 'readings.0'],
    [{ team: { ...teamOfFile, level: 'fpHs' } }, 'team.level'],
    [{ people: [{ ...person, opponentId: uuid }] }, 'people.0'],
    [{ readings: [{ ...file.readings[0], seconds: 11 }] }, 'readings.0.seconds'],
  ])('a team file with %j: %s', (change, fault) => {
    expect(faultOf(teamFileContract, file, change)).toBe(fault);
  });

  it.each([
    ['K7QD-93XM', true],
    ['k7qd 93xm', true],
    ['K7QD93XM', true],
    ['K7QD', false],
    ['K7QD-93XM-1', false],
  ])('a code %s fits: %s', (code, fits) => {
    expect(joinContract.check({ code }).ok).toBe(fits);
  });

  it('an opponent needs a name', () => {
    const opponent = { id: uuid, name: '', retired: false };
    expect(opponentContract.check(opponent).ok).toBe(false);
  });
});
