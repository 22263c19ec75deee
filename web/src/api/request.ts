import type { Problem } from '@bradyon/contract/problem';
import { session } from './session.ts';

/** The server understood and refused; `problem` says why and which fields. */
export class RefusedError extends Error {
  constructor(
    readonly problem: Problem,
    readonly retryAfterSeconds: number | null = null,
  ) {
    super(problem.detail);
  }
}

/** No answer came, or the server broke: the same request may go through later. */
export class UnreachableError extends Error {
  constructor(
    words: string,
    /** Whether the server took the request and broke on it. */
    readonly broke: boolean,
    readonly retryAfterSeconds: number | null = null,
  ) {
    super(words);
  }
}

/** A network that takes requests and answers none is no network: what is asked waits this long, what takes work longer. */
const LONGEST_ASKING_MS = 10_000;
export const LONGEST_WORK_MS = 60_000;

/** A proxy whose server is away, and a server that asks for patience. */
const AWAY = [502, 503, 504];

/**
 * One request to our own server. It says whose it is: a server whose cookie has become another
 * coach's refuses it instead of taking it as theirs.
 * @throws RefusedError for 4xx, UnreachableError for no answer and 5xx
 */
export async function request<T>(
  method: string,
  path: string,
  body?: unknown,
  longestMs = method === 'GET' ? LONGEST_ASKING_MS : LONGEST_WORK_MS,
): Promise<T> {
  const accountId = session.getState().account?.id;
  const signal = AbortSignal.timeout(longestMs);
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      signal,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(accountId === undefined ? {} : { 'Bradyon-Account': accountId }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
  } catch {
    throw unreachable();
  }
  if (response.status === 204) return undefined as T;
  const isJson = response.headers.get('Content-Type')?.includes('json') ?? false;
  const content: unknown = isJson ? await response.json().catch(() => null) : null;
  if (content === null && signal.aborted) throw unreachable();
  if (response.ok && content !== null) return content as T;
  const retryAfter = Number(response.headers.get('Retry-After') ?? Number.NaN);
  const seconds = Number.isFinite(retryAfter) ? retryAfter : null;
  const problem = content as Problem | null;
  if (response.status >= 400 && response.status < 500 && problem) {
    throw new RefusedError(problem, seconds);
  }
  const words = problem?.detail ?? 'The server sent a bad answer. Try again.';
  throw new UnreachableError(words, !AWAY.includes(response.status), seconds);
}

function unreachable(): UnreachableError {
  return new UnreachableError('Can’t reach the server. Check your connection.', false);
}
