import {
  importedContract,
  judgementContract,
  readingContract,
  readingDraftContract,
  readingImportContract,
  readingsContract,
} from '@bradyon/contract/timing';
import type { ReadingId, TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, createdOnce, idOf } from '../../http/exchange.ts';
import { notFound } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import * as timing from './timing.sql.ts';

export function timingRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/readings', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), timing.selectReadings);
    reply(res, readingsContract, rows);
  });

  router.post('/:teamId/readings', async (req, res) => {
    const accountId = signedIn(req);
    const teamId = idOf<TeamId>(req, 'teamId');
    const draft = instantsInUtc(bodyOf(req, readingDraftContract));
    const { row, status } = await inTeam(pool, accountId, teamId, async (tx) => {
      const { added } = await timing.insertReadings(tx, [draft]);
      const kept = await timing.selectReading(tx, draft.id);
      return createdOnce(draft, added === 1 ? kept : null, () => Promise.resolve(kept));
    });
    reply(res, readingContract, row, status);
  });

  router.post('/:teamId/readings/import', async (req, res) => {
    const accountId = signedIn(req);
    const { readings } = bodyOf(req, readingImportContract);
    const imported = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), (tx) =>
      timing.insertReadings(tx, readings),
    );
    reply(res, importedContract, imported);
  });

  router.put('/:teamId/readings/:id/aside', async (req, res) => {
    const accountId = signedIn(req);
    const teamId = idOf<TeamId>(req, 'teamId');
    const readingId = idOf<ReadingId>(req, 'id');
    const judgement = bodyOf(req, judgementContract);
    const reading = await inTeam(pool, accountId, teamId, async (tx) => {
      await timing.updateJudgement(tx, readingId, judgement);
      return timing.selectReading(tx, readingId);
    });
    if (reading === null) throw notFound('There is no such reading.');
    reply(res, readingContract, reading);
  });

  return router;
}

/** The same instant as the database will give it back, so that a repeat is seen as the same. */
function instantsInUtc<T extends { takenAt: string }>(draft: T): T {
  return { ...draft, takenAt: new Date(draft.takenAt).toISOString() };
}
