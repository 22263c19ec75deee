import type { Bases, Half } from '@bradyon/core/innings';
import type { TeamId } from '@bradyon/core/units';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** Where it stands, as a coach sets it while no game is kept. */
export interface Situation {
  bases: Bases;
  outs: number;
  inning: number;
  /** We bat in the top when we are the visitors. */
  half: Half;
  /** Who is at bat now. */
  batting: 'we' | 'they';
  /** Who of ours is up, from 0; while they bat, who leads off next. */
  spot: number;
  /** Our runs less theirs. */
  lead: number;
  /** What counts: runs of this half, or the game. */
  by: 'runs' | 'win';
  /** What a steal has to be good for: the team's rule, or this situation's own figure. */
  needs: 'rule' | 'situation';
}

const START: Situation = {
  bases: 1,
  outs: 0,
  inning: 1,
  half: 'top',
  batting: 'we',
  spot: 0,
  lead: 0,
  by: 'win',
  needs: 'rule',
};

const useKept = create<{ byTeam: Record<TeamId, Situation> }>()(
  persist(() => ({ byTeam: {} as Record<TeamId, Situation> }), { name: 'bradyon-situation' }),
);

/** The situation of a team, known to every screen and kept over a reload. */
export function useSituation(teamId: TeamId): {
  situation: Situation;
  set: (change: Partial<Situation>) => void;
} {
  const kept = useKept((state) => state.byTeam[teamId]);
  const situation = kept ? { ...START, ...kept } : START;
  return {
    situation,
    set: (change) => {
      useKept.setState(({ byTeam }) => ({
        byTeam: { ...byTeam, [teamId]: { ...START, ...byTeam[teamId], ...change } },
      }));
    },
  };
}
