import type { FielderLookRecord } from '@bradyon/contract/bases';
import type { TallyPage } from '@bradyon/contract/tally';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aFielderLook, aPerson, aSeason, startApi, type Api } from './api.ts';

let api: Api;
let season: Awaited<ReturnType<typeof aSeason>>;
beforeAll(async () => {
  api = await startApi();
  season = await aSeason(api);
});
afterAll(() => api.stop());

describe('what is seen of outfielders', () => {
  it('is kept once, in its order, and given by what is new', async () => {
    const { coach, base, pitcher } = season;
    const first = aFielderLook({ personId: pitcher.id });
    const second = aFielderLook({ personId: pitcher.id, look: 'overthrows' });
    const send = (rows: object[]) => coach.call('POST', `${base}/bases/looks`, { rows });
    expect((await send([first])).status).toBe(204);
    // Sent again with the next one, as a device does that heard no answer.
    expect((await send([first, second])).status).toBe(204);
    const since = (from: number) =>
      coach.call<TallyPage<FielderLookRecord>>('GET', `${base}/bases/looks?since=${String(from)}`);
    const { body: page } = await since(0);
    expect(page.rows.map(({ id, look }) => [id, look])).toEqual([
      [first.id, 'charges'],
      [second.id, 'overthrows'],
    ]);
    expect(page.more).toBe(false);
    await send([aFielderLook({ personId: pitcher.id, undoes: second.id })]);
    expect((await since(page.next)).body.rows.map(({ undoes }) => undoes)).toEqual([second.id]);
  });

  it('is refused with a reason when it is of nobody or nothing that can be seen', async () => {
    const { coach, base, pitcher } = season;
    const stranger = await coach.call('POST', `${base}/bases/looks`, { rows: [aFielderLook()] });
    expect(stranger.status).toBe(422);
    const odd = { ...aFielderLook({ personId: pitcher.id }), look: 'naps' };
    const refused = await coach.call('POST', `${base}/bases/looks`, { rows: [odd] });
    expect(refused.status).toBe(422);
    expect(refused.problem.errors).toMatchObject([{ path: 'rows.0.look' }]);
  });

  it('goes with the person', async () => {
    const { coach, base } = season;
    const leaving = aPerson({ name: 'Leaving' });
    await coach.call('POST', `${base}/people`, leaving);
    const rows = [aFielderLook({ personId: leaving.id })];
    await coach.call('POST', `${base}/bases/looks`, { rows });
    await coach.call('DELETE', `${base}/people/${leaving.id}`);
    const { body } = await coach.call<TallyPage<FielderLookRecord>>(
      'GET',
      `${base}/bases/looks?since=0`,
    );
    expect(body.rows.some(({ personId }) => personId === leaving.id)).toBe(false);
  });
});
