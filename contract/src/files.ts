import type { Opponent, Person } from '@bradyon/core/people';
import { describeMisfit, type Reading } from '@bradyon/core/timing';
import type { TeamId } from '@bradyon/core/units';
import { gateRunContract, type GateRun } from './gates.ts';
import { opponentContract, personContract } from './people.ts';
import { contract, id, instant, number, oneOf, required, rowsOf, type Misfit } from './rule.ts';
import { teamDraftFields, teamMisfit, type TeamDraft } from './teams.ts';
import { togetherContract, type Together } from './thumb.ts';
import { readingContract } from './timing.ts';

export const TEAM_FILE_VERSION = 1;

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
}

/** A team made of a file, under an id of its own. */
export interface TeamImport {
  id: TeamId;
  file: TeamFile;
}

const { id: _ofTheTeam, ...teamFields } = teamDraftFields;
const MANY = 200_000;

/** What in a team file does not hang together, or null. */
function fileMisfit({ team, opponents, people, readings, gateRuns }: TeamFile): Misfit | null {
  const misfit = teamMisfit(team);
  if (misfit) return { ...misfit, path: `team.${misfit.path}` };
  const sides = new Set<string>(opponents.map((opponent) => opponent.id));
  const known = new Set<string>(people.map((person) => person.id));
  const taken = new Set<string>(readings.map((reading) => reading.id));
  const strangers = [
    people.findIndex(({ opponentId }) => opponentId !== null && !sides.has(opponentId)),
    readings.findIndex(({ personId }) => !known.has(personId)),
    gateRuns.findIndex(({ personId }) => !known.has(personId)),
    readings.findIndex(({ movedFrom }) => movedFrom !== null && !taken.has(movedFrom)),
  ];
  const paths = ['people', 'readings', 'gateRuns', 'readings'];
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
  return null;
}

export const teamFileContract = contract<TeamFile>(
  {
    format: required(oneOf(['bradyon-team'], 'Choose a team file that was exported here.')),
    version: required(
      number(
        `This file is of a later version. Version ${String(TEAM_FILE_VERSION)} is read here.`,
        {
          min: 1,
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
  },
  fileMisfit,
);

export const teamImportContract = contract<TeamImport>(
  { id: required(id<TeamId>()), file: required(teamFileContract) },
  ({ file }) => {
    const misfit = fileMisfit(file);
    return misfit && { ...misfit, path: `file.${misfit.path}` };
  },
);
