import type { Kept } from '@bradyon/contract/kept';
import type { Team, TeamDraft } from '@bradyon/contract/teams';
import type { TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { currentOf, request } from '../../api/index.ts';

const TEAMS = ['teams'];

/** The teams of whoever is signed in. */
export function useTeams() {
  return useQuery({ queryKey: TEAMS, queryFn: () => request<Team[]>('GET', '/api/teams') });
}

/** The team whose pages are open. */
export const OpenTeam = createContext<Team | null>(null);

export function useTeam(): Team {
  const team = useContext(OpenTeam);
  if (!team) throw new Error('useTeam is for pages inside TeamShell');
  return team;
}

/** The team that was open last on this device. */
export const useLastTeam = create<{ teamId: TeamId | null }>()(
  persist(() => ({ teamId: null as TeamId | null }), { name: 'bradyon-team' }),
);

function withTeam(teams: Team[] | undefined, team: Team): Team[] {
  const others = (teams ?? []).filter(({ id }) => id !== team.id);
  return [...others, team];
}

/** Makes a team, or joins one, and opens it in the list of teams. */
export function useAddTeam() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (how: { make: TeamDraft } | { code: string }) =>
      'make' in how
        ? request<Team>('POST', '/api/teams', how.make)
        : request<Team>('POST', '/api/teams/join', how),
    onSuccess: (team) => {
      client.setQueryData<Team[]>(TEAMS, (teams) => withTeam(teams, team));
    },
  });
}

/** Saves the team and its rules; what is shown changes at once and goes back if it is refused. */
export function useSaveTeam() {
  const client = useQueryClient();
  const put = (saved: Team): void => {
    client.setQueryData<Team[]>(TEAMS, (teams) =>
      teams?.map((team) => (team.id === saved.id ? saved : team)),
    );
  };
  return useMutation({
    // One after the other: the second is made from what the first left.
    scope: { id: 'team' },
    mutationFn: (draft: TeamDraft) => {
      // The version that is on the screen: forms follow what is kept.
      const kept = client.getQueryData<Team[]>(TEAMS)?.find(({ id }) => id === draft.id);
      const body: Kept<TeamDraft> = { ...draft, version: kept?.version ?? 0 };
      return request<Team>('PUT', `/api/teams/${draft.id}`, body);
    },
    onMutate: (draft) => {
      const before = client.getQueryData<Team[]>(TEAMS);
      client.setQueryData<Team[]>(TEAMS, (teams) =>
        teams?.map((team) =>
          team.id === draft.id ? { ...team, ...draft, version: team.version } : team,
        ),
      );
      return before;
    },
    onSuccess: put,
    onError: (error, _draft, before) => {
      client.setQueryData(TEAMS, before);
      const current = currentOf<Team>(error);
      if (current) put(current);
    },
  });
}
