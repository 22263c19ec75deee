import { entryAnswersContract, entryBatchContract } from '@bradyon/contract/games';
import type { GameId, TeamId } from '@bradyon/core/units';
import { Router, type RequestHandler } from 'express';
import type { Deps } from '../../deps.ts';
import { bodyOf, idOf } from '../../http/exchange.ts';
import { Problem } from '../../http/problem.ts';
import { accountOf, meantAccount, namedSession, signedCookies } from '../../http/session.ts';
import { takeEntries } from './entries.ts';

/**
 * What the devices of a game send all the time: one statement finds out who sends it and takes it in. Whoever is not
 * signed in, or has no such team, goes on to the ordinary way, which says so.
 * @param read reads the body, once the session's signature is known to be ours
 */
export function entryRoutes({ pool, config, reply }: Deps, read: RequestHandler): Router {
  const router = Router();
  const isNamed: RequestHandler = (req, _res, next) => {
    next(namedSession(req) === null ? 'route' : undefined);
  };
  router.post(
    '/:teamId/games/:gameId/entries',
    signedCookies(config),
    isNamed,
    read,
    async (req, res, next) => {
      const sid = namedSession(req);
      const gameId = idOf<GameId>(req, 'gameId');
      const teamId = idOf<TeamId>(req, 'teamId');
      const { entries } = bodyOf(req, entryBatchContract);
      if (sid === null || entries.length === 0) {
        next();
        return;
      }
      try {
        const account = accountOf(sid, meantAccount(req));
        const answers = await takeEntries(pool, account, teamId, gameId, entries);
        reply(res, entryAnswersContract, { answers });
      } catch (error) {
        if (error instanceof Problem && error.status === 404) next();
        else throw error;
      }
    },
  );
  return router;
}
