import type { Person } from '@bradyon/core/people';
import type { Value } from '@bradyon/core/innings';
import { useMemo } from 'react';
import { useTeam } from '../teams/index.ts';
import { keepLast } from '../timing/index.ts';
import { valueOf, type Game, type GameAsked } from './game.ts';
import { battersOf, combinedOf, ratesBySpot, type Batter } from './sides.ts';
import type { GameSituation } from './situation.ts';
import { useBatting } from './useBatting.ts';
import { useLevel } from './useOdds.ts';
import { useTables } from './useTables.ts';

const oursFor = keepLast(battersOf);
const theirsFor = keepLast(battersOf);

/** What a game is worth with the people who are in it. */
export interface LineupOdds {
  game: Game;
  /** Ours in the order in which they bat. */
  ours: Batter[];
  theirs: Batter[];
  /** What it is worth to the side at bat, in chance to win. */
  valueAt: (situation: Omit<GameSituation, 'inGame'>) => Value;
  /** Whether the tables are of these people, and not yet of two average sides. */
  isCurrent: boolean;
}

/**
 * The odds between two lineups of a game. Until the tables of these people are there those of two average
 * sides stand, and it says so.
 */
export function useLineupOdds(order: readonly Person[], others: readonly Person[]): LineupOdds {
  const team = useTeam();
  const { level, rules, average } = useLevel();
  const batting = useBatting(team.id);
  const ours = oursFor(`${team.id} game`, order, batting.counted, level);
  const theirs = theirsFor(`${team.id} game theirs`, others, batting.counted, level);
  const { allowed } = average;
  const [asked, isAverage] = useMemo((): [GameAsked, boolean] => {
    const bySpot = ratesBySpot(ours, level);
    const { rates, known } = combinedOf(theirs, level);
    return [
      { level, rules, ours: bySpot, theirs: rates, allowed },
      bySpot.length === 1 && known === 0,
    ];
  }, [level, rules, ours, theirs, allowed]);
  const tables = useTables(isAverage || batting.isLoading ? null : asked);
  const game = isAverage || !tables.game ? average : tables.game;
  const isCurrent = isAverage ? !batting.isLoading : tables.isCurrent;
  return useMemo(
    () => ({
      game,
      ours,
      theirs,
      valueAt: (situation) =>
        valueOf(game, { ...situation, by: 'win', needs: 'situation', from: 'game' }),
      isCurrent,
    }),
    [game, ours, theirs, isCurrent],
  );
}
