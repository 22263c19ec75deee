import type { Account, Welcome } from '@bradyon/contract/accounts';
import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import {
  forgetServerState,
  queryClient,
  RefusedError,
  request,
  useOutbox,
} from '../../api/index.ts';
import { notify } from '../../ui/index.ts';

const ME = ['me'];

/** Who is signed in; null when nobody is. Kept on the device, so that it opens without network. */
export function useAccount(): { account: Account | null; isLoading: boolean; error: Error | null } {
  const { data, isPending, error } = useQuery({
    queryKey: ME,
    queryFn: async () => {
      try {
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
    isLoading: isPending,
    error: data ? null : error,
  };
}

/** Remembers who signed in. Whatever another coach left on this device is forgotten first. */
export async function rememberAccount(account: Account): Promise<void> {
  const before = queryClient.getQueryData<Account | null>(ME);
  if (before && before.id !== account.id) await forgetServerState();
  queryClient.setQueryData(ME, account);
}

/** Whether the demo can be offered. */
export function useWelcome(): Welcome | undefined {
  return useQuery({
    queryKey: ['welcome'],
    queryFn: () => request<Welcome>('GET', '/api/accounts/welcome'),
  }).data;
}

/** Signs out and forgets the team on this device; times that are not saved yet hold it up. */
export function useSignOut(): { signOut: () => Promise<void>; unsaved: number } {
  const unsaved = useOutbox().length;
  const navigate = useNavigate();
  return {
    unsaved,
    signOut: async () => {
      try {
        await request('DELETE', '/api/accounts/session');
      } catch (error) {
        // Still signed in: the cookie can only be taken back by the server.
        notify(`Not signed out. ${error instanceof Error ? error.message : ''}`);
        return;
      }
      await forgetServerState();
      await navigate('/sign-in');
    },
  };
}
