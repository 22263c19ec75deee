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

/** A close game late, the leadoff batter on first: something to decide. */
function start(innings: number): Situation {
  return {
    bases: 1,
    outs: 0,
    inning: Math.max(1, innings - 1),
    half: 'top',
    batting: 'we',
    spot: 1,
    lead: 0,
    by: 'win',
    needs: 'rule',
  };
}

const useKept = create<{ byTeam: Record<TeamId, Situation> }>()(
  persist(() => ({ byTeam: {} as Record<TeamId, Situation> }), { name: 'bradyon-situation' }),
);

/**
 * The situation of a team, known to every screen and kept over a reload.
 * @param innings of a whole game
 */
export function useSituation(
  teamId: TeamId,
  innings: number,
): {
  situation: Situation;
  set: (change: Partial<Situation>) => void;
} {
  const kept = useKept((state) => state.byTeam[teamId]);
  const situation = { ...start(innings), ...kept };
  return {
    situation,
    set: (change) => {
      useKept.setState(({ byTeam }) => ({
        byTeam: { ...byTeam, [teamId]: { ...start(innings), ...byTeam[teamId], ...change } },
      }));
    },
  };
}
