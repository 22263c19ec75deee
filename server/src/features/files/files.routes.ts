import {
  TEAM_FILE_VERSION,
  teamFileContract,
  teamImportContract,
  type TeamFile,
} from '@bradyon/contract/files';
import { teamContract } from '@bradyon/contract/teams';
import type { TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { asAccount, inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, idOf } from '../../http/exchange.ts';
import { notFound, Problem } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import { restoreRuns, selectAllRuns } from '../gates/index.ts';
import { restoreBatting, saveOrder, selectBatting, selectOrder } from '../innings/index.ts';
import { restoreDives, selectDives } from '../leads/index.ts';
import { restoreOpponents, restorePeople, selectOpponents, selectPeople } from '../people/index.ts';
import { insertTeam, ownerOnly, selectTeam } from '../teams/index.ts';
import {
  restoreReadings,
  restoreTogether,
  selectReadings,
  selectTogether,
} from '../timing/index.ts';

/** A whole team out as one file, and in again as a team of its own. */
export function fileRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/export', async (req, res) => {
    const teamId = idOf<TeamId>(req, 'teamId');
    const file = await inTeam(pool, signedIn(req), teamId, async (tx, role): Promise<TeamFile> => {
      ownerOnly(role, 'take the whole team out as a file');
      const team = await selectTeam(tx, teamId);
      if (team === null) throw notFound('There is no such team among yours.');
      const { id: _id, role: _role, ...rest } = team;
      return {
        format: 'bradyon-team',
        version: TEAM_FILE_VERSION,
        exportedAt: new Date().toISOString(),
        team: rest,
        opponents: await selectOpponents(tx),
        people: await selectPeople(tx),
        readings: await selectReadings(tx),
        gateRuns: await selectAllRuns(tx),
        together: await selectTogether(tx),
        testDives: await selectDives(tx),
        batting: await selectBatting(tx),
        battingOrder: await selectOrder(tx),
      };
    });
    res.attachment('bradyon-team.json');
    reply(res, teamFileContract, file);
  });

  router.post('/import', async (req, res) => {
    const accountId = signedIn(req);
    const { id, file } = bodyOf(req, teamImportContract);
    const team = await asAccount(pool, accountId, async (tx) => {
      const isNew = await insertTeam(tx, { id, ...file.team });
      if (!isNew) throw new Problem(409, 'This id already stands for a team. Make a new one.');
      await restoreOpponents(tx, file.opponents);
      await restorePeople(tx, file.people);
      await restoreReadings(tx, file.readings);
      await restoreRuns(tx, file.gateRuns);
      await restoreTogether(tx, file.together);
      await restoreDives(tx, file.testDives);
      await restoreBatting(tx, file.batting);
      await saveOrder(tx, file.battingOrder);
      return selectTeam(tx, id);
    });
    if (team === null) throw notFound('There is no such team among yours.');
    reply(res, teamContract, team, 201);
  });

  return router;
}
