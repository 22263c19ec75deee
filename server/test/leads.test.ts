import type { LeadLookRecord, TestDiveRecord } from '@bradyon/contract/leads';
import type { TallyPage } from '@bradyon/contract/tally';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aLeadLook, aPerson, aSeason, aTestDive, startApi, type Api } from './api.ts';

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

describe('looks at their leads', () => {
  it('are kept once, given by what is new, and undone by a row of their own', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const first = aLeadLook({ personId: pitcher.id });
    const second = aLeadLook({ personId: pitcher.id, base: 'second', moment: 'mitt', feet: 9.25 });
    const send = (rows: object[]) => coach.call('POST', `${base}/leads/looks`, { rows });
    expect((await send([first])).status).toBe(204);
    // Sent again with the next one, as a device does that heard no answer.
    expect((await send([first, second])).status).toBe(204);
    const since = (from: number) =>
      coach.call<TallyPage<LeadLookRecord>>('GET', `${base}/leads/looks?since=${String(from)}`);
    const { body: page } = await since(0);
    expect(page.rows).toMatchObject([first, second]);
    await send([aLeadLook({ personId: pitcher.id, undoes: second.id })]);
    expect((await since(page.next)).body.rows.map(({ undoes }) => undoes)).toEqual([second.id]);
  });

  it('are refused with a reason when they are of nobody or no lead', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const send = (look: object) => coach.call('POST', `${base}/leads/looks`, { rows: [look] });
    expect((await send(aLeadLook())).status).toBe(422);
    for (const [path, wrong] of Object.entries({ base: 'third', moment: 'later', feet: 41 })) {
      const refused = await send({ ...aLeadLook({ personId: pitcher.id }), [path]: wrong });
      expect(refused.status).toBe(422);
      expect(refused.problem.errors).toMatchObject([{ path: `rows.0.${path}` }]);
    }
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
