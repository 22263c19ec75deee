import type { Season } from '@bradyon/contract/review';
import type { TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { request } from '../../api/index.ts';

/** The calls of all games of a team, and what they showed of the people we faced. @param isAsked a guest is not told */
export function useSeason(teamId: TeamId, isAsked = true) {
  return useQuery({
    queryKey: ['season', teamId],
    queryFn: () => request<Season>('GET', `/api/teams/${teamId}/games/calls`),
    enabled: isAsked,
  });
}
