import { TEAM_FILE_VERSION } from '@bradyon/contract/files';
import type { Kept } from '@bradyon/contract/kept';
import type { TeamId } from '@bradyon/core/units';
import type { Tx } from '../../db/query.ts';
import { notFound } from '../../http/problem.ts';
import { selectReminders } from '../advice/index.ts';
import { fielderLooks } from '../bases/index.ts';
import { buntTries } from '../bunts/index.ts';
import { drillReps, selectPractices } from '../drills/index.ts';
import { selectGamesWhole } from '../games/index.ts';
import { selectAllRuns } from '../gates/index.ts';
import { selectBatting, selectOrder } from '../innings/index.ts';
import { leadLooks, selectDives } from '../leads/index.ts';
import { selectOpponents, selectPeople } from '../people/index.ts';
import { selectTeam } from '../teams/index.ts';
import { selectInParts, selectTogether } from '../timing/index.ts';

/** Readings that are made text of at once; between two parts others are answered. */
const PART_ROWS = 1000;

/** A whole team as the text of its file, in pieces: readings are many. */
export async function teamFileText(tx: Tx, teamId: TeamId): Promise<string[]> {
  const team = await selectTeam(tx, teamId);
  if (team === null) throw notFound('You have no such team.');
  const { id: _id, role: _role, version: _version, ...rest } = team;
  const head = {
    format: 'bradyon-team',
    version: TEAM_FILE_VERSION,
    exportedAt: new Date().toISOString(),
    team: rest,
    opponents: (await selectOpponents(tx)).map(withoutVersion),
    people: (await selectPeople(tx)).map(withoutVersion),
    gateRuns: await selectAllRuns(tx),
    together: await selectTogether(tx),
    testDives: await selectDives(tx),
    buntTries: await buntTries.all(tx),
    fielderLooks: await fielderLooks.all(tx),
    leadLooks: await leadLooks.all(tx),
    // A coach's own training is the coach's, and staff are not in the file.
    reps: (await drillReps.all(tx)).filter(({ personId }) => personId !== null),
    practices: (await selectPractices(tx)).map(withoutVersion),
    batting: (await selectBatting(tx)).map(withoutVersion),
    battingOrder: withoutVersion(await selectOrder(tx)),
    games: await selectGamesWhole(tx),
    reminders: withoutVersion(await selectReminders(tx)),
  };
  const pieces = [`${JSON.stringify(head).slice(0, -1)},"readings":[`];
  let comma = '';
  for await (const part of selectInParts(tx, PART_ROWS)) {
    pieces.push(comma + JSON.stringify(part).slice(1, -1));
    comma = ',';
  }
  pieces.push(']}');
  return pieces;
}

/** How often something was changed here means nothing elsewhere. */
function withoutVersion<T extends object>({ version: _version, ...rest }: Kept<T>) {
  return rest;
}
