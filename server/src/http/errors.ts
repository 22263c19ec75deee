import { randomUUID } from 'node:crypto';
import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { problemFromDatabase } from '../db/constraints.ts';
import { Problem, notFound } from './problem.ts';

export const unknownPath: RequestHandler = () => {
  throw notFound('There is nothing at this address.');
};

/** The one place where an error becomes a reply. Faults of ours are logged under an id the user is shown. */
export function errorHandler(logger: Logger): ErrorRequestHandler {
  return (error: unknown, _req, res, next) => {
    if (res.headersSent) {
      next(error);
      return;
    }
    const problem =
      error instanceof Problem ? error : (problemFromDatabase(error) ?? problemFromParser(error));
    if (problem) {
      send(res, problem);
      return;
    }
    const id = randomUUID().slice(0, 8);
    logger.error({ id, err: error }, 'a request failed');
    send(
      res,
      new Problem(500, `Something broke on our side. If it keeps happening, report number ${id}.`),
    );
  };
}

function send(res: Response, problem: Problem): void {
  const { status, title, detail, errors, retryAfterSeconds, current } = problem;
  if (retryAfterSeconds !== undefined) res.set('Retry-After', String(retryAfterSeconds));
  res
    .status(status)
    .type('application/problem+json')
    .json({ title, status, detail, errors, current });
}

/** Express and its body parser mark what the client did wrong with a status of their own. */
function problemFromParser(error: unknown): Problem | null {
  const status = error instanceof Error && 'status' in error ? error.status : null;
  if (typeof status !== 'number' || status < 400 || status > 499) return null;
  if (status === 413) return new Problem(413, 'This is too large. Send less at once.');
  return new Problem(status, 'The request could not be read. Send valid JSON.');
}
