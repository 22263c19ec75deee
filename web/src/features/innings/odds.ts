import {
  byRuns,
  byWin,
  chainOf,
  describeStandingMisfit,
  gameRulesOf,
  PLAY_LEVELS,
  runDistributions,
  runExpectancies,
  sacrificeChain,
  scoringChances,
  sideOf,
  winBook,
  type Chain,
  type GameRules,
  type PlayLevel,
  type Value,
  type WinBook,
} from '@bradyon/core/innings';
import type { Ruleset } from '@bradyon/core/rules';
import type { LevelName } from '@bradyon/core/timing';
import { keepLast } from '../timing/index.ts';
import type { Situation } from './situation.ts';

/** The tables of a game at a level, made once and kept: both teams are average for it. */
export interface Tables {
  level: PlayLevel;
  rules: GameRules;
  expectancies: number[];
  scoring: number[];
  bunt: Chain;
  book: WinBook;
}

/** Under a few milliseconds; made again only when the level or the rules change. */
export const tablesOf = keepLast((name: LevelName, ruleset: Ruleset): Tables => {
  const level = PLAY_LEVELS[name];
  const chain = chainOf(level);
  const side = sideOf([level]);
  const rules = gameRulesOf(ruleset);
  return {
    level,
    rules,
    expectancies: runExpectancies(chain),
    scoring: scoringChances(runDistributions(chain)),
    bunt: sacrificeChain(level.bunt, level, level.twoStrikeFactor),
    book: winBook(side, side, rules),
  };
});

function standingOf({ inning, half, lead }: Pick<Situation, 'inning' | 'half' | 'lead'>) {
  return { inning, half, homeLead: half === 'bottom' ? lead : -lead };
}

/** Why the game cannot stand so; null when it can. */
export function misfitOf({ rules }: Tables, situation: Situation): string | null {
  const standing = { ...standingOf(situation), state: 0 };
  return describeStandingMisfit(standing, rules)?.message ?? null;
}

/** What a situation is worth to us, by what counts in it; leads beyond the end of a game count by runs. */
export function valueOf(tables: Tables, situation: Situation): Value {
  return situation.by === 'runs' || misfitOf(tables, situation) !== null
    ? byRuns([tables.expectancies])
    : byWin(tables.book, standingOf(situation));
}
