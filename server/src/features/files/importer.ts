/**
 * Brings a team file in beside the server, which goes on answering everybody else meanwhile: reading
 * and checking a large file takes seconds in which nothing else could be done. Runs as a worker.
 */
import { parentPort, workerData } from 'node:worker_threads';
import { teamImportContract, type ImportProgress } from '@bradyon/contract/files';
import type { Misfit } from '@bradyon/contract/rule';
import type { Team } from '@bradyon/contract/teams';
import type { AccountId } from '@bradyon/core/units';
import { problemFromDatabase } from '../../db/constraints.ts';
import { makePool } from '../../db/pool.ts';
import { asAccount } from '../../db/scope.ts';
import { errorForLog } from '../../http/log.ts';
import { misfits, notFound, Problem } from '../../http/problem.ts';
import { saveProgress } from './files.sql.ts';
import { restoreTeam } from './restore.ts';

/** What it is started with. */
export interface ImportOrder {
  databaseUrl: string;
  accountId: AccountId;
  /** The body as it came. */
  body: ArrayBuffer;
}

/** What it ends with. */
export type ImportOutcome =
  | { team: Team }
  | { refused: { status: number; detail: string; errors: readonly Misfit[] } }
  | { failed: object };

const STATEMENT_MS = 120_000;
const PROGRESS_MS = 250;

const { databaseUrl, accountId, body } = workerData as ImportOrder;
// One connection for the file, one for saying how far it is.
const pool = makePool(databaseUrl, { max: 2, statementMs: STATEMENT_MS });

async function bringIn(): Promise<Team> {
  const value = parsed(new TextDecoder().decode(body));
  const checked = teamImportContract.check(value);
  if (!checked.ok) throw misfits(checked.errors);
  const { id, file } = checked.value;
  let saidAt = 0;
  const say = (progress: ImportProgress): void => {
    if (Date.now() - saidAt < PROGRESS_MS) return;
    saidAt = Date.now();
    // That it cannot be said does not hold the file up.
    asAccount(pool, accountId, (tx) => saveProgress(tx, id, progress)).catch(() => undefined);
  };
  say({ stage: 'checking', done: 0, of: file.readings.length });
  const team = await asAccount(pool, accountId, (tx) => restoreTeam(tx, id, file, say));
  if (team === null) throw notFound('You have no such team.');
  return team;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new Problem(400, 'The request could not be read. Send valid JSON.');
  }
}

function outcomeOf(error: unknown): ImportOutcome {
  const problem = error instanceof Problem ? error : problemFromDatabase(error);
  if (!problem) return { failed: errorForLog(error) };
  const { status, detail, errors } = problem;
  return { refused: { status, detail, errors } };
}

const outcome: ImportOutcome = await bringIn().then((team) => ({ team }), outcomeOf);
await pool.end();
parentPort?.postMessage(outcome);
