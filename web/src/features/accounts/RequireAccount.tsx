import { Navigate, Outlet, useLocation } from 'react-router';
import { queryClient } from '../../api/index.ts';
import { Failure, Loading } from '../../ui/index.ts';
import { useAccount } from './useAccount.ts';

/** The pages behind it are for somebody who is signed in; others are sent to sign in and come back. */
export function RequireAccount() {
  const { account, isLoading, error } = useAccount();
  const { pathname, search } = useLocation();
  if (account) return <Outlet />;
  if (isLoading) return <Loading what="your account" />;
  if (error)
    return (
      <Failure error={error} retry={() => void queryClient.refetchQueries({ queryKey: ['me'] })} />
    );
  const next = pathname === '/' ? '' : `?next=${encodeURIComponent(pathname + search)}`;
  return <Navigate to={`/sign-in${next}`} replace />;
}
