import type { AccountId, TeamId } from '@bradyon/core/units';

/** What the tabs of one browser tell each other. */
export type TabMessage =
  /** Something was put into the outbox, or its tray changed. */
  | { type: 'outbox' }
  /** These have reached the server, with what it answered. */
  | {
      type: 'sent';
      sent: { kind: string; teamId: TeamId | null; body: unknown; answer: unknown }[];
    }
  /** Who is signed in now; null: nobody. */
  | { type: 'session'; accountId: AccountId | null };

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('bradyon');

/** Tells the other tabs; this one does not hear it. */
export function tellTabs(message: TabMessage): void {
  channel?.postMessage(message);
}

/** @returns what ends the listening */
export function hearTabs(hear: (message: TabMessage) => void): () => void {
  const listener = ({ data }: MessageEvent<TabMessage>): void => {
    hear(data);
  };
  channel?.addEventListener('message', listener);
  return () => channel?.removeEventListener('message', listener);
}

/**
 * Runs work that only one tab at a time may do. Where a browser has no locks (plain http on a field's
 * own network) it runs at once: what is sent twice is kept once.
 */
export function oneTabAtATime(name: string, work: () => Promise<void>): Promise<void> {
  const { locks } = navigator as { locks?: LockManager };
  return locks ? locks.request(name, work) : work();
}
