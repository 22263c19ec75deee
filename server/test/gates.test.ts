import { randomUUID } from 'node:crypto';
import type { GateAnswer, GateEvent, GateRun, NewGateDevice } from '@bradyon/contract/gates';
import type { GateRunId } from '@bradyon/core/units';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aPerson, aSeason, readingsIn, startApi, type Api } from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

function aRun(...seconds: (number | null)[]): GateEvent {
  return {
    id: randomUUID() as GateRunId,
    type: 'run',
    takenAt: '2031-05-01T17:30:00.000Z',
    beams: [0, 10, 30, 85].map((feet, index) => ({ feet, seconds: seconds[index] ?? null })),
  };
}

/** A team with a runner at a set of gates. */
async function aPractice() {
  const season = await aSeason(api);
  const { coach, base } = season;
  const runner = aPerson({ number: '4' });
  await coach.call('POST', `${base}/people`, runner);
  const device = { id: randomUUID(), name: 'Gates on the outfield grass' };
  const { body } = await coach.call<NewGateDevice>('POST', `${base}/gate-devices`, device);
  const send = (event: object, token = body.token) =>
    api.client().call<GateAnswer>('POST', '/api/gates/events', event, {
      Authorization: `Bearer ${token}`,
    });
  const readings = () => readingsIn(coach, base);
  return { ...season, runner, device: body, send, readings };
}

describe('timing gates', () => {
  it('make readings of the splits, once however often a run is sent, and say what was missed', async () => {
    const { coach, base, runner, send, readings } = await aPractice();
    const run = { ...aRun(0, null, 1.86, 4.02), number: '4' };
    expect(await send(run)).toMatchObject({
      status: 201,
      body: { personName: 'Dara Whitlock', readings: 2, missedFeet: [10] },
    });
    expect((await send(run)).status).toBe(200);
    const kept = await readings();
    expect(kept).toHaveLength(2);
    expect(kept).toEqual(
      expect.arrayContaining([
        expect.objectContaining({
          personId: runner.id,
          kind: 'dash',
          method: 'gate',
          fromFeet: 30,
          toFeet: 85,
          seconds: 2.16,
          resolutionSeconds: 0.001,
        }),
      ]),
    );
    expect((await coach.call<GateRun[]>('GET', `${base}/gate-runs`)).body).toMatchObject([
      { id: run.id, personId: runner.id, beams: run.beams },
    ]);
    expect((await send({ ...run, beams: aRun(0, 1, 2, 4).beams })).status).toBe(409);
  });

  it('give a run without a number to whoever the coach says is at the gates', async () => {
    const { coach, base, runner, device, send } = await aPractice();
    expect((await send(aRun(0, 0.9, 1.8, 4))).problem.errors).toMatchObject([{ path: 'number' }]);
    const path = `${base}/gate-devices/${device.id}/runner`;
    await coach.call('PUT', path, { personId: runner.id });
    expect((await send(aRun(0, 0.9, 1.8, 4))).body).toMatchObject({ readings: 4, missedFeet: [] });
    expect((await coach.call('PUT', path, { personId: randomUUID() })).status).toBe(422);
    expect((await send({ ...aRun(0, 0.9, 1.8, 4), number: '77' })).problem.detail).toContain('77');
  });

  it('take the flight of a pitch from radar as a time, never as a speed', async () => {
    const { send, readings } = await aPractice();
    const pitch = { ...aRun(), type: 'pitch', beams: undefined, number: '4' };
    expect((await send({ ...pitch, seconds: 0.46 })).status).toBe(201);
    expect(await readings()).toMatchObject([{ kind: 'flight', seconds: 0.46, method: 'gate' }]);
    expect((await send({ ...pitch, id: randomUUID(), seconds: 78 })).problem.errors).toMatchObject([
      { path: 'seconds', message: expect.stringContaining('not speeds') as string },
    ]);
  });

  it('are let in by their token alone, as long as they and their coach are known', async () => {
    const { coach, base, device, send } = await aPractice();
    const run = { ...aRun(0, 0.9, 1.8, 4), number: '4' };
    expect((await api.client().call('POST', '/api/gates/events', run)).status).toBe(401);
    expect((await send(run, 'not-the-token')).status).toBe(401);
    // A session is no token.
    expect((await coach.call('POST', '/api/gates/events', run)).status).toBe(401);
    expect((await coach.call('DELETE', `${base}/gate-devices/${device.id}`)).status).toBe(204);
    expect((await send(run)).status).toBe(401);
  });

  it('reach no other team, and keep their tokens to themselves', async () => {
    const mine = await aPractice();
    const other = await aPractice();
    await mine.send({ ...aRun(0, 0.9, 1.8, 4), number: '4' });
    expect(await other.readings()).toEqual([]);
    await expect(api.app.query('select token_hash from gate_devices')).rejects.toThrow('denied');
  });
});
