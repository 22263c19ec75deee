import type { PracticeRecord, RepRecord } from '@bradyon/contract/drills';
import type { Kept } from '@bradyon/contract/kept';
import type { TallyPage } from '@bradyon/contract/tally';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aPerson, aPractice, aRep, aSeason, startApi, type Api } from './api.ts';

let api: Api;
let season: Awaited<ReturnType<typeof aSeason>>;
beforeAll(async () => {
  api = await startApi();
  season = await aSeason(api);
});
afterAll(() => api.stop());

describe('reps of the drills', () => {
  it('are kept once, whatever drill they are of, and given by what is new', async () => {
    const { coach, base, pitcher } = season;
    const leave = aRep({ personId: pitcher.id });
    const read = aRep({
      personId: pitcher.id,
      rep: {
        drill: 'read',
        session: 'two',
        cue: 'dirt',
        signal: true,
        shownSeconds: 0.24,
        went: null,
      },
    });
    const send = (rows: object[]) => coach.call('POST', `${base}/drills/reps`, { rows });
    const squeeze = aRep({
      personId: pitcher.id,
      rep: {
        drill: 'squeeze',
        session: 's',
        showSeconds: 0.05,
        breakSeconds: null,
        outcome: 'down',
      },
    });
    expect((await send([leave])).status).toBe(204);
    // Sent again with the next one, as a device does that heard no answer.
    expect((await send([leave, read, squeeze])).status).toBe(204);
    const since = (from: number) =>
      coach.call<TallyPage<RepRecord>>('GET', `${base}/drills/reps?since=${String(from)}`);
    const { body: page } = await since(0);
    expect(page.rows.map(({ id, rep }) => [id, rep])).toEqual([
      [leave.id, leave.rep],
      [read.id, read.rep],
      [squeeze.id, squeeze.rep],
    ]);
    await send([{ ...read, id: aRep().id, undoes: read.id }]);
    expect((await since(page.next)).body.rows.map(({ undoes }) => undoes)).toEqual([read.id]);
  });

  it('are of a player, but for a coach who trains sending', async () => {
    const { coach, base } = season;
    const send = (row: object) => coach.call('POST', `${base}/drills/reps`, { rows: [row] });
    const own = aRep({
      personId: null,
      rep: {
        drill: 'send',
        session: 's',
        level: 'hs',
        seed: 7,
        answer: 'hold',
        coach: coach.account.id,
        onFirst: true,
        trail: 'second',
        guess: 0.6,
      },
    });
    const wild = { ...own, id: aRep().id, rep: { ...own.rep, guess: 1.2 } };
    expect((await send(wild)).problem.errors).toMatchObject([{ path: 'rows.0.rep.guess' }]);
    expect((await send(own)).status).toBe(204);
    const nobody = await send({ ...aRep(), personId: null });
    expect(nobody.status).toBe(422);
    expect(nobody.problem.errors).toMatchObject([{ path: 'rows.0.personId' }]);
    expect((await send(aRep())).status).toBe(422);
  });

  it('are refused with the field that is wrong', async () => {
    const { coach, base, pitcher } = season;
    const send = (rep: object) =>
      coach.call('POST', `${base}/drills/reps`, {
        rows: [{ ...aRep({ personId: pitcher.id }), rep }],
      });
    for (const [rep, path] of [
      [{ drill: 'leave', session: 'x', seconds: 44 }, 'rows.0.rep.seconds'],
      [{ drill: 'juggling', session: 'x' }, 'rows.0.rep.drill'],
      [{ drill: 'landing', session: 'x', seconds: 0, foot: 'third' }, 'rows.0.rep.foot'],
    ] as const) {
      const refused = await send(rep);
      expect(refused.status, path).toBe(422);
      expect(refused.problem.errors).toMatchObject([{ path }]);
    }
  });

  it('go with the person', async () => {
    const { coach, base } = season;
    const leaving = aPerson({ name: 'Leaving' });
    await coach.call('POST', `${base}/people`, leaving);
    await coach.call('POST', `${base}/drills/reps`, { rows: [aRep({ personId: leaving.id })] });
    await coach.call('DELETE', `${base}/people/${leaving.id}`);
    const { body } = await coach.call<TallyPage<RepRecord>>('GET', `${base}/drills/reps?since=0`);
    expect(body.rows.some(({ personId }) => personId === leaving.id)).toBe(false);
  });
});

describe('practices', () => {
  it('are written whole, the latest first, and taken away', async () => {
    const { coach, base } = season;
    const [first, second] = [aPractice(), { ...aPractice(), startsAt: '2026-07-09T16:00:00.000Z' }];
    const put = (practice: object, id: string) =>
      coach.call<Kept<PracticeRecord>>('PUT', `${base}/practices/${id}`, practice);
    for (const practice of [first, second]) {
      const { body } = await put({ ...practice, version: 0 }, practice.id);
      expect(body).toEqual({ ...practice, version: 1 });
    }
    const list = async () =>
      (await coach.call<Kept<PracticeRecord>[]>('GET', `${base}/practices`)).body;
    expect((await list()).map(({ id }) => id)).toEqual([second.id, first.id]);
    await coach.call('DELETE', `${base}/practices/${second.id}`);
    expect((await list()).map(({ id }) => id)).toEqual([first.id]);
  });

  it('are not written over what another coach has changed meanwhile', async () => {
    const { coach, base } = season;
    const practice = aPractice();
    const put = (change: object, version: number) =>
      coach.call('PUT', `${base}/practices/${practice.id}`, { ...practice, ...change, version });
    await put({}, 0);
    expect((await put({ notes: 'Bring cones' }, 1)).status).toBe(200);
    const stale = await put({ notes: 'Bring water' }, 1);
    expect(stale.status).toBe(409);
    expect(stale.problem.errors).toMatchObject([{ path: 'notes' }]);
    expect((await put({}, 0)).status).toBe(409);
    await coach.call('DELETE', `${base}/practices/${practice.id}`);
    expect((await put({}, 2)).status).toBe(404);
  });

  it('are refused where they cannot be', async () => {
    const { coach, base, pitcher } = season;
    const put = async (change: object) => {
      const practice = aPractice();
      const path = `${base}/practices/${practice.id}`;
      const { status, problem } = await coach.call('PUT', path, {
        ...practice,
        ...change,
        version: 0,
      });
      return [status, status < 400 ? undefined : problem.errors[0]?.path];
    };
    expect(await put({ order: ['starts', 'juggling'] })).toEqual([422, 'order.1']);
    expect(await put({ groups: [[pitcher.id], [pitcher.id]] })).toEqual([422, 'groups']);
    const limits = { sprints: 10, pitcherThrows: 0, catcherThrows: 900 };
    expect(await put({ limits })).toEqual([422, 'limits.catcherThrows']);
    expect(await put({ limits: { ...limits, catcherThrows: 9 } })).toEqual([200, undefined]);
    expect(await put({ slotMinutes: 900 })).toEqual([422, 'slotMinutes']);
    expect(await put({ slotMinutes: 4, changeMinutes: 4 })).toEqual([422, 'changeMinutes']);
  });
});
