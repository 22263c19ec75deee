import { randomUUID } from 'node:crypto';
import type { Invite } from '@bradyon/contract/teams';
import type { Router } from 'express';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { configFrom } from '../src/config.ts';
import { accountRoutes } from '../src/features/accounts/index.ts';
import { fileRoutes } from '../src/features/files/index.ts';
import { gateEventRoutes, gateRoutes } from '../src/features/gates/index.ts';
import { inningsRoutes } from '../src/features/innings/index.ts';
import { leadRoutes } from '../src/features/leads/index.ts';
import { peopleRoutes } from '../src/features/people/index.ts';
import { teamRoutes } from '../src/features/teams/index.ts';
import { teamThumbRoutes, thumbRoutes, timingRoutes } from '../src/features/timing/index.ts';
import { makeReply } from '../src/http/exchange.ts';
import {
  aCoach,
  aDelivery,
  aPerson,
  aSeason,
  aSeasonAtBat,
  aTeam,
  aTestDive,
  anOpponent,
  startApi,
  type Api,
} from './api.ts';

type Season = Awaited<ReturnType<typeof aSeason>>;

/** Everything a signed-in coach can call: a body that fits, made for the team it is sent to. */
const TEAM_ROUTES: Record<string, ((season: Season, ids: Ids) => unknown) | null> = {
  'GET /api/teams/:teamId': null,
  'PUT /api/teams/:teamId': ({ team }) => aTeam({ id: team.id, name: 'Taken over' }),
  'GET /api/teams/:teamId/members': null,
  'DELETE /api/teams/:teamId/members/:accountId': null,
  'GET /api/teams/:teamId/invites': null,
  'POST /api/teams/:teamId/invites': () => ({ id: randomUUID() }),
  'DELETE /api/teams/:teamId/invites/:inviteId': null,
  'GET /api/teams/:teamId/opponents': null,
  'POST /api/teams/:teamId/opponents': () => anOpponent({ name: 'Planted' }),
  'PUT /api/teams/:teamId/opponents/:id': ({ opponent }) => ({ ...opponent, name: 'Renamed' }),
  'GET /api/teams/:teamId/people': null,
  'POST /api/teams/:teamId/people': () => aPerson({ name: 'Planted' }),
  'PUT /api/teams/:teamId/people/:id': ({ pitcher }) => ({ ...pitcher, name: 'Renamed' }),
  'POST /api/teams/:teamId/people/import': () => ({ people: [aPerson({ name: 'Planted' })] }),
  'DELETE /api/teams/:teamId/people/:id': null,
  'GET /api/teams/:teamId/export': null,
  'GET /api/teams/:teamId/thumbs': null,
  'GET /api/teams/:teamId/together': null,
  'POST /api/teams/:teamId/together': () => ({ id: randomUUID(), kind: 'pop' }),
  'POST /api/teams/:teamId/together/:id/times': () => ({ event: 1, seconds: 1.4 }),
  'GET /api/teams/:teamId/batting': null,
  'PUT /api/teams/:teamId/batting/:id': ({ pitcher }) => aSeasonAtBat(pitcher.id),
  'DELETE /api/teams/:teamId/batting/:id': null,
  'POST /api/teams/:teamId/batting/import': ({ pitcher }) => ({
    batting: [aSeasonAtBat(pitcher.id)],
  }),
  'GET /api/teams/:teamId/batting-order': null,
  'PUT /api/teams/:teamId/batting-order': ({ pitcher }) => ({ personIds: [pitcher.id] }),
  'GET /api/teams/:teamId/test-dives': null,
  'POST /api/teams/:teamId/test-dives': ({ pitcher }) => aTestDive(pitcher.id),
  'DELETE /api/teams/:teamId/test-dives/:id': null,
  'GET /api/teams/:teamId/gate-devices': null,
  'POST /api/teams/:teamId/gate-devices': () => ({ id: randomUUID(), name: 'Planted' }),
  'PUT /api/teams/:teamId/gate-devices/:id/runner': ({ pitcher }) => ({ personId: pitcher.id }),
  'DELETE /api/teams/:teamId/gate-devices/:id': null,
  'GET /api/teams/:teamId/gate-runs': null,
  'POST /api/teams/:teamId/readings/import': ({ pitcher }) => ({
    readings: [aDelivery(pitcher.id)],
  }),
  'GET /api/teams/:teamId/readings': null,
  'POST /api/teams/:teamId/readings': ({ pitcher }) => aDelivery(pitcher.id),
  'PUT /api/teams/:teamId/readings/:id/aside': () => ({ reason: 'wrong tap', vouched: false }),
};
const ACCOUNT_ROUTES = [
  'GET /api/accounts/me',
  'GET /api/teams',
  'POST /api/teams',
  'POST /api/teams/join',
  'POST /api/teams/import',
  'GET /api/thumbs',
  'POST /api/thumbs',
  'DELETE /api/thumbs',
];
const OPEN_ROUTES = [
  'GET /api/accounts/welcome',
  'POST /api/accounts',
  'POST /api/accounts/session',
  'POST /api/accounts/demo-session',
  'DELETE /api/accounts/session',
  // By the token of a device.
  'POST /api/gates/events',
];

interface Ids {
  accountId: string;
  inviteId: string;
  opponents: string;
  people: string;
  readings: string;
  together: string;
  'test-dives': string;
  batting: string;
  'gate-devices': string;
}

let api: Api;
let theirs: Season;
let ids: Ids;
beforeAll(async () => {
  api = await startApi();
  theirs = await aSeason(api);
  const delivery = aDelivery(theirs.pitcher.id);
  await theirs.coach.call('POST', `${theirs.base}/readings`, delivery);
  const { body: invite } = await theirs.coach.call<Invite>('POST', `${theirs.base}/invites`, {
    id: randomUUID(),
  });
  const together = randomUUID();
  await theirs.coach.call('POST', `${theirs.base}/together`, { id: together, kind: 'pop' });
  const device = randomUUID();
  await theirs.coach.call('POST', `${theirs.base}/gate-devices`, { id: device, name: 'Gates' });
  const dive = aTestDive(theirs.pitcher.id);
  await theirs.coach.call('POST', `${theirs.base}/test-dives`, dive);
  ids = {
    together,
    'test-dives': dive.id,
    batting: theirs.pitcher.id,
    'gate-devices': device,
    accountId: theirs.coach.account.id,
    inviteId: invite.id,
    opponents: theirs.opponent.id,
    people: theirs.pitcher.id,
    readings: delivery.id,
  };
});
afterAll(() => api.stop());

function addressOf(route: string, teamId: string): [method: string, path: string] {
  const [method = '', pattern = ''] = route.split(' ');
  const path = pattern
    .replace(':teamId', teamId)
    .replace(':accountId', ids.accountId)
    .replace(':inviteId', ids.inviteId)
    .replace(
      /(opponents|people|readings|together|test-dives|batting|gate-devices)\/:id/,
      (_, kind: keyof Ids) => `${kind}/${ids[kind]}`,
    );
  return [method, path];
}

describe('the table of routes', () => {
  it('holds every route there is', () => {
    const config = configFrom({ DATABASE_URL: 'x', SESSION_SECRET: 'x', WEB_ROOT: 'x' });
    const deps = {
      pool: api.app,
      config,
      logger: pino({ level: 'silent' }),
      reply: makeReply(true),
    };
    const routers: [string, Router][] = [
      ['/api/accounts', accountRoutes(deps)],
      ['/api/teams', teamRoutes(deps)],
      ['/api/teams', peopleRoutes(deps)],
      ['/api/teams', timingRoutes(deps)],
      ['/api/teams', teamThumbRoutes(deps)],
      ['/api/teams', leadRoutes(deps)],
      ['/api/teams', inningsRoutes(deps)],
      ['/api/teams', gateRoutes(deps)],
      ['/api/teams', fileRoutes(deps)],
      ['/api/thumbs', thumbRoutes(deps)],
      ['/api/gates', gateEventRoutes(deps)],
    ];
    const served = routers.flatMap(([mount, router]) =>
      router.stack.flatMap(({ route }) =>
        (route?.stack ?? []).map(
          ({ method }) => `${method.toUpperCase()} ${mount}${route?.path.replace(/\/$/, '') ?? ''}`,
        ),
      ),
    );
    const tried = [...Object.keys(TEAM_ROUTES), ...ACCOUNT_ROUTES, ...OPEN_ROUTES];
    expect(served.toSorted()).toEqual(tried.toSorted());
  });
});

describe.each([...Object.keys(TEAM_ROUTES), ...ACCOUNT_ROUTES])('%s', (route) => {
  it('wants somebody to be signed in', async () => {
    const body = TEAM_ROUTES[route]?.(theirs, ids);
    const answer = await api.client().call(...addressOf(route, theirs.team.id), body);
    expect(answer.status).toBe(401);
  });
});

describe.each(Object.entries(TEAM_ROUTES))('%s', (route, makeBody) => {
  it('does not know another team', async () => {
    const { coach } = await aSeason(api);
    const answer = await coach.call(...addressOf(route, theirs.team.id), makeBody?.(theirs, ids));
    expect(answer.status).toBe(404);
  });

  it("does not know another team's things in a team of one's own", async () => {
    const mine = await aSeason(api);
    if (!/:(accountId|inviteId|id)/.test(route)) return;
    const answer = await mine.coach.call(
      ...addressOf(route, mine.team.id),
      makeBody?.(theirs, ids),
    );
    // Taking back an invitation or a dive that is not there is no error, and takes back nothing.
    const expected = /^DELETE .*(invites|test-dives|batting)/.test(route)
      ? 204
      : // A season is of somebody who has to be known in the team.
        /^PUT .*batting/.test(route)
        ? 422
        : 404;
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
      `{"name": "${'x'.repeat(120_000)}"}`,
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
    expect((await coach.call('GET', `${base}/opponents`)).body).toEqual([opponent]);
    expect((await coach.call('GET', `${base}/people`)).body).toEqual([pitcher]);
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
  const own = (table: string) => `select count(*) as n from ${table}`;

  it.each(TABLES)(
    'are invisible in %s by raw SQL, with no scope and in the scope of another',
    async (table) => {
      expect((await api.app.query<{ n: number }>(own(table))).rows[0]?.n).toBe(0);
      const stranger = await aSeason(api);
      const count = async (teamId: string) =>
        (await scoped(stranger.coach.account.id, teamId, own(table)))[0]?.n ?? -1;
      // Somebody who is no member enters no team: he sees himself, and what he belongs to, at the most.
      const outside = await count(theirs.team.id);
      expect(outside).toBe({ accounts: 1, teams: 1, memberships: 1 }[table] ?? 0);
      const inside = await count(stranger.team.id);
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
    const answer = await api.client().call('GET', '/api/nothing');
    expect(answer.status).toBe(404);
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
    expect((await api.client().call('POST', '/api/accounts', aCoach('Late'))).status).toBe(201);
  });
});
