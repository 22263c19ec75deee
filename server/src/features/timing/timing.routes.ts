import {
  importedContract,
  readingImportContract,
  readingsPageContract,
  readingStepsContract,
  sinceContract,
  stepAnswersContract,
} from '@bradyon/contract/timing';
import type { TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam, inTeamOrPass } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, checkedBy, idOf } from '../../http/exchange.ts';
import { signedIn } from '../../http/session.ts';
import { importReadings, takeSteps } from './steps.ts';
import * as timing from './timing.sql.ts';

export function timingRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/readings', async (req, res) => {
    const accountId = signedIn(req);
    const { since } = checkedBy(sinceContract, { since: Number(req.query['since'] ?? 0) });
    const page = await inTeamOrPass(pool, accountId, idOf(req, 'teamId'), (tx) =>
      timing.selectPage(tx, since),
    );
    reply(res, readingsPageContract, page);
  });

  router.post('/:teamId/readings', async (req, res) => {
    const accountId = signedIn(req);
    const teamId = idOf<TeamId>(req, 'teamId');
    const { steps } = bodyOf(req, readingStepsContract);
    const answers = await inTeamOrPass(pool, accountId, teamId, (tx, role) =>
      takeSteps(tx, { id: accountId, role }, steps),
    );
    reply(res, stepAnswersContract, { answers });
  });

  router.post('/:teamId/readings/import', async (req, res) => {
    const accountId = signedIn(req);
    const { readings } = bodyOf(req, readingImportContract);
    const imported = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), (tx) =>
      importReadings(tx, readings),
    );
    reply(res, importedContract, imported);
  });

  return router;
}
