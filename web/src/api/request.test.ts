import { afterEach, describe, expect, it, vi } from 'vitest';
import { newId } from './ids.ts';
import { RefusedError, request, UnreachableError } from './request.ts';

function answer(status: number, body: unknown, type = 'application/json'): void {
  const content = body === null ? null : JSON.stringify(body);
  const response = new Response(content, { status, headers: { 'Content-Type': type } });
  vi.stubGlobal('fetch', () => Promise.resolve(response));
}

/** Ends only when it is given up. */
function hanging(_path: string, { signal }: RequestInit): Promise<Response> {
  return new Promise((_, reject) => {
    signal?.addEventListener('abort', () => {
      reject(new Error('aborted'));
    });
  });
}

afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

describe('request', () => {
  it('gives what the server says', async () => {
    answer(200, { name: 'Skuas' });
    expect(await request('GET', '/api/x')).toEqual({ name: 'Skuas' });
    answer(204, null);
    expect(await request('DELETE', '/api/x')).toBeUndefined();
  });

  it('tells a refusal, which stays one, from a server that may come back', async () => {
    const problem = { title: 'No', status: 422, detail: 'Enter a name.', errors: [] };
    answer(422, problem, 'application/problem+json');
    await expect(request('POST', '/api/x', {})).rejects.toEqual(new RefusedError(problem));
    answer(500, { detail: 'Broke. Number 7.' }, 'application/problem+json');
    await expect(request('GET', '/api/x')).rejects.toThrow('Broke. Number 7.');
    answer(502, null, 'text/html');
    await expect(request('GET', '/api/x')).rejects.not.toBeInstanceOf(RefusedError);
  });

  it('says so when nothing answers', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('network')));
    await expect(request('GET', '/api/x')).rejects.toThrow('Can’t reach the server');
  });

  it('gives up on a network that takes the request and never answers', async () => {
    vi.stubGlobal('fetch', hanging);
    const isUp = new AbortController();
    vi.spyOn(AbortSignal, 'timeout').mockReturnValue(isUp.signal);
    const asked = request('GET', '/api/x');
    isUp.abort();
    await expect(asked).rejects.toEqual(
      new UnreachableError('Can’t reach the server. Check your connection.', false),
    );
  });

  it('gives up on an answer that stops half way', async () => {
    const isUp = new AbortController();
    vi.spyOn(AbortSignal, 'timeout').mockReturnValue(isUp.signal);
    const body = new ReadableStream({
      start(stream) {
        isUp.signal.addEventListener('abort', () => {
          stream.error(new Error('cut'));
        });
      },
    });
    const headers = { 'Content-Type': 'application/json' };
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { headers })));
    const asked = request('GET', '/api/x');
    isUp.abort();
    await expect(asked).rejects.toThrow('Can’t reach the server');
  });
});

describe('newId', () => {
  it('makes version 4 UUIDs, each another', () => {
    const ids = Array.from({ length: 200 }, () => newId());
    expect(new Set(ids).size).toBe(200);
    for (const id of ids) {
      expect(id).toMatch(/^[\da-f]{8}-[\da-f]{4}-4[\da-f]{3}-[89ab][\da-f]{3}-[\da-f]{12}$/);
    }
  });
});
