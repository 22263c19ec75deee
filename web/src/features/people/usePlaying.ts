import type { TeamId } from '@bradyon/core/units';
import { useMemo } from 'react';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { NOBODY_PICKED, resolvePlaying, type OnField, type Playing } from './playing.ts';
import { usePeople } from './usePeople.ts';

const usePicked = create<{ byTeam: Record<TeamId, Playing> }>()(
  persist(() => ({ byTeam: {} as Record<TeamId, Playing> }), { name: 'bradyon-playing' }),
);

/** Who is out there, for all screens of a team; picked once, known everywhere, kept over a reload. */
export function usePlaying(teamId: TeamId): {
  playing: Playing;
  onField: OnField;
  pick: (change: Partial<Playing>) => void;
} {
  const kept = usePicked((state) => state.byTeam[teamId]);
  // What was kept before there was more to pick lacks that.
  const picked = useMemo(() => ({ ...NOBODY_PICKED, ...kept }), [kept]);
  const { people, opponents } = usePeople(teamId);
  return {
    playing: picked,
    onField: useMemo(() => resolvePlaying(picked, people, opponents), [picked, people, opponents]),
    pick: (change) => {
      usePicked.setState(({ byTeam }) => ({
        byTeam: { ...byTeam, [teamId]: { ...NOBODY_PICKED, ...byTeam[teamId], ...change } },
      }));
    },
  };
}
