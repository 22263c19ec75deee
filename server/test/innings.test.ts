import type { BattingRecord } from '@bradyon/contract/innings';
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

  it('goes with the person it is of', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    await coach.call('PUT', `${base}/batting/${pitcher.id}`, aSeasonAtBat(pitcher.id));
    expect((await coach.call('DELETE', `${base}/people/${pitcher.id}`)).status).toBe(204);
    expect((await coach.call('GET', `${base}/batting`)).body).toEqual([]);
  });
});
