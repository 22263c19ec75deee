import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { connect, type Socket } from 'node:net';
import path from 'node:path';
import type { Team } from '@bradyon/contract/teams';
import { afterAll, beforeAll, describe, expect, inject, it, onTestFinished } from 'vitest';
import { freePort } from '../../scripts/cluster.mjs';
import { inTransaction } from '../src/db/query.ts';
import {
  aDelivery,
  aPerson,
  aSeason,
  aTeam,
  readingsIn,
  startApi,
  startApiForTest,
  tap,
  type Api,
} from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

describe('a database that goes away', () => {
  it('takes nobody with it: what was under way is told to come back, and then all is well', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const statuses: number[] = [];
    const going = { isOver: false };
    onTestFinished(() => {
      going.isOver = true;
    });
    const traffic = Array.from({ length: 6 }, async () => {
      while (!going.isOver) {
        const { status, headers } = await coach.call('GET', `${base}/people`);
        statuses.push(status);
        if (status === 503) expect(headers.get('retry-after')).toBe('2');
      }
    });
    for (let round = 0; round < 5; round += 1) {
      while ((await api.dropConnections()) === 0);
      const before = statuses.length;
      await expect
        .poll(() => statuses.slice(before).filter((each) => each === 200))
        .not.toEqual([]);
    }
    going.isOver = true;
    await Promise.all(traffic);
    expect(statuses.filter((status) => ![200, 503].includes(status))).toEqual([]);
    expect(await tap(coach, base, aDelivery(pitcher.id))).toMatchObject([{ ok: true }]);
  });

  it('is waited for only so long, and says so', async () => {
    const own = await startApiForTest();
    const { coach, base } = await aSeason(own);
    // Nobody else can read people until this ends.
    const blocker = await own.owner.connect();
    await blocker.query('begin; lock table people in access exclusive mode');
    const waiting = coach.call('GET', `${base}/people`);
    // Meanwhile it answers how it is.
    for (const probe of ['/healthz', '/readyz']) {
      expect((await own.client().call('GET', probe)).status).toBe(200);
    }
    const { status, problem } = await waiting;
    await blocker.query('rollback');
    blocker.release();
    expect(status).toBe(503);
    expect(problem.detail).toContain('sent again');
    expect((await coach.call('GET', `${base}/people`)).status).toBe(200);
  });
});

describe('two who meet', () => {
  it('in a deadlock both come through', async () => {
    const { team } = await aSeason(api);
    const [first, second] = [aPerson({ number: '' }), aPerson({ number: '' })];
    for (const { id } of [first, second]) {
      await api.owner.query(
        `insert into people (team_id, id, number, name, throws, bats, positions)
         values ($1, $2, '', 'Somebody', 'right', 'right', '{}')`,
        [team.id, id],
      );
    }
    const meet = { begun: 0 };
    const work = (mine: string, other: string) =>
      inTransaction(api.owner, async (tx) => {
        await tx.query('update people set name = $2 where id = $1', [mine, mine]);
        meet.begun += 1;
        // Each holds its own before either asks for the other's.
        while (meet.begun < 2) await new Promise((done) => setImmediate(done));
        await tx.query('update people set name = $2 where id = $1', [other, mine]);
        return mine;
      });
    expect(await Promise.all([work(first.id, second.id), work(second.id, first.id)])).toEqual([
      first.id,
      second.id,
    ]);
  });

  it('importing the same players in opposite orders neither fails', async () => {
    const { coach, base } = await aSeason(api);
    const people = Array.from({ length: 60 }, (_, nth) =>
      aPerson({ number: String(nth + 1), name: `Player ${String(nth)}` }),
    );
    const send = (rows: typeof people) =>
      coach.call('POST', `${base}/people/import`, { people: rows });
    const answers = await Promise.all([send(people), send(people.toReversed()), send(people)]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
  });
});

describe('ids that are taken', () => {
  it('are refused, not a fault', async () => {
    const { coach, base } = await aSeason(api);
    const invite = { id: randomUUID(), many: false };
    expect((await coach.call('POST', `${base}/invites`, invite)).status).toBe(201);
    expect((await coach.call('POST', `${base}/invites`, invite)).status).toBe(409);
    const again = {
      id: coach.account.id,
      name: 'Other',
      email: `${randomUUID()}@example.org`,
      password: 'ten letters or more',
    };
    expect((await api.client().call('POST', '/api/accounts', again)).status).toBe(409);
  });
});

describe('bodies beyond reason', () => {
  /** How far the memory of this process rises above where it was, megabytes. */
  const rise = async (work: () => Promise<void>): Promise<number> => {
    const before = process.memoryUsage().rss;
    await work();
    return (process.memoryUsage().rss - before) / 1_000_000;
  };

  it('of ten megabytes of mistakes cost neither memory nor anybody else’s time', async () => {
    const { coach } = await aSeason(api);
    const ones = `[${'1,'.repeat(5_000_000)}1]`;
    const body = `{"id":"${randomUUID()}","file":{"format":"bradyon-team","version":3,"readings":${ones},"people":${ones}}}`;
    const risen = await rise(async () => {
      const answer = await coach.call('POST', '/api/teams/import', body);
      expect([413, 422]).toContain(answer.status);
      expect(answer.problem.errors.length).toBeLessThanOrEqual(20);
    });
    // The body itself, a few times over: not an answer for each of its mistakes.
    expect(risen).toBeLessThan(600);
  });

  it('are not read before it is known who sends them', async () => {
    const big = 'x'.repeat(90_000);
    const wrong = { Authorization: 'Bearer wrong' };
    const events = await api.client().call('POST', '/api/gates/events', `{"a":"${big}"`, wrong);
    expect(events.status).toBe(401);
    expect((await api.client().call('POST', '/api/teams', `{"a":"${big}"`)).status).toBe(401);
    const { coach } = await aSeason(api);
    expect((await coach.call('POST', '/api/teams', { a: big })).status).toBe(413);
    expect((await coach.call('PUT', '/api/accounts/password', { a: big })).status).toBe(413);
  });

  it('of many wrong tokens are stopped by where they come from', async () => {
    const own = await startApiForTest();
    const send = () =>
      own.client().call('POST', '/api/gates/events', {}, { Authorization: 'Bearer guess' });
    const statuses: number[] = [];
    for (let nth = 0; nth < 62; nth += 1) statuses.push((await send()).status);
    expect(statuses.slice(0, 60)).toEqual(Array.from({ length: 60 }, () => 401));
    expect(statuses.at(-1)).toBe(429);
  });
});

/** The built server as a process of its own. */
async function aProcess(settings: Record<string, string> = {}) {
  const season = await aSeason(api);
  const port = await freePort(0);
  const child = spawn('node', [path.join(path.dirname(inject('importer')), 'main.js')], {
    stdio: ['pipe', 'ignore', 'inherit'],
    env: {
      ...process.env,
      DATABASE_URL: api.databaseUrl,
      SESSION_SECRET: api.sessionSecret,
      WEB_ROOT: import.meta.dirname,
      PORT: String(port),
      LOG_LEVEL: 'fatal',
      END_WITH_PARENT: 'true',
      ...settings,
    },
  });
  const address = `http://127.0.0.1:${String(port)}`;
  await expect
    .poll(
      () =>
        fetch(`${address}/readyz`).then(
          ({ ok }) => ok,
          () => false,
        ),
      { timeout: 60_000 },
    )
    .toBe(true);
  const post = (body: object) =>
    fetch(`${address}${season.base}/readings`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', Cookie: season.coach.cookie ?? '' },
      body: JSON.stringify(body),
    });
  return { ...season, child, port, address, post };
}

async function ended(child: ChildProcess): Promise<number | null> {
  if (child.exitCode === null && child.signalCode === null) await once(child, 'exit');
  return child.exitCode;
}

describe('a server that is told to stop', () => {
  it('ends under load and with bodies half sent, and what it has acknowledged is there', async () => {
    const { child, port, coach, base, pitcher, post } = await aProcess();
    // Two connections that will never be done: a body half sent, and one that only waits.
    const half: Socket = connect(port, '127.0.0.1');
    half.on('error', () => undefined);
    half.write(
      `POST ${base}/readings HTTP/1.1\r\nHost: x\r\nCookie: ${coach.cookie ?? ''}\r\n` +
        'Content-Type: application/json\r\nContent-Length: 5000\r\n\r\n{"steps":[',
    );
    const idle: Socket = connect(port, '127.0.0.1');
    idle.on('error', () => undefined);
    const acknowledged: string[] = [];
    let isStopped = false;
    const load = Array.from({ length: 4 }, async () => {
      while (!isStopped) {
        const draft = aDelivery(pitcher.id);
        const answer = await post({ steps: [{ step: 'add', draft }] }).catch(() => null);
        if (answer?.ok) {
          acknowledged.push(draft.id);
          await answer.arrayBuffer();
        } else await new Promise((done) => setImmediate(done));
      }
    });
    await expect.poll(() => acknowledged.length).toBeGreaterThan(20);
    child.kill('SIGTERM');
    // Without an end to its patience it would wait for the half-sent body for ever.
    expect(await ended(child)).toBe(0);
    isStopped = true;
    await Promise.all(load);
    half.destroy();
    idle.destroy();
    const kept = new Set((await readingsIn(coach, base)).map(({ id }) => id as string));
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
  });

  it('ends with whoever started it, however that one ended', async () => {
    const { child } = await aProcess();
    child.stdin.destroy();
    expect(await ended(child)).toBe(0);
  });
});

describe('a team that is deleted', () => {
  it('leaves no row behind in any table, for its owner only, and other teams as they were', async () => {
    const { coach, base, team, pitcher } = await aSeason(api);
    const other = (await coach.call<Team>('POST', '/api/teams', aTeam({ name: 'Petrels' }))).body;
    await tap(coach, base, aDelivery(pitcher.id));
    await coach.call('PUT', `${base}/batting-order`, { personIds: [pitcher.id], version: 0 });
    await coach.call('POST', `${base}/together`, { id: randomUUID(), kind: 'pop' });
    await coach.call('POST', `${base}/gate-devices`, { id: randomUUID(), name: 'Gates' });
    expect((await coach.call('DELETE', base)).status).toBe(204);
    const { rows: tables } = await api.owner.query<{ name: string }>(
      `select table_name as name from information_schema.columns
       where table_schema = 'public' and column_name = 'team_id'`,
    );
    expect(tables.length).toBeGreaterThan(12);
    for (const { name } of tables) {
      const left = await api.owner.query(`select 1 from ${name} where team_id = $1`, [team.id]);
      expect(left.rows, name).toEqual([]);
    }
    expect((await coach.call<Team[]>('GET', '/api/teams')).body).toMatchObject([{ id: other.id }]);
    await expect(api.app.query('select erase_team()')).rejects.toThrow('owner');
  });
});
