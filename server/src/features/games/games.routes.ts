import { gameLooksContract } from '@bradyon/contract/bases';
import { gameBuntsContract } from '@bradyon/contract/bunts';
import { seasonContract, sharedReplayContract } from '@bradyon/contract/review';
import {
  deviceHereContract,
  devicesContract,
  entriesPageContract,
  entryAnswersContract,
  entryBatchContract,
  gameContract,
  gameDraftContract,
  gamesContract,
} from '@bradyon/contract/games';
import { gameBattingContract } from '@bradyon/contract/innings';
import { sinceContract } from '@bradyon/contract/timing';
import type { GameId, TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { inTeam, inTeamOrPass } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, checkedBy, createdOnce, idOf } from '../../http/exchange.ts';
import { notFound } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import { ownerOnly } from '../teams/index.ts';
import { takeEntries } from './entries.ts';
import * as games from './games.sql.ts';
import { buntsOfSeason, callsOfSeason, looksOfSeason, seasonOf } from './season.ts';

const NO_GAME = 'There is no such game any more.';

/** Games and what happened in them, entry by entry. */
export function gameRoutes({ pool, reply, live }: Deps): Router {
  const router = Router();

  router.get('/:teamId/games', async (req, res) => {
    const rows = await inTeamOrPass(pool, signedIn(req), idOf(req, 'teamId'), games.selectGames);
    reply(res, gamesContract, rows);
  });

  router.get('/:teamId/games/batting', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), seasonOf);
    reply(res, gameBattingContract, rows);
  });

  router.get('/:teamId/games/calls', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), callsOfSeason);
    reply(res, seasonContract, rows);
  });

  router.put('/:teamId/games/replay', async (req, res) => {
    const replay = bodyOf(req, sharedReplayContract);
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      games.saveReplay(tx, replay),
    );
    res.status(204).end();
  });

  router.get('/:teamId/games/bunts', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), buntsOfSeason);
    reply(res, gameBuntsContract, rows);
  });

  router.get('/:teamId/games/looks', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), looksOfSeason);
    reply(res, gameLooksContract, rows);
  });

  router.post('/:teamId/games', async (req, res) => {
    const accountId = signedIn(req);
    const game = bodyOf(req, gameDraftContract);
    const { row, status } = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), async (tx) =>
      createdOnce(game, await games.insertGame(tx, game), () => games.selectGame(tx, game.id)),
    );
    reply(res, gameContract, row, status);
  });

  router.delete('/:teamId/games/:gameId', async (req, res) => {
    const gameId = idOf<GameId>(req, 'gameId');
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx, role) => {
      ownerOnly(role, 'delete a game with everything in it');
      return games.deleteGame(tx, gameId);
    });
    res.status(204).end();
  });

  router.get('/:teamId/games/:gameId/entries', async (req, res) => {
    const gameId = idOf<GameId>(req, 'gameId');
    const { since } = checkedBy(sinceContract, { since: Number(req.query['since'] ?? 0) });
    const page = await inTeamOrPass(pool, signedIn(req), idOf(req, 'teamId'), async (tx) => {
      if (!(await games.selectGame(tx, gameId))) throw notFound(NO_GAME);
      return games.selectEntries(tx, gameId, since);
    });
    reply(res, entriesPageContract, page);
  });

  router.post('/:teamId/games/:gameId/entries', async (req, res) => {
    const accountId = signedIn(req);
    const gameId = idOf<GameId>(req, 'gameId');
    const { entries } = bodyOf(req, entryBatchContract);
    const answers = await takeEntries(
      pool,
      accountId,
      idOf<TeamId>(req, 'teamId'),
      gameId,
      entries,
    );
    reply(res, entryAnswersContract, { answers });
  });

  router.get('/:teamId/games/:gameId/stream', async (req, res) => {
    const gameId = idOf<GameId>(req, 'gameId');
    const game = await inTeamOrPass(pool, signedIn(req), idOf(req, 'teamId'), (tx) =>
      games.selectGame(tx, gameId),
    );
    if (!game) throw notFound(NO_GAME);
    live.follow(gameId, game.lastSeq, res);
  });

  router.post('/:teamId/games/:gameId/devices', async (req, res) => {
    const accountId = signedIn(req);
    const gameId = idOf<GameId>(req, 'gameId');
    const here = bodyOf(req, deviceHereContract);
    const devices = await inTeamOrPass(pool, accountId, idOf(req, 'teamId'), async (tx) => {
      if (!(await games.selectGame(tx, gameId))) throw notFound(NO_GAME);
      await games.saveDevice(tx, gameId, here);
      return games.selectDevices(tx, gameId);
    });
    reply(res, devicesContract, devices);
  });

  return router;
}
