import { randomInt } from 'node:crypto';
import { playersReplayContract } from '@bradyon/contract/review';
import {
  drillAnswersContract,
  drillAskedContract,
  drillContract,
  drillPassContract,
  drillPassDraftContract,
  drillRepsContract,
  openDrillPassesContract,
  signAnswersContract,
  signAnswersPageContract,
  signBookContract,
} from '@bradyon/contract/signs';
import { sinceContract } from '@bradyon/contract/timing';
import type { Kept } from '@bradyon/contract/kept';
import { drillRound, EMPTY_BOOK, knownSigns, signsNow, type SignBook } from '@bradyon/core/signs';
import type { DrillPassId, PersonId, TeamId } from '@bradyon/core/units';
import { Router, type Request } from 'express';
import { inTransaction, type Tx } from '../../db/query.ts';
import { inTeam, lockTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { hashCode, makeCode } from '../../http/codes.ts';
import { bodyOf, checkedBy, idOf, staleOr404 } from '../../http/exchange.ts';
import { addressOf, makeLimit } from '../../http/limits.ts';
import { misfits } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import { makeVault, type Vault } from './seal.ts';
import { drillReps } from '../drills/index.ts';
import { selectReplay } from '../games/index.ts';
import * as signs from './signs.sql.ts';

const NO_BOOK: Kept<SignBook> = { ...EMPTY_BOOK, version: 0 };

function opened(row: signs.SealedBook | null, vault: Vault): Kept<SignBook> {
  if (!row) return NO_BOOK;
  return { ...(vault.openBook(row.sealed, row, row.teamId) as SignBook), version: row.version };
}

/** The signs of a team, and how its players take them. */
export function signRoutes({ pool, reply, config }: Deps): Router {
  const router = Router();
  const vault = makeVault(config.signKeys);

  router.get('/:teamId/signs', async (req, res) => {
    const book = await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), async (tx) =>
      opened(await signs.selectBook(tx), vault),
    );
    reply(res, signBookContract, book);
  });

  router.put('/:teamId/signs', async (req, res) => {
    const teamId = idOf<TeamId>(req, 'teamId');
    const { version, ...book } = bodyOf(req, signBookContract);
    const saved = await inTeam(pool, signedIn(req), teamId, async (tx) => {
      const before = await signs.selectBook(tx);
      // A change is the time to leave an old key of the server behind.
      const key = before ? (vault.rewrapped(before, teamId) ?? before) : vault.freshKey(teamId);
      const { keyId, wrappedKey } = key;
      const sealed = vault.sealBook(book, key, teamId);
      const row = await signs.saveBook(tx, { keyId, wrappedKey, sealed, version });
      return staleOr404(
        row && opened(row, vault),
        { ...book, version },
        opened(await signs.selectBook(tx), vault),
        '',
      );
    });
    reply(res, signBookContract, saved);
  });

  router.get('/:teamId/signs/answers', async (req, res) => {
    const { since } = checkedBy(sinceContract, { since: Number(req.query['since'] ?? 0) });
    const page = await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      signs.selectAnswers(tx, since),
    );
    reply(res, signAnswersPageContract, page);
  });

  router.post('/:teamId/signs/answers', async (req, res) => {
    const { answers } = bodyOf(req, signAnswersContract);
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), async (tx) => {
      // Numbers are seen in their order: who reads up to one has all before it.
      await lockTeam(tx);
      await signs.insertAnswers(tx, answers);
    });
    res.status(204).end();
  });

  router.get('/:teamId/signs/passes', async (req, res) => {
    const teamId = idOf<TeamId>(req, 'teamId');
    const rows = await inTeam(pool, signedIn(req), teamId, signs.selectDrillPasses);
    reply(res, openDrillPassesContract, rows);
  });

  router.post('/:teamId/signs/passes', async (req, res) => {
    const draft = bodyOf(req, drillPassDraftContract);
    const code = makeCode();
    const pass = await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      signs.insertDrillPass(tx, draft, hashCode(code)),
    );
    reply(res, drillPassContract, { ...pass, code }, 201);
  });

  router.delete('/:teamId/signs/passes/:passId', async (req, res) => {
    const passId = idOf<DrillPassId>(req, 'passId');
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      signs.deleteDrillPass(tx, passId),
    );
    res.status(204).end();
  });

  return router;
}

const QUARTER_HOUR_SECONDS = 15 * 60;
/** Wrong codes from one address; right ones are not counted. */
const MOST_WRONG = 20;
const ROUND = 16;
const REMEMBERED = 400;
const MS_PER_DAY = 86_400_000;

/** Drills by a player's code: without an account, and nothing else of the team behind it. */
export function drillRoutes({ pool, reply, config }: Deps): Router {
  const router = Router();
  const vault = makeVault(config.signKeys);
  const wrong = makeLimit(pool, 'drill-from', MOST_WRONG, QUARTER_HOUR_SECONDS);

  const asPlayer = async <T>(
    req: Request,
    code: string,
    work: (tx: Tx, personId: PersonId) => Promise<T>,
  ): Promise<T> => {
    await wrong.check(addressOf(req));
    const found = await inTransaction(pool, async (tx) => {
      const personId = await signs.enterDrill(tx, hashCode(code));
      return personId && { value: await work(tx, personId) };
    });
    if (found) return found.value;
    await wrong.use(addressOf(req));
    const message = 'This code does not work. Check it, or ask your coach for a new one.';
    throw misfits([{ path: 'code', message }]);
  };

  router.post('/', async (req, res) => {
    const { code } = bodyOf(req, drillAskedContract);
    const drill = await asPlayer(req, code, async (tx, personId) => {
      const system = signsNow(opened(await signs.selectBook(tx), vault))?.system;
      const title = await signs.selectDrillTitle(tx);
      if (!system) return { ...title, plays: [], items: [] };
      const answers = await signs.selectAnswersOf(tx, personId, REMEMBERED);
      const known = knownSigns(
        answers.map((answer) => ({ ...answer, day: Date.parse(answer.takenAt) / MS_PER_DAY })),
      );
      const items = drillRound(system, known, {
        size: ROUND,
        day: Date.now() / MS_PER_DAY,
        random: () => randomInt(2 ** 47) / 2 ** 47,
      });
      const plays = [
        ...new Set([
          ...system.plays.map(({ id }) => id),
          ...[...system.modifiers, ...system.situational].map(({ to }) => to),
        ]),
      ];
      return { ...title, plays, items };
    });
    reply(res, drillContract, drill);
  });

  router.post('/replay', async (req, res) => {
    const { code } = bodyOf(req, drillAskedContract);
    const replay = await asPlayer(req, code, (tx) => selectReplay(tx));
    reply(res, playersReplayContract, { replay });
  });

  router.post('/answers', async (req, res) => {
    const { code, answers } = bodyOf(req, drillAnswersContract);
    await asPlayer(req, code, async (tx, personId) => {
      await lockTeam(tx);
      await signs.insertAnswers(
        tx,
        answers.map((answer) => ({ ...answer, personId })),
      );
    });
    res.status(204).end();
  });

  router.post('/reps', async (req, res) => {
    const { code, rows } = bodyOf(req, drillRepsContract);
    await asPlayer(req, code, async (tx, personId) => {
      await lockTeam(tx);
      await drillReps.insert(
        tx,
        rows.map((row) => ({ ...row, personId })),
      );
    });
    res.status(204).end();
  });

  return router;
}
