import type { BuntTryRecord } from '@bradyon/contract/bunts';
import type { TallyPage } from '@bradyon/contract/tally';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aBuntTry, aPerson, aSeason, startApi, type Api } from './api.ts';

let api: Api;
let season: Awaited<ReturnType<typeof aSeason>>;
beforeAll(async () => {
  api = await startApi();
  season = await aSeason(api);
});
afterAll(() => api.stop());

describe('bunts of practice', () => {
  it('are kept once, in their order, and given by what is new', async () => {
    const { coach, base, pitcher } = season;
    const first = aBuntTry({ personId: pitcher.id });
    const second = aBuntTry({ personId: pitcher.id, result: 'missed', lane: null, pace: null });
    const send = (rows: object[]) => coach.call('POST', `${base}/bunts`, { rows });
    expect((await send([first])).status).toBe(204);
    // Sent again with the next one, as a device does that heard no answer.
    expect((await send([first, second])).status).toBe(204);
    const { body: page } = await coach.call<TallyPage<BuntTryRecord>>(
      'GET',
      `${base}/bunts?since=0`,
    );
    expect(page.rows.map(({ id }) => id)).toEqual([first.id, second.id]);
    expect(page.rows[0]).toMatchObject({ ...first, takenAt: expect.any(String) as string });
    expect(page.more).toBe(false);
    const next = await coach.call<TallyPage<BuntTryRecord>>(
      'GET',
      `${base}/bunts?since=${String(page.next)}`,
    );
    expect(next.body.rows).toEqual([]);
    const undone = aBuntTry({ personId: pitcher.id, undoes: second.id });
    await send([undone]);
    const { body: after } = await coach.call<TallyPage<BuntTryRecord>>(
      'GET',
      `${base}/bunts?since=${String(page.next)}`,
    );
    expect(after.rows.map(({ undoes }) => undoes)).toEqual([second.id]);
  });

  it('are refused with a reason when they belong to nobody or make no sense', async () => {
    const { coach, base, pitcher } = season;
    const stranger = await coach.call('POST', `${base}/bunts`, { rows: [aBuntTry()] });
    expect(stranger.status).toBe(422);
    const odd = await coach.call('POST', `${base}/bunts`, {
      rows: [aBuntTry({ personId: pitcher.id, result: 'missed' })],
    });
    expect(odd.status).toBe(422);
    expect(odd.problem.errors).toMatchObject([{ path: 'rows.0.lane' }]);
  });

  it('go with the person', async () => {
    const { coach, base } = season;
    const leaving = aPerson({ name: 'Leaving' });
    await coach.call('POST', `${base}/people`, leaving);
    await coach.call('POST', `${base}/bunts`, { rows: [aBuntTry({ personId: leaving.id })] });
    await coach.call('DELETE', `${base}/people/${leaving.id}`);
    const { body } = await coach.call<TallyPage<BuntTryRecord>>('GET', `${base}/bunts?since=0`);
    expect(body.rows.some(({ personId }) => personId === leaving.id)).toBe(false);
  });
});
