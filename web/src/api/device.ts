import { clear, createStore, delMany, promisifyRequest, values, type UseStore } from 'idb-keyval';
import type { Entry, OutboxStorage } from './outbox.ts';

/** What this device keeps of a team, by what it is. Signing out empties all but the outbox's. */
export const kept = {
  /** What the server said last. */
  queries: createStore('bradyon-queries', 'queries'),
  /** Lists that grow, in pieces. */
  lists: createStore('bradyon-lists', 'pieces'),
  /** What is secret, encrypted. */
  sealed: createStore('bradyon-sealed', 'sealed'),
} as const satisfies Record<string, UseStore>;

const outboxStore = createStore('bradyon-outbox', 'entries');

/** Writes that wait for the server, on the device before the screen says so. */
export const outboxStorage: OutboxStorage = {
  all: () => values<Entry>(outboxStore),
  put: (entries) =>
    outboxStore('readwrite', (store) => {
      for (const entry of entries) store.put(entry, entry.key);
      const written = promisifyRequest(store.transaction);
      // At once: a page that is closed in the next moment has it.
      store.transaction.commit();
      return written;
    }),
  remove: (keys) => delMany([...keys], outboxStore),
};

/** Nothing of the team stays on the device. */
export async function forgetKept(): Promise<void> {
  await Promise.all(Object.values(kept).map((store) => clear(store)));
}
