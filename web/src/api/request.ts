import type { Problem } from '@bradyon/contract/problem';

/** The server understood and refused; `problem` says why and which fields. */
export class RefusedError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

/** No answer came, or the server broke: the same request may go through later. */
class UnreachableError extends Error {}

/**
 * One request to our own server.
 * @throws RefusedError for 4xx, UnreachableError for no answer and 5xx
 */
export async function request<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      ...(body === undefined
        ? {}
        : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    });
  } catch {
    throw new UnreachableError('The server cannot be reached. Check the network.');
  }
  if (response.status === 204) return undefined as T;
  const isJson = response.headers.get('Content-Type')?.includes('json') ?? false;
  const content: unknown = isJson ? await response.json() : null;
  if (response.ok) return content as T;
  if (response.status < 500 && isJson) throw new RefusedError(content as Problem);
  const detail = isJson ? (content as Problem).detail : 'The server did not answer as it should.';
  throw new UnreachableError(detail);
}
