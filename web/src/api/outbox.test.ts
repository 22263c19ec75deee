import type { AccountId, TeamId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import {
  makeOutbox,
  type Answer,
  type Entry,
  type OutboxStorage,
  type SentItem,
  type WriteKind,
} from './outbox.ts';
import { RefusedError, UnreachableError } from './request.ts';
import type { Session } from './session.ts';

const TEAM = 'team' as TeamId;
const marit: Session = { id: 'marit' as AccountId, name: 'Marit' };
const teo: Session = { id: 'teo' as AccountId, name: 'Teo' };

/** A device that keeps entries, as tabs share it. */
function aDevice() {
  const kept = new Map<string, Entry>();
  const device = {
    kept,
    isFull: false,
    storage: {
      all: () => Promise.resolve([...kept.values()]),
      put(entries) {
        if (device.isFull) return Promise.reject(new Error('QuotaExceededError'));
        for (const entry of entries) kept.set(entry.key, structuredClone(entry));
        return Promise.resolve();
      },
      remove(keys) {
        for (const key of keys) kept.delete(key);
        return Promise.resolve();
      },
    } satisfies OutboxStorage,
  };
  return device;
}

/** A tab on a device: its outbox, a server that answers as told, and time that passes when asked. */
function aTab(device = aDevice(), account: Session | null = marit) {
  const requests: unknown[][] = [];
  const merged: unknown[] = [];
  const timers: { work: () => void; ms: number }[] = [];
  const tab = {
    account,
    signedOut: 0,
    told: [] as ('changed' | { sent: SentItem[] })[],
    /** What the server does with a request. */
    server: (bodies: unknown[]): Answer[] | Promise<Answer[]> =>
      bodies.map((answer) => ({ ok: true, answer })),
  };
  const tapKind: WriteKind<string> = {
    name: 'tap',
    most: 200,
    async send(bodies) {
      requests.push(bodies);
      return tab.server(bodies);
    },
    merge: (sent) => merged.push(...sent.map(({ body }) => body)),
    words: (body) => body,
  };
  let ms = 1_900_000_000_000;
  const outbox = makeOutbox({
    storage: device.storage,
    kindOf: (name) => (name === 'tap' ? (tapKind as WriteKind) : undefined),
    account: () => tab.account,
    onSignedOut: () => (tab.signedOut += 1),
    tell: (message) => tab.told.push(message),
    alone: (work) => work(),
    nowMs: () => (ms += 1),
    later: (work, wait) => timers.push({ work, ms: wait }),
  });
  /** Lets everything that is due happen, and with `passing` what waits for its time. */
  const settle = async (passing = false): Promise<void> => {
    for (let round = 0; round < 50; round += 1) {
      await new Promise((done) => setImmediate(done));
      if (!passing) continue;
      const due = timers.splice(0);
      for (const { work } of due) work();
    }
  };
  const { waiting, tray } = { waiting: () => bodies('waiting'), tray: () => bodies('tray') };
  function bodies(which: 'waiting' | 'tray'): unknown[] {
    return outbox.state.getState()[which].map(({ body }) => body);
  }
  return { tab, outbox, requests, merged, timers, settle, waiting, tray, device };
}

const refusal = (status: number, retryAfter: number | null = null) =>
  new RefusedError(
    { title: 'No', status, detail: `No: ${String(status)}`, errors: [] },
    retryAfter,
  );
const away = () => new UnreachableError('The server is away.', false);
const broken = () => new UnreachableError('Something broke.', true);

describe('the outbox', () => {
  it('sends what is tapped in its order, several at once, and then knows nothing of it', async () => {
    const { outbox, requests, merged, settle, device } = aTab();
    const taps = Array.from({ length: 450 }, (_, nth) => `tap ${String(nth)}`);
    outbox.add('tap', TEAM, taps);
    await settle();
    expect(requests.map((each) => each.length)).toEqual([200, 200, 50]);
    expect(merged).toEqual(taps);
    expect(outbox.state.getState()).toMatchObject({ waiting: [], tray: [], unkept: 0 });
    expect(device.kept.size).toBe(0);
  });

  it('says that a tap is on the device only when it is', async () => {
    const { outbox, tab, settle, device } = aTab();
    tab.server = () => Promise.reject(away());
    outbox.add('tap', TEAM, ['a']);
    expect(outbox.state.getState().unkept).toBe(1);
    await settle();
    expect(outbox.state.getState().unkept).toBe(0);
    expect([...device.kept.values()]).toMatchObject([{ body: 'a', accountId: 'marit' }]);
  });

  it('says that a device is full, and sends all the same', async () => {
    const { outbox, tab, settle, device, merged } = aTab();
    device.isFull = true;
    tab.server = () => Promise.reject(away());
    outbox.add('tap', TEAM, ['a']);
    await settle();
    expect(outbox.state.getState()).toMatchObject({ isFull: true, unkept: 1 });
    tab.server = (bodies) => bodies.map((answer) => ({ ok: true, answer }));
    await settle(true);
    expect(merged).toEqual(['a']);
  });

  it('goes on trying while the server is away, and loses nothing of the order', async () => {
    const { outbox, tab, requests, merged, settle, timers } = aTab();
    let tries = 0;
    tab.server = (bodies) => {
      tries += 1;
      if (tries < 6) throw away();
      return bodies.map((answer) => ({ ok: true, answer }));
    };
    outbox.add('tap', TEAM, ['a']);
    await settle();
    expect(outbox.state.getState().trouble).toContain('is away');
    expect(timers.map(({ ms }) => ms)).toEqual([500]);
    outbox.add('tap', TEAM, ['b']);
    await settle(true);
    expect(merged).toEqual(['a', 'b']);
    expect(requests.at(-1)).toEqual(['a', 'b']);
    expect(outbox.state.getState().trouble).toBeNull();
  });

  it('puts what is refused into the tray with its reason, and goes on with the rest', async () => {
    const { outbox, tab, merged, settle, tray, waiting, device } = aTab();
    tab.server = (bodies) =>
      bodies.map((body) =>
        body === 'b'
          ? { ok: false, status: 422, detail: 'This player was deleted.' }
          : { ok: true, answer: body },
      );
    outbox.add('tap', TEAM, ['a', 'b', 'c']);
    await settle();
    expect(merged).toEqual(['a', 'c']);
    expect([waiting(), tray()]).toEqual([[], ['b']]);
    expect([...device.kept.values()]).toMatchObject([
      { body: 'b', refused: 'This player was deleted.' },
    ]);
  });

  it('finds the one that a whole batch is refused for', async () => {
    const { outbox, tab, merged, settle, tray } = aTab();
    tab.server = (bodies) => {
      if (bodies.includes('b')) throw refusal(422);
      return bodies.map((answer) => ({ ok: true, answer }));
    };
    outbox.add('tap', TEAM, ['a', 'b', 'c', 'd']);
    await settle(true);
    expect(tray()).toEqual(['b']);
    expect([...merged].sort()).toEqual(['a', 'c', 'd']);
  });

  it('sets aside what the server breaks on again and again, so that it blocks nothing', async () => {
    const { outbox, tab, requests, merged, settle, tray } = aTab();
    tab.server = (bodies) => {
      if (bodies.includes('a')) throw broken();
      return bodies.map((answer) => ({ ok: true, answer }));
    };
    outbox.add('tap', TEAM, ['a', 'b', 'c']);
    await settle(true);
    expect(tray()).toEqual(['a']);
    expect(outbox.state.getState().tray[0]?.refused).toBe('Something broke.');
    expect(merged).toEqual(['b', 'c']);
    expect(requests.length).toBeLessThan(10);
  });

  it('lets what lies in the tray be sent once more, mended, or forgotten', async () => {
    const { outbox, tab, merged, settle, tray, device } = aTab();
    tab.server = () => [{ ok: false, status: 422, detail: 'No.' }];
    for (const body of ['a', 'b']) {
      outbox.add('tap', TEAM, [body]);
      await settle();
    }
    tab.server = (bodies) => bodies.map((answer) => ({ ok: true, answer }));
    const [first, second] = outbox.state.getState().tray;
    await outbox.retry(first?.key ?? '', 'a mended');
    await outbox.discard([second?.key ?? '']);
    await settle();
    expect(tray()).toEqual([]);
    expect(merged).toEqual(['a mended']);
    expect(device.kept.size).toBe(0);
  });

  it('waits for a session that ran out, and then goes on by itself', async () => {
    const { outbox, tab, requests, merged, settle } = aTab();
    tab.server = () => Promise.reject(refusal(401));
    outbox.add('tap', TEAM, ['a']);
    await settle(true);
    expect(tab.signedOut).toBe(1);
    expect(requests).toHaveLength(1);
    tab.server = (bodies) => bodies.map((answer) => ({ ok: true, answer }));
    outbox.drain();
    await settle();
    expect(merged).toEqual(['a']);
  });

  it('waits as long as a server with too much to do asks for', async () => {
    const { outbox, tab, settle, timers } = aTab();
    tab.server = () => Promise.reject(refusal(429, 30));
    outbox.add('tap', TEAM, ['a']);
    await settle();
    expect(timers.map(({ ms }) => ms)).toEqual([30_000]);
  });

  it("never sends one coach's taps as another's, and loses none of either", async () => {
    const device = aDevice();
    const first = aTab(device, marit);
    first.tab.server = () => Promise.reject(refusal(401));
    first.outbox.add('tap', TEAM, ['a', 'b']);
    await first.settle();

    // The session ran out; another coach signs in on the same tablet.
    const second = aTab(device, teo);
    second.outbox.add('tap', TEAM, ['c']);
    await second.settle();
    expect(second.merged).toEqual(['c']);
    expect([...device.kept.values()].map(({ accountId }) => accountId)).toEqual(['marit', 'marit']);
    expect(await second.outbox.unsent(teo.id)).toBe(0);
    await second.outbox.discardAll(teo.id);
    expect(device.kept.size).toBe(2);

    second.tab.account = marit;
    second.outbox.drain();
    await second.settle();
    expect(second.merged).toEqual(['c', 'a', 'b']);
    expect(device.kept.size).toBe(0);
  });

  it('shares one line among the tabs: what one has sent the other forgets', async () => {
    const device = aDevice();
    const [here, there] = [aTab(device), aTab(device)];
    here.tab.server = () => Promise.reject(away());
    here.outbox.add('tap', TEAM, ['a']);
    await here.settle();
    await there.outbox.load();
    expect(there.waiting()).toEqual(['a']);
    there.outbox.drain();
    await there.settle();
    const sent = there.tab.told.flatMap((message) => (message === 'changed' ? [] : message.sent));
    await here.outbox.heard(sent);
    expect(here.waiting()).toEqual([]);
    expect(here.merged).toEqual(['a']);
    expect(here.requests).toHaveLength(1);
  });

  it('counts what has not arrived in every tab, and forgets it when told to', async () => {
    const device = aDevice();
    const [here, there] = [aTab(device), aTab(device)];
    for (const { tab } of [here, there]) tab.server = () => Promise.reject(away());
    here.outbox.add('tap', TEAM, ['a']);
    there.outbox.add('tap', TEAM, ['b']);
    await here.settle();
    await there.settle();
    expect(await here.outbox.unsent(marit.id)).toBe(2);
    await here.outbox.discardAll(marit.id);
    await there.outbox.load();
    expect([...here.waiting(), ...there.waiting()]).toEqual([]);
    expect(device.kept.size).toBe(0);
  });
});
