import type { Team } from '@bradyon/contract/teams';
import {
  byRuns,
  gameRulesOf,
  playLevelOf,
  withoutSteals,
  type GameRules,
  type PlayChanges,
  type TeamLevel,
  type Value,
} from '@bradyon/core/innings';
import type { Person } from '@bradyon/core/people';
import type { Ruleset } from '@bradyon/core/rules';
import type { LevelName } from '@bradyon/core/timing';
import { useTeam } from '../teams/index.ts';
import { keepLast } from '../timing/index.ts';
import { makeTables, openGame, type Game, type GameAsked } from './game.ts';
import { peopleOn, ratesBySpot, type Batter, type Combined } from './sides.ts';
import { useSituation, type InGame, type Situation } from './situation.ts';
import { useSides } from './useSides.ts';
import { useTables } from './useTables.ts';

const levelFor = keepLast((name: LevelName, changes: PlayChanges, stealAllowed: boolean) => {
  const level = playLevelOf(name, changes);
  return stealAllowed ? level : withoutSteals(level);
});
const rulesFor = keepLast(gameRulesOf);
/** Both sides average: under a few milliseconds, so it is made on the spot. */
const averageFor = keepLast((level: TeamLevel, rules: GameRules, ruleset: Ruleset) => {
  const { stealAllowed, buntAllowed } = ruleset;
  const allowed = { stealAllowed, buntAllowed };
  const asked = { level, rules, ours: [level.rates], theirs: level.rates, allowed };
  return openGame(asked, makeTables(asked));
});

/** The level and the rules that a team plays by, and a game between two average sides of it. */
export function useLevel(): { level: TeamLevel; rules: GameRules; average: Game } {
  const team = useTeam();
  const level = levelFor(team.id, team.level, team.playChanges, team.ruleset.stealAllowed);
  const rules = rulesFor(team.id, team.ruleset);
  return { level, rules, average: averageFor(team.id, level, rules, team.ruleset) };
}

/** Runs of an average side of the team's level: what does not hang on inning and score is decided by it. */
export function averageValue(team: Pick<Team, 'id' | 'level' | 'playChanges' | 'ruleset'>): Value {
  const level = levelFor(team.id, team.level, team.playChanges, team.ruleset.stealAllowed);
  const { tables } = averageFor(team.id, level, rulesFor(team.id, team.ruleset), team.ruleset);
  return byRuns(tables.ours.expectancies);
}

export interface OddsInView {
  game: Game;
  /** The same between two average sides. */
  average: Game;
  level: TeamLevel;
  situation: Situation;
  set: (change: Partial<Situation>) => void;
  /** A game is open on this device: its own situation can stand. */
  hasGame: boolean;
  /** Ours in the order in which they bat. */
  order: Batter[];
  /** Who is up, or leads off next while they bat; null without anybody. */
  up: Batter | null;
  /** Ours on base: as the game has it, else those who bat before whoever is up. */
  on: Partial<Record<1 | 2 | 3, Person>>;
  /** How they play and the count, where the situation is a game's and we bat: while they do, both are theirs. */
  inGame: InGame | null;
  theirs: Combined & { name: string; batters: Batter[] };
  /** Whether what is shown is of the line-up that is asked about. */
  isCurrent: boolean;
  isLoading: boolean;
  error: Error | null;
  retry: () => void;
}

/**
 * The odds of a supposed situation between our order and whom we face, with the tables they rest on. Those of a line-up come from the worker and are kept; until
 * they are there the last ones stand, or those of two average sides.
 */
export function useOdds({
  /** False: the order is the one that the staff set, whatever game is open. */
  ofGame = true,
} = {}): OddsInView {
  const team = useTeam();
  const { situation, set, hasGame, inGame } = useSituation(team.id, team.ruleset.innings);
  const { level, rules, average } = useLevel();
  const { ours, theirs, people, ...loading } = useSides(
    level,
    ofGame ? (inGame?.order ?? null) : null,
  );
  const asked: GameAsked = {
    level,
    rules,
    ours: ratesBySpot(ours, level),
    theirs: theirs.rates,
    allowed: average.allowed,
  };
  const isAverage = asked.ours.length === 1 && theirs.known === 0;
  const tables = useTables(isAverage || loading.isLoading ? null : asked);
  const game = isAverage || !tables.game ? average : tables.game;
  return {
    game,
    average,
    level,
    situation,
    set,
    hasGame,
    order: ours,
    up: ours[situation.spot % Math.max(1, ours.length)] ?? null,
    on:
      inGame && situation.batting === 'we'
        ? personsOn(inGame, people)
        : peopleOn(ours, situation.spot, situation.bases),
    inGame: situation.batting === 'we' ? inGame : null,
    theirs,
    isCurrent: isAverage || tables.isCurrent,
    isLoading: loading.isLoading,
    error: loading.error ?? tables.error,
    retry: () => {
      loading.retry();
      if (tables.error) tables.retry();
    },
  };
}

function personsOn({ on }: InGame, people: readonly Person[]): OddsInView['on'] {
  const found: OddsInView['on'] = {};
  for (const base of [1, 2, 3] as const) {
    const person = people.find(({ id }) => id === on[base]);
    if (person) found[base] = person;
  }
  return found;
}
