import type { AccountId, TeamId } from '@bradyon/core/units';
import { createStore } from 'zustand/vanilla';
import { newId } from './ids.ts';
import { RefusedError, UnreachableError } from './request.ts';
import type { Session } from './session.ts';

/** Something the server has to be told. */
export interface Entry {
  /** Sorts in the order in which it was tapped. */
  key: string;
  /** Which kind of write knows how to send it. */
  kind: string;
  accountId: AccountId;
  accountName: string;
  teamId: TeamId | null;
  body: unknown;
  /** How often the server broke on it. */
  broke: number;
  /** Why it lies in the tray; null: it is on its way. */
  refused: string | null;
}

/** What the server made of one of several. */
export type Answer = { ok: true; answer: unknown } | { ok: false; status: number; detail: string };

/** How one kind of write is sent, and what becomes of the answer. */
export interface WriteKind<Body = unknown> {
  name: string;
  /** How many go out in one request. */
  most: number;
  /** Sends them in their order. @throws RefusedError or UnreachableError for all of them together */
  send: (bodies: Body[], teamId: TeamId | null) => Promise<Answer[]>;
  /** Puts what the server answered where the screens look for it. */
  merge: (sent: { body: Body; answer: unknown }[], teamId: TeamId | null) => void;
  /** What it is, in a few words, when it is refused. */
  words: (body: Body) => string;
  /** The same for another player, where the refusal may be that the one it names is gone. */
  reassign?: (body: Body, personId: string) => Body | null;
}

/** What lasts over a reload. Every call may fail: a device may be full, or keep nothing. */
export interface OutboxStorage {
  all: () => Promise<Entry[]>;
  put: (entries: readonly Entry[]) => Promise<void>;
  remove: (keys: readonly string[]) => Promise<void>;
}

interface OutboxState {
  /** On their way, in order. */
  waiting: readonly Entry[];
  /** Refused, or broken on too often. */
  tray: readonly Entry[];
  /** How many are not on the device yet. */
  unkept: number;
  /** The device has no room: what waits is lost when the page is closed. */
  isFull: boolean;
  /** What the server said when it last could not be reached; null: it answers. */
  trouble: string | null;
}

export interface OutboxParts {
  storage: OutboxStorage;
  kindOf: (name: string) => WriteKind | undefined;
  /** Who is signed in, in every tab. */
  account: () => Session | null;
  /** The session has run out. */
  onSignedOut: () => void;
  tell: (message: 'changed' | { sent: SentItem[] }) => void;
  /** Only one tab at a time. */
  alone: (work: () => Promise<void>) => Promise<void>;
  nowMs: () => number;
  /** Calls back later. */
  later: (work: () => void, ms: number) => void;
}

export interface SentItem {
  kind: string;
  teamId: TeamId | null;
  body: unknown;
  answer: unknown;
}

const FIRST_PAUSE_MS = 500;
const LONGEST_PAUSE_MS = 8000;
/** So often the server may break on one before it is set aside and the next goes on. */
const MOST_BREAKS = 4;

/**
 * One line for everything that the server has to be told: sent in order, several at once, safe to
 * send twice, kept on the device. What is refused is set aside with its reason and holds up nothing.
 * Each entry goes out as the account that made it, and waits until that one is signed in.
 */
export function makeOutbox(parts: OutboxParts) {
  const state = createStore<OutboxState>(() => ({
    waiting: [],
    tray: [],
    unkept: 0,
    isFull: false,
    trouble: null,
  }));
  /** Newer in memory than on the device. */
  const unkept = new Set<string>();
  /**
   * On their way off the device, and whether they are off it by now: who began to read before that must
   * not bring them back.
   */
  const leaving = new Map<string, boolean>();
  let loads = 0;
  const tidy = (): void => {
    if (loads > 0) return;
    for (const [key, isOff] of leaving) if (isOff) leaving.delete(key);
  };
  /** What has arrived and is being forgotten. */
  const finishing: Promise<void>[] = [];
  let serial = 0;
  let failures = 0;
  /** The next goes by itself: of several one was refused or broken on. */
  let alone = false;
  let isDraining = false;
  let isDue = false;

  const sorted = (entries: Iterable<Entry>): Entry[] =>
    [...entries].sort((a, b) => (a.key < b.key ? -1 : 1));

  const keep = async (entries: readonly Entry[]): Promise<void> => {
    for (const { key } of entries) unkept.add(key);
    try {
      await parts.storage.put(entries);
      for (const { key } of entries) unkept.delete(key);
      state.setState({ unkept: unkept.size, isFull: false });
      parts.tell('changed');
    } catch {
      // It still goes out; it only does not outlive the page.
      state.setState({ isFull: true });
    }
  };

  const forget = async (keys: readonly string[]): Promise<void> => {
    const gone = new Set(keys);
    for (const key of keys) {
      unkept.delete(key);
      leaving.set(key, false);
    }
    state.setState(({ waiting, tray }) => ({
      waiting: waiting.filter(({ key }) => !gone.has(key)),
      tray: tray.filter(({ key }) => !gone.has(key)),
      unkept: unkept.size,
    }));
    await parts.storage.remove(keys).catch(() => undefined);
    for (const key of keys) leaving.set(key, true);
    tidy();
  };

  /** Takes up what other tabs have put in, and drops what they have finished. */
  const load = async (): Promise<void> => {
    loads += 1;
    const stored = await parts.storage.all().catch(() => null);
    loads -= 1;
    if (stored === null) return;
    const { waiting, tray } = state.getState();
    const own = [...waiting, ...tray].filter(({ key }) => unkept.has(key));
    const known = new Map([...stored, ...own].map((entry) => [entry.key, entry]));
    for (const key of leaving.keys()) known.delete(key);
    tidy();
    const all = sorted(known.values());
    state.setState({
      waiting: all.filter(({ refused }) => refused === null),
      tray: all.filter(({ refused }) => refused !== null),
    });
  };

  const setAside = async (entries: readonly Entry[], reasons: readonly string[]): Promise<void> => {
    const aside = entries.map((entry, index) => ({ ...entry, refused: reasons[index] ?? '' }));
    const keys = new Set(entries.map(({ key }) => key));
    state.setState(({ waiting, tray }) => ({
      waiting: waiting.filter(({ key }) => !keys.has(key)),
      tray: sorted([...tray, ...aside]),
    }));
    await keep(aside);
  };

  /** The next of this account that go out together. */
  const nextBatch = (): { kind: WriteKind; batch: Entry[] } | null => {
    const account = parts.account();
    if (!account) return null;
    const mine = state.getState().waiting.filter(({ accountId }) => accountId === account.id);
    const [first] = mine;
    const kind = first && parts.kindOf(first.kind);
    if (!first || !kind) return null;
    const most = alone ? 1 : kind.most;
    const end = mine.findIndex(
      (each, index) => index >= most || each.kind !== first.kind || each.teamId !== first.teamId,
    );
    return { kind, batch: end === -1 ? mine : mine.slice(0, end) };
  };

  const take = async (kind: WriteKind, batch: Entry[], answers: Answer[]): Promise<void> => {
    const done = batch.flatMap((entry, index) => {
      const answer = answers[index];
      return answer?.ok ? [{ entry, answer: answer.answer }] : [];
    });
    const teamId = batch[0]?.teamId ?? null;
    const sent = done.map(({ entry, answer }) => ({ body: entry.body, answer }));
    if (sent.length > 0) kind.merge(sent, teamId);
    const refused = batch.filter((_, index) => answers[index]?.ok === false);
    const reasons = answers.flatMap((answer) => (answer.ok ? [] : [answer.detail]));
    // What has arrived may be sent again if the device loses it before it is forgotten there, so the
    // next need not wait for that.
    const forgotten = forget(done.map(({ entry }) => entry.key));
    if (refused.length > 0) await setAside(refused, reasons);
    finishing.push(
      forgotten.then(() => {
        parts.tell({ sent: sent.map((each) => ({ ...each, kind: kind.name, teamId })) });
      }),
    );
  };

  /** @returns how long to wait before the next; null: nothing is left to do */
  const sendNext = async (): Promise<{ waitMs: number } | null> => {
    const next = nextBatch();
    if (!next) return null;
    const { kind, batch } = next;
    try {
      const bodies = batch.map(({ body }) => body);
      await take(kind, batch, await kind.send(bodies, batch[0]?.teamId ?? null));
      failures = 0;
      state.setState({ trouble: null });
      alone = false;
      return { waitMs: 0 };
    } catch (error) {
      return afterFailure(batch, error);
    }
  };

  const afterFailure = async (
    batch: readonly Entry[],
    error: unknown,
  ): Promise<{ waitMs: number } | null> => {
    const words = error instanceof Error ? error.message : String(error);
    if (error instanceof RefusedError) {
      const { status } = error.problem;
      if (status === 401) {
        parts.onSignedOut();
        return null;
      }
      if (status === 429) {
        return { waitMs: 1000 * (error.retryAfterSeconds ?? 10) };
      }
      // Which of several it is shows when each goes by itself.
      alone = batch.length > 1;
      if (!alone) await setAside(batch, [words]);
      return { waitMs: 0 };
    }
    failures += 1;
    const pauseMs = Math.min(FIRST_PAUSE_MS * 2 ** (failures - 1), LONGEST_PAUSE_MS);
    if (error instanceof UnreachableError && !error.broke) {
      state.setState({ trouble: words });
      return { waitMs: Math.max(pauseMs, 1000 * (error.retryAfterSeconds ?? 0)) };
    }
    // The server takes it and breaks, or the answer makes no sense here.
    const [first] = batch;
    alone = true;
    if (batch.length > 1 || !first) return { waitMs: pauseMs };
    const broke = first.broke + 1;
    if (broke >= MOST_BREAKS) {
      await setAside([{ ...first, broke }], [words]);
      failures = 0;
      alone = false;
      return { waitMs: 0 };
    }
    const tried = { ...first, broke };
    state.setState(({ waiting }) => ({
      waiting: waiting.map((each) => (each.key === first.key ? tried : each)),
    }));
    await keep([tried]);
    return { waitMs: pauseMs };
  };

  /** Sends until nothing is left or the server has to be waited for. */
  const sendAll = async (): Promise<void> => {
    while (isDue) {
      isDue = false;
      await load();
      for (;;) {
        const next = await sendNext();
        if (!next) break;
        if (next.waitMs > 0) {
          parts.later(drain, next.waitMs);
          return;
        }
      }
    }
  };

  const drain = (): void => {
    isDue = true;
    if (isDraining) return;
    isDraining = true;
    void parts
      .alone(async () => {
        await sendAll();
        await Promise.all(finishing.splice(0));
      })

      .finally(() => {
        isDraining = false;
        if (isDue) drain();
      });
  };

  const add = (kind: string, teamId: TeamId | null, bodies: readonly unknown[]): void => {
    const account = parts.account();
    if (!account) throw new Error('outbox: nobody is signed in');
    const entries = bodies.map((body): Entry => {
      serial += 1;
      const order = `${String(parts.nowMs()).padStart(15, '0')}-${String(serial).padStart(7, '0')}`;
      return {
        key: `${order}-${newId()}`,
        kind,
        accountId: account.id,
        accountName: account.name,
        teamId,
        body,
        broke: 0,
        refused: null,
      };
    });
    for (const { key } of entries) unkept.add(key);
    state.setState(({ waiting }) => ({
      waiting: [...waiting, ...entries],
      unkept: unkept.size,
    }));
    void keep(entries);
    drain();
  };

  return {
    state,
    add,
    drain,
    load,
    /** Another tab has sent these: this one shows it too. */
    async heard(sent: readonly SentItem[]): Promise<void> {
      for (const { kind, teamId, body, answer } of sent) {
        parts.kindOf(kind)?.merge([{ body, answer }], teamId);
      }
      await load();
    },
    /** Sends what lies in the tray once more, as it is or mended. */
    async retry(key: string, body?: unknown): Promise<void> {
      const entry = state.getState().tray.find((each) => each.key === key);
      if (!entry) return;
      const again = { ...entry, refused: null, broke: 0, body: body ?? entry.body };
      state.setState(({ waiting, tray }) => ({
        tray: tray.filter((each) => each.key !== key),
        waiting: sorted([...waiting, again]),
      }));
      await keep([again]);
      drain();
    },
    discard: forget,
    /** How many of an account have not arrived, those in the tray included, in whichever tab. */
    async unsent(accountId: AccountId): Promise<number> {
      await load();
      return ofAccount(accountId).length;
    },
    /** Forgets everything of an account. */
    async discardAll(accountId: AccountId): Promise<void> {
      await load();
      await forget(ofAccount(accountId).map(({ key }) => key));
      parts.tell('changed');
    },
  };

  function ofAccount(accountId: AccountId): Entry[] {
    const { waiting, tray } = state.getState();
    return [...waiting, ...tray].filter((entry) => entry.accountId === accountId);
  }
}
