import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Worker } from 'node:worker_threads';
import { importProgressContract, type ImportProgress } from '@bradyon/contract/files';
import { teamContract, type Team } from '@bradyon/contract/teams';
import type { AccountId, TeamId } from '@bradyon/core/units';
import express, { Router } from 'express';
import { asAccount, inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { idOf } from '../../http/exchange.ts';
import { Problem } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import { ownerOnly } from '../teams/index.ts';
import { teamFileText } from './export.ts';
import { selectProgress } from './files.sql.ts';
import type { ImportOrder, ImportOutcome } from './importer.ts';

/** Files that come in at once on this server, and how much one may take, in megabytes. */
const MOST_IMPORTS = 2;
const IMPORTER_MB = 1024;

/** A whole team out as one file, and in again as a team of its own. */
export function fileRoutes({ pool, config, logger, reply }: Deps): Router {
  const router = Router();
  const coming = new Set<AccountId>();

  router.get('/:teamId/export', async (req, res) => {
    const teamId = idOf<TeamId>(req, 'teamId');
    const pieces = await inTeam(
      pool,
      signedIn(req),
      teamId,
      (tx, role) => {
        ownerOnly(role, 'export the whole team');
        return teamFileText(tx, teamId);
      },
      'snapshot',
    );
    res.attachment('bradyon-team.json').type('json');
    await pipeline(Readable.from(pieces), res);
  });

  router.get('/imports/:id', async (req, res) => {
    const id = idOf<TeamId>(req, 'id');
    const progress = await asAccount(pool, signedIn(req), (tx) => selectProgress(tx, id));
    // Not begun yet: the file is still on its way.
    const begun: ImportProgress = progress ?? { stage: 'reading', done: 0, of: 0 };
    reply(res, importProgressContract, begun);
  });

  const body = express.raw({ type: 'application/json', limit: '50mb' });
  router.post('/import', body, async (req, res) => {
    const accountId = signedIn(req);
    if (!Buffer.isBuffer(req.body)) throw new Problem(400, 'Send a team file as JSON.');
    if (coming.has(accountId)) {
      throw new Problem(429, 'You are importing another file. Wait for it to finish.', [], 10);
    }
    if (coming.size >= MOST_IMPORTS) {
      throw new Problem(503, 'Other imports are running. Try again in a moment.', [], 10);
    }
    coming.add(accountId);
    try {
      // A copy of its own, which the worker takes over.
      const text = Uint8Array.from(req.body).buffer;
      const outcome = await bringIn(config.importer, {
        databaseUrl: config.databaseUrl,
        accountId,
        body: text,
      });
      reply(res, teamContract, teamOf(outcome), 201);
    } finally {
      coming.delete(accountId);
    }
  });

  const teamOf = (outcome: ImportOutcome): Team => {
    if ('team' in outcome) return outcome.team;
    if ('refused' in outcome) {
      const { status, detail, errors } = outcome.refused;
      throw new Problem(status, detail, errors);
    }
    logger.error({ importer: outcome.failed }, 'a file did not come in');
    throw new Error('a file did not come in');
  };

  return router;
}

function bringIn(importer: string, order: ImportOrder): Promise<ImportOutcome> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(importer, {
      workerData: order,
      transferList: [order.body],
      resourceLimits: { maxOldGenerationSizeMb: IMPORTER_MB },
    });
    worker.once('message', resolve);
    worker.once('error', (error: NodeJS.ErrnoException) => {
      const isTooMuch = error.code === 'ERR_WORKER_OUT_OF_MEMORY';
      reject(isTooMuch ? new Problem(413, 'This file is too large.') : error);
    });
    worker.once('exit', (code) => {
      reject(new Error(`the importer ended with ${String(code)}`));
    });
  });
}
