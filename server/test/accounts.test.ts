import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loadDemo } from '../src/demo/load.ts';
import { aCoach, startApi, startApiForTest, type Api } from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

describe('signing up', () => {
  it('signs the coach in at once, with a cookie that scripts cannot read', async () => {
    const client = api.client();
    const { password, ...account } = aCoach('Teo');
    const made = await client.call('POST', '/api/accounts', { ...account, password });
    expect(made).toMatchObject({ status: 201, body: account });
    expect(made.headers.get('set-cookie')).toMatch(/HttpOnly; SameSite=Lax/);
    expect(await client.call('GET', '/api/accounts/me')).toMatchObject({
      status: 200,
      body: account,
    });
  });

  it('keeps the password only as an argon2 hash', async () => {
    const coach = await api.coach('Hash');
    const { rows } = await api.owner.query<{ password_hash: string }>(
      'select password_hash from accounts where id = $1',
      [coach.account.id],
    );
    expect(rows[0]?.password_hash).toMatch(/^\$argon2id\$/);
  });

  it('says what to do about an e-mail address that has an account, whatever its case', async () => {
    const coach = await api.coach('Twice');
    const again = await api.client().call('POST', '/api/accounts', {
      ...aCoach('Twice'),
      email: coach.account.email.toUpperCase(),
    });
    expect(again.status).toBe(409);
    expect(again.problem.errors).toEqual([
      { path: 'email', message: expect.stringContaining('Sign in instead') as string },
    ]);
  });

  it('names every field that does not fit', async () => {
    const answer = await api.client().call('POST', '/api/accounts', {
      ...aCoach('A'),
      email: 'nobody',
      password: 'short',
      role: 1,
    });
    expect(answer.status).toBe(422);
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
    expect(answer.problem.errors.map(({ path }) => path).toSorted()).toEqual([
      'email',
      'password',
      'role',
    ]);
  });
});

describe('signing in and out', () => {
  it('takes the right password, refuses a wrong one and an unknown address alike', async () => {
    const account = aCoach('Signer');
    await api.client().call('POST', '/api/accounts', account);
    const client = api.client();
    const signIn = (email: string, password: string) =>
      client.call('POST', '/api/accounts/session', { email, password });
    expect((await signIn(account.email, account.password)).status).toBe(200);
    const wrong = await signIn(account.email, 'something else');
    const unknown = await signIn('nobody@example.org', account.password);
    expect(wrong.status).toBe(401);
    expect(unknown.problem).toEqual(wrong.problem);
  });

  it('makes the old cookie worthless', async () => {
    const coach = await api.coach('Leaver');
    const before = coach.cookie;
    expect((await coach.call('DELETE', '/api/accounts/session')).status).toBe(204);
    coach.cookie = before;
    expect((await coach.call('GET', '/api/accounts/me')).status).toBe(401);
  });

  it('stops somebody who goes on guessing, and says how long to wait', async () => {
    const account = aCoach('Guessed');
    await api.client().call('POST', '/api/accounts', account);
    const guess = () =>
      api
        .client()
        .call('POST', '/api/accounts/session', { email: account.email, password: 'guess' });
    for (let tries = 0; tries < 10; tries += 1) expect((await guess()).status).toBe(401);
    const stopped = await guess();
    expect(stopped.status).toBe(429);
    expect(stopped.problem.detail).toMatch(/Wait \d+ minutes/);
    expect(Number(stopped.headers.get('retry-after'))).toBeGreaterThan(60);
  });
});

describe('the demo', () => {
  it('is offered, and opened in one call, only where it is loaded', async () => {
    const own = await startApiForTest();
    const client = own.client();
    expect((await client.call('GET', '/api/accounts/welcome')).body).toEqual({ demo: false });
    expect((await client.call('POST', '/api/accounts/demo-session')).status).toBe(404);
    const demo = await loadDemo(own.owner, new Date('2031-05-20T12:00:00Z'));
    expect((await client.call('GET', '/api/accounts/welcome')).body).toEqual({ demo: true });
    expect((await client.call('POST', '/api/accounts/demo-session')).status).toBe(200);
    expect((await client.call<unknown[]>('GET', '/api/teams')).body).toHaveLength(2);
    const { email, password } = demo ?? {};
    const typed = await own.client().call('POST', '/api/accounts/session', { email, password });
    expect(typed.status).toBe(200);
  });
});
