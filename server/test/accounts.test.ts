import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loadDemo } from '../src/demo/load.ts';
import {
  DEMO_KEYS,
  aCoach,
  aDelivery,
  anAssistant,
  aSeason,
  readingsIn,
  startApi,
  startApiForTest,
  tap,
  type Api,
  type Client,
} from './api.ts';

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
    const demo = await loadDemo(own.owner, new Date('2031-05-20T12:00:00Z'), DEMO_KEYS);
    expect((await client.call('GET', '/api/accounts/welcome')).body).toEqual({ demo: true });
    expect((await client.call('POST', '/api/accounts/demo-session')).status).toBe(200);
    expect((await client.call<unknown[]>('GET', '/api/teams')).body).toHaveLength(2);
    const { email, password } = demo ?? {};
    const typed = await own.client().call('POST', '/api/accounts/session', { email, password });
    expect(typed.status).toBe(200);
  });
});

describe('a password', () => {
  const change = (client: Client, current: string, password: string) =>
    client.call('PUT', '/api/accounts/password', { current, password });

  it('is changed by whoever knows it, and every other device is signed out', async () => {
    const account = aCoach('Changer');
    const here = api.client();
    await here.call('POST', '/api/accounts', account);
    const there = api.client();
    const { email, password } = account;
    await there.call('POST', '/api/accounts/session', { email, password });
    const wrong = await change(here, 'not it at all', 'three gulls on a pole');
    expect(wrong.problem.errors).toMatchObject([{ path: 'current' }]);
    expect((await there.call('GET', '/api/accounts/me')).status).toBe(200);
    expect((await change(here, password, 'three gulls on a pole')).status).toBe(200);
    expect((await there.call('GET', '/api/accounts/me')).status).toBe(401);
    expect((await here.call('GET', '/api/accounts/me')).status).toBe(200);
    const again = (word: string) =>
      api.client().call('POST', '/api/accounts/session', { email, password: word });
    expect((await again(password)).status).toBe(401);
    expect((await again('three gulls on a pole')).status).toBe(200);
  });

  it.each(['1234567890', 'Password123', 'QWERTYUIOP', 'aaaaaaaaaaaa', 'q1w2e3r4t5'])(
    'that anybody would try first is refused: %s',
    async (password) => {
      const answer = await api.client().call('POST', '/api/accounts', { ...aCoach('C'), password });
      expect(answer.problem.errors).toMatchObject([{ path: 'password' }]);
    },
  );

  it('that is the own address or name is refused', async () => {
    const account = { ...aCoach('Anneke'), name: 'Anneke van Dijk' };
    for (const password of [account.email, account.name]) {
      const answer = await api.client().call('POST', '/api/accounts', { ...account, password });
      expect(answer.problem.errors).toMatchObject([{ path: 'password' }]);
    }
  });

  it('that is forgotten is set anew with a code of the owner, once', async () => {
    const { coach, base } = await aSeason(api);
    const assistant = await anAssistant(api, coach, base);
    const { email, id } = assistant.account;
    const path = `${base}/members/${id}/reset-code`;
    expect((await assistant.call('POST', path)).status).toBe(403);
    const { body, status } = await coach.call<{ code: string }>('POST', path);
    expect(status).toBe(201);
    const reset = (code: string) =>
      api.client().call('POST', '/api/accounts/reset', {
        email,
        code,
        password: 'three gulls on a pole',
      });
    expect((await reset('AAAA-2222')).problem.errors).toMatchObject([{ path: 'code' }]);
    expect((await reset(body.code)).status).toBe(200);
    expect((await assistant.call('GET', '/api/accounts/me')).status).toBe(401);
    expect((await reset(body.code)).problem.errors).toMatchObject([{ path: 'code' }]);
  });

  it('is not opened by an owner whose code would open another team too', async () => {
    const [mine, theirs] = [await aSeason(api), await aSeason(api)];
    const assistant = await anAssistant(api, mine.coach, mine.base);
    const invite = { id: randomUUID(), many: false };
    const { body } = await theirs.coach.call<{ code: string }>(
      'POST',
      `${theirs.base}/invites`,
      invite,
    );
    await assistant.call('POST', '/api/teams/join', { code: body.code });
    for (const { coach, base } of [mine, theirs]) {
      const path = `${base}/members/${assistant.account.id}/reset-code`;
      expect((await coach.call('POST', path)).status).toBe(409);
    }
    const own = `${mine.base}/members/${mine.coach.account.id}/reset-code`;
    expect((await mine.coach.call('POST', own)).status).toBe(409);
  });
});

describe('a session', () => {
  const aged = (name: string) => api.coach(name);

  it('moves its end along as long as the coach comes back', async () => {
    const coach = await aged('Roller');
    const ends = async () => {
      const { rows } = await api.owner.query<{ expire: string }>(
        `select expire from sessions where sess ->> 'accountId' = $1`,
        [coach.account.id],
      );
      return rows.map(({ expire }) => Date.parse(expire));
    };
    const same = await coach.call('GET', '/api/accounts/me');
    expect(same.headers.get('set-cookie')).toBeNull();
    // Two weeks later.
    await api.owner.query(
      `update sessions set expire = now() + interval '46 days',
         sess = jsonb_set(sess::jsonb, '{rolledAtMs}', '1000')::json
       where sess ->> 'accountId' = $1`,
      [coach.account.id],
    );
    const [before = 0] = await ends();
    const later = await coach.call('GET', '/api/accounts/me');
    expect(later.headers.get('set-cookie')).toContain('bradyon=');
    const [after = 0] = await ends();
    expect(after - before).toBeGreaterThan(10 * 24 * 60 * 60 * 1000);
  });

  it('is ended on every device at once', async () => {
    const account = aCoach('Everywhere');
    const here = api.client();
    await here.call('POST', '/api/accounts', account);
    const there = api.client();
    const { email, password } = account;
    await there.call('POST', '/api/accounts/session', { email, password });
    expect((await here.call('DELETE', '/api/accounts/sessions')).status).toBe(204);
    for (const client of [here, there]) {
      expect((await client.call('GET', '/api/accounts/me')).status).toBe(401);
    }
  });

  it('of another coach than the page is for is refused', async () => {
    const { coach, base, team } = await aSeason(api);
    const other = await api.coach('Other');
    const as = (id: string) =>
      coach.call('GET', `${base}/people`, undefined, { 'Bradyon-Account': id });
    expect((await as(coach.account.id)).status).toBe(200);
    expect((await as(other.account.id)).status).toBe(401);
    expect((await coach.call('GET', `/api/teams/${team.id}`)).status).toBe(200);
  });
});

describe('an account', () => {
  it('is deleted with its password; times stay with the team, under no name', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const assistant = await anAssistant(api, coach, base, 'Leaver');
    await tap(assistant, base, aDelivery(pitcher.id));
    const gone = (password: string, client = assistant as Client) =>
      client.call('DELETE', '/api/accounts/me', { password });
    expect((await gone('not it at all')).problem.errors).toMatchObject([{ path: 'password' }]);
    // An owner would leave a team without anybody.
    expect((await gone('ten letters or more', coach)).status).toBe(409);
    expect((await gone('ten letters or more')).status).toBe(204);
    expect((await assistant.call('GET', '/api/accounts/me')).status).toBe(401);
    const left = await readingsIn(coach, base);
    expect(left).toMatchObject([{ timedByName: 'A former coach' }]);
    const { rows } = await api.owner.query('select 1 from accounts where id = $1', [
      assistant.account.id,
    ]);
    expect(rows).toEqual([]);
  });

  it('with the longest address there is signs in as well as up', async () => {
    const account = {
      ...aCoach('Long'),
      email: `${'a'.repeat(60)}@${'b'.repeat(60)}.${'c'.repeat(60)}.${'d'.repeat(60)}.org`,
    };
    expect((await api.client().call('POST', '/api/accounts', account)).status).toBe(201);
    const { email, password } = account;
    const signedIn = await api.client().call('POST', '/api/accounts/session', { email, password });
    expect(signedIn.status).toBe(200);
  });

  it('cannot be locked out where it has signed in before, by tries made next to it', async () => {
    const account = aCoach('Locked');
    const known = api.client();
    await known.call('POST', '/api/accounts', account);
    const { email, password } = account;
    const tried = (client: Client, word: string) =>
      client.call('POST', '/api/accounts/session', { email, password: word });
    const stranger = api.client();
    for (let tries = 0; tries < 11; tries += 1) await tried(stranger, 'guess after guess');
    expect((await tried(stranger, password)).status).toBe(429);
    await known.call('DELETE', '/api/accounts/session');
    expect((await tried(known, password)).status).toBe(200);
    // Nor does knowing the account help to guess without end.
    for (let tries = 0; tries < 10; tries += 1) await tried(known, 'guess after guess');
    expect((await tried(known, 'guess after guess')).status).toBe(429);
  });
});

describe('an invitation', () => {
  it('is for one person unless it says otherwise', async () => {
    const { coach, base } = await aSeason(api);
    const make = async (many: boolean) =>
      (await coach.call<{ code: string }>('POST', `${base}/invites`, { id: randomUUID(), many }))
        .body.code;
    const join = async (code: string) =>
      (await (await api.coach('Joiner')).call('POST', '/api/teams/join', { code })).status;
    const one = await make(false);
    expect([await join(one), await join(one)]).toEqual([200, 422]);
    const several = await make(true);
    expect([await join(several), await join(several)]).toEqual([200, 200]);
    const raced = await make(false);
    const both = await Promise.all([join(raced), join(raced), join(raced)]);
    expect(both.toSorted()).toEqual([200, 422, 422]);
  });

  it('made before somebody was removed does not let them back in', async () => {
    const { coach, base } = await aSeason(api);
    const make = async () =>
      (
        await coach.call<{ code: string }>('POST', `${base}/invites`, {
          id: randomUUID(),
          many: true,
        })
      ).body.code;
    const old = await make();
    const assistant = await api.coach('Removed');
    const join = async (code: string) =>
      (await assistant.call('POST', '/api/teams/join', { code })).status;
    expect(await join(old)).toBe(200);
    await coach.call('DELETE', `${base}/members/${assistant.account.id}`);
    expect(await join(old)).toBe(422);
    expect(await join(await make())).toBe(200);
  });
});
