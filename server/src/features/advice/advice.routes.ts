import { keptRemindersContract } from '@bradyon/contract/advice';
import type { TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam, inTeamOrPass } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, idOf, staleOr404 } from '../../http/exchange.ts';
import { signedIn } from '../../http/session.ts';
import { saveReminders, selectReminders } from './advice.sql.ts';

/** What a team says in its games. */
export function adviceRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/reminders', async (req, res) => {
    const rows = await inTeamOrPass(pool, signedIn(req), idOf(req, 'teamId'), selectReminders);
    reply(res, keptRemindersContract, rows);
  });

  router.put('/:teamId/reminders', async (req, res) => {
    const accountId = signedIn(req);
    const changes = bodyOf(req, keptRemindersContract);
    const saved = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), async (tx) =>
      staleOr404(await saveReminders(tx, changes), changes, await selectReminders(tx), ''),
    );
    reply(res, keptRemindersContract, saved);
  });

  return router;
}
