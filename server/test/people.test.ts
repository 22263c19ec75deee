import type { Opponent, Person } from '@bradyon/core/people';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aPerson, aSeason, anOpponent, startApi, type Api } from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

describe('the roster', () => {
  it('keeps a player as entered, once, however often he is sent', async () => {
    const { coach, base } = await aSeason(api);
    const player = aPerson({ number: '00', positions: ['C', '1B'], bats: 'switch' });
    expect((await coach.call('POST', `${base}/people`, player)).status).toBe(201);
    expect(await coach.call('POST', `${base}/people`, player)).toMatchObject({
      status: 200,
      body: player,
    });
    const { body } = await coach.call<Person[]>('GET', `${base}/people`);
    expect(body.filter(({ id }) => id === player.id)).toEqual([{ ...player, version: 1 }]);
    const other = { ...player, name: 'Somebody Else' };
    expect((await coach.call('POST', `${base}/people`, other)).status).toBe(409);
  });

  it('gives a number once on each side, and again when its wearer has retired', async () => {
    const { coach, base, opponent } = await aSeason(api);
    const first = aPerson({ number: '12' });
    const send = (player: Person) => coach.call('POST', `${base}/people`, player);
    await send(first);
    const same = aPerson({ number: '12', name: 'Ines Okafor' });
    expect((await send(same)).problem.errors[0]).toMatchObject({ path: 'number' });
    expect((await send({ ...same, opponentId: opponent.id })).status).toBe(201);
    await coach.call('PUT', `${base}/people/${first.id}`, {
      ...first,
      retired: true,
      version: 1,
    });
    expect((await send(aPerson({ number: '12', name: 'Ines Okafor' }))).status).toBe(201);
    const back = await coach.call('PUT', `${base}/people/${first.id}`, {
      ...first,
      version: 2,
    });
    expect(back).toMatchObject({ status: 409, problem: { errors: [{ path: 'number' }] } });
  });

  it('lets any number of players be without a number', async () => {
    const { coach, base } = await aSeason(api);
    for (const name of ['A', 'B']) {
      const sent = await coach.call('POST', `${base}/people`, aPerson({ number: '', name }));
      expect(sent.status).toBe(201);
    }
  });

  it('does not move a player to the other side', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const moved = { ...pitcher, opponentId: null, version: 1 };
    expect((await coach.call('PUT', `${base}/people/${pitcher.id}`, moved)).status).toBe(404);
  });
});

describe('opponents', () => {
  it('can be renamed and retired, and no two have one name', async () => {
    const { coach, base, opponent } = await aSeason(api);
    const renamed = { ...opponent, name: 'Gannet Point Haddocks', retired: true, version: 1 };
    expect((await coach.call('PUT', `${base}/opponents/${opponent.id}`, renamed)).status).toBe(200);
    expect((await coach.call<Opponent[]>('GET', `${base}/opponents`)).body).toEqual([
      { ...renamed, version: 2 },
    ]);
    // A colleague who had the page open from before takes nothing back.
    const stale = await coach.call('PUT', `${base}/opponents/${opponent.id}`, {
      ...renamed,
      name: 'Millrace',
    });
    expect(stale).toMatchObject({
      status: 409,
      problem: { current: { name: 'Gannet Point Haddocks', version: 2 } },
    });
    const twin = anOpponent({ name: 'gannet point HADDOCKS' });
    expect((await coach.call('POST', `${base}/opponents`, twin)).problem.errors[0]).toMatchObject({
      path: 'name',
    });
  });
});
