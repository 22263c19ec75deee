import type { TestDiveRecord } from '@bradyon/contract/leads';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aPerson, aSeason, aTestDive, startApi, type Api } from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

describe('test dives', () => {
  it('are kept once, listed with the newest first, and can be taken back', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const first = aTestDive(pitcher.id, { takenAt: '2031-05-18T15:00:00.000Z' });
    const second = aTestDive(pitcher.id, {
      leadFeet: 12.5,
      result: 'short',
      inchesShort: 7,
      takenAt: '2031-05-18T15:02:00.000Z',
    });
    for (const dive of [first, second, first]) {
      const { status, body } = await coach.call('POST', `${base}/test-dives`, dive);
      expect([200, 201]).toContain(status);
      expect(body).toEqual(dive);
    }
    const list = async () => (await coach.call<TestDiveRecord[]>('GET', `${base}/test-dives`)).body;
    expect(await list()).toEqual([second, first]);
    expect((await coach.call('POST', `${base}/test-dives`, { ...first, leadFeet: 9 })).status).toBe(
      409,
    );
    expect((await coach.call('DELETE', `${base}/test-dives/${first.id}`)).status).toBe(204);
    expect(await list()).toEqual([second]);
  });

  it('are of somebody who is known, and make sense', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const stranger = aTestDive(aPerson().id);
    const { status, problem } = await coach.call('POST', `${base}/test-dives`, stranger);
    expect([status, problem.errors]).toMatchObject([422, [{ path: 'personId' }]]);
    const none = aTestDive(pitcher.id, { result: 'short' });
    const answer = await coach.call('POST', `${base}/test-dives`, none);
    expect(answer.problem.errors).toMatchObject([{ path: 'inchesShort' }]);
  });

  it('go with the person they are of', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    await coach.call('POST', `${base}/test-dives`, aTestDive(pitcher.id));
    expect((await coach.call('DELETE', `${base}/people/${pitcher.id}`)).status).toBe(204);
    expect((await coach.call('GET', `${base}/test-dives`)).body).toEqual([]);
  });
});

describe('a runner’s own lead', () => {
  it('is kept as it was sent', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const led = { ...pitcher, leadFeet: 11.25, version: 1 };
    expect((await coach.call('PUT', `${base}/people/${pitcher.id}`, led)).body).toEqual({
      ...led,
      version: 2,
    });
    const far = await coach.call('PUT', `${base}/people/${pitcher.id}`, { ...led, leadFeet: 90 });
    expect(far.problem.errors).toMatchObject([{ path: 'leadFeet' }]);
  });
});
