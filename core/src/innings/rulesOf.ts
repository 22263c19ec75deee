import type { Ruleset } from '../rules/index.ts';
import { plainRules, type GameRules } from './game.ts';

/**
 * What decides a game under a team's rules. A tie-breaker puts a runner on second. A run limit counts
 * where it holds in every inning: an open last inning is taken for no limit at all.
 */
export function gameRulesOf({
  innings,
  tieBreakerFromInning,
  runRuleRuns,
  runRuleAfterInning,
  runLimitPerHalf,
  runLimitLastOpen,
}: Pick<
  Ruleset,
  | 'innings'
  | 'tieBreakerFromInning'
  | 'runRuleRuns'
  | 'runRuleAfterInning'
  | 'runLimitPerHalf'
  | 'runLimitLastOpen'
>): GameRules {
  return {
    ...plainRules(innings),
    runLimit: runLimitLastOpen ? null : runLimitPerHalf,
    tieBreakerFrom: tieBreakerFromInning,
    runRules:
      runRuleRuns === null || runRuleAfterInning === null
        ? []
        : [{ lead: runRuleRuns, after: runRuleAfterInning }],
  };
}
