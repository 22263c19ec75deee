import type { Ruleset } from '../rules/index.ts';
import type { PlayRules } from './events.ts';

/** Bit of second base, where a tie-breaker puts its runner. */
const SECOND = 2;

/** What the law of a game needs of a team's rules. */
export function playRulesOf(ruleset: Ruleset): PlayRules {
  const { runRuleRuns: lead, runRuleAfterInning: after } = ruleset;
  return {
    name: ruleset.name,
    sport: ruleset.sport,
    innings: ruleset.innings,
    leadRule: ruleset.leadRule,
    stealAllowed: ruleset.stealAllowed,
    buntAllowed: ruleset.buntAllowed,
    pickLimit: ruleset.pickLimit,
    runRules: lead === null || after === null ? [] : [{ lead, after }],
    tieBreakerFrom: ruleset.tieBreakerFromInning,
    tieBreakerBases: SECOND,
    runLimit: ruleset.runLimitPerHalf,
    runLimitLastOpen: ruleset.runLimitLastOpen,
    droppedThirdStrike: ruleset.droppedThirdStrike,
    infieldFly: ruleset.infieldFly,
    reEntry: ruleset.reEntry,
    courtesyRunner: ruleset.courtesyRunner,
    continuousOrder: ruleset.continuousOrder,
    illegalPitchAdvances: ruleset.illegalPitchAdvances,
  };
}
