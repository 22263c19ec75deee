import type { Opponent, Person } from '@bradyon/core/people';
import { describeMisfit, type Reading } from '@bradyon/core/timing';
import { USUAL_NEEDED_CHANCE } from '@bradyon/core/steals';
import type { TeamId } from '@bradyon/core/units';
import { gateRunContract, type GateRun } from './gates.ts';
import {
  battingContract,
  battingMisfit,
  battingOrderContract,
  type BattingOrder,
  type BattingRecord,
} from './innings.ts';
import { testDiveContract, type TestDiveRecord } from './leads.ts';
import { opponentContract, personContract } from './people.ts';
import {
  contract,
  id,
  instant,
  number,
  oneOf,
  required,
  rowsOf,
  type Contract,
  type Misfit,
} from './rule.ts';
import { teamDraftFields, teamMisfit, type TeamDraft } from './teams.ts';
import { togetherContract, type Together } from './thumb.ts';
import { readingContract } from './timing.ts';

export const TEAM_FILE_VERSION = 2;

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
  batting: BattingRecord[];
  battingOrder: BattingOrder;
}

/** A team made of a file, under an id of its own. */
export interface TeamImport {
  id: TeamId;
  file: TeamFile;
}

const { id: _ofTheTeam, ...teamFields } = teamDraftFields;
const MANY = 200_000;

/** What in a team file does not hang together, or null. */
function fileMisfit({
  team,
  opponents,
  people,
  readings,
  gateRuns,
  testDives,
  batting,
  battingOrder,
}: TeamFile): Misfit | null {
  const misfit = teamMisfit(team);
  if (misfit) return { ...misfit, path: `team.${misfit.path}` };
  const sides = new Set<string>(opponents.map((opponent) => opponent.id));
  const known = new Set<string>(people.map((person) => person.id));
  const taken = new Set<string>(readings.map((reading) => reading.id));
  const strangers = [
    people.findIndex(({ opponentId }) => opponentId !== null && !sides.has(opponentId)),
    readings.findIndex(({ personId }) => !known.has(personId)),
    gateRuns.findIndex(({ personId }) => !known.has(personId)),
    testDives.findIndex(({ personId }) => !known.has(personId)),
    batting.findIndex(({ personId }) => !known.has(personId)),
    battingOrder.personIds.findIndex((personId) => !known.has(personId)),
    readings.findIndex(({ movedFrom }) => movedFrom !== null && !taken.has(movedFrom)),
  ];
  const paths = [
    'people',
    'readings',
    'gateRuns',
    'testDives',
    'batting',
    'battingOrder.personIds',
    'readings',
  ];
  const stranger = strangers.findIndex((index) => index !== -1);
  if (stranger !== -1) {
    return {
      path: `${paths[stranger] ?? ''}.${String(strangers[stranger])}`,
      message: 'This belongs to somebody who is not in the file.',
    };
  }
  for (const [index, reading] of readings.entries()) {
    const fault = describeMisfit(reading);
    if (fault) return { path: `readings.${String(index)}.${fault.path}`, message: fault.message };
  }
  return battingMisfit(batting);
}

/** Version 1 asked for a margin on the watch instead of a chance, and had neither own constants, leads, test dives nor anything at bat. */
function fromVersionOne(value: unknown): unknown {
  const file = value as { version?: unknown; team?: object; people?: unknown } | null;
  if (file?.version !== 1 || !Array.isArray(file.people)) return value;
  const { neededMarginSeconds: _margin, ...team } = (file.team ?? {}) as Record<string, unknown>;
  return {
    ...file,
    version: TEAM_FILE_VERSION,
    team: { ...team, neededChance: USUAL_NEEDED_CHANCE, levelChanges: {}, playChanges: {} },
    people: file.people.map((person: object) => ({ ...person, leadFeet: null })),
    testDives: [],
    batting: [],
    battingOrder: { personIds: [] },
  };
}

/** Reads older versions too. */
function readingOlder<T>(strict: Contract<T>, upgrade: (value: unknown) => unknown): Contract<T> {
  return { ...strict, check: (value) => strict.check(upgrade(value)) };
}

const newestTeamFile = contract<TeamFile>(
  {
    format: required(oneOf(['bradyon-team'], 'Choose a team file that was exported here.')),
    version: required(
      number(
        `This file is of another version. Versions 1 to ${String(TEAM_FILE_VERSION)} are read here.`,
        {
          min: TEAM_FILE_VERSION,
          max: TEAM_FILE_VERSION,
          whole: true,
        },
      ),
    ),
    exportedAt: required(instant('Say when the file was made.')),
    team: required(contract<Omit<TeamDraft, 'id'>>(teamFields)),
    opponents: required(rowsOf(opponentContract, 1000)),
    people: required(rowsOf(personContract, 20_000)),
    readings: required(rowsOf(readingContract, MANY)),
    gateRuns: required(rowsOf(gateRunContract, MANY)),
    together: required(rowsOf(togetherContract, 1000)),
    testDives: required(rowsOf(testDiveContract, MANY)),
    batting: required(rowsOf(battingContract, 20_000)),
    battingOrder: required(battingOrderContract),
  },
  fileMisfit,
);

export const teamFileContract = readingOlder(newestTeamFile, fromVersionOne);

const newestImport = contract<TeamImport>(
  { id: required(id<TeamId>()), file: required(newestTeamFile) },
  ({ file }) => {
    const misfit = fileMisfit(file);
    return misfit && { ...misfit, path: `file.${misfit.path}` };
  },
);

export const teamImportContract = readingOlder(newestImport, (value) => {
  const body = value as { file?: unknown } | null;
  return typeof body === 'object' && body !== null && 'file' in body
    ? { ...body, file: fromVersionOne(body.file) }
    : value;
});
