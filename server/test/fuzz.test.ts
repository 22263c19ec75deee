import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { aCoach, aTeam, startApi, type Api, type Client } from './api.ts';
import {
  ACCOUNT_ROUTES,
  addressOf,
  aFullSeason,
  OPEN_ROUTES,
  TEAM_ROUTES,
  type Ids,
  type Season,
} from './routes.ts';

/** A bounded run with every change; `npm run fuzz` asks for many more. */
const REQUESTS = Number(process.env['FUZZ_REQUESTS'] ?? '1500');
const SEED = Number(process.env['FUZZ_SEED'] ?? '20310501');

let api: Api;
let season: Season;
let ids: Ids;
beforeAll(async () => {
  api = await startApi();
  ({ season, ids } = await aFullSeason(api));
});
afterAll(() => api.stop());

/** Values that programs trip over. */
const nasty = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    '',
    ' ',
    0,
    -0,
    -1,
    0.1 + 0.2,
    1e-300,
    1e308,
    2 ** 53,
    '\u0000',
    '\ud800',
    'a\nb',
    '__proto__',
    '0206-05-01T00:00:00Z',
    '9999-12-31T23:59:59Z',
    '2031-05-01T24:00:00Z',
    '{00000000-0000-4000-8000-000000000000}',
    '00000000-0000-4000-8000-000000000000',
    [],
    {},
    [[[[[]]]]],
    { toString: 1 },
  ),
  fc.string({ unit: 'binary', maxLength: 300 }),
  fc.double(),
  fc.integer(),
  fc.jsonValue({ maxDepth: 3 }),
);

/** What is done to a body that would be right. */
const change = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.record({ kind: fc.constant('set' as const), at: fc.nat(400), value: nasty }),
  },
  { weight: 2, arbitrary: fc.record({ kind: fc.constant('drop' as const), at: fc.nat(400) }) },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('twice' as const), at: fc.nat(400) }) },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('whole' as const), value: nasty }) },
  {
    weight: 1,
    arbitrary: fc.record({
      kind: fc.constant('raw' as const),
      text: fc.string({ maxLength: 200 }),
    }),
  },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('none' as const) }) },
);
type Change = typeof change extends fc.Arbitrary<infer T> ? T : never;

/** Every place in a value, as the object and the key that hold it. */
function placesIn(value: unknown): [holder: Record<string, unknown>, key: string][] {
  if (typeof value !== 'object' || value === null) return [];
  const holder = value as Record<string, unknown>;
  return Object.keys(holder).flatMap((key): [Record<string, unknown>, string][] => [
    [holder, key],
    ...placesIn(holder[key]),
  ]);
}

function changed(body: unknown, changes: readonly Change[]): string | undefined {
  let made: unknown = structuredClone(body);
  for (const each of changes) {
    if (each.kind === 'raw') return each.text;
    if (each.kind === 'whole') made = each.value;
    if (!('at' in each)) continue;
    const places = placesIn(made);
    const place = places[each.at % Math.max(1, places.length)];
    if (!place) continue;
    const [holder, key] = place;
    if (each.kind === 'drop') Reflect.deleteProperty(holder, key);
    if (each.kind === 'set') holder[key] = each.value;
    if (each.kind === 'twice') holder[key] = [holder[key], holder[key]];
  }
  return JSON.stringify(made);
}

const ROUTES = [...Object.keys(TEAM_ROUTES), ...ACCOUNT_ROUTES, ...OPEN_ROUTES].filter(
  // They end what everything else is tried on; what they do is tested by itself.
  (route) =>
    ![
      'DELETE /api/teams/:teamId',
      'DELETE /api/accounts/sessions',
      'DELETE /api/accounts/session',
    ].includes(route),
);

/** A right body for a route that has one. */
function bodyFor(route: string): unknown {
  const own = TEAM_ROUTES[route]?.(season, ids);
  if (own !== undefined) return own;
  const password = 'ten letters or more';
  const bodies: Record<string, unknown> = {
    'POST /api/teams': aTeam(),
    'POST /api/teams/join': { code: 'K7QD-93XM' },
    'POST /api/teams/import': { id: randomUUID(), file: { format: 'bradyon-team', version: 3 } },
    'POST /api/accounts': aCoach('Fuzz'),
    'POST /api/accounts/session': { email: 'nobody@example.org', password },
    'POST /api/accounts/reset': { email: 'nobody@example.org', code: 'K7QD-93XM', password },
    'PUT /api/accounts/password': { current: 'wrong', password: 'another one of these' },
    'DELETE /api/accounts/me': { password: 'wrong' },
    'POST /api/thumbs': {
      id: randomUUID(),
      lateSeconds: { mitt: 0.05 },
      frameSeconds: 0.0167,
      takenAt: '2031-05-01T17:30:00Z',
    },
    'POST /api/gates/events': {
      id: randomUUID(),
      type: 'run',
      takenAt: '2031-05-01T17:30:00Z',
      beams: [
        { feet: 0, seconds: 0 },
        { feet: 30, seconds: 1.9 },
      ],
    },
  };
  return bodies[route];
}

const request = fc.record({
  route: fc.constantFrom(...ROUTES),
  changes: fc.array(change, { minLength: 1, maxLength: 3 }),
  query: fc.oneof(
    fc.constant(''),
    fc.constant('?since=1'),
    fc.webQueryParameters().map((text) => `?since=${text}`),
  ),
  pathJunk: fc.option(fc.webSegment({ size: 'small' }), { freq: 12 }),
});

async function send(
  client: Client,
  { route, changes, query, pathJunk }: typeof request extends fc.Arbitrary<infer T> ? T : never,
) {
  const [method, right] = addressOf(route, season.team.id, ids);
  const path = pathJunk === null ? right : right.replace(/[\da-f-]{36}/, pathJunk || 'x');
  const body = ['GET', 'HEAD'].includes(method)
    ? undefined
    : changed(bodyFor(route) ?? {}, changes);
  return client.call(method, path + query, body);
}

it(
  `${String(REQUESTS)} requests of nonsense on every route are each answered with a reason`,
  async () => {
    const waits: number[] = [];
    const going = { isOver: false };
    const other = await aFullSeason(api);
    // Somebody who only does their work meanwhile.
    const bystander = (async () => {
      while (!going.isOver) {
        const start = performance.now();
        const { status } = await other.season.coach.call('GET', `${other.season.base}/people`);
        waits.push(performance.now() - start);
        expect(status).toBe(200);
        await new Promise((done) => setTimeout(done, 50));
      }
    })();
    const early = { rss: 0, at: Math.ceil(REQUESTS / 4) };
    let done = 0;
    try {
      await fc.assert(
        fc.asyncProperty(request, async (asked) => {
          const { status, problem } = await send(season.coach, asked);
          expect(status, `${asked.route} broke`).toBeLessThan(500);
          if (status >= 400) expect(problem.detail.length).toBeGreaterThan(5);
          done += 1;
          if (done === early.at) early.rss = process.memoryUsage().rss;
          if (done % 5000 === 0) process.stdout.write(`fuzz: ${String(done)} so far\n`);
        }),
        { numRuns: REQUESTS, seed: SEED, endOnFailure: REQUESTS > 5000 },
      );
    } finally {
      going.isOver = true;
      await bystander;
    }
    const p95 = waits.sort((a, b) => a - b)[Math.floor(waits.length * 0.95)] ?? 0;
    const risen = (process.memoryUsage().rss - early.rss) / 1_000_000;
    process.stdout.write(
      `fuzz: ${String(done)} requests, others' p95 ${p95.toFixed(0)} ms, memory ${risen > 0 ? '+' : ''}${risen.toFixed(0)} MB\n`,
    );
    // Memory goes up and down; what grows with the requests would be far above this.
    expect(risen).toBeLessThan(300);
    // A hundred thousand take an hour and more where others work beside them.
  },
  6 * 3_600_000,
);
