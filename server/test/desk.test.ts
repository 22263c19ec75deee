import { randomUUID } from 'node:crypto';
import type { Reminders } from '@bradyon/contract/advice';
import type { Admission, DeviceSeen, EntryAnswers, Pass } from '@bradyon/contract/games';
import type { Kept } from '@bradyon/contract/kept';
import type { Team } from '@bradyon/contract/teams';
import type { ReadingsPage } from '@bradyon/contract/timing';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aDelivery, aGame, anEntry, aPerson, aSeason, startApi, tap, type Api } from './api.ts';

let api: Api;
let season: Awaited<ReturnType<typeof aSeason>>;
let players: Person[];
const game = aGame();
beforeAll(async () => {
  api = await startApi();
  season = await aSeason(api);
  const { coach, base } = season;
  players = ['Playing', 'Sitting', 'Elsewhere'].map((name, index) =>
    aPerson({ name, number: String(60 + index) }),
  );
  for (const person of players) await coach.call('POST', `${base}/people`, person);
  for (const { id } of players) await tap(coach, base, aDelivery(id));
  await coach.call('POST', `${base}/games`, game);
  const [playing, sitting] = players as [Person, Person];
  const opened = anEntry({
    kind: 'opened',
    told: {
      ours: 'home',
      rules: {},
      away: { order: [], flex: null, bench: [] },
      home: { order: [{ id: playing.id, pos: 'P' }], flex: null, bench: [sitting.id] },
    },
  });
  await coach.call('POST', `${base}/games/${game.id}/entries`, { entries: [opened] });
});
afterAll(() => api.stop());

async function aGuest(place = 'first') {
  const { coach, base } = season;
  const id = randomUUID();
  const made = await coach.call<Pass>('POST', `${base}/games/${game.id}/passes`, { id, place });
  expect(made.status).toBe(201);
  const guest = api.client();
  const accountId = randomUUID();
  const { code } = made.body;
  const entered = await guest.call<Admission>('POST', '/api/passes', { code, accountId });
  expect(entered.status).toBe(201);
  return { guest, pass: made.body, admission: entered.body };
}

describe('a code for one game', () => {
  it('opens its place, and shows who plays and their times, and nobody else', async () => {
    const { guest, admission } = await aGuest();
    const { base, team } = season;
    expect(admission).toMatchObject({ teamId: team.id, gameId: game.id, place: 'first' });
    const teams = await guest.call<Team[]>('GET', '/api/teams');
    expect(teams.body.map(({ id, role }) => [id, role])).toEqual([[team.id, 'guest']]);
    const people = await guest.call<Person[]>('GET', `${base}/people`);
    expect(people.body.map(({ name }) => name).toSorted()).toEqual(['Playing', 'Sitting']);
    const { body: page } = await guest.call<ReadingsPage>('GET', `${base}/readings?since=0`);
    const of = new Set<PersonId>(page.readings.map(({ personId }) => personId));
    expect([...of].toSorted()).toEqual(
      players
        .slice(0, 2)
        .map(({ id }) => id)
        .toSorted(),
    );
    const games = await guest.call<{ id: string }[]>('GET', `${base}/games`);
    expect(games.body.map(({ id }) => id)).toEqual([game.id]);
  });

  it('takes taps of its own place, and neither another’s nor what only the staff tells', async () => {
    const { guest } = await aGuest('third');
    const url = `${season.base}/games/${game.id}/entries`;
    const send = (entry: object) =>
      guest.call<EntryAnswers>('POST', url, { entries: [anEntry(entry)] });
    expect(
      (await send({ place: 'third', kind: 'sign', told: { play: 'x', seen: null } })).status,
    ).toBe(200);
    expect((await send({ place: 'bench' })).status).toBe(403);
    expect((await send({ place: 'third', kind: 'correction' })).status).toBe(403);
  });

  it('opens nothing else of the team, of its account, or of another game', async () => {
    const { guest } = await aGuest();
    const { base, coach } = season;
    const other = aGame();
    await coach.call('POST', `${base}/games`, other);
    const closed: [string, string, unknown?][] = [
      ['GET', `${base}/members`],
      ['GET', `${base}/export`],
      ['GET', `${base}/batting`],
      ['GET', `${base}/test-dives`],
      ['GET', `${base}/games/${game.id}/passes`],
      ['POST', `${base}/people`, aPerson()],
      ['DELETE', `${base}/games/${game.id}`],
      ['PUT', base, { ...season.team, name: 'Taken over' }],
    ];
    for (const [method, path, body] of closed) {
      const { status } = await guest.call(method, path, body);
      expect(status, `${method} ${path}`).toBeGreaterThanOrEqual(400);
      expect(status, `${method} ${path}`).toBeLessThan(500);
    }
    expect((await guest.call('GET', `${base}/games/${other.id}/entries`)).status).toBe(404);
  });

  it('is held by the database too: no row of anything else', async () => {
    const { guest } = await aGuest();
    const { body: me } = await guest.call<{ id: string }>('GET', '/api/accounts/me');
    const connection = await api.app.connect();
    try {
      await connection.query('begin');
      await connection.query('select enter_team($1, $2)', [me.id, season.team.id]);
      const { rows } = await connection.query<{ name: string }>(
        `select table_name as name from information_schema.columns
         where table_schema = 'public' and column_name = 'team_id'`,
      );
      const seen: Record<string, number> = {};
      for (const { name } of rows) {
        await connection.query('savepoint each_table');
        const counted = await connection
          .query<{ count: string }>(`select count(*) from ${name}`)
          .catch(() => null);
        if (counted === null) await connection.query('rollback to savepoint each_table');
        seen[name] = Number(counted?.rows[0]?.count ?? 0);
      }
      const open = ['people', 'readings', 'games', 'game_entries', 'game_devices', 'reminders'];
      const marks = ['reading_marks', 'gone_readings', 'opponents'];
      const others = Object.entries(seen).filter(([name]) => ![...open, ...marks].includes(name));
      expect(others.filter(([, count]) => count > 0)).toEqual([]);
      expect(seen).toMatchObject({ people: 2, games: 1 });
    } finally {
      await connection.query('rollback');
      connection.release();
    }
  });

  it('is over when it is taken away, and a wrong one says what to do', async () => {
    const { guest, pass } = await aGuest();
    const { coach, base } = season;
    await coach.call('DELETE', `${base}/games/${game.id}/passes/${pass.id}`);
    expect((await guest.call('GET', `${base}/games/${game.id}/entries`)).status).toBe(404);
    expect((await guest.call('GET', '/api/passes/mine')).status).toBe(404);
    const wrong = await api.client().call('POST', '/api/passes', {
      code: 'AAAA-AAAA',
      accountId: randomUUID(),
    });
    expect(wrong.status).toBe(422);
    expect(wrong.problem.errors[0]).toMatchObject({ path: 'code' });
  });

  it('ends with its time, and leaves no account behind', async () => {
    const { guest, pass } = await aGuest();
    await api.owner.query(
      `update game_passes set expires_at = now() - interval '2 days' where id = $1`,
      [pass.id],
    );
    expect((await guest.call('GET', `${season.base}/people`)).status).toBe(404);
    const { body: me } = await guest.call<{ id: string }>('GET', '/api/accounts/me');
    await aGuest();
    const { rowCount } = await api.owner.query('select 1 from accounts where id = $1', [me.id]);
    expect(rowCount).toBe(0);
  });
});

describe('devices of a game', () => {
  it('say where they are and how far, and see each other', async () => {
    const { coach, base } = season;
    const url = `${base}/games/${game.id}/devices`;
    await coach.call('POST', url, { device: 'tablet', place: 'bench', lastSeq: 1 });
    const { guest } = await aGuest();
    const { body } = await guest.call<DeviceSeen[]>('POST', url, {
      device: 'phone',
      place: 'first',
      lastSeq: 0,
    });
    expect(body.map(({ device, place, lastSeq }) => [device, place, lastSeq])).toEqual([
      ['phone', 'first', 0],
      ['tablet', 'bench', 1],
    ]);
    expect(body[0]?.name).toBe('First base guest');
    const moved = await guest.call<DeviceSeen[]>('POST', url, {
      device: 'phone',
      place: 'first',
      lastSeq: 1,
    });
    expect(moved.body).toHaveLength(2);
    expect((await coach.call('POST', url, { device: '', place: 'moon', lastSeq: -1 })).status).toBe(
      422,
    );
  });
});

describe('reminders of a team', () => {
  it('are kept as a whole, and a change from an older version is refused with what is there', async () => {
    const { coach, base } = season;
    const url = `${base}/reminders`;
    const { body: none } = await coach.call<Kept<Reminders>>('GET', url);
    expect(none).toEqual({ off: [], words: [], own: [], version: 0 });
    const own = {
      id: 'own-1',
      to: 'runnerFirst',
      when: [{ fact: 'outs', how: 'is', value: 2 }],
      say: 'Go on the ground.',
      why: '',
      weight: 3,
    };
    const saved = await coach.call<Kept<Reminders>>('PUT', url, {
      ...none,
      off: ['f-fly'],
      own: [own],
    });
    expect(saved.body).toEqual({ off: ['f-fly'], words: [], own: [own], version: 1 });
    expect((await coach.call('PUT', url, none)).status).toBe(409);
    const bad = await coach.call('PUT', url, {
      ...saved.body,
      own: [{ ...own, say: '', when: [{ fact: 'moon', how: 'is', value: 2 }] }],
    });
    expect(bad.status).toBe(422);
    expect(bad.problem.errors.map(({ path }) => path).toSorted()).toEqual([
      'own.0.say',
      'own.0.when.0.fact',
    ]);
  });
});
