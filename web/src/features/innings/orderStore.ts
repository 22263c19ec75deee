import type { PersonId, TeamId } from '@bradyon/core/units';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

const useKept = create<{ byTeam: Record<TeamId, PersonId[]> }>()(
  persist(() => ({ byTeam: {} as Record<TeamId, PersonId[]> }), { name: 'bradyon-order' }),
);
const NONE: PersonId[] = [];

/** The batting order as the coach set it on this device; empty while he has not. */
export function useOrder(teamId: TeamId): { ids: PersonId[]; setIds: (ids: PersonId[]) => void } {
  const ids = useKept((state) => state.byTeam[teamId]) ?? NONE;
  return {
    ids,
    setIds: (next) => {
      useKept.setState(({ byTeam }) => ({ byTeam: { ...byTeam, [teamId]: next } }));
    },
  };
}
