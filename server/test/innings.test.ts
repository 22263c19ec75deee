import type { BattingRecord } from '@bradyon/contract/innings';
import type { Person } from '@bradyon/core/people';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aPerson, aSeason, aSeasonAtBat, startApi, type Api } from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

describe('a season at bat', () => {
  it('is kept, replaced by the next, and taken back', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const path = `${base}/batting/${pitcher.id}`;
    const first = { ...aSeasonAtBat(pitcher.id), version: 0 };
    expect((await coach.call('PUT', path, first)).body).toEqual({ ...first, version: 1 });
    const later = { ...first, plateAppearances: 64, hits: 17, version: 1 };
    expect((await coach.call('PUT', path, later)).body).toEqual({ ...later, version: 2 });
    const list = async () => (await coach.call<BattingRecord[]>('GET', `${base}/batting`)).body;
    expect(await list()).toEqual([{ ...later, version: 2 }]);
    // Made from what was there before: nothing is put back, and it says what is there now.
    for (const stale of [first, { ...first, version: 1 }]) {
      const refused = await coach.call('PUT', path, stale);
      expect(refused).toMatchObject({
        status: 409,
        problem: { current: { hits: 17, version: 2 } },
      });
      expect(refused.problem.errors).toContainEqual({ path: 'hits', message: 'It is now 17.' });
    }
    expect(await list()).toEqual([{ ...later, version: 2 }]);
    expect((await coach.call('DELETE', path)).status).toBe(204);
    expect(await list()).toEqual([]);
  });

  it('has to go together, and to be of somebody', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const path = `${base}/batting/${pitcher.id}`;
    const wrong = await coach.call('PUT', path, {
      ...aSeasonAtBat(pitcher.id, { hits: 2 }),
      version: 0,
    });
    expect([wrong.status, wrong.problem.errors]).toMatchObject([422, [{ path: 'hits' }]]);
    const stranger = aPerson().id;
    const nobody = await coach.call('PUT', `${base}/batting/${stranger}`, {
      ...aSeasonAtBat(stranger),
      version: 0,
    });
    expect(nobody.problem.errors).toMatchObject([{ path: 'personId' }]);
    const other = await coach.call('PUT', path, { ...aSeasonAtBat(stranger), version: 0 });
    expect(other.status).toBe(404);
  });

  it('comes in many at once, what is known already counted as such', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const other = (await coach.call<Person>('POST', `${base}/people`, aPerson({ number: '9' })))
      .body;
    const first = { batting: [aSeasonAtBat(pitcher.id)] };
    const both = { batting: [...first.batting, aSeasonAtBat(other.id, { hits: 20 })] };
    const bring = (file: object) => coach.call('POST', `${base}/batting/import`, file);
    expect((await bring(first)).body).toEqual({ added: 1, alreadyThere: 0 });
    expect((await bring(both)).body).toEqual({ added: 1, alreadyThere: 1 });
    expect((await bring(both)).body).toEqual({ added: 0, alreadyThere: 2 });
    const twice = await bring({ batting: [...first.batting, ...first.batting] });
    expect([twice.status, twice.problem.errors]).toMatchObject([422, [{ path: 'batting.1' }]]);
  });

  it('goes with the person it is of', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const season = { ...aSeasonAtBat(pitcher.id), version: 0 };
    await coach.call('PUT', `${base}/batting/${pitcher.id}`, season);
    expect((await coach.call('DELETE', `${base}/people/${pitcher.id}`)).status).toBe(204);
    expect((await coach.call('GET', `${base}/batting`)).body).toEqual([]);
  });
});

describe('the order at bat', () => {
  it('is kept as it was set, of people known here, each once, and loses who leaves', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const other = (await coach.call<Person>('POST', `${base}/people`, aPerson({ number: '9' })))
      .body;
    const path = `${base}/batting-order`;
    expect((await coach.call('GET', path)).body).toEqual({ personIds: [], version: 0 });
    const order = { personIds: [other.id, pitcher.id], version: 0 };
    expect((await coach.call('PUT', path, order)).body).toEqual({ ...order, version: 1 });
    const turned = { personIds: [pitcher.id, other.id], version: 1 };
    await coach.call('PUT', path, turned);
    const kept = { ...turned, version: 2 };
    expect((await coach.call('GET', path)).body).toEqual(kept);

    // Dragged on four devices at once: one is first, the others learn that they were made from less.
    const all = [order, turned, order, turned].map((each) =>
      coach.call('PUT', path, { ...each, version: 2 }),
    );
    const statuses = (await Promise.all(all)).map(({ status }) => status);
    expect(statuses.toSorted()).toEqual([200, 409, 409, 409]);
    expect((await coach.call('PUT', path, { ...turned, version: 3 })).status).toBe(200);

    const stranger = await coach.call('PUT', path, { personIds: [aPerson().id], version: 4 });
    expect([stranger.status, stranger.problem.errors]).toMatchObject([
      422,
      [{ path: 'personIds' }],
    ]);
    const twice = { personIds: [other.id, other.id], version: 4 };
    expect((await coach.call('PUT', path, twice)).status).toBe(422);
    expect((await coach.call('GET', path)).body).toEqual({ ...turned, version: 4 });

    await coach.call('DELETE', `${base}/people/${pitcher.id}`);
    expect((await coach.call('GET', path)).body).toMatchObject({ personIds: [other.id] });
  });
});
