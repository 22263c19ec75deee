import { randomUUID } from 'node:crypto';
import { freePort, startThrowawayCluster } from '../scripts/cluster.mjs';
import { prepare, startServer } from '../scripts/serve.mjs';
import { stands } from './pages/gameDay.ts';
import { expect, test } from './pages/test.ts';

// The page notes that the server was away.
test.use({ allowed: [/Failed to load resource|net::ERR_|EventSource/] });

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

test('a game of 400 entries from three devices survives five kills of the server and a restart of the database', async ({
  page,
}) => {
  // Kills, and what a device notes meanwhile, are what this is about.
  test.setTimeout(180_000);
  const cluster = await startThrowawayCluster({ durable: true });
  const { appUrl } = prepare(cluster, 'fresh');
  const port = await freePort(0);
  // It says at length what is done to it here.
  const env = { LOG_LEVEL: 'silent' };
  const startOwn = () => startServer({ appUrl, sessionSecret: cluster.sessionSecret, port, env });
  let server = await startOwn();
  try {
    const signIn = await fetch(`${server.address}/api/accounts/demo-session`, { method: 'POST' });
    const cookie = signIn.headers.get('set-cookie')?.split(';')[0] ?? '';
    const headers = { 'Content-Type': 'application/json', Cookie: cookie };
    const get = async <T>(path: string) =>
      (await (await fetch(server.address + path, { headers })).json()) as T;
    const post = (path: string, body: unknown) =>
      fetch(server.address + path, { method: 'POST', headers, body: JSON.stringify(body) });
    const [team] = await get<{ id: string }[]>('/api/teams');
    const teamPath = `/api/teams/${team?.id ?? ''}`;
    const games = await get<{ id: string; startsAt: string }[]>(`${teamPath}/games`);
    const coming = games.find(({ startsAt }) => Date.parse(startsAt) > Date.now());
    const path = `${teamPath}/games/${coming?.id ?? ''}`;
    const known = (await get<{ entries: { seq: number }[] }>(`${path}/entries?since=0`)).entries;

    // A fourth device looks on in a browser.
    const [name = '', value = ''] = cookie.split('=');
    await page.context().addCookies([{ name, value, url: server.address }]);
    await page.goto(`${server.address}/teams/${team?.id ?? ''}/games/${coming?.id ?? ''}`);
    await stands(page, /Top 1/);

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
    let isAwaySaid = false;
    const kills = (async () => {
      for (const [index, after] of [60, 120, 180, 240, 300, 350].entries()) {
        while (sent < after) await new Promise((done) => setTimeout(done, 5));
        if (index === 5) {
          cluster.halt();
          cluster.restart();
          continue;
        }
        await server.stop('SIGKILL');
        // The device in the browser says how it stands meanwhile.
        await page.locator('.devices-away').waitFor();
        isAwaySaid = true;
        server = await startOwn();
      }
    })();
    await Promise.all([device('bench'), device('third'), device('first'), kills]);
    expect(isAwaySaid).toBe(true);

    const { entries } = await get<{ entries: { id: string; seq: number }[] }>(
      `${path}/entries?since=${String(known.length)}`,
    );
    expect(entries.map(({ seq }) => seq)).toEqual(
      entries.map((_, index) => known.length + index + 1),
    );
    expect(new Map(entries.map(({ id, seq }) => [id, seq]))).toEqual(acknowledged);
    // The device that looked on has caught up by itself: three told the same fouls.
    await stands(page, /count 0 and 2/);
    await page.getByText('Foul', { exact: true }).first().waitFor();
    await expect(page.locator('.devices-away')).toHaveCount(0);
  } finally {
    await page.close();
    await server.stop();
    cluster.stop();
  }
});
