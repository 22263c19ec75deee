import { randomUUID } from 'node:crypto';
import type { StaffThumb, ThumbRepDraft, Together } from '@bradyon/contract/thumb';
import type { Invite, Team } from '@bradyon/contract/teams';
import type { ThumbRepId } from '@bradyon/core/units';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aSeason, startApi, type Api } from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

function aRep(parts: Partial<ThumbRepDraft> = {}): ThumbRepDraft {
  return {
    id: randomUUID() as ThumbRepId,
    lateSeconds: { firstMove: 0.1, mitt: 0.06 },
    frameSeconds: 0.0167,
    takenAt: '2031-05-01T17:30:00.000Z',
    ...parts,
  };
}

/** A coach and an assistant of one team. */
async function aStaff() {
  const season = await aSeason(api);
  const { coach, base } = season;
  const { body } = await coach.call<Invite>('POST', `${base}/invites`, {
    id: randomUUID(),
    many: false,
  });
  const assistant = await api.coach('Teo');
  await assistant.call<Team>('POST', '/api/teams/join', { code: body.code });
  return { ...season, assistant };
}

describe('the thumb drill', () => {
  it('keeps each rep once, for the coach alone, and starts over on request', async () => {
    const { coach, assistant } = await aStaff();
    const rep = aRep();
    expect((await coach.call('POST', '/api/thumbs', rep)).status).toBe(201);
    expect((await coach.call('POST', '/api/thumbs', rep)).status).toBe(200);
    expect(
      (await coach.call('POST', '/api/thumbs', aRep({ id: rep.id, frameSeconds: 0.1 }))).status,
    ).toBe(409);
    expect((await coach.call('GET', '/api/thumbs')).body).toEqual([rep]);
    expect((await assistant.call('GET', '/api/thumbs')).body).toEqual([]);
    // What somebody else deletes is his own.
    await assistant.call('DELETE', '/api/thumbs');
    expect((await coach.call('GET', '/api/thumbs')).body).toHaveLength(1);
    await coach.call('DELETE', '/api/thumbs');
    expect((await coach.call('GET', '/api/thumbs')).body).toEqual([]);
  });

  it('shows the staff each other’s thumbs, and nobody else', async () => {
    const { coach, assistant, base } = await aStaff();
    const early = aRep({ takenAt: '2031-05-01T10:00:00Z', lateSeconds: { mitt: 0.01 } });
    await coach.call('POST', '/api/thumbs', aRep());
    await coach.call('POST', '/api/thumbs', early);
    const seen = await assistant.call<StaffThumb[]>('GET', `${base}/thumbs`);
    expect(seen.body).toEqual([
      {
        accountId: coach.account.id,
        reps: [early, aRep()].map(({ lateSeconds, frameSeconds }) => ({
          lateSeconds,
          frameSeconds,
        })),
      },
    ]);
    const stranger = await aSeason(api);
    expect((await stranger.coach.call('GET', `${stranger.base}/thumbs`)).body).toEqual([]);
  });

  it('refuses what no thumb does', async () => {
    const { coach } = await aStaff();
    const answer = await coach.call('POST', '/api/thumbs', aRep({ lateSeconds: { mitt: 5 } }));
    expect(answer.problem.errors).toMatchObject([{ path: 'lateSeconds.mitt' }]);
  });
});

describe('timing together', () => {
  it('gathers everybody’s times of the same events, the first of each', async () => {
    const { coach, assistant, base } = await aStaff();
    const id = randomUUID();
    await coach.call('POST', `${base}/together`, { id, kind: 'delivery' });
    expect(
      (await assistant.call('POST', `${base}/together`, { id, kind: 'delivery' })).status,
    ).toBe(200);
    const time = (who: typeof coach, event: number, seconds: number | null) =>
      who.call<Together>('POST', `${base}/together/${id}/times`, { event, seconds });
    await time(coach, 1, 1.38);
    await time(coach, 1, 1.2);
    await time(assistant, 1, 1.41);
    await time(assistant, 2, null);
    const { body } = await coach.call<Together[]>('GET', `${base}/together`);
    expect(body).toMatchObject([{ id, kind: 'delivery' }]);
    expect(
      body[0]?.times.map(({ name, event, seconds }) => [name, event, seconds]).toSorted(),
    ).toEqual([
      ['Marit', 1, 1.38],
      ['Teo', 1, 1.41],
      ['Teo', 2, null],
    ]);
    expect((await time(coach, 0, 1)).status).toBe(422);
  });
});
