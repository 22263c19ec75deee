import { QueryClient, QueryClientProvider, type Query } from '@tanstack/react-query';
import { experimental_createQueryPersister } from '@tanstack/react-query-persist-client';
import { del, entries, get, set } from 'idb-keyval';
import { useEffect, useState, type ReactNode } from 'react';
import { forgetKept, kept } from './device.ts';
import { forgetLists } from './growing.ts';
import { RefusedError } from './request.ts';
import { currentAccount } from './session.ts';

const KEPT_MS = 14 * 24 * 60 * 60 * 1000;

/** What the server said last, kept over a reload; what it has still to be told is in the outbox. */
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

/** Each query by itself, so that one that changes writes only itself. */
const persister = experimental_createQueryPersister<unknown>({
  storage: {
    getItem: (key) => get<unknown>(key, kept.queries),
    setItem: (key, value) => set(key, value, kept.queries),
    removeItem: (key) => del(key, kept.queries),
    entries: () => entries<string, unknown>(kept.queries),
  },
  serialize: (query) => ({ ...query, state: { ...query.state, error: null } }),
  deserialize: (value) => value as never,
  maxAge: KEPT_MS,
  buster: '4',
});

const WRITE_MS = 500;
const changed = new Map<string, Query>();
let timer: ReturnType<typeof setTimeout> | undefined;

/** Writes what has changed, unless nobody is signed in any more: here or in another tab. */
async function writeChanged(): Promise<void> {
  timer = undefined;
  const queries = [...changed.values()];
  changed.clear();
  if (currentAccount() === null) return;
  // A device that is full keeps what it has.
  await Promise.all(queries.map((query) => persister.persistQuery(query))).catch(() => undefined);
}

queryClient.getQueryCache().subscribe(({ type, query }) => {
  // What is reckoned here is reckoned again: only what the server said is kept.
  if (type !== 'updated' || query.meta?.['onlyHere'] === true) return;
  if (query.state.status !== 'success' || query.state.fetchStatus === 'fetching') return;
  changed.set(query.queryHash, query as Query);
  timer ??= setTimeout(() => void writeChanged(), WRITE_MS);
});

/** Nothing of the team stays on the device, or in the memory of this tab. */
export async function forgetServerState(): Promise<void> {
  clearTimeout(timer);
  timer = undefined;
  changed.clear();
  queryClient.clear();
  forgetLists();
  await forgetKept().catch(() => undefined);
}

/** Shows the pages once what was kept is back; what was kept is asked for again at once. */
export function ServerState({ children }: { children: ReactNode }) {
  const [isReady, setIsReady] = useState(false);
  useEffect(() => {
    void persister
      .restoreQueries(queryClient)
      .catch(() => undefined)
      .then(() => {
        setIsReady(true);
        // A colleague may have changed it.
        void queryClient.invalidateQueries();
      });
  }, []);
  return <QueryClientProvider client={queryClient}>{isReady && children}</QueryClientProvider>;
}
