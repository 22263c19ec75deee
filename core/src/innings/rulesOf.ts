import type { Ruleset } from '../rules/index.ts';
import { plainRules, type GameRules } from './game.ts';

/** What decides a game under a team's rules. A tie-breaker puts a runner on second. */
export function gameRulesOf({
  innings,
  tieBreakerFromInning,
  runRuleRuns,
  runRuleAfterInning,
}: Pick<
  Ruleset,
  'innings' | 'tieBreakerFromInning' | 'runRuleRuns' | 'runRuleAfterInning'
>): GameRules {
  return {
    ...plainRules(innings),
    tieBreakerFrom: tieBreakerFromInning,
    runRules:
      runRuleRuns === null || runRuleAfterInning === null
        ? []
        : [{ lead: runRuleRuns, after: runRuleAfterInning }],
  };
}
