import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addressOf } from '../src/http/limits.ts';
import { aCoach, startApi, type Api } from './api.ts';

let api: Api;
let proxy: Server;
let front: string;

/** A proxy on loopback as one stands in front: it ends HTTPS, and says for whom it asks. */
beforeAll(async () => {
  api = await startApi({ SECURE_COOKIES: 'true', TRUST_PROXY: '1' });
  proxy = createServer((incoming, outgoing) => {
    const asked = request(
      api.url + (incoming.url ?? '/'),
      {
        method: incoming.method,
        headers: {
          ...incoming.headers,
          'x-forwarded-proto': 'https',
          'x-forwarded-host': 'bradyon.example',
          // What a client claims of itself stands before what the proxy has seen.
          'x-forwarded-for': [
            incoming.headers['x-forwarded-for'],
            incoming.headers['x-test-address'],
          ]
            .filter(Boolean)
            .join(', '),
        },
      },
      (answer) => {
        outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
        answer.pipe(outgoing);
      },
    );
    incoming.pipe(asked);
  });
  await new Promise<void>((done) => proxy.listen(0, '127.0.0.1', done));
  front = `http://127.0.0.1:${String((proxy.address() as AddressInfo).port)}`;
});
afterAll(async () => {
  proxy.closeAllConnections();
  await new Promise((done) => proxy.close(done));
  await api.stop();
});

const call = (path: string, from: string, body?: object, headers: Record<string, string> = {}) =>
  fetch(front + path, {
    method: body ? 'POST' : 'GET',
    headers: { 'Content-Type': 'application/json', 'X-Test-Address': from, ...headers },
    ...(body && { body: JSON.stringify(body) }),
  });

describe('behind a proxy that ends HTTPS', () => {
  it('coaches sign in, with cookies that travel by HTTPS only', async () => {
    const account = aCoach('Proxied');
    const made = await call('/api/accounts', '198.51.100.7', account, {
      Origin: 'https://bradyon.example',
      'Sec-Fetch-Site': 'same-origin',
    });
    expect(made.status).toBe(201);
    const cookies = made.headers.getSetCookie();
    expect(cookies.find((each) => each.startsWith('bradyon='))).toMatch(/; Secure/);
    const cookie = cookies.map((each) => each.split(';')[0]).join('; ');
    const me = await call('/api/accounts/me', '198.51.100.7', undefined, { Cookie: cookie });
    expect(me.status).toBe(200);
    expect(me.headers.get('strict-transport-security')).toContain('max-age');
  });

  it('another site is still refused', async () => {
    const answer = await call('/api/accounts', '198.51.100.8', aCoach('Foreign'), {
      Origin: 'https://elsewhere.example',
    });
    expect(answer.status).toBe(403);
  });

  it('tries are counted by who makes them, not by the proxy and not by what they claim', async () => {
    const account = aCoach('Counted');
    await call('/api/accounts', '198.51.100.9', account);
    const { email } = account;
    const guess = (from: string, claimed?: string) =>
      call(
        '/api/accounts/session',
        from,
        { email, password: 'guess after guess' },
        claimed === undefined ? {} : { 'X-Forwarded-For': claimed },
      );
    for (let tries = 0; tries < 10; tries += 1) {
      expect((await guess('203.0.113.1', `192.0.2.${String(tries)}`)).status).toBe(401);
    }
    expect((await guess('203.0.113.1', '192.0.2.99')).status).toBe(429);
    // The coach elsewhere is not locked out by it.
    expect((await guess('203.0.113.2')).status).toBe(401);
  });
});

describe('where a request comes from', () => {
  it.each([
    ['203.0.113.9', '203.0.113.9'],
    ['::ffff:203.0.113.9', '203.0.113.9'],
    ['2001:db8:1:2:3:4:5:6', '2001:db8:1:2'],
    ['2001:db8:1:2::9', '2001:db8:1:2'],
    ['2001:db8::9', '2001:db8:0:0'],
    ['fe80::1%eth0', 'fe80:0:0:0'],
  ])('%s counts as %s', (ip, counted) => {
    expect(addressOf({ ip })).toBe(counted);
  });
});
