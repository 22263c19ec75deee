import { randomUUID } from 'node:crypto';
import type { EntriesPage, Entry, EntryAnswers, Game } from '@bradyon/contract/games';
import { readGame, situationOf, type GameEvent } from '@bradyon/core/games';
import type { GameEntryId, OpponentId } from '@bradyon/core/units';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeApp } from '../src/app.ts';
import { configFrom } from '../src/config.ts';
import { makePool } from '../src/db/pool.ts';
import { makeLive } from '../src/features/games/index.ts';
import { aGame, anAssistant, anEntry, aSeason, startApi, type Api, type Client } from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

async function aRunningGame() {
  const { coach, base, opponent } = await aSeason(api);
  const game = aGame({ opponentId: opponent.id });
  await coach.call('POST', `${base}/games`, game);
  return { coach, base, opponent, game, path: `${base}/games/${game.id}` };
}
const send = (coach: Client, path: string, ...entries: ReturnType<typeof anEntry>[]) =>
  coach.call<EntryAnswers>('POST', `${path}/entries`, { entries });
const entriesSince = async (coach: Client, path: string, since = 0) =>
  (await coach.call<EntriesPage>('GET', `${path}/entries?since=${String(since)}`)).body;

/** The lines of a stream as they come, until `enough`. */
async function heard(
  url: string,
  coach: Client,
  path: string,
  work: () => Promise<unknown>,
  enough: (lines: (number | null)[]) => boolean,
): Promise<(number | null)[]> {
  const abort = new AbortController();
  const response = await fetch(`${url}${path}/stream`, {
    headers: { Cookie: coach.cookie ?? '' },
    signal: abort.signal,
  });
  expect(response.headers.get('content-type')).toBe('text/event-stream');
  expect(response.headers.get('content-encoding')).toBeNull();
  const lines: (number | null)[] = [];
  const reader = (response.body as ReadableStream<Uint8Array>).getReader();
  const decoder = new TextDecoder();
  let rest = '';
  let hasWorked = false;
  while (!enough(lines)) {
    const { value, done } = await reader.read();
    if (done) break;
    rest += decoder.decode(value, { stream: true });
    const blocks = rest.split('\n\n');
    rest = blocks.pop() ?? '';
    for (const block of blocks) {
      const data = /^data: (.*)$/m.exec(block)?.[1];
      if (data) lines.push((JSON.parse(data) as { lastSeq: number | null }).lastSeq);
    }
    if (!hasWorked && lines.length > 0) {
      hasWorked = true;
      await work();
    }
  }
  abort.abort();
  return lines;
}

describe('games', () => {
  it('are made once, listed with the newest first, and deleted with all their entries', async () => {
    const { coach, base, game, path } = await aRunningGame();
    expect((await coach.call('POST', `${base}/games`, game)).status).toBe(200);
    const other = { ...game, weAreHome: false };
    expect((await coach.call('POST', `${base}/games`, other)).status).toBe(409);
    const later = aGame({ startsAt: '2031-06-01T18:00:00.000Z' });
    await coach.call('POST', `${base}/games`, later);
    const { body } = await coach.call<Game[]>('GET', `${base}/games`);
    expect(body.map(({ id }) => id)).toEqual([later.id, game.id]);
    const stranger = aGame({ opponentId: randomUUID() as OpponentId });
    expect((await coach.call('POST', `${base}/games`, stranger)).problem).toMatchObject({
      status: 422,
      errors: [{ path: 'opponentId' }],
    });

    await send(coach, path, anEntry());
    expect((await coach.call('DELETE', path)).status).toBe(204);
    expect((await coach.call('GET', `${path}/entries`)).status).toBe(404);
    expect((await send(coach, path, anEntry())).status).toBe(404);
    expect((await coach.call('GET', `${path}/stream`)).status).toBe(404);
  });

  it('are told by the whole staff, and deleted by the owner only', async () => {
    const { coach, base, path } = await aRunningGame();
    const assistant = await anAssistant(api, coach, base);
    expect((await send(assistant, path, anEntry({ place: 'third' }))).status).toBe(200);
    expect((await assistant.call('DELETE', path)).status).toBe(403);
    expect((await entriesSince(coach, path)).entries).toHaveLength(1);
  });

  it('number their entries in the order in which they come, each once', async () => {
    const { coach, path } = await aRunningGame();
    const [one, two, three] = [anEntry(), anEntry({ slot: 'T1.1.2' }), anEntry({ slot: 'T1.1.3' })];
    await send(coach, path, one);
    // Sent again with more, and twice in one batch.
    const { body } = await send(coach, path, one, two, two, three);
    expect(body.answers.map((answer) => answer.ok && answer.seq)).toEqual([1, 2, 2, 3]);
    const page = await entriesSince(coach, path);
    expect(page).toEqual({
      entries: [one, two, three].map((entry, index) => ({ ...entry, seq: index + 1 })),
      next: 3,
      more: false,
    });
    expect((await entriesSince(coach, path, 2)).entries.map(({ id }) => id)).toEqual([three.id]);
  });

  it('refuse another entry under a known id by itself, and keep the others', async () => {
    const { coach, path } = await aRunningGame();
    const first = anEntry();
    await send(coach, path, first);
    const { status, body } = await send(
      coach,
      path,
      { ...first, told: { result: 'called' } },
      anEntry({ slot: 'T1.1.2' }),
    );
    expect(status).toBe(200);
    expect(body.answers.map(({ ok }) => ok)).toEqual([false, true]);
    expect((await entriesSince(coach, path)).entries).toHaveLength(2);
  });

  it.each([
    [{ told: { text: 'a\u0000b' } }, 'told'],
    [{ place: 'moon' }, 'place'],
    [{ slot: '' }, 'slot'],
    [{ id: 'me' as GameEntryId }, 'id'],
  ])('refuse what cannot be kept: %j', async (parts, field) => {
    const { coach, path } = await aRunningGame();
    const { status, problem } = await send(coach, path, anEntry(parts as object));
    expect(status).toBe(422);
    expect(problem.errors[0]?.path).toBe(`entries.0.${field}`);
  });

  it('lose and double nothing when many devices send at once', async () => {
    const { coach, path } = await aRunningGame();
    const batches = Array.from({ length: 12 }, () => [anEntry(), anEntry(), anEntry()]);
    await Promise.all([...batches, ...batches].map((batch) => send(coach, path, ...batch)));
    const { entries } = await entriesSince(coach, path);
    expect(entries.map(({ seq }) => seq)).toEqual(
      Array.from({ length: 36 }, (_, index) => index + 1),
    );
    expect(new Set(entries.map(({ id }) => id)).size).toBe(36);
  });

  it('come in a team file and go out of it as they were', async () => {
    const { coach, base, path } = await aRunningGame();
    await send(coach, path, anEntry({ told: { result: 'inPlay', ball: { result: 'single' } } }));
    const { body: file } = await coach.call<{ games: object[] }>('GET', `${base}/export`);
    expect(file.games).toHaveLength(1);
    const id = randomUUID();
    expect((await coach.call('POST', '/api/teams/import', { id, file })).status).toBe(201);
    const { body: again } = await coach.call<typeof file>('GET', `/api/teams/${id}/export`);
    expect(again.games).toEqual(file.games);
  });

  it('are taken only from a session that stands, of the coach that the tab means', async () => {
    const { coach, path } = await aRunningGame();
    const stranger = await api.coach('Stranger');
    const taken = async (headers: Record<string, string>) =>
      (await api.client().call('POST', `${path}/entries`, { entries: [anEntry()] }, headers))
        .status;
    const cookie = { Cookie: coach.cookie ?? '' };
    expect(await taken(cookie)).toBe(200);
    const { body: me } = await coach.call<{ id: string }>('GET', '/api/accounts/me');
    expect(await taken({ ...cookie, 'Bradyon-Account': me.id })).toBe(200);
    expect(await taken({ ...cookie, 'Bradyon-Account': randomUUID() })).toBe(401);
    // A signature that is not ours, a session of somebody else, and none.
    const forged = cookie.Cookie.replace(/(bradyon=s%3A[^.]*\.)\w{3}/, '$1abc');
    expect(forged).not.toBe(cookie.Cookie);
    expect(await taken({ Cookie: forged })).toBe(401);
    expect(await taken({ Cookie: stranger.cookie ?? '' })).toBe(404);
    expect(await taken({})).toBe(401);
    // From another site nothing is taken, whoever is signed in.
    expect(await taken({ ...cookie, Origin: 'https://elsewhere.example' })).toBe(403);
    await api.owner.query(
      `update sessions set expire = now() - interval '1 second' where sess ->> 'accountId' = $1`,
      [me.id],
    );
    expect(await taken(cookie)).toBe(401);
    await api.owner.query(`update sessions set expire = now() + interval '1 day'`);
    expect(await taken(cookie)).toBe(200);
    await coach.call('DELETE', '/api/accounts/session');
    expect(await taken(cookie)).toBe(401);
  });

  it('are read from their entries: what is kept is what was told', async () => {
    const { coach, path } = await aRunningGame();
    await send(
      coach,
      path,
      anEntry({ kind: 'pitch', told: { result: 'ball' } }),
      anEntry({ kind: 'laserBeam', told: { power: 9 } }),
    );
    const { entries } = await entriesSince(coach, path);
    const events = entries.map(
      ({ told, ...entry }: Entry) => ({ ...told, ...entry }) as unknown as GameEvent,
    );
    const { state, flagged } = readGame(events);
    expect(situationOf(state)).toEqual({ open: false });
    expect(flagged.map(({ code }) => code)).toEqual(['notOpen', 'unknownKind']);
  });
});

describe('a stream', () => {
  it('says how far a game has come, also when another server took the entry in', async () => {
    const { coach, path } = await aRunningGame();
    const pool = makePool(api.databaseUrl);
    const probe = makePool(api.databaseUrl, { max: 1 });
    const logger = pino({ level: 'silent' });
    const live = makeLive(api.databaseUrl, logger);
    const config = configFrom({
      DATABASE_URL: api.databaseUrl,
      SESSION_SECRET: api.sessionSecret,
      WEB_ROOT: import.meta.dirname,
    });
    const second = makeApp({ pool, probe, config, logger, live }).listen(0, '127.0.0.1');
    await new Promise((resolve) => second.once('listening', resolve));
    const url = `http://127.0.0.1:${String((second.address() as AddressInfo).port)}`;
    // Until the second server listens, it may be told of nothing: entries go on until one is heard.
    const lines = await heard(
      url,
      coach,
      path,
      async () => {
        await send(coach, path, anEntry(), anEntry());
        const { body } = await coach.call<EntriesPage>('GET', `${path}/entries`);
        expect(body.next).toBe(2);
      },
      (seen) => seen.includes(2) || seen.slice(1).includes(null),
    );
    expect(lines[0]).toBe(0);
    await live.end();
    second.closeAllConnections();
    await new Promise((resolve) => second.close(resolve));
    await Promise.all([pool.end(), probe.end()]);
  });

  it('says that something may have been missed when the listening connection comes back', async () => {
    const { coach, path } = await aRunningGame();
    const lines = await heard(
      api.url,
      coach,
      path,
      () => api.dropConnections(),
      (seen) => seen.includes(null),
    );
    expect(lines).toContain(null);
    // And then listens as before.
    const after = await heard(
      api.url,
      coach,
      path,
      () => send(coach, path, anEntry()),
      (seen) => seen.includes(1),
    );
    expect(after.at(-1)).toBe(1);
  });
});
