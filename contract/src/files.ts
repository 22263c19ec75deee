import { NO_FIELD_CHANGES } from '@bradyon/core/bases';
import type { Opponent, Person } from '@bradyon/core/people';
import { PRESETS } from '@bradyon/core/rules';
import type { Reading } from '@bradyon/core/timing';
import { USUAL_NEEDED_CHANCE } from '@bradyon/core/steals';
import type { TeamId } from '@bradyon/core/units';
import { NO_REMINDERS, remindersContract, type Reminders } from './advice.ts';
import { entryContract, gameFields, MOST_ENTRIES, type Entry, type Game } from './games.ts';
import { gateRunContract, type GateRun } from './gates.ts';
import {
  battingContract,
  battingMisfit,
  battingOrderContract,
  type BattingOrder,
  type BattingRecord,
} from './innings.ts';
import { lookTally, type FielderLookRecord } from './bases.ts';
import { buntTally, type BuntTryRecord } from './bunts.ts';
import { practiceContract, repTally, type PracticeRecord, type RepRecord } from './drills.ts';
import {
  leadLookTally,
  testDiveContract,
  type LeadLookRecord,
  type TestDiveRecord,
} from './leads.ts';
import { opponentContract, personContract } from './people.ts';
import {
  contract,
  id,
  instant,
  number,
  oneOf,
  readingOlder,
  required,
  rowsOf,
  type Misfit,
} from './rule.ts';
import { teamDraftFields, teamMisfit, type TeamDraft } from './teams.ts';
import { togetherContract, type Together } from './thumb.ts';
import { readingContract } from './timing.ts';

export const TEAM_FILE_VERSION = 9;

/** A whole team as a file: everything but its staff and the secrets of its devices. */
export interface TeamFile {
  format: 'bradyon-team';
  version: number;
  exportedAt: string;
  team: Omit<TeamDraft, 'id'>;
  opponents: Opponent[];
  people: Person[];
  readings: Reading[];
  gateRuns: GateRun[];
  together: Together[];
  testDives: TestDiveRecord[];
  buntTries: BuntTryRecord[];
  fielderLooks: FielderLookRecord[];
  leadLooks: LeadLookRecord[];
  reps: RepRecord[];
  practices: PracticeRecord[];
  batting: BattingRecord[];
  battingOrder: BattingOrder;
  games: GameOfFile[];
  reminders: Reminders;
}

/** A game with all its entries. */
export interface GameOfFile extends Game {
  entries: Entry[];
}

/** How far a file has come in: the words to show, and how many rows of how many. */
export interface ImportProgress {
  stage: 'reading' | 'checking' | 'saving';
  done: number;
  of: number;
}

const rows = required(number('A count.', { min: 0, max: 2_000_000, whole: true }));
export const importProgressContract = contract<ImportProgress>({
  stage: required(oneOf(['reading', 'checking', 'saving'], 'A stage.')),
  done: rows,
  of: rows,
});

/** A team made of a file, under an id of its own. */
export interface TeamImport {
  id: TeamId;
  file: TeamFile;
}

const { id: _ofTheTeam, ...teamFields } = teamDraftFields;
const MANY = 200_000;

/** The first of a list whose key stood in it before; -1: none. Null is no key. */
function firstTwice<T>(rows: readonly T[], keyOf: (row: T) => string | null): number {
  const seen = new Set<string>();
  return rows.findIndex((row) => {
    const key = keyOf(row);
    if (key === null) return false;
    if (seen.has(key)) return true;
    seen.add(key);
    return false;
  });
}

/** Whatever stands in a list of the file under an id that another of the list has. */
function twiceMisfit(file: TeamFile): Misfit | null {
  const lists = [
    'opponents',
    'people',
    'readings',
    'gateRuns',
    'together',
    'testDives',
    'buntTries',
    'fielderLooks',
    'leadLooks',
    'reps',
    'practices',
    'games',
  ] as const;
  for (const name of lists) {
    const index = firstTwice<{ id: string }>(file[name], ({ id }) => id);
    if (index !== -1) {
      return { path: `${name}.${String(index)}.id`, message: 'This id is listed twice.' };
    }
  }
  for (const [index, { entries }] of file.games.entries()) {
    const entry = firstTwice(entries, (each) => each.id);
    if (entry !== -1) {
      return {
        path: `games.${String(index)}.entries.${String(entry)}.id`,
        message: 'This id is listed twice.',
      };
    }
  }
  const shirt = firstTwice(file.people, ({ opponentId, number, retired }) =>
    retired || number === '' ? null : `${opponentId ?? ''} ${number}`,
  );
  if (shirt !== -1) {
    return {
      path: `people.${String(shirt)}.number`,
      message: 'Another player on this team wears this number.',
    };
  }
  for (const [index, { times }] of file.together.entries()) {
    const time = firstTwice(times, ({ accountId, event }) => `${accountId} ${String(event)}`);
    if (time !== -1) {
      return {
        path: `together.${String(index)}.times.${String(time)}`,
        message: 'Each coach has one time for each pitch.',
      };
    }
  }
  return null;
}

/** Whatever belongs to somebody, or stands for something, that is not in the file. */
function strangerMisfit(file: TeamFile): Misfit | null {
  const sides = new Set<string>(file.opponents.map((opponent) => opponent.id));
  const known = new Set<string>(file.people.map((person) => person.id));
  const taken = new Set<string>(file.readings.map((reading) => reading.id));
  const isStranger = ({ personId }: { personId: string | null }): boolean =>
    personId === null || !known.has(personId);
  const places: [path: string, index: number][] = [
    ['people', file.people.findIndex(({ opponentId: o }) => o !== null && !sides.has(o))],
    ['games', file.games.findIndex(({ opponentId: o }) => o !== null && !sides.has(o))],
    ['readings', file.readings.findIndex(isStranger)],
    ['gateRuns', file.gateRuns.findIndex(isStranger)],
    ['testDives', file.testDives.findIndex(isStranger)],
    ['buntTries', file.buntTries.findIndex(isStranger)],
    ['fielderLooks', file.fielderLooks.findIndex(isStranger)],
    ['leadLooks', file.leadLooks.findIndex(isStranger)],
    ['reps', file.reps.findIndex(isStranger)],
    ['batting', file.batting.findIndex(isStranger)],
    ['battingOrder.personIds', file.battingOrder.personIds.findIndex((id) => !known.has(id))],
    ['readings', file.readings.findIndex(({ movedFrom: m }) => m !== null && !taken.has(m))],
  ];
  const stranger = places.find(([, index]) => index !== -1);
  return stranger
    ? {
        path: `${stranger[0]}.${String(stranger[1])}`,
        message: 'This belongs to a player who is not in the file.',
      }
    : null;
}

/** What in a team file does not hang together, or null. */
function fileMisfit(file: TeamFile): Misfit | null {
  return twiceMisfit(file) ?? strangerMisfit(file) ?? battingMisfit(file.batting);
}

/** Version 1 asked for a margin on the watch instead of a chance, and people had no lead. */
function teamOfVersionOne({ neededMarginSeconds: _margin, ...team }: Record<string, unknown>) {
  return { ...team, neededChance: USUAL_NEEDED_CHANCE, levelChanges: {} };
}

/** Until version 4 rules said nothing of lineups, strike three and run limits: the commonest of each. */
function rulesOfOlder(ruleset: unknown): unknown {
  if (typeof ruleset !== 'object' || ruleset === null) return ruleset;
  const isSoftball = (ruleset as { sport?: unknown }).sport === 'softball';
  const usual = isSoftball ? PRESETS.fastpitch43 : PRESETS.fullSizeSeven;
  return { ...usual, ...ruleset };
}

/**
 * An older file as one of today. Version 2 grew as it went: its first files have nothing at bat, no
 * order and no sheets of the team's own. Until version 3 a team had no time zone, until version 5 no bunts of
 * practice and no constants of the field, until version 6 nothing seen of outfielders, until version 7
 * no drills, practices and called paces, until version 8 no squeezes, guesses and gates among the drills and no
 * limits of practices, until version 9 nothing seen of leads.
 */
function fromOlder(value: unknown): unknown {
  const file = value as { version?: unknown; team?: unknown; people?: unknown } | null;
  if (![1, 2, 3, 4, 5, 6, 7, 8].includes(Number(file?.version)) || !file) return value;
  if (typeof file.team !== 'object' || file.team === null || !Array.isArray(file.people)) {
    return value;
  }
  const isFirst = file.version === 1;
  const team = file.team as Record<string, unknown>;
  return {
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
    ...file,
    version: TEAM_FILE_VERSION,
    team: {
      playChanges: {},
      fieldChanges: NO_FIELD_CHANGES,
      timeZone: null,
      ...(isFirst ? teamOfVersionOne(team) : team),
      ruleset: rulesOfOlder(team['ruleset']),
    },
    people: isFirst
      ? file.people.map((person: object) => ({ ...person, leadFeet: null }))
      : file.people,
  };
}

const gameOfFileContract = contract<GameOfFile>(
  { ...gameFields, entries: required(rowsOf(entryContract, MOST_ENTRIES)) },
  ({ entries, lastSeq }) => {
    const wrong = entries.findIndex(
      ({ seq }, index) => seq <= (entries[index - 1]?.seq ?? 0) || seq > lastSeq,
    );
    return wrong < 0
      ? null
      : { path: `entries.${String(wrong)}.seq`, message: 'Entries stand in their order.' };
  },
);

const VERSIONS = `This file is from another version. Bradyon opens versions 1 to ${String(TEAM_FILE_VERSION)}.`;
const only = { min: TEAM_FILE_VERSION, max: TEAM_FILE_VERSION, whole: true };

export const teamFileContract = readingOlder(
  contract<TeamFile>(
    {
      format: required(oneOf(['bradyon-team'], 'Choose a team file exported from Bradyon.')),
      version: required(number(VERSIONS, only)),
      exportedAt: required(instant('Say when the file was made.')),
      team: required(contract<Omit<TeamDraft, 'id'>>(teamFields, teamMisfit)),
      opponents: required(rowsOf(opponentContract, 1000)),
      people: required(rowsOf(personContract, 20_000)),
      readings: required(rowsOf(readingContract, MANY)),
      gateRuns: required(rowsOf(gateRunContract, MANY)),
      together: required(rowsOf(togetherContract, 1000)),
      testDives: required(rowsOf(testDiveContract, MANY)),
      buntTries: required(rowsOf(buntTally.row, MANY)),
      fielderLooks: required(rowsOf(lookTally.row, MANY)),
      leadLooks: required(rowsOf(leadLookTally.row, MANY)),
      reps: required(rowsOf(repTally.row, MANY)),
      practices: required(rowsOf(practiceContract, 1000)),
      batting: required(rowsOf(battingContract, 20_000)),
      battingOrder: required(battingOrderContract),
      games: required(rowsOf(gameOfFileContract, 2000)),
      reminders: required(remindersContract),
    },
    fileMisfit,
  ),
  fromOlder,
);

export const teamImportContract = contract<TeamImport>({
  id: required(id<TeamId>()),
  file: required(teamFileContract),
});
