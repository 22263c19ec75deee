import {
  staffThumbsContract,
  thumbRepContract,
  thumbRepsContract,
  togetherContract,
  togetherDraftContract,
  togethersContract,
  togetherTimeDraftContract,
} from '@bradyon/contract/thumb';
import type { TeamId, TogetherId } from '@bradyon/core/units';
import { Router } from 'express';
import { asAccount, inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, createdOnce, idOf } from '../../http/exchange.ts';
import { notFound } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import * as thumb from './thumb.sql.ts';

/** The coach's own reps of the drill: `/api/thumbs`. */
export function thumbRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/', async (req, res) => {
    reply(res, thumbRepsContract, await asAccount(pool, signedIn(req), thumb.selectReps));
  });

  router.post('/', async (req, res) => {
    const accountId = signedIn(req);
    const rep = bodyOf(req, thumbRepContract);
    const { row, status } = await asAccount(pool, accountId, async (tx) =>
      createdOnce(rep, await thumb.insertRep(tx, rep), () => thumb.selectRep(tx, rep.id)),
    );
    reply(res, thumbRepContract, row, status);
  });

  router.delete('/', async (req, res) => {
    await asAccount(pool, signedIn(req), thumb.deleteReps);
    res.status(204).end();
  });

  return router;
}

/** The thumbs of a team's staff, and timing together: under a team. */
export function teamThumbRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/thumbs', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), thumb.selectStaffThumbs);
    reply(res, staffThumbsContract, rows);
  });

  router.get('/:teamId/together', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), thumb.selectTogether);
    reply(res, togethersContract, rows);
  });

  router.post('/:teamId/together', async (req, res) => {
    const accountId = signedIn(req);
    const draft = bodyOf(req, togetherDraftContract);
    const { row, status } = await inTeam(
      pool,
      accountId,
      idOf<TeamId>(req, 'teamId'),
      async (tx) => {
        const isNew = await thumb.insertTogether(tx, draft);
        const kept = await thumb.selectOneTogether(tx, draft.id);
        return createdOnce(draft, isNew ? kept : null, () => Promise.resolve(kept));
      },
    );
    reply(res, togetherContract, row, status);
  });

  router.post('/:teamId/together/:id/times', async (req, res) => {
    const accountId = signedIn(req);
    const togetherId = idOf<TogetherId>(req, 'id');
    const draft = bodyOf(req, togetherTimeDraftContract);
    const together = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), async (tx) => {
      if ((await thumb.selectOneTogether(tx, togetherId)) === null) return null;
      await thumb.insertTogetherTime(tx, togetherId, draft);
      return thumb.selectOneTogether(tx, togetherId);
    });
    if (together === null) throw notFound('This round of timing was not found.');
    reply(res, togetherContract, together, 201);
  });

  return router;
}
