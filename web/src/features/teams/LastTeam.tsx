import { Navigate } from 'react-router';
import { Failure, Loading } from '../../ui/index.ts';
import { useLastTeam, useTeams } from './useTeams.ts';

/** The front door: the team that was open last, the first one, or the page that makes one. */
export function LastTeam() {
  const { data: teams, error, refetch } = useTeams();
  const last = useLastTeam((state) => state.teamId);
  if (!teams) {
    return error ? (
      <Failure error={error} retry={() => void refetch()} />
    ) : (
      <Loading what="your teams" />
    );
  }
  const team = teams.find(({ id }) => id === last) ?? teams[0];
  return <Navigate to={team ? `/teams/${team.id}/timing` : '/teams'} replace />;
}
