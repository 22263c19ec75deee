import type { Admission } from '@bradyon/contract/games';
import { useQuery } from '@tanstack/react-query';
import { Navigate, Outlet, useLocation } from 'react-router';
import { request } from '../../api/index.ts';
import { Failure, Loading } from '../../ui/index.ts';

/** Whoever came in by a code sees the game that it opens, and is sent there from anywhere else. */
export function GuestDoor() {
  const { pathname } = useLocation();
  const { data, error, refetch } = useQuery({
    queryKey: ['admission'],
    queryFn: () => request<Admission>('GET', '/api/passes/mine'),
    retry: false,
  });
  if (!data)
    return error ? (
      <Failure error={error} retry={() => void refetch()} />
    ) : (
      <Loading what="the game" />
    );
  const game = `/teams/${data.teamId}/games/${data.gameId}`;
  return pathname === game ? <Outlet /> : <Navigate to={game} replace />;
}
