import {
  battingContract,
  battingImportContract,
  battingOrderContract,
  battingsContract,
} from '@bradyon/contract/innings';
import { importedContract } from '@bradyon/contract/timing';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, idOf } from '../../http/exchange.ts';
import { notFound } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import {
  deleteBatting,
  importBatting,
  saveBatting,
  saveOrder,
  selectBatting,
  selectOrder,
} from './innings.sql.ts';

/** Seasons at bat, by player, and who bats when. */
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

  router.post('/:teamId/batting/import', async (req, res) => {
    const accountId = signedIn(req);
    const { batting } = bodyOf(req, battingImportContract);
    const imported = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), (tx) =>
      importBatting(tx, batting),
    );
    reply(res, importedContract, imported);
  });

  router.get('/:teamId/batting-order', async (req, res) => {
    const order = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), selectOrder);
    reply(res, battingOrderContract, order);
  });

  router.put('/:teamId/batting-order', async (req, res) => {
    const accountId = signedIn(req);
    const order = bodyOf(req, battingOrderContract);
    await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), (tx) => saveOrder(tx, order));
    reply(res, battingOrderContract, order);
  });

  return router;
}
