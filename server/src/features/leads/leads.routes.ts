import { leadLookTally, testDiveContract, testDivesContract } from '@bradyon/contract/leads';
import type { TeamId, TestDiveId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, createdOnce, idOf } from '../../http/exchange.ts';
import { signedIn } from '../../http/session.ts';
import { addTallyRoutes } from '../../http/tally.ts';
import * as leads from './leads.sql.ts';

/** Test dives back to the bag, which a runner's lead is calibrated by, and how far off runners were seen. */
export function leadRoutes(deps: Deps): Router {
  const { pool, reply } = deps;
  const router = Router();
  addTallyRoutes(router, 'leads/looks', leads.leadLooks, leadLookTally, deps);

  router.get('/:teamId/test-dives', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), leads.selectDives);
    reply(res, testDivesContract, rows);
  });

  router.post('/:teamId/test-dives', async (req, res) => {
    const accountId = signedIn(req);
    const dive = bodyOf(req, testDiveContract);
    const { row, status } = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), async (tx) =>
      createdOnce(dive, await leads.insertDive(tx, dive), () => leads.selectDive(tx, dive.id)),
    );
    reply(res, testDiveContract, row, status);
  });

  router.delete('/:teamId/test-dives/:id', async (req, res) => {
    const diveId = idOf<TestDiveId>(req, 'id');
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      leads.deleteDive(tx, diveId),
    );
    res.status(204).end();
  });

  return router;
}
