import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import { defaultShouldDehydrateQuery, QueryClient } from '@tanstack/react-query';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { del, get, set } from 'idb-keyval';
import type { ReactNode } from 'react';
import { forgetAllWrites } from './journal.ts';
import { resumeOutbox, setUpOutbox } from './outbox.ts';
import { RefusedError } from './request.ts';

const KEPT_MS = 14 * 24 * 60 * 60 * 1000;

/** What the server said last, kept over a reload; what it has still to be told is in the outbox's journal. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 30_000,
      gcTime: KEPT_MS,
      // A refusal stays one; a network that is gone may come back.
      retry: (failures, error) => !(error instanceof RefusedError) && failures < 2,
      networkMode: 'offlineFirst',
    },
  },
});
setUpOutbox(queryClient);

const persister = createAsyncStoragePersister({
  storage: {
    getItem: (key) => get(key),
    setItem: (key, value) => set(key, value),
    removeItem: del,
  },
  key: 'bradyon',
  throttleTime: 1000,
});

/** After signing out: nothing of the team stays on the device. */
export async function forgetServerState(): Promise<void> {
  queryClient.clear();
  forgetAllWrites();
  await persister.removeClient();
}

export function ServerState({ children }: { children: ReactNode }) {
  return (
    <PersistQueryClientProvider
      client={queryClient}
      persistOptions={{
        persister,
        maxAge: KEPT_MS,
        buster: '3',
        dehydrateOptions: {
          shouldDehydrateMutation: () => false,
          // What is reckoned here is reckoned again: only what the server said is kept.
          shouldDehydrateQuery: (query) =>
            query.meta?.['onlyHere'] !== true && defaultShouldDehydrateQuery(query),
        },
      }}
      onSuccess={() => {
        resumeOutbox(queryClient);
        // What was kept is shown at once, and asked for again: a colleague may have changed it.
        void queryClient.invalidateQueries();
      }}
    >
      {children}
    </PersistQueryClientProvider>
  );
}
