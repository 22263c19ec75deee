import {
  opponentContract,
  opponentsContract,
  peopleContract,
  personContract,
} from '@bradyon/contract/people';
import type { TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, createdOnce, idOf, replacementOf } from '../../http/exchange.ts';
import { notFound } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import * as people from './people.sql.ts';

export function peopleRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/opponents', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), people.selectOpponents);
    reply(res, opponentsContract, rows);
  });

  router.post('/:teamId/opponents', async (req, res) => {
    const accountId = signedIn(req);
    const teamId = idOf<TeamId>(req, 'teamId');
    const draft = bodyOf(req, opponentContract);
    const { row, status } = await inTeam(pool, accountId, teamId, async (tx) =>
      createdOnce(draft, await people.insertOpponent(tx, draft), () =>
        people.selectOpponent(tx, draft.id),
      ),
    );
    reply(res, opponentContract, row, status);
  });

  router.put('/:teamId/opponents/:id', async (req, res) => {
    const accountId = signedIn(req);
    const teamId = idOf<TeamId>(req, 'teamId');
    const draft = replacementOf(req, opponentContract);
    const row = await inTeam(pool, accountId, teamId, (tx) => people.updateOpponent(tx, draft));
    if (row === null) throw notFound('There is no such opponent.');
    reply(res, opponentContract, row);
  });

  router.get('/:teamId/people', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), people.selectPeople);
    reply(res, peopleContract, rows);
  });

  router.post('/:teamId/people', async (req, res) => {
    const accountId = signedIn(req);
    const teamId = idOf<TeamId>(req, 'teamId');
    const draft = bodyOf(req, personContract);
    const { row, status } = await inTeam(pool, accountId, teamId, async (tx) =>
      createdOnce(draft, await people.insertPerson(tx, draft), () =>
        people.selectPerson(tx, draft.id),
      ),
    );
    reply(res, personContract, row, status);
  });

  router.put('/:teamId/people/:id', async (req, res) => {
    const accountId = signedIn(req);
    const teamId = idOf<TeamId>(req, 'teamId');
    const draft = replacementOf(req, personContract);
    const row = await inTeam(pool, accountId, teamId, (tx) => people.updatePerson(tx, draft));
    if (row === null) throw notFound('There is no such player on this side.');
    reply(res, personContract, row);
  });

  return router;
}
