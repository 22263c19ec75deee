import type { Bases, Half } from '@bradyon/core/innings';
import type { PersonId, TeamId } from '@bradyon/core/units';
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
  /** Set by hand, or as the game that is open on this device stands. */
  from: 'hand' | 'game';
}

/** What only a game knows of where it stands. */
export interface InGame {
  /** Our order as it bats now. */
  order: PersonId[];
  on: Partial<Record<1 | 2 | 3, PersonId>>;
  strikes: 0 | 1 | 2;
  /** How they play, as the game was told; null: not told. */
  infield: string | null;
  outfield: string | null;
}

/** Where an open game stands, for the screens that ask about a situation. */
export type GameSituation = Omit<Situation, 'by' | 'needs' | 'from'> & { inGame: InGame };

const useOffered = create<{ byTeam: Record<TeamId, GameSituation> }>()(
  persist(() => ({ byTeam: {} as Record<TeamId, GameSituation> }), {
    name: 'bradyon-game-situation',
  }),
);

/** An open game says how it stands; null: none is open any more. */
export function offerGameSituation(teamId: TeamId, stands: GameSituation | null): void {
  useOffered.setState(({ byTeam }) => {
    const { [teamId]: _before, ...others } = byTeam;
    return { byTeam: stands ? { ...others, [teamId]: stands } : others };
  });
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
    from: 'hand',
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
  /** A game is open on this device. */
  hasGame: boolean;
  /** The people and the defense of that game; null where the situation is set by hand. */
  inGame: InGame | null;
} {
  const kept = useKept((state) => state.byTeam[teamId]);
  const offered = useOffered((state) => state.byTeam[teamId]);
  const own = { ...start(innings), ...kept };
  // What an earlier version left on the device knows no people.
  const { inGame, ...stands }: Partial<GameSituation> =
    own.from === 'game' && offered ? offered : {};
  const situation: Situation = { ...own, ...stands, from: offered ? own.from : 'hand' };
  return {
    situation,
    inGame: inGame ?? null,
    hasGame: offered !== undefined,
    set: (touched) => {
      // Whatever is set by hand is no longer the game's: it goes on from where that stands.
      const isOwn = ['by', 'needs', 'from'].some((key) => key in touched);
      const change: Partial<Situation> = isOwn
        ? touched
        : { ...situation, from: 'hand', ...touched };
      useKept.setState(({ byTeam }) => ({
        byTeam: { ...byTeam, [teamId]: { ...start(innings), ...byTeam[teamId], ...change } },
      }));
    },
  };
}
