import { randomUUID } from 'node:crypto';
import { freePort } from '../scripts/cluster.mjs';
import { startServer } from '../scripts/serve.mjs';
import { expect, test } from './pages/test.ts';

/** A server of its own on the database of all stories. */
const start = async () =>
  startServer({
    appUrl: process.env['BRADYON_APP_URL'] ?? '',
    sessionSecret: process.env['BRADYON_SECRET'] ?? '',
    port: await freePort(0),
  });

test('killing the server right after a tap was acknowledged loses nothing', async () => {
  let server = await start();
  let cookie = '';
  const call = async (method: string, path: string, body?: unknown) => {
    const response = await fetch(server.address + path, {
      method,
      headers: { 'Content-Type': 'application/json', Cookie: cookie },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    cookie = response.headers.get('set-cookie')?.split(';')[0] ?? cookie;
    return { status: response.status, body: (await response.json()) as { id: string }[] };
  };

  await call('POST', '/api/accounts/demo-session');
  const team = (await call('GET', '/api/teams')).body[0]?.id ?? '';
  const base = `/api/teams/${team}`;
  const person = (await call('GET', `${base}/people`)).body[0]?.id;
  const acknowledged: string[] = [];
  for (let round = 0; round < 5; round += 1) {
    const draft = {
      id: randomUUID(),
      personId: person,
      kind: 'steal',
      seconds: 3.4,
      base: 'second',
      style: null,
      leadFeet: 11.5,
      start: null,
      fromFeet: null,
      toFeet: null,
      resolutionSeconds: null,
      movedFrom: null,
      method: 'thumb',
      takenAt: '2031-05-01T17:30:00.000Z',
    };
    const steps = [{ step: 'add', draft }];
    expect((await call('POST', `${base}/readings`, { steps })).status).toBe(200);
    acknowledged.push(draft.id);
    await server.stop('SIGKILL');
    server = await start();
    // The tap is there, and the coach is still signed in.
    const { readings } = (await call('GET', `${base}/readings`)).body as never as {
      readings: { id: string }[];
    };
    const kept = readings.map(({ id }) => id);
    expect(kept).toEqual(expect.arrayContaining(acknowledged));
  }
  await server.stop();
});

test('a game of 400 entries from three devices survives five kills of the server, nothing lost or doubled', async () => {
  let server = await start();
  const signIn = await fetch(`${server.address}/api/accounts/demo-session`, { method: 'POST' });
  const cookie = signIn.headers.get('set-cookie')?.split(';')[0] ?? '';
  const headers = { 'Content-Type': 'application/json', Cookie: cookie };
  const get = async <T>(path: string) =>
    (await (await fetch(server.address + path, { headers })).json()) as T;
  const post = (path: string, body: unknown) =>
    fetch(server.address + path, { method: 'POST', headers, body: JSON.stringify(body) });
  const [team] = await get<{ id: string }[]>('/api/teams');
  const game = {
    id: randomUUID(),
    opponentId: null,
    startsAt: '2031-05-01T17:30:00.000Z',
    weAreHome: true,
  };
  const path = `/api/teams/${team?.id ?? ''}/games/${game.id}`;
  expect((await post(`/api/teams/${team?.id ?? ''}/games`, game)).status).toBe(201);

  const PER_DEVICE = 134;
  const acknowledged = new Map<string, number>();
  let sent = 0;
  /** A device sends what it has in order, and sends it again until somebody says that it is kept. */
  const device = async (place: string): Promise<void> => {
    for (let nth = 0; nth < PER_DEVICE; nth += 1) {
      const entry = {
        id: randomUUID(),
        device: place,
        place,
        at: '2031-05-01T17:31:00.000Z',
        slot: `T1.1.${String(nth + 1)}`,
        kind: 'pitch',
        told: { result: 'foul' },
      };
      while (!acknowledged.has(entry.id)) {
        try {
          const answer = await post(`${path}/entries`, { entries: [entry] });
          if (answer.status !== 200) continue;
          const { answers } = (await answer.json()) as { answers: { seq: number }[] };
          acknowledged.set(entry.id, answers[0]?.seq ?? 0);
        } catch {
          // Nobody is there: it comes back.
          await new Promise((done) => setTimeout(done, 20));
        }
      }
      sent += 1;
    }
  };
  const kills = (async () => {
    for (const after of [60, 130, 200, 270, 340]) {
      while (sent < after) await new Promise((done) => setTimeout(done, 5));
      await server.stop('SIGKILL');
      server = await start();
    }
  })();
  await Promise.all([device('bench'), device('third'), device('first'), kills]);

  const { entries } = await get<{ entries: { id: string; seq: number }[] }>(`${path}/entries`);
  expect(entries.map(({ seq }) => seq)).toEqual(entries.map((_, index) => index + 1));
  expect(new Map(entries.map(({ id, seq }) => [id, seq]))).toEqual(acknowledged);
  await server.stop();
});
