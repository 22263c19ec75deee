import { randomUUID } from 'node:crypto';
import {
  PAGE_ROWS,
  type ReadingsPage,
  type ReadingStep,
  type StepAnswer,
  type StepAnswers,
} from '@bradyon/contract/timing';
import type { Reading } from '@bradyon/core/timing';
import type { PersonId, ReadingId } from '@bradyon/core/units';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  aDelivery,
  anAssistant,
  aPerson,
  aSeason,
  readingsIn,
  startApi,
  tap,
  type Api,
  type Client,
} from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

const take = async (coach: Client, base: string, ...steps: ReadingStep[]) =>
  (await coach.call<StepAnswers>('POST', `${base}/readings`, { steps })).body.answers;
const judge = (readingId: ReadingId, reason: Reading['asideReason'], vouched = false) =>
  ({ step: 'judge', readingId, reason, vouched }) as const;
const kept = (answer: StepAnswer | undefined): Reading | null =>
  answer?.ok ? answer.reading : null;
const page = async (coach: Client, base: string, since: number) =>
  (await coach.call<ReadingsPage>('GET', `${base}/readings?since=${String(since)}`)).body;

describe('readings', () => {
  it('are kept to the millisecond with who timed them, once however often they are sent', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const draft = aDelivery(pitcher.id, { seconds: 1.407, takenAt: '2031-05-01T19:30:00+02:00' });
    const [first] = await tap(coach, base, draft);
    expect(kept(first)).toMatchObject({
      seconds: 1.407,
      takenAt: '2031-05-01T17:30:00.000Z',
      timedBy: coach.account.id,
      timedByName: 'Marit',
      asideReason: null,
    });
    expect(await tap(coach, base, draft)).toEqual([first]);
    expect(await readingsIn(coach, base)).toEqual([kept(first)]);
    expect(await tap(coach, base, { ...draft, seconds: 1.2 })).toMatchObject([
      { ok: false, status: 409 },
    ]);
  });

  it.each([
    { seconds: 1.9504 },
    { seconds: 1.95049999 },
    { kind: 'steal', style: null, seconds: 3.4, leadFeet: 11.25 },
    { kind: 'steal', style: null, seconds: 3.4, leadFeet: 3.5 / 0.3048 },
    { method: 'clip', resolutionSeconds: 1 / 30 },
    { takenAt: '2031-05-01T17:30:00.123456789Z' },
    { takenAt: '2031-05-01T17:30Z' },
    { takenAt: '1970-01-01T05:30:00+05:30' },
  ] as const)('are the same when they are sent again with %j', async (parts) => {
    const { coach, base, pitcher } = await aSeason(api);
    const draft = aDelivery(pitcher.id, parts);
    const [first] = await tap(coach, base, draft);
    expect(first).toMatchObject({ ok: true });
    expect(await tap(coach, base, draft)).toEqual([first]);
    expect(await readingsIn(coach, base)).toEqual([kept(first)]);
  });

  it.each([
    { id: `{${randomUUID()}}` },
    { id: randomUUID().replaceAll('-', '') },
    { takenAt: '0206-05-01T17:30:00Z' },
    { takenAt: '0031-05-01T17:30:00Z' },
    { takenAt: '2100-01-01T00:00:00Z' },
    { takenAt: '2031-02-30T25:00:00Z' },
    { takenAt: '2031-05-01' },
    { seconds: 0.0004 },
  ])('are refused, and break nothing, with %j', async (parts) => {
    const { coach, base, pitcher } = await aSeason(api);
    const steps = [{ step: 'add', draft: { ...aDelivery(pitcher.id), ...parts } }];
    const answer = await coach.call('POST', `${base}/readings`, { steps });
    expect(answer.status).toBe(422);
    expect(answer.problem.errors[0]?.path).toBe(`steps.0.draft.${Object.keys(parts)[0] ?? ''}`);
    expect(await readingsIn(coach, base)).toEqual([]);
  });

  it('are set aside with a reason and let count again, and nothing else of them changes', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const draft = aDelivery(pitcher.id);
    const [added] = await tap(coach, base, draft);
    const reading = kept(added);
    const [aside] = await take(coach, base, judge(draft.id, 'wrong tap'));
    expect(kept(aside)).toEqual({ ...reading, asideReason: 'wrong tap' });
    expect(await readingsIn(coach, base)).toEqual([kept(aside)]);
    await take(coach, base, judge(draft.id, null));
    expect(await readingsIn(coach, base)).toEqual([reading]);
    await take(coach, base, judge(draft.id, null, true));
    expect(await readingsIn(coach, base)).toEqual([{ ...reading, vouched: true }]);
    const bored = { steps: [judge(draft.id, 'bored' as never)] };
    expect((await coach.call('POST', `${base}/readings`, bored)).problem.errors).toMatchObject([
      { path: 'steps.0.reason' },
    ]);
  });

  it('go many at once in their order; what is refused of them holds up nothing', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const nobody = '00000000-0000-4000-8000-000000000000' as PersonId;
    const [first, lost, second, third] = [
      aDelivery(pitcher.id, { seconds: 1.41 }),
      aDelivery(nobody),
      aDelivery(pitcher.id, { seconds: 1.42 }),
      aDelivery(pitcher.id, { seconds: 1.43 }),
    ] as const;
    const add = (draft: typeof first) => ({ step: 'add', draft }) as const;
    const answers = await take(
      coach,
      base,
      add(first),
      add(lost),
      judge(first.id, 'wrong tap'),
      add(second),
      judge(lost.id, 'wrong tap'),
      judge(first.id, null),
      // Moved from one that is deleted in the same breath.
      add({ ...third, movedFrom: second.id }),
      { step: 'delete', readingId: second.id },
      add(second),
    );
    expect(answers.map((each) => (each.ok ? 'ok' : each.status))).toEqual([
      'ok',
      422,
      'ok',
      'ok',
      404,
      'ok',
      'ok',
      'ok',
      410,
    ]);
    expect(answers[1]).toMatchObject({ errors: [{ path: 'draft.personId' }] });
    const left = await readingsIn(coach, base);
    expect(left.map(({ seconds, asideReason }) => [seconds, asideReason])).toEqual([
      [1.41, null],
      [1.43, null],
    ]);
  });

  it('can be deleted for good, and a tap that is sent again does not bring one back', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const assistant = await anAssistant(api, coach, base);
    const mine = aDelivery(pitcher.id);
    const theirs = aDelivery(pitcher.id);
    await tap(coach, base, mine);
    await tap(assistant, base, theirs);
    const gone = { step: 'delete', readingId: mine.id } as const;
    expect(await take(assistant, base, gone)).toMatchObject([{ ok: false, status: 403 }]);
    expect(await take(assistant, base, { step: 'delete', readingId: theirs.id })).toEqual([
      { ok: true, reading: null },
    ]);
    expect(await take(coach, base, gone)).toEqual([{ ok: true, reading: null }]);
    expect(await take(coach, base, gone)).toEqual([{ ok: true, reading: null }]);
    expect(await tap(coach, base, mine)).toMatchObject([{ ok: false, status: 410 }]);
    const imported = { readings: [mine] };
    expect((await coach.call('POST', `${base}/readings/import`, imported)).body).toEqual({
      added: 0,
      alreadyThere: 1,
    });
    expect(await readingsIn(coach, base)).toEqual([]);
  });

  it('come in by a file all or none: a player who is gone is said', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const readings = [aDelivery(pitcher.id), aDelivery(randomUUID() as PersonId)];
    const refused = await coach.call('POST', `${base}/readings/import`, { readings });
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body)).toContain('One of the players was deleted');
    expect(await readingsIn(coach, base)).toEqual([]);
  });

  it('cannot be changed, even by the application itself', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    await tap(coach, base, aDelivery(pitcher.id));
    await expect(api.app.query('update readings set seconds = 1')).rejects.toThrow(
      'permission denied',
    );
  });

  it('are refused with the field when the parts do not belong together', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const pop = aDelivery(pitcher.id, { kind: 'pop', seconds: 2.1 });
    const self = aDelivery(pitcher.id);
    const refused = async (draft: typeof pop) =>
      (await coach.call('POST', `${base}/readings`, { steps: [{ step: 'add', draft }] })).problem
        .errors;
    expect(await refused(pop)).toEqual([
      { path: 'steps.0.draft.style', message: 'Only a delivery has a style.' },
    ]);
    expect(await refused({ ...self, movedFrom: self.id })).toMatchObject([
      { path: 'steps.0.draft.movedFrom' },
    ]);
  });
});

describe('what is new of the readings', () => {
  it('is what was added, judged and deleted since a mark, and nothing of before', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const [first, second] = [aDelivery(pitcher.id), aDelivery(pitcher.id)];
    await tap(coach, base, first, second);
    const start = await page(coach, base, 0);
    expect(start).toMatchObject({ gone: [], more: false });
    expect(start.readings.map(({ id }) => id)).toEqual([first.id, second.id]);
    expect(await page(coach, base, start.next)).toEqual({
      readings: [],
      gone: [],
      next: start.next,
      more: false,
    });
    await take(coach, base, judge(first.id, 'wrong tap'), {
      step: 'delete',
      readingId: second.id,
    });
    const news = await page(coach, base, start.next);
    expect(news.readings).toMatchObject([{ id: first.id, asideReason: 'wrong tap' }]);
    expect(news.gone).toEqual([second.id]);
  });

  it('comes in pages, none of them large, with everybody who was deleted in the meantime', async () => {
    const { coach, base, pitcher, team } = await aSeason(api);
    const other = aPerson({ number: '9' });
    await coach.call('POST', `${base}/people`, other);
    const rows = 2 * PAGE_ROWS + 10;
    await api.owner.query(
      `insert into readings (team_id, id, person_id, kind, seconds, style, method, taken_at,
                             timed_by, mark)
       select $1, gen_random_uuid(), case when nth % 2 = 0 then $2::uuid else $3::uuid end,
              'delivery', 1.4, 'legLift', 'thumb', now(), $4, nth
       from generate_series(1, ${String(rows)}) nth`,
      [team.id, pitcher.id, other.id, coach.account.id],
    );
    await api.owner.query('insert into reading_marks (team_id, last) values ($1, $2)', [
      team.id,
      rows,
    ]);
    const first = await coach.call<ReadingsPage>('GET', `${base}/readings?since=0`);
    expect(first.body).toMatchObject({ next: PAGE_ROWS, more: true });
    expect(JSON.stringify(first.body).length).toBeLessThan(500_000);
    expect(new Set((await readingsIn(coach, base)).map(({ id }) => id)).size).toBe(rows);

    await coach.call('DELETE', `${base}/people/${other.id}`);
    const gone: ReadingId[] = [];
    for (let since = rows, more = true; more;) {
      const news = await page(coach, base, since);
      gone.push(...news.gone);
      expect(news.readings).toEqual([]);
      ({ next: since, more } = news);
    }
    expect(new Set(gone).size).toBe(rows / 2);
    expect(await readingsIn(coach, base)).toHaveLength(rows / 2);
  });

  it('misses nothing while several devices write at once', async () => {
    const { coach, base, pitcher } = await aSeason(api);
    const drafts = Array.from({ length: 60 }, () => aDelivery(pitcher.id));
    const seen: ReadingId[] = [];
    const lane = { isWriting: true };
    const reader = (async () => {
      for (let since = 0, last = false; !last;) {
        last = !lane.isWriting;
        const news = await page(coach, base, since);
        seen.push(...news.readings.map(({ id }) => id));
        since = news.next;
      }
    })();
    const lanes = [0, 1, 2, 3].map(async (nthLane) => {
      for (const draft of drafts.filter((_, nth) => nth % 4 === nthLane)) {
        await tap(coach, base, draft);
      }
    });
    await Promise.all(lanes);
    lane.isWriting = false;
    await reader;
    expect(seen.toSorted()).toEqual(drafts.map(({ id }) => id).toSorted());
  });

  it.each(['-1', 'x', '1.5', '1e30'])('is not asked for from %s', async (since) => {
    const { coach, base } = await aSeason(api);
    expect((await coach.call('GET', `${base}/readings?since=${since}`)).status).toBe(422);
  });
});
