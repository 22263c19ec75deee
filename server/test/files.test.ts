import { randomUUID } from 'node:crypto';
import { TEAM_FILE_VERSION, type TeamFile } from '@bradyon/contract/files';
import type { Team } from '@bradyon/contract/teams';
import type { Imported } from '@bradyon/contract/timing';
import type { Person } from '@bradyon/core/people';
import type { ReadingId } from '@bradyon/core/units';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loadDemo } from '../src/demo/load.ts';
import {
  DEMO_KEYS,
  aDelivery,
  aPerson,
  aSeason,
  aSeasonAtBat,
  anAssistant,
  readingsIn,
  startApi,
  startApiForTest,
  tap,
  type Api,
} from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

describe('a whole team as a file', () => {
  it('goes out and comes in again as an equal team, for another coach too', async () => {
    const demo = await startApiForTest();
    await loadDemo(demo.owner, new Date('2031-05-20T12:00:00Z'), DEMO_KEYS);
    const coach = demo.client();
    await coach.call('POST', '/api/accounts/demo-session');
    const teams = (await coach.call<Team[]>('GET', '/api/teams')).body;
    const other = await demo.coach('Anneke');
    for (const { id } of teams) {
      const { body: file, headers } = await coach.call<TeamFile>('GET', `/api/teams/${id}/export`);
      expect(headers.get('content-disposition')).toContain('bradyon-team.json');
      expect(file.readings.length).toBeGreaterThan(200);
      expect(file.batting.length).toBe(file.people.length);
      expect(file.battingOrder.personIds).toHaveLength(9);
      for (const who of [coach, other]) {
        const copy = randomUUID();
        const made = await who.call<Team>('POST', '/api/teams/import', { id: copy, file });
        expect(made).toMatchObject({ status: 201, body: { id: copy, role: 'owner' } });
        const again = await who.call<TeamFile>('GET', `/api/teams/${copy}/export`);
        expect({ ...again.body, exportedAt: '' }).toEqual({ ...file, exportedAt: '' });
      }
    }
  });

  it('is made whole or not at all, with the reason', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    await tap(coach, base, aDelivery(pitcher.id));
    const { body: file } = await coach.call<TeamFile>('GET', `${base}/export`);
    const count = async () => (await coach.call<Team[]>('GET', '/api/teams')).body.length;
    const before = await count();
    const send = (changed: object) =>
      coach.call('POST', '/api/teams/import', { id: randomUUID(), file: { ...file, ...changed } });
    expect((await send({ people: [] })).problem.errors).toMatchObject([
      { path: 'file.readings.0' },
    ]);
    expect((await send({ version: TEAM_FILE_VERSION + 1 })).problem.errors).toMatchObject([
      { path: 'file.version' },
    ]);
    const stranger = { personIds: [randomUUID()] };
    expect((await send({ battingOrder: stranger })).problem.errors).toMatchObject([
      { path: 'file.battingOrder.personIds.0' },
    ]);
    const twice = [aSeasonAtBat(pitcher.id), aSeasonAtBat(pitcher.id)];
    expect((await send({ batting: twice })).problem.errors).toMatchObject([
      { path: 'file.batting.1' },
    ]);
    const twins = [...file.people, { ...pitcher, id: randomUUID() }];
    expect((await send({ people: twins })).problem.errors).toMatchObject([
      { path: 'file.people.1.number' },
    ]);
    expect(await count()).toBe(before);
    expect(
      (await coach.call('POST', '/api/teams/import', { id: base.split('/')[3], file })).status,
    ).toBe(409);
  });

  it('is for the owner only', async () => {
    const { coach, base } = await aSeason(api);
    const assistant = await anAssistant(api, coach, base);
    expect((await assistant.call('GET', `${base}/export`)).status).toBe(403);
  });
});

describe('rows of a file', () => {
  it('are added once: the same rows again are there already', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const people = ['7', '8', '9'].map((number) => aPerson({ number, name: `Player ${number}` }));
    const readings = [1.4, 1.41].map((seconds) =>
      aDelivery(pitcher.id, { seconds, method: 'import' }),
    );
    const send = async () => [
      (await coach.call<Imported>('POST', `${base}/people/import`, { people })).body,
      (await coach.call<Imported>('POST', `${base}/readings/import`, { readings })).body,
    ];
    expect(await send()).toEqual([
      { added: 3, alreadyThere: 0 },
      { added: 2, alreadyThere: 0 },
    ]);
    expect(await send()).toEqual([
      { added: 0, alreadyThere: 3 },
      { added: 0, alreadyThere: 2 },
    ]);
    expect((await coach.call<Person[]>('GET', `${base}/people`)).body).toHaveLength(4);
  });

  it('are refused with the row and the field', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const readings = [aDelivery(pitcher.id), aDelivery(pitcher.id, { style: null })];
    const answer = await coach.call('POST', `${base}/readings/import`, { readings });
    expect(answer.problem.errors).toMatchObject([{ path: 'readings.1.style' }]);
  });
});

describe('deleting somebody', () => {
  it('removes him and everything timed of him for good, and only an owner may', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const reading = aDelivery(pitcher.id);
    await tap(coach, base, reading);
    const assistant = await anAssistant(api, coach, base);
    const path = `${base}/people/${pitcher.id}`;
    expect((await assistant.call('DELETE', path)).status).toBe(403);
    expect(await readingsIn(coach, base)).toHaveLength(1);
    expect((await coach.call('DELETE', path)).status).toBe(204);
    expect(await readingsIn(coach, base)).toEqual([]);
    expect((await coach.call('GET', `${base}/people`)).body).toEqual([]);
    expect((await coach.call('DELETE', path)).status).toBe(404);
    const left = await api.owner.query('select 1 from readings where id = $1', [reading.id]);
    expect(left.rows).toEqual([]);
    // Not through the back door of the function either.
    await expect(api.app.query('select erase_person($1)', [pitcher.id])).rejects.toThrow('owner');
  });
});

describe('a reading moved to whom it belonged', () => {
  it('keeps who timed it and where it came from', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const assistant = await anAssistant(api, coach, base);
    const other = aPerson({ opponentId: pitcher.opponentId, number: '31', name: 'Noel Bexley' });
    await coach.call('POST', `${base}/people`, other);
    const first = aDelivery(pitcher.id);
    await tap(assistant, base, first);
    const moved = aDelivery(other.id, { movedFrom: first.id });
    const reading = { timedByName: 'Teo', movedFrom: first.id };
    expect(await tap(coach, base, moved)).toMatchObject([{ ok: true, reading }]);
    expect(await readingsIn(coach, base)).toMatchObject([{ id: first.id }, reading]);
    const lost = aDelivery(other.id, { movedFrom: randomUUID() as ReadingId });
    expect(await tap(coach, base, lost)).toMatchObject([
      { ok: false, status: 422, errors: [{ path: 'draft.movedFrom' }] },
    ]);
  });
});
