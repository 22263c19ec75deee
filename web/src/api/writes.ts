import type { TeamId } from '@bradyon/core/units';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { outboxStorage } from './device.ts';
import { makeOutbox, type Entry, type WriteKind } from './outbox.ts';
import { currentAccount, session } from './session.ts';
import { hearTabs, oneTabAtATime, tellTabs } from './tabs.ts';

const kinds = new Map<string, WriteKind>();
let whenSignedOut = (): void => undefined;

/** The one line of this tab. */
export const outbox = makeOutbox({
  storage: outboxStorage,
  kindOf: (name) => kinds.get(name),
  account: () => (currentAccount() === null ? null : session.getState().account),
  onSignedOut: () => {
    whenSignedOut();
  },
  tell: (message) => {
    tellTabs(message === 'changed' ? { type: 'outbox' } : { type: 'sent', sent: message.sent });
  },
  alone: (work) => oneTabAtATime('bradyon-outbox', work),
  nowMs: () => Date.now(),
  later: (work, ms) => setTimeout(work, ms),
});

/** Begins to send what was left from before. @param onSignedOut told when the session has run out */
export function startOutbox(onSignedOut: () => void): void {
  whenSignedOut = onSignedOut;
  hearTabs((message) => {
    if (message.type === 'sent') void outbox.heard(message.sent);
    if (message.type === 'outbox') void outbox.load();
  });
  // Each time somebody is signed in, and each time the network or the coach comes back.
  session.subscribe(({ account }) => {
    if (account) outbox.drain();
  });
  addEventListener('online', outbox.drain);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') outbox.drain();
  });
  void outbox.load().then(outbox.drain);
}

/** The team of a write that is a team's own. */
export function teamOf(teamId: TeamId | null): TeamId {
  if (teamId === null) throw new Error('a write of a team has none');
  return teamId;
}

/** What a feature does with a kind of write of its own. */
interface Write<Body> {
  send: (teamId: TeamId | null, ...bodies: Body[]) => void;
  /** What waits, in the order tapped; the same list as long as nothing of it changes. */
  useWaiting: (teamId: TeamId | null) => readonly Body[];
  waiting: (teamId: TeamId | null) => readonly Body[];
}

/** A feature's own kind of write. Kinds are known from the start, so that what was left is sent. */
export function defineWrite<Body>(kind: WriteKind<Body>): Write<Body> {
  kinds.set(kind.name, kind as WriteKind);
  const bodiesOf = (entries: readonly Entry[], teamId: TeamId | null): readonly Body[] => {
    const accountId = session.getState().account?.id;
    return entries
      .filter(
        (entry) =>
          entry.kind === kind.name && entry.teamId === teamId && entry.accountId === accountId,
      )
      .map(({ body }) => body as Body);
  };
  return {
    send: (teamId, ...bodies) => {
      outbox.add(kind.name, teamId, bodies);
    },
    useWaiting: (teamId) =>
      useStore(
        outbox.state,
        useShallow(({ waiting }) => bodiesOf(waiting, teamId)),
      ),
    waiting: (teamId) => bodiesOf(outbox.state.getState().waiting, teamId),
  };
}

/** What an entry is, in a few words. */
export function wordsOf(entry: Entry): string {
  return kinds.get(entry.kind)?.words(entry.body) ?? entry.kind;
}

/** The entry's body for another player; null: it is of nobody. */
export function reassigned(entry: Entry, personId: string): unknown {
  return kinds.get(entry.kind)?.reassign?.(entry.body, personId) ?? null;
}

/** How things stand with what was tapped, for whoever is signed in. */
export function useOutbox() {
  const accountId = useStore(session, ({ account }) => account?.id);
  const { waiting, tray, unkept, isFull, trouble } = useStore(outbox.state);
  return useMemo(
    () => ({
      waiting: waiting.filter((entry) => entry.accountId === accountId).length,
      tray: tray.filter((entry) => entry.accountId === accountId),
      /** Names of other coaches whose taps wait on this device for them to sign in. */
      others: [
        ...new Set(
          [...waiting, ...tray]
            .filter((entry) => entry.accountId !== accountId)
            .map((entry) => entry.accountName),
        ),
      ],
      unkept,
      isFull,
      trouble,
    }),
    [waiting, tray, accountId, unkept, isFull, trouble],
  );
}
