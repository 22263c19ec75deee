import type { BuntTriesPage } from '@bradyon/contract/bunts';
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
    const send = (tries: object[]) => coach.call('POST', `${base}/bunts`, { tries });
    expect((await send([first])).status).toBe(204);
    // Sent again with the next one, as a device does that heard no answer.
    expect((await send([first, second])).status).toBe(204);
    const { body: page } = await coach.call<BuntTriesPage>('GET', `${base}/bunts?since=0`);
    expect(page.tries.map(({ id }) => id)).toEqual([first.id, second.id]);
    expect(page.tries[0]).toMatchObject({ ...first, takenAt: expect.any(String) as string });
    expect(page.more).toBe(false);
    const next = await coach.call<BuntTriesPage>('GET', `${base}/bunts?since=${String(page.next)}`);
    expect(next.body.tries).toEqual([]);
    const undone = aBuntTry({ personId: pitcher.id, undoes: second.id });
    await send([undone]);
    const { body: after } = await coach.call<BuntTriesPage>(
      'GET',
      `${base}/bunts?since=${String(page.next)}`,
    );
    expect(after.tries.map(({ undoes }) => undoes)).toEqual([second.id]);
  });

  it('are refused with a reason when they belong to nobody or make no sense', async () => {
    const { coach, base, pitcher } = season;
    const stranger = await coach.call('POST', `${base}/bunts`, { tries: [aBuntTry()] });
    expect(stranger.status).toBe(422);
    const odd = await coach.call('POST', `${base}/bunts`, {
      tries: [aBuntTry({ personId: pitcher.id, result: 'missed' })],
    });
    expect(odd.status).toBe(422);
    expect(odd.problem.errors).toMatchObject([{ path: 'tries.0.lane' }]);
  });

  it('go with the person', async () => {
    const { coach, base } = season;
    const leaving = aPerson({ name: 'Leaving' });
    await coach.call('POST', `${base}/people`, leaving);
    await coach.call('POST', `${base}/bunts`, { tries: [aBuntTry({ personId: leaving.id })] });
    await coach.call('DELETE', `${base}/people/${leaving.id}`);
    const { body } = await coach.call<BuntTriesPage>('GET', `${base}/bunts?since=0`);
    expect(body.tries.some(({ personId }) => personId === leaving.id)).toBe(false);
  });
});
