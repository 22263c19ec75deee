import { fielderLooksContract, fielderLooksPageContract } from '@bradyon/contract/bases';
import { sinceContract } from '@bradyon/contract/timing';
import type { TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam, lockTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, checkedBy, idOf } from '../../http/exchange.ts';
import { signedIn } from '../../http/session.ts';
import * as bases from './bases.sql.ts';

/** What was seen of outfielders: their habits are known by it. */
export function basesRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/bases/looks', async (req, res) => {
    const { since } = checkedBy(sinceContract, { since: Number(req.query['since'] ?? 0) });
    const page = await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      bases.selectLooks(tx, since),
    );
    reply(res, fielderLooksPageContract, page);
  });

  router.post('/:teamId/bases/looks', async (req, res) => {
    const { looks } = bodyOf(req, fielderLooksContract);
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), async (tx) => {
      // Numbers are seen in their order: who reads up to one has all before it.
      await lockTeam(tx);
      await bases.insertLooks(tx, looks);
    });
    res.status(204).end();
  });

  return router;
}
