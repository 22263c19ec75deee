import { buntTriesContract, buntTriesPageContract } from '@bradyon/contract/bunts';
import { sinceContract } from '@bradyon/contract/timing';
import type { TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam, lockTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, checkedBy, idOf } from '../../http/exchange.ts';
import { signedIn } from '../../http/session.ts';
import * as bunts from './bunts.sql.ts';

/** Bunts counted in practice: what a bunter's own aim is known by. */
export function buntRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/bunts', async (req, res) => {
    const { since } = checkedBy(sinceContract, { since: Number(req.query['since'] ?? 0) });
    const page = await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      bunts.selectTries(tx, since),
    );
    reply(res, buntTriesPageContract, page);
  });

  router.post('/:teamId/bunts', async (req, res) => {
    const { tries } = bodyOf(req, buntTriesContract);
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), async (tx) => {
      // Numbers are seen in their order: who reads up to one has all before it.
      await lockTeam(tx);
      await bunts.insertTries(tx, tries);
    });
    res.status(204).end();
  });

  return router;
}
