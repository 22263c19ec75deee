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
    const first = aSeasonAtBat(pitcher.id);
    expect((await coach.call('PUT', path, first)).body).toEqual(first);
    const later = { ...first, plateAppearances: 64, hits: 17 };
    expect((await coach.call('PUT', path, later)).body).toEqual(later);
    const list = async () => (await coach.call<BattingRecord[]>('GET', `${base}/batting`)).body;
    expect(await list()).toEqual([later]);
    expect((await coach.call('DELETE', path)).status).toBe(204);
    expect(await list()).toEqual([]);
  });

  it('has to go together, and to be of somebody', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const path = `${base}/batting/${pitcher.id}`;
    const wrong = await coach.call('PUT', path, aSeasonAtBat(pitcher.id, { hits: 2 }));
    expect([wrong.status, wrong.problem.errors]).toMatchObject([422, [{ path: 'hits' }]]);
    const stranger = aPerson().id;
    const nobody = await coach.call('PUT', `${base}/batting/${stranger}`, aSeasonAtBat(stranger));
    expect(nobody.problem.errors).toMatchObject([{ path: 'personId' }]);
    const other = await coach.call('PUT', path, aSeasonAtBat(stranger));
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
    await coach.call('PUT', `${base}/batting/${pitcher.id}`, aSeasonAtBat(pitcher.id));
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
    expect((await coach.call('GET', path)).body).toEqual({ personIds: [] });
    const order = { personIds: [other.id, pitcher.id] };
    expect((await coach.call('PUT', path, order)).body).toEqual(order);
    const turned = { personIds: [pitcher.id, other.id] };
    await coach.call('PUT', path, turned);
    expect((await coach.call('GET', path)).body).toEqual(turned);

    // Dragged twice in a row, both arrive at once: one after the other, and neither fails.
    const both = [order, turned, order, turned].map((each) => coach.call('PUT', path, each));
    expect((await Promise.all(both)).map(({ status }) => status)).toEqual([200, 200, 200, 200]);
    await coach.call('PUT', path, turned);

    const stranger = await coach.call('PUT', path, { personIds: [aPerson().id] });
    expect([stranger.status, stranger.problem.errors]).toMatchObject([
      422,
      [{ path: 'personIds' }],
    ]);
    expect((await coach.call('PUT', path, { personIds: [other.id, other.id] })).status).toBe(422);
    expect((await coach.call('GET', path)).body).toEqual(turned);

    await coach.call('DELETE', `${base}/people/${pitcher.id}`);
    expect((await coach.call('GET', path)).body).toEqual({ personIds: [other.id] });
  });
});
