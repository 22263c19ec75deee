import { randomUUID } from 'node:crypto';
import { freePort } from '../scripts/cluster.mjs';
import { startServer } from '../scripts/serve.mjs';
import { expect, test } from './pages/test.ts';

test('killing the server right after a tap was acknowledged loses nothing', async () => {
  const start = async () =>
    startServer({
      appUrl: process.env['BRADYON_APP_URL'] ?? '',
      sessionSecret: process.env['BRADYON_SECRET'] ?? '',
      port: await freePort(0),
    });
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
