import {
  admissionContract,
  entranceContract,
  openPassesContract,
  passContract,
  passDraftContract,
} from '@bradyon/contract/games';
import type { GameId, PassId, TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { hashCode, makeCode } from '../../http/codes.ts';
import { bodyOf, idOf } from '../../http/exchange.ts';
import { addressOf, makeLimit } from '../../http/limits.ts';
import { misfits, notFound } from '../../http/problem.ts';
import { signedIn, signInAs } from '../../http/session.ts';
import { selectGame } from './games.sql.ts';
import * as passes from './passes.sql.ts';

const QUARTER_HOUR_SECONDS = 15 * 60;

/** Codes that the staff makes for one game. */
export function passRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/games/:gameId/passes', async (req, res) => {
    const gameId = idOf<GameId>(req, 'gameId');
    const rows = await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      passes.selectPasses(tx, gameId),
    );
    reply(res, openPassesContract, rows);
  });

  router.post('/:teamId/games/:gameId/passes', async (req, res) => {
    const accountId = signedIn(req);
    const gameId = idOf<GameId>(req, 'gameId');
    const draft = bodyOf(req, passDraftContract);
    const code = makeCode();
    const pass = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), async (tx) => {
      if (!(await selectGame(tx, gameId))) throw notFound('There is no such game any more.');
      await passes.sweepGuests(tx);
      return passes.insertPass(tx, gameId, draft, hashCode(code));
    });
    reply(res, passContract, { ...pass, code }, 201);
  });

  router.delete('/:teamId/games/:gameId/passes/:passId', async (req, res) => {
    const gameId = idOf<GameId>(req, 'gameId');
    const passId = idOf<PassId>(req, 'passId');
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      passes.deletePass(tx, gameId, passId),
    );
    res.status(204).end();
  });

  return router;
}

/** Coming in by such a code, without an account. */
export function entranceRoutes({ pool, reply }: Deps): Router {
  const router = Router();
  const tries = makeLimit(pool, 'entrance-from', 20, QUARTER_HOUR_SECONDS);

  router.post('/', async (req, res) => {
    const { code, accountId } = bodyOf(req, entranceContract);
    await tries.use(addressOf(req));
    const found = await passes.redeemPass(pool, accountId, hashCode(code));
    const admission = found && (await passes.selectAdmission(pool, accountId));
    if (!admission) {
      const message = 'This code does not work. Check it, or ask the bench for a new one.';
      throw misfits([{ path: 'code', message }]);
    }
    await signInAs(req, accountId);
    reply(res, admissionContract, admission, 201);
  });

  router.get('/mine', async (req, res) => {
    const admission = await passes.selectAdmission(pool, signedIn(req));
    if (!admission) throw notFound('Your code is over. Ask the bench for a new one.');
    reply(res, admissionContract, admission);
  });

  return router;
}
