import {
  opponentContract,
  opponentsContract,
  peopleContract,
  peopleImportContract,
  personContract,
} from '@bradyon/contract/people';
import { importedContract } from '@bradyon/contract/timing';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, createdOnce, idOf, replacementOf } from '../../http/exchange.ts';
import { notFound } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import { ownerOnly } from '../teams/index.ts';
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

  router.post('/:teamId/people/import', async (req, res) => {
    const accountId = signedIn(req);
    const { people: rows } = bodyOf(req, peopleImportContract);
    const imported = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), (tx) =>
      people.insertPeople(tx, rows),
    );
    reply(res, importedContract, imported);
  });

  router.delete('/:teamId/people/:id', async (req, res) => {
    const personId = idOf<PersonId>(req, 'id');
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), async (tx, role) => {
      ownerOnly(role, 'delete somebody and his times for good');
      const gone = await people.erasePerson(tx, personId);
      if (!gone) throw notFound('There is no such player.');
    });
    res.status(204).end();
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
