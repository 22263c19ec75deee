import { randomUUID } from 'node:crypto';
import type { Router } from 'express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aCoach, anOpponent, aSeason, startApi, type Api } from './api.ts';
import {
  ACCOUNT_ROUTES,
  addressOf as addressIn,
  aFullSeason,
  OPEN_ROUTES,
  TEAM_ROUTES,
  type Ids,
  type Season,
} from './routes.ts';

let api: Api;
let theirs: Season;
let ids: Ids;
/** A coach of another team: only looks, so one does for all. */
let outsider: Season;
beforeAll(async () => {
  api = await startApi();
  outsider = await aSeason(api);
  ({ season: theirs, ids } = await aFullSeason(api));
});
afterAll(() => api.stop());

const addressOf = (route: string, teamId: string) => addressIn(route, teamId, ids);

/** Every route that the application serves, read off the application itself. */
function servedRoutes(): string[] {
  const mounts = new Map<unknown, string>(
    (api.application.locals['mounts'] as [string, Router][]).map(([path, router]) => [
      router,
      path,
    ]),
  );
  const found: string[] = [];
  const walk = (router: Router, path: string): void => {
    for (const { route, handle } of router.stack) {
      for (const { method } of route?.stack ?? []) {
        found.push(
          `${method.toUpperCase()} ${path}${[route?.path].flat().join(' ').replace(/\/$/, '')}`,
        );
      }
      const nested = handle as unknown as Router;
      if (Array.isArray(nested.stack)) walk(nested, mounts.get(nested) ?? path);
    }
  };
  walk(api.application.router, '');
  return [...new Set(found)];
}

describe('the table of routes', () => {
  it('holds every route there is', () => {
    const tried = [...Object.keys(TEAM_ROUTES), ...ACCOUNT_ROUTES, ...OPEN_ROUTES];
    // How it is, and the pages.
    const outside = ['GET /healthz', 'GET /readyz', 'GET /{*page}'];
    expect(servedRoutes().toSorted()).toEqual(
      expect.arrayContaining([...tried, ...outside].toSorted()),
    );
    const more = servedRoutes().filter((route) => ![...tried, ...outside].includes(route));
    // What tells a browser that there is a new version is served from files.
    expect(more.filter((route) => !/sw\.js|manifest/.test(route))).toEqual([]);
  });
});

describe.each([...Object.keys(TEAM_ROUTES), ...ACCOUNT_ROUTES])('%s', (route) => {
  it('wants somebody to be signed in', async () => {
    const body = TEAM_ROUTES[route]?.(theirs, ids);
    const answer = await api.client().call(...addressOf(route, theirs.team.id), body);
    expect(answer.status).toBe(401);
  });
});

/** One figure for everything the victim has, in every table there is. */
async function victimsSum(): Promise<string> {
  const { rows: tables } = await api.owner.query<{ name: string; key: string }>(
    `select table_name as name, min(column_name) as key from information_schema.columns
     where table_schema = 'public' and column_name in ('team_id', 'account_id')
     group by table_name order by table_name`,
  );
  const sums: string[] = [];
  for (const { name } of [...tables, { name: 'teams' }, { name: 'accounts' }]) {
    const { rows } = await api.owner.query<{ sum: string | null }>(
      `select md5(string_agg(row_text, '' order by row_text)) as sum
       from (select each::text as row_text from ${name} each) lines
       where row_text like any($1)`,
      [[theirs.team.id, theirs.coach.account.id].map((id) => `%${id}%`)],
    );
    sums.push(`${name} ${rows[0]?.sum ?? ''}`);
  }
  return sums.join('\n');
}

describe.each(Object.entries(TEAM_ROUTES))('%s', (route, makeBody) => {
  it('does not know another team, and leaves it as it was', async () => {
    const { coach } = outsider;
    const before = await victimsSum();
    const body = makeBody?.(theirs, ids);
    const answer = await coach.call(...addressOf(route, theirs.team.id), body);
    expect(answer.status).toBe(404);
    expect(await victimsSum()).toBe(before);
  });

  it("does nothing to another team's things from a team of one's own", async () => {
    const mine = await aSeason(api);
    const before = await victimsSum();
    const [method, path] = addressOf(route, mine.team.id);
    // Their ids in the path, in the query and in the body.
    const query = `teamId=${theirs.team.id}&accountId=${ids.accountId}&id=${ids.readings}`;
    const answer = await mine.coach.call(method, `${path}?${query}`, makeBody?.(theirs, ids));
    expect(await victimsSum()).toBe(before);
    if (answer.status < 300) {
      // What came back or was made is of the own team alone.
      const text = JSON.stringify(answer.body);
      for (const theirsAlone of [theirs.team.id, theirs.pitcher.id, ids.accountId]) {
        const isOwnIdInAnswer = text.includes(theirsAlone) && method !== 'POST';
        expect(isOwnIdInAnswer, `${route} shows ${theirsAlone}`).toBe(false);
      }
    }
    if (!/:(accountId|inviteId|id)/.test(route)) return;
    // Taking back an invitation or a dive that is not there is no error, and takes back nothing.
    const expected = /^DELETE .*(invites|test-dives|batting|practices)/.test(route) ? 204 : 404;
    expect(answer.status).toBe(expected);
  });

  it('answers nonsense in the path or the body with a reason', async () => {
    const [method, path] = addressOf(route, theirs.team.id);
    const [, lost] = addressOf(route, 'not-a-uuid');
    expect((await theirs.coach.call(method, lost, makeBody?.(theirs, ids))).status).toBe(404);
    if (makeBody === null) return;
    const nonsense = [
      '{"half": ',
      '[]',
      'null',
      '"text"',
      '{}',
      JSON.stringify({ ...(makeBody(theirs, ids) as object), surprise: 1 }),
      JSON.stringify({ id: 7, name: { deep: true }, seconds: 'quick', reason: 3 }),
      JSON.stringify({
        ...(makeBody(theirs, ids) as object),
        name: 'null \u0000 byte',
        reason: '\u0000',
      }),
      JSON.stringify({
        ...(makeBody(theirs, ids) as object),
        takenAt: '-099999-01-01T00:00:00Z',
        x: 1,
      }),
      `{"name": "${'x'.repeat(250_000)}"}`,
    ];
    for (const body of nonsense) {
      const { status, problem } = await theirs.coach.call(method, path, body);
      expect([400, 413, 422], `${route} with ${body.slice(0, 60)}`).toContain(status);
      expect(problem.detail.length).toBeGreaterThan(10);
    }
  });
});

describe("another team's rows", () => {
  it('are all still as they were after every attempt', async () => {
    const { coach, base, team, opponent, pitcher } = theirs;
    expect((await coach.call('GET', base)).body).toEqual(team);
    expect((await coach.call('GET', `${base}/opponents`)).body).toMatchObject([opponent]);
    expect((await coach.call('GET', `${base}/people`)).body).toMatchObject([pitcher]);
    expect((await coach.call<unknown[]>('GET', `${base}/invites`)).body).toHaveLength(1);
  });

  const TABLES = [
    'accounts',
    'teams',
    'memberships',
    'invites',
    'opponents',
    'people',
    'readings',
    'thumb_reps',
    'together',
    'together_times',
    'test_dives',
    'batting_totals',
    'batting_order',
    'gate_devices',
    'gate_runs',
    'games',
    'game_entries',
    'sign_books',
    'sign_answers',
    'drill_passes',
    'bunt_tries',
    'fielder_looks',
    'lead_looks',
    'drill_reps',
    'practices',
  ];
  /** How many rows a season of one's own has, where it is not one. */
  const NONE_OF_OWN = [
    'invites',
    'readings',
    'thumb_reps',
    'together',
    'together_times',
    'test_dives',
    'batting_totals',
    'batting_order',
    'gate_devices',
    'gate_runs',
    'games',
    'game_entries',
    'sign_books',
    'sign_answers',
    'drill_passes',
    'bunt_tries',
    'fielder_looks',
    'lead_looks',
    'drill_reps',
    'practices',
  ];
  const scoped = async (accountId: string, teamId: string, query: string) => {
    const client = await api.app.connect();
    try {
      await client.query('begin');
      await client.query('select enter_team($1, $2)', [accountId, teamId]);
      return (await client.query(query)).rows as { n: number }[];
    } finally {
      await client.query('rollback');
      client.release();
    }
  };
  // One for all tables: accounts from one address are limited.
  let stranger: Season | null = null;
  const own = (table: string) => `select count(*) as n from ${table}`;

  it.each(TABLES)(
    'are invisible in %s by raw SQL, with no scope and in the scope of another',
    async (table) => {
      expect((await api.app.query<{ n: number }>(own(table))).rows[0]?.n).toBe(0);
      const { coach, team } = (stranger ??= await aSeason(api));
      const count = async (teamId: string) =>
        (await scoped(coach.account.id, teamId, own(table)))[0]?.n ?? -1;
      // Somebody who is no member enters no team, and sees only themselves and what they belong to.
      const outside = await count(theirs.team.id);
      expect(outside).toBe({ accounts: 1, teams: 1, memberships: 1 }[table] ?? 0);
      const inside = await count(team.id);
      expect(inside).toBe(NONE_OF_OWN.includes(table) ? 0 : 1);
    },
  );

  it('cannot be written by raw SQL from the scope of another', async () => {
    const stranger = await aSeason(api);
    const plant = `insert into opponents (team_id, id, name)
      values ('${theirs.team.id}', '${randomUUID()}', 'Planted')`;
    await expect(scoped(stranger.coach.account.id, stranger.team.id, plant)).rejects.toThrow(
      'row-level security',
    );
    const join = `insert into memberships (team_id, account_id, role)
      values ('${theirs.team.id}', '${stranger.coach.account.id}', 'assistant')`;
    await expect(scoped(stranger.coach.account.id, stranger.team.id, join)).rejects.toThrow(
      'row-level security',
    );
  });

  it('keep their password hashes and invitation codes to themselves', async () => {
    await expect(api.app.query('select password_hash from accounts')).rejects.toThrow('denied');
    await expect(api.app.query('select code_hash from invites')).rejects.toThrow('denied');
  });

  it('are not reachable by a role that could pass row-level security', async () => {
    const { rows } = await api.app.query<{ free: boolean }>(
      `select bool_or(rolsuper or rolbypassrls) or exists(
         select 1 from pg_class where relowner = current_user::regrole and relnamespace = 'public'::regnamespace
       ) as free from pg_roles where rolname = current_user`,
    );
    expect(rows[0]?.free).toBe(false);
  });
});

describe('writes from elsewhere', () => {
  it('are refused when another site sends them', async () => {
    const { coach, base } = await aSeason(api);
    const send = (headers: Record<string, string>) =>
      coach.call('POST', `${base}/opponents`, anOpponent({ name: randomUUID() }), headers);
    expect((await send({ Origin: 'https://elsewhere.example' })).status).toBe(403);
    expect((await send({ 'Sec-Fetch-Site': 'cross-site' })).status).toBe(403);
    expect((await send({ Origin: api.url, 'Sec-Fetch-Site': 'same-origin' })).status).toBe(201);
    expect((await send({ 'Content-Type': 'text/plain' })).status).toBe(415);
  });

  it('do not get a foothold by a script: the policy allows our own files only', async () => {
    const { headers } = await api.client().call('GET', '/healthz');
    expect(headers.get('content-security-policy')).toContain("script-src 'self';");
    expect(headers.get('x-powered-by')).toBeNull();
  });
});

describe('an unknown address', () => {
  it('is a reason, not a page', async () => {
    const { coach } = await aSeason(api);
    const answer = await coach.call('GET', '/api/nothing');
    expect(answer.status).toBe(404);
    expect((await api.client().call('GET', '/api/nothing')).status).toBe(401);
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
    expect((await api.client().call('POST', '/api/accounts', aCoach('Late'))).status).toBe(201);
  });
});
