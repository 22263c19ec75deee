import { randomBytes, randomUUID } from 'node:crypto';
import type { RepRecord } from '@bradyon/contract/drills';
import type { Kept } from '@bradyon/contract/kept';
import type { SharedReplay } from '@bradyon/contract/review';
import type { Drill, DrillPass, SignAnswersPage } from '@bradyon/contract/signs';
import type { TallyPage } from '@bradyon/contract/tally';
import { decode, type SignBook } from '@bradyon/core/signs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { signKeysFrom } from '../src/signKeys.ts';
import { makeVault } from '../src/features/signs/seal.ts';
import { rewrapKeys } from '../src/features/signs/index.ts';
import {
  aPerson,
  aRep,
  aReplay,
  aSeason,
  aSignAnswer,
  aSignBook,
  startApi,
  type Api,
} from './api.ts';

let api: Api;
let season: Awaited<ReturnType<typeof aSeason>>;
beforeAll(async () => {
  api = await startApi();
  season = await aSeason(api);
});
afterAll(() => api.stop());

const save = (book: Kept<SignBook>) =>
  season.coach.call<Kept<SignBook>>('PUT', `${season.base}/signs`, book);
async function load(): Promise<Kept<SignBook>> {
  return (await season.coach.call<Kept<SignBook>>('GET', `${season.base}/signs`)).body;
}
async function aPass(): Promise<DrillPass> {
  const { coach, base, pitcher } = season;
  const draft = { id: randomUUID(), personId: pitcher.id };
  return (await coach.call<DrillPass>('POST', `${base}/signs/passes`, draft)).body;
}

describe('signs', () => {
  it('are kept whole, and a change says which version it was made from', async () => {
    expect(await load()).toMatchObject({ versions: [], version: 0 });
    const first = await save(aSignBook());
    expect(first.body.version).toBe(1);
    expect(await load()).toEqual(first.body);
    const again = await save(aSignBook());
    expect(again.status).toBe(409);
    expect((await save({ ...first.body, card: 1 })).body).toMatchObject({ version: 2, card: 1 });
  });

  it('are refused with a reason where they do not fit', async () => {
    const book = { ...aSignBook(), version: (await load()).version };
    const [version] = book.versions;
    if (!version) throw new Error('a version was expected');
    for (const system of [
      { ...version.system, occurrence: 'sometimes' },
      { ...version.system, touches: Array.from({ length: 25 }, (_, index) => `t${String(index)}`) },
      { ...version.system, indicator: { kind: 'byInning', touches: [] } },
      { ...version.system, scheme: { kind: 'card', take: 9, values: [], codes: [] } },
      { ...version.system, scheme: { kind: 'count', list: [7], until: 'end' } },
    ]) {
      const { status, problem } = await save({
        ...book,
        versions: [{ ...version, system }],
      } as never);
      expect(status).toBe(422);
      expect(problem.errors.length).toBeGreaterThan(0);
    }
  });

  it('stand in the database sealed: a dump shows no pair of play and touch', async () => {
    const { rows } = await api.owner.query<Record<string, unknown>>(
      `select sealed, wrapped_key, key_id from sign_books`,
    );
    const text = rows
      .map(({ sealed, wrapped_key: key }) => `${String(sealed)}${String(key)}`)
      .join('');
    for (const word of ['belt', 'cap', 'steal', 'squeeze']) expect(text).not.toContain(word);
    expect(rows[0]?.['key_id']).toBe('session');
  });
});

describe('a seal', () => {
  const ring = (text: string) => makeVault(signKeysFrom(text, 'secret'));
  const [old, fresh] = ['old', 'new'].map(
    (name) => `${name}:${randomBytes(32).toString('base64')}`,
  );

  it('opens for its own team with its own key, and for nobody else', () => {
    const vault = ring(old ?? '');
    const key = vault.freshKey('team a');
    const sealed = vault.sealBook({ steal: 'cap' }, key, 'team a');
    expect(vault.openBook(sealed, key, 'team a')).toEqual({ steal: 'cap' });
    expect(() => vault.openBook(sealed, key, 'team b')).toThrow();
    expect(() => vault.openBook(sealed, vault.freshKey('team a'), 'team a')).toThrow();
    const changed = Buffer.from(sealed);
    changed[changed.length - 1] = (changed.at(-1) ?? 0) ^ 1;
    expect(() => vault.openBook(changed, key, 'team a')).toThrow();
    expect(() => ring(fresh ?? '').openBook(sealed, key, 'team a')).toThrow('old');
  });

  it('is wrapped by a new key of the server while the old one is still there, and then without it', async () => {
    const before = await load();
    const both = signKeysFrom(fresh, api.sessionSecret);
    expect(await rewrapKeys(api.owner, both)).toEqual({ wrapped: 1, already: 0 });
    expect(await rewrapKeys(api.owner, both)).toEqual({ wrapped: 0, already: 1 });
    const other = await startApiWith(fresh ?? '');
    const { rows } = await api.owner.query<{ sealed: Buffer; wrappedKey: Buffer; keyId: string }>(
      `select sealed, wrapped_key as "wrappedKey", key_id as "keyId" from sign_books`,
    );
    const [row] = rows;
    if (!row) throw new Error('a book was expected');
    const { version: _, ...book } = before;
    expect(other.openBook(row.sealed, row, season.team.id)).toEqual(book);
    // Back to the key that this server has.
    await rewrapKeys(api.owner, [...signKeysFrom('', api.sessionSecret), ...both]);
    expect(await load()).toEqual(before);
  });

  it('wants keys that are keys', () => {
    expect(() => signKeysFrom('short:AAAA', 'secret')).toThrow('32 bytes');
    expect(signKeysFrom(undefined, 'secret')).toHaveLength(1);
  });
});

/** A ring that never had the session's key. */
async function startApiWith(text: string) {
  return Promise.resolve(makeVault(signKeysFrom(text, 'another secret')));
}

describe('a player’s code', () => {
  it('opens a round of signs that mean what they say, and takes the answers', async () => {
    const { code } = await aPass();
    const phone = api.client();
    const { body: drill, status } = await phone.call<Drill>('POST', '/api/drills', { code });
    expect(status).toBe(200);
    expect(drill).toMatchObject({ team: season.team.name, player: season.pitcher.name });
    expect(drill.items.length).toBeGreaterThan(10);
    const [version] = (await load()).versions;
    for (const { touches, context, means } of drill.items) {
      const read = version && decode(version.system, touches, context);
      expect(read?.kind === 'play' ? read.play : null).toBe(means);
    }
    const { personId: _, ...answer } = aSignAnswer();
    for (let time = 0; time < 2; time += 1) {
      const sent = await phone.call('POST', '/api/drills/answers', { code, answers: [answer] });
      expect(sent.status).toBe(204);
    }
    const page = await season.coach.call<SignAnswersPage>(
      'GET',
      `${season.base}/signs/answers?since=0`,
    );
    expect(page.body.answers.map(({ id, personId }) => [id, personId])).toEqual([
      [answer.id, season.pitcher.id],
    ]);
    const next = await season.coach.call<SignAnswersPage>(
      'GET',
      `${season.base}/signs/answers?since=${String(page.body.next)}`,
    );
    expect(next.body.answers).toEqual([]);
    expect(phone.cookie).toBeNull();
  });

  it('opens nothing else of the team, by any table', async () => {
    const { code } = await aPass();
    const { hashCode } = await import('../src/http/codes.ts');
    const other = aPerson({ name: 'Somebody else' });
    await season.coach.call('POST', `${season.base}/people`, other);
    await season.coach.call('POST', `${season.base}/signs/answers`, {
      answers: [aSignAnswer({ personId: other.id })],
    });
    const others = [aRep({ personId: other.id })];
    await season.coach.call('POST', `${season.base}/drills/reps`, { rows: others });
    const connection = await api.app.connect();
    try {
      await connection.query('begin');
      await connection.query('select enter_drill($1)', [hashCode(code)]);
      const { rows } = await connection.query<{ name: string }>(
        `select table_name as name from information_schema.columns
         where table_schema = 'public' and column_name = 'team_id'`,
      );
      const seen: Record<string, number> = {};
      for (const { name } of [...rows, { name: 'teams' }, { name: 'accounts' }]) {
        const found = await connection
          .query<{ n: number }>(`select count(*)::int as n from ${name}`)
          .catch(() => null);
        if (!found) throw new Error(`${name} cannot be asked`);
        if (found.rows[0]?.n) seen[name] = found.rows[0].n;
      }
      expect(seen).toEqual({ sign_books: 1, sign_answers: 1 });
      await expect(
        connection.query(
          `insert into sign_answers (id, person_id, seconds, taken_at)
           values (gen_random_uuid(), '${other.id}', 1, now())`,
        ),
      ).rejects.toThrow('row-level security');
    } finally {
      await connection.query('rollback');
      connection.release();
    }
  });

  it('takes what the player decided at third base, as theirs', async () => {
    const { code } = await aPass();
    const phone = api.client();
    const { personId: _, ...rep } = aRep({
      rep: { drill: 'send', session: 's', level: 'hs', seed: 4, answer: 'send', coach: null },
    });
    const send = (rows: object[], by = code) =>
      phone.call('POST', '/api/drills/reps', { code: by, rows });
    for (let time = 0; time < 2; time += 1) expect((await send([rep])).status).toBe(204);
    const { body } = await season.coach.call<TallyPage<RepRecord>>(
      'GET',
      `${season.base}/drills/reps?since=0`,
    );
    const own = body.rows.filter(({ id }) => id === rep.id);
    expect(own.map(({ personId }) => personId)).toEqual([season.pitcher.id]);
    // Nobody says for somebody else, and not without a code.
    expect((await send([{ ...rep, personId: season.pitcher.id }])).status).toBe(422);
    expect((await send([rep], 'WRNG-0001')).status).toBe(422);
  });

  it('has the game that the coach shared last, and nothing of another team’s', async () => {
    const { code } = await aPass();
    const other = await aSeason(api);
    const shared = async (by: string) =>
      (
        await api.client().call<{ replay: SharedReplay | null }>('POST', '/api/drills/replay', {
          code: by,
        })
      ).body.replay;
    expect(await shared(code)).toBeNull();
    await other.coach.call('PUT', `${other.base}/games/replay`, aReplay({ title: 'Theirs' }));
    expect(await shared(code)).toBeNull();
    const replay = aReplay();
    expect((await season.coach.call('PUT', `${season.base}/games/replay`, replay)).status).toBe(
      204,
    );
    expect(await shared(code)).toEqual(replay);
    await season.coach.call('PUT', `${season.base}/games/replay`, aReplay({ title: 'The next' }));
    expect((await shared(code))?.title).toBe('The next');
    const [spot] = replay.spots;
    const bad = { ...replay, spots: [{ ...spot, chance: 7 }] };
    const refused = await season.coach.call('PUT', `${season.base}/games/replay`, bad);
    expect(refused.status).toBe(422);
  });

  it('ends when it is taken away, and when it is old', async () => {
    const { coach, base } = season;
    const [gone, old] = [await aPass(), await aPass()];
    const open = await coach.call<DrillPass[]>('GET', `${base}/signs/passes`);
    expect(open.body.map(({ id }) => id)).toEqual(expect.arrayContaining([gone.id, old.id]));
    expect(JSON.stringify(open.body)).not.toContain(gone.code);
    await coach.call('DELETE', `${base}/signs/passes/${gone.id}`);
    await api.owner.query(`update drill_passes set expires_at = now() where id = $1`, [old.id]);
    for (const { code } of [gone, old]) {
      const { status, problem } = await api.client().call('POST', '/api/drills', { code });
      expect(status).toBe(422);
      expect(problem.errors[0]?.message).toMatch(/ask your coach/);
    }
  });

  it('is guessed only so often', async () => {
    const tries = Array.from({ length: 25 }, (_, index) => `WRNG-${String(1000 + index)}`);
    const statuses = new Set<number>();
    for (const code of tries)
      statuses.add((await api.client().call('POST', '/api/drills', { code })).status);
    expect(statuses).toContain(429);
    await api.owner.query(`delete from rate_limits where key like 'drill-from%'`);
  });

  it('goes with its player', async () => {
    const { coach, base } = season;
    const leaving = aPerson({ name: 'Leaving' });
    await coach.call('POST', `${base}/people`, leaving);
    const draft = { id: randomUUID(), personId: leaving.id };
    const { code } = (await coach.call<DrillPass>('POST', `${base}/signs/passes`, draft)).body;
    await coach.call('POST', `${base}/signs/answers`, {
      answers: [aSignAnswer({ personId: leaving.id })],
    });
    await coach.call('DELETE', `${base}/people/${leaving.id}`);
    expect((await api.client().call('POST', '/api/drills', { code })).status).toBe(422);
    const { rows } = await api.owner.query(`select 1 from sign_answers where person_id = $1`, [
      leaving.id,
    ]);
    expect(rows).toHaveLength(0);
  });
});
