import type { Account, Welcome } from '@bradyon/contract/accounts';
import { useQuery, type Query } from '@tanstack/react-query';
import {
  beginSession,
  endSession,
  forgetServerState,
  hearTabs,
  lastAccount,
  outbox,
  queryClient,
  RefusedError,
  request,
  session,
} from '../../api/index.ts';

const ME = ['me'];
/** Somebody has signed out without network: the server is told when it can be reached. */
const LEFT_KEY = 'bradyon-left';

/** What a device keeps of nobody in particular. */
const NOT_OF_A_TEAM = ['bradyon-theme', 'bradyon-ear-delay', LEFT_KEY];

/** Who is signed in; null when nobody is. Kept on the device, so that it opens without network. */
export function useAccount(): { account: Account | null; isLoading: boolean; error: Error | null } {
  const { data, isPending, isFetching, error } = useQuery({
    queryKey: ME,
    queryFn: async () => {
      try {
        if (localStorage.getItem(LEFT_KEY) !== null) await leave();
        return await request<Account>('GET', '/api/accounts/me');
      } catch (refusal) {
        if (refusal instanceof RefusedError && refusal.problem.status === 401) return null;
        throw refusal;
      }
    },
    staleTime: 5 * 60_000,
  });
  return {
    account: data ?? null,
    // That nobody was signed in the last time is no answer while it is asked once more.
    isLoading: isPending || (data === null && isFetching),
    error: data ? null : error,
  };
}

/** The session has run out, or another coach's has taken its place. */
export function sessionRanOut(): void {
  void queryClient.invalidateQueries({ queryKey: ME });
}

/** Keeps this tab's account at what the server says, and this tab at what the others do. */
export function watchAccount(): void {
  queryClient.getQueryCache().subscribe(({ type, query }) => {
    const key: unknown = (query as Query).queryKey[0];
    if (key !== ME[0]) {
      const { error } = query.state as Query['state'];
      if (type === 'updated' && error instanceof RefusedError && error.problem.status === 401) {
        sessionRanOut();
      }
      return;
    }
    const account = query.state.data as Account | null | undefined;
    const here = session.getState().account?.id;
    if (type !== 'updated' || !account || account.id === here) return;
    // The cookie has become another coach's: nothing of the one before may stay on the screen.
    const before = here ?? lastAccount();
    if (before !== null && before !== account.id) void changeAccount(account);
    else beginSession(account);
  });
  hearTabs((message) => {
    if (message.type !== 'session') return;
    const here = session.getState().account?.id ?? null;
    if (message.accountId === here) {
      outbox.drain();
      return;
    }
    // What this tab holds is not for whoever is signed in now. The page begins as that one's.
    if (here !== null || message.accountId !== null) location.reload();
  });
}

async function changeAccount(account: Account): Promise<void> {
  await forgetServerState();
  beginSession(account);
  queryClient.setQueryData(ME, account);
}

/**
 * Remembers who signed in. What was shown to another coach on this device is forgotten first; what
 * that coach tapped and nobody has sent waits for its own account.
 */
export async function rememberAccount(account: Account): Promise<void> {
  localStorage.removeItem(LEFT_KEY);
  const before = queryClient.getQueryData<Account | null>(ME);
  if (before?.id === account.id) {
    beginSession(account);
    queryClient.setQueryData(ME, account);
    outbox.drain();
  } else await changeAccount(account);
}

/** Whether the demo can be offered. */
export function useWelcome(): Welcome | undefined {
  return useQuery({
    queryKey: ['welcome'],
    queryFn: () => request<Welcome>('GET', '/api/accounts/welcome'),
  }).data;
}

async function leave(): Promise<void> {
  await request('DELETE', '/api/accounts/session');
  localStorage.removeItem(LEFT_KEY);
}

/**
 * Signs out and forgets the team on this device, in every tab.
 * @param unsent what becomes of taps that have not arrived: they go with everything else, or wait on
 *   this device for the same coach
 */
export async function signOut(unsent: 'discard' | 'keep'): Promise<void> {
  const accountId = session.getState().account?.id;
  if (accountId && unsent === 'discard') await outbox.discardAll(accountId);
  localStorage.setItem(LEFT_KEY, 'yes');
  // Without network the cookie can only be taken back later; nobody is kept here for that.
  await leave().catch(() => undefined);
  await forgetDevice();
}

/** Nothing of the team stays on the device, and nobody is signed in here any more. */
export async function forgetDevice(): Promise<void> {
  endSession();
  for (const name of Object.keys(localStorage)) {
    if (name.startsWith('bradyon-') && !NOT_OF_A_TEAM.includes(name)) localStorage.removeItem(name);
  }
  await forgetServerState();
  queryClient.setQueryData(ME, null);
}
