import { keptPracticeContract, practicesContract, repTally } from '@bradyon/contract/drills';
import type { PracticeId, TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { idOf, replacementOf, staleOr404 } from '../../http/exchange.ts';
import { signedIn } from '../../http/session.ts';
import { addTallyRoutes } from '../../http/tally.ts';
import * as drills from './drills.sql.ts';

/** What was practiced, and practices as they are planned. */
export function practiceRoutes(deps: Deps): Router {
  const { pool, reply } = deps;
  const router = Router();
  addTallyRoutes(router, 'drills/reps', drills.drillReps, repTally, deps);

  router.get('/:teamId/practices', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      drills.selectPractices(tx),
    );
    reply(res, practicesContract, rows);
  });

  router.put('/:teamId/practices/:id', async (req, res) => {
    const id = idOf<PracticeId>(req, 'id');
    const practice = replacementOf(req, keptPracticeContract, id);
    const saved = await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), async (tx) => {
      const row = await drills.savePractice(tx, practice);
      const current = await drills.selectPractice(tx, id);
      return staleOr404(row, practice, current, 'This practice was just deleted.');
    });
    reply(res, keptPracticeContract, saved);
  });

  router.delete('/:teamId/practices/:id', async (req, res) => {
    const id = idOf<PracticeId>(req, 'id');
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      drills.deletePractice(tx, id),
    );
    res.status(204).end();
  });

  return router;
}
