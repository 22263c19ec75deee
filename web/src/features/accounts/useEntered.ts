import type { Account } from '@bradyon/contract/accounts';
import { useNavigate } from 'react-router';
import { request } from '../../api/index.ts';
import { rememberAccount } from './useAccount.ts';

/** Goes on as whoever the server has just let in by other means than a password. */
export function useEntered(): (to: string) => Promise<void> {
  const navigate = useNavigate();
  return async (to) => {
    await rememberAccount(await request<Account>('GET', '/api/accounts/me'));
    await navigate(to, { replace: true });
  };
}
