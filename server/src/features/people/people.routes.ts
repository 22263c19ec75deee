import {
  keptOpponentContract,
  keptPersonContract,
  opponentContract,
  opponentsContract,
  peopleContract,
  peopleImportContract,
  personContract,
} from '@bradyon/contract/people';
import { importedContract } from '@bradyon/contract/timing';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam, inTeamOrPass } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, createdOnce, idOf, replacementOf, staleOr404 } from '../../http/exchange.ts';
import { notFound } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import { ownerOnly } from '../teams/index.ts';
import * as people from './people.sql.ts';

export function peopleRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/opponents', async (req, res) => {
    const rows = await inTeamOrPass(
      pool,
      signedIn(req),
      idOf(req, 'teamId'),
      people.selectOpponents,
    );
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
    reply(res, keptOpponentContract, row, status);
  });

  router.put('/:teamId/opponents/:id', async (req, res) => {
    const accountId = signedIn(req);
    const teamId = idOf<TeamId>(req, 'teamId');
    const draft = replacementOf(req, keptOpponentContract);
    const row = await inTeam(pool, accountId, teamId, async (tx) => {
      const changed = await people.updateOpponent(tx, draft);
      const current = await people.selectOpponent(tx, draft.id);
      return staleOr404(changed, draft, current, 'There is no such opponent.');
    });
    reply(res, keptOpponentContract, row);
  });

  router.get('/:teamId/people', async (req, res) => {
    const rows = await inTeamOrPass(pool, signedIn(req), idOf(req, 'teamId'), people.selectPeople);
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
    reply(res, keptPersonContract, row, status);
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
      ownerOnly(role, 'delete a player and every time of theirs');
      const gone = await people.erasePerson(tx, personId);
      if (!gone) throw notFound('There is no such player.');
    });
    res.status(204).end();
  });

  router.put('/:teamId/people/:id', async (req, res) => {
    const accountId = signedIn(req);
    const teamId = idOf<TeamId>(req, 'teamId');
    const draft = replacementOf(req, keptPersonContract);
    const row = await inTeam(pool, accountId, teamId, async (tx) => {
      const changed = await people.updatePerson(tx, draft);
      const there = await people.selectPerson(tx, draft.id);
      const current = there?.opponentId === draft.opponentId ? there : null;
      return staleOr404(changed, draft, current, 'There is no such player on this side.');
    });
    reply(res, keptPersonContract, row);
  });

  return router;
}
