import { battingContract, battingsContract } from '@bradyon/contract/innings';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, idOf } from '../../http/exchange.ts';
import { notFound } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import { deleteBatting, saveBatting, selectBatting } from './innings.sql.ts';

/** Seasons at bat, by player. */
export function inningsRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/batting', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), selectBatting);
    reply(res, battingsContract, rows);
  });

  router.put('/:teamId/batting/:id', async (req, res) => {
    const accountId = signedIn(req);
    const personId = idOf<PersonId>(req, 'id');
    const record = bodyOf(req, battingContract);
    if (record.personId !== personId) throw notFound('These totals are of somebody else.');
    const row = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), (tx) =>
      saveBatting(tx, record),
    );
    reply(res, battingContract, row);
  });

  router.delete('/:teamId/batting/:id', async (req, res) => {
    const personId = idOf<PersonId>(req, 'id');
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      deleteBatting(tx, personId),
    );
    res.status(204).end();
  });

  return router;
}
