import {
  gameRulesOf,
  playLevelOf,
  withoutSteals,
  type GameRules,
  type PlayChanges,
  type TeamLevel,
} from '@bradyon/core/innings';
import type { Ruleset } from '@bradyon/core/rules';
import type { LevelName } from '@bradyon/core/timing';
import { useQuery } from '@tanstack/react-query';
import { usePeople, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { keepLast } from '../timing/index.ts';
import { makeTables, openGame, type Game, type GameAsked, type GameTables } from './game.ts';
import { inWorker } from './heavy.ts';
import {
  battersOf,
  orderOf,
  ratesBySpot,
  combinedOf,
  type Batter,
  type Combined,
} from './sides.ts';
import { useSituation, type Situation } from './situation.ts';
import { useBatting } from './useBatting.ts';
import { useOrder } from './useOrder.ts';

const levelFor = keepLast((name: LevelName, changes: PlayChanges, stealAllowed: boolean) => {
  const level = playLevelOf(name, changes);
  return stealAllowed ? level : withoutSteals(level);
});
const rulesFor = keepLast(gameRulesOf);
const battersFor = keepLast(battersOf);
const openedFor = keepLast(openGame);
/** Both sides average: under a few milliseconds, so it is made on the spot. */
const averageFor = keepLast((level: TeamLevel, rules: GameRules, ruleset: Ruleset) => {
  const { stealAllowed, buntAllowed } = ruleset;
  const allowed = { stealAllowed, buntAllowed };
  const asked = { level, rules, ours: [level.rates], theirs: level.rates, allowed };
  return openGame(asked, makeTables(asked));
});

export interface GameInView {
  game: Game;
  /** The same between two average sides. */
  average: Game;
  level: TeamLevel;
  situation: Situation;
  set: (change: Partial<Situation>) => void;
  /** Ours in the order in which they bat. */
  order: Batter[];
  /** Who is up, or leads off next while they bat; null without anybody. */
  up: Batter | null;
  theirs: Combined & { name: string; batters: Batter[] };
  /** Whether what is shown is of the line-up that is asked about. */
  isCurrent: boolean;
  isLoading: boolean;
  error: Error | null;
  retry: () => void;
}

function useSides(level: TeamLevel) {
  const team = useTeam();
  const people = usePeople(team.id);
  const batting = useBatting(team.id);
  const order = useOrder(team.id);
  const { onField } = usePlaying(team.id);
  const ours = battersFor(team.id, orderOf(order.ids, onField.runners), batting.all, level);
  const opponent = people.opponents.find(({ id }) => id === onField.facing);
  const batters = battersFor(
    `${team.id} theirs`,
    opponent
      ? people.people.filter(({ opponentId, retired }) => opponentId === opponent.id && !retired)
      : [],
    batting.all,
    level,
  );
  return {
    ours,
    theirs: { ...combinedOf(batters, level), name: opponent?.name ?? 'an average team', batters },
    isLoading: people.isLoading || batting.isLoading || order.isLoading,
    error: people.error ?? batting.error ?? order.error,
    retry: () => {
      people.retry();
      batting.retry();
      order.retry();
    },
  };
}

/**
 * The game as it stands, with its tables. Those of a line-up come from the worker and are kept; until
 * they are there the last ones stand, or those of two average sides.
 */
export function useGame(): GameInView {
  const team = useTeam();
  const { situation, set } = useSituation(team.id);
  const level = levelFor(team.id, team.level, team.playChanges, team.ruleset.stealAllowed);
  const rules = rulesFor(team.id, team.ruleset);
  const { ours, theirs, ...loading } = useSides(level);
  const average = averageFor(team.id, level, rules, team.ruleset);
  const asked: GameAsked = {
    level,
    rules,
    ours: ratesBySpot(ours, level),
    theirs: theirs.rates,
    allowed: average.allowed,
  };
  const isAverage = asked.ours.length === 1 && theirs.known === 0;
  const { data, isPlaceholderData, ...made } = useQuery({
    queryKey: ['game', team.id, asked],
    queryFn: async (): Promise<{ asked: GameAsked; tables: GameTables }> => ({
      asked,
      tables: await inWorker((heavy) => heavy.makeTables(asked)),
    }),
    enabled: !isAverage && !loading.isLoading,
    // The last ones of this team, not of the one that was open before.
    placeholderData: (before, query) => (query?.queryKey[1] === team.id ? before : undefined),
    // Nothing of it is asked of the server: it is made once and stays right.
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 10 * 60_000,
    networkMode: 'always',
    structuralSharing: false,
    meta: { onlyHere: true },
  });
  const game = isAverage || !data ? average : openedFor(team.id, data.asked, data.tables);
  return {
    game,
    average,
    level,
    situation,
    set,
    order: ours,
    up: ours[situation.spot % Math.max(1, ours.length)] ?? null,
    theirs,
    isCurrent: isAverage || (data !== undefined && !isPlaceholderData),
    isLoading: loading.isLoading,
    error: loading.error ?? made.error,
    retry: () => {
      loading.retry();
      if (made.error) void made.refetch();
    },
  };
}
