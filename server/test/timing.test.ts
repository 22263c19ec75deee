import type { Reading } from '@bradyon/core/timing';
import type { PersonId } from '@bradyon/core/units';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aDelivery, aSeason, startApi, type Api } from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

describe('readings', () => {
  it('are kept to the millisecond with who timed them, once however often they are sent', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const draft = aDelivery(pitcher.id, { seconds: 1.407, takenAt: '2031-05-01T19:30:00+02:00' });
    const first = await coach.call<Reading>('POST', `${base}/readings`, draft);
    expect(first).toMatchObject({
      status: 201,
      body: {
        seconds: 1.407,
        takenAt: '2031-05-01T17:30:00.000Z',
        timedBy: coach.account.id,
        timedByName: 'Marit',
        asideReason: null,
      },
    });
    expect((await coach.call('POST', `${base}/readings`, draft)).status).toBe(200);
    expect((await coach.call('GET', `${base}/readings`)).body).toEqual([first.body]);
    const changed = { ...draft, seconds: 1.2 };
    expect((await coach.call('POST', `${base}/readings`, changed)).status).toBe(409);
  });

  it('are set aside with a reason and brought back unchanged', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const { body } = await coach.call<Reading>('POST', `${base}/readings`, aDelivery(pitcher.id));
    const aside = (reason: string | null, vouched = false) =>
      coach.call<Reading>('PUT', `${base}/readings/${body.id}/aside`, { reason, vouched });
    expect((await aside('wrong tap')).body).toEqual({ ...body, asideReason: 'wrong tap' });
    expect((await aside(null)).body).toEqual(body);
    expect((await aside(null, true)).body).toEqual({ ...body, vouched: true });
    expect((await aside('bored')).problem.errors[0]).toMatchObject({ path: 'reason' });
  });

  it('cannot be changed, even by the application itself', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    await coach.call('POST', `${base}/readings`, aDelivery(pitcher.id));
    for (const statement of ['update readings set seconds = 1', 'delete from readings']) {
      await expect(api.app.query(statement)).rejects.toThrow('permission denied');
    }
  });

  it('belong to somebody the team knows', async () => {
    const { coach, base } = await aSeason(api);
    const nobody = '00000000-0000-4000-8000-000000000000' as PersonId;
    const answer = await coach.call('POST', `${base}/readings`, aDelivery(nobody));
    expect(answer.status).toBe(422);
    expect(answer.problem.errors[0]).toMatchObject({ path: 'personId' });
  });

  it('are refused with the field when the parts do not belong together', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const pop = aDelivery(pitcher.id, { kind: 'pop', seconds: 2.1 });
    const answer = await coach.call('POST', `${base}/readings`, pop);
    expect(answer.problem.errors).toEqual([
      { path: 'style', message: 'Only a delivery has a style.' },
    ]);
  });
});
