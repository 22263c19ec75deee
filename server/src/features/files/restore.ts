import type { ImportProgress, TeamFile } from '@bradyon/contract/files';
import type { Team } from '@bradyon/contract/teams';
import type { TeamId } from '@bradyon/core/units';
import type { Tx } from '../../db/query.ts';
import { Problem } from '../../http/problem.ts';
import { saveReminders } from '../advice/index.ts';
import { fielderLooks } from '../bases/index.ts';
import { buntTries } from '../bunts/index.ts';
import { drillReps, restorePractices } from '../drills/index.ts';
import { restoreGames } from '../games/index.ts';
import { restoreRuns } from '../gates/index.ts';
import { restoreBatting, restoreOrder } from '../innings/index.ts';
import { leadLooks, restoreDives } from '../leads/index.ts';
import { restoreOpponents, restorePeople } from '../people/index.ts';
import { insertTeam, selectTeam } from '../teams/index.ts';
import { restoreReadings, restoreTogether } from '../timing/index.ts';

/** Readings that go in with one statement. */
const PART_ROWS = 2000;

/** Makes a team of a file, under an id of its own, whose owner is the account in scope. */
export async function restoreTeam(
  tx: Tx,
  id: TeamId,
  file: TeamFile,
  onProgress: (progress: ImportProgress) => void = () => undefined,
): Promise<Team | null> {
  const isNew = await insertTeam(tx, { id, ...file.team });
  if (!isNew) throw new Problem(409, 'This id already stands for a team. Make a new one.');
  await restoreOpponents(tx, file.opponents);
  await restorePeople(tx, file.people);
  // A reading may have been moved from one that stands later in the file: those that were not come first.
  const readings = [...file.readings].sort(
    (a, b) => Number(a.movedFrom !== null) - Number(b.movedFrom !== null),
  );
  const of = readings.length;
  const first = readings.findIndex(({ movedFrom }) => movedFrom !== null);
  const movedFrom = first === -1 ? of : first;
  for (let done = 0; done < movedFrom; done += PART_ROWS) {
    onProgress({ stage: 'saving', done, of });
    await restoreReadings(tx, readings.slice(done, Math.min(done + PART_ROWS, movedFrom)));
  }
  await restoreReadings(tx, readings.slice(movedFrom));
  onProgress({ stage: 'saving', done: of, of });
  await restoreRuns(tx, file.gateRuns);
  await restoreTogether(tx, file.together);
  await restoreDives(tx, file.testDives);
  await buntTries.insert(tx, file.buntTries);
  await fielderLooks.insert(tx, file.fielderLooks);
  await leadLooks.insert(tx, file.leadLooks);
  await drillReps.insert(tx, file.reps);
  await restorePractices(tx, file.practices);
  await restoreBatting(tx, file.batting);
  await restoreOrder(tx, file.battingOrder);
  await restoreGames(tx, file.games);
  await saveReminders(tx, { ...file.reminders, version: 0 });
  return selectTeam(tx, id);
}
