import {
  battingImportContract,
  battingsContract,
  keptBattingContract,
  keptBattingOrderContract,
} from '@bradyon/contract/innings';
import { importedContract } from '@bradyon/contract/timing';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, idOf, staleOr404 } from '../../http/exchange.ts';
import { notFound } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import {
  deleteBatting,
  importBatting,
  saveBatting,
  saveOrder,
  selectBatting,
  selectOneBatting,
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
    const record = bodyOf(req, keptBattingContract);
    if (record.personId !== personId) throw notFound('These totals belong to another player.');
    const row = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), async (tx) => {
      const changed = await saveBatting(tx, record);
      const current = await selectOneBatting(tx, personId);
      return staleOr404(changed, record, current, 'This season was just deleted.');
    });
    reply(res, keptBattingContract, row);
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
    reply(res, keptBattingOrderContract, order);
  });

  router.put('/:teamId/batting-order', async (req, res) => {
    const accountId = signedIn(req);
    const order = bodyOf(req, keptBattingOrderContract);
    const saved = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), async (tx) => {
      const isSaved = await saveOrder(tx, order);
      const current = await selectOrder(tx);
      return staleOr404(isSaved ? current : null, order, current, '');
    });
    reply(res, keptBattingOrderContract, saved);
  });

  return router;
}
