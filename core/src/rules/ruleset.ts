export const SPORTS = ['baseball', 'softball'] as const;
export type Sport = (typeof SPORTS)[number];

/**
 * When a runner may leave the base:
 * `open` any time the ball is live; `atRelease` when the pitch leaves the hand;
 * `reachesBatter` when the pitch reaches the batter.
 */
export const LEAD_RULES = ['open', 'atRelease', 'reachesBatter'] as const;
export type LeadRule = (typeof LEAD_RULES)[number];

/**
 * Who may come back into a game: nobody; a starter, once, in the same spot of the order; anybody at any time.
 */
export const RE_ENTRIES = ['none', 'startersOnce', 'free'] as const;
export type ReEntry = (typeof RE_ENTRIES)[number];

/** What is allowed in this league. A starting point to edit: the league's own book decides. */
export interface Ruleset {
  name: string;
  sport: Sport;
  /** From the back point of home to the far side of first, feet. */
  baseDistanceFeet: number;
  /** From the front of the plate or rubber mark that the book names, feet. */
  pitchingDistanceFeet: number;
  innings: number;
  leadRule: LeadRule;
  stealAllowed: boolean;
  buntAllowed: boolean;
  headFirstAllowed: boolean;
  devicesAllowed: boolean;
  /** The game ends when a team leads by this many runs... null: no run rule. */
  runRuleRuns: number | null;
  /** ...after this many full innings. */
  runRuleAfterInning: number | null;
  /** Extra innings from here start with a runner on second; null: never. */
  tieBreakerFromInning: number | null;
  /** Throws to a base allowed in one plate appearance; null: no limit. */
  pickLimit: number | null;
  /** Runs a team may score in a half inning; null: no limit. */
  runLimitPerHalf: number | null;
  /** No run limit from the last regular inning on. */
  runLimitLastOpen: boolean;
  /** A batter may run when the catcher does not hold strike three. */
  droppedThirdStrike: boolean;
  infieldFly: boolean;
  reEntry: ReEntry;
  /** Somebody who has not played may run for the pitcher and the catcher. */
  courtesyRunner: boolean;
  /** Everybody on the team bats, and anybody may play anywhere. */
  continuousOrder: boolean;
  /** An illegal pitch gives every runner a base. */
  illegalPitchAdvances: boolean;
}

const LEAD_RULE_WORDS: Record<LeadRule, string> = {
  open: 'leads any time',
  atRelease: 'leaves at release',
  reachesBatter: 'leaves when the pitch reaches the batter',
};

/** The lead rule in words a coach says, to stand after a comma. */
export function describeLeadRule(rule: LeadRule): string {
  return LEAD_RULE_WORDS[rule];
}

/** Whether the pitch is timed from the release: there is no move of a front foot to run on. */
export function timesFromRelease({ sport, leadRule }: Ruleset): boolean {
  return sport === 'softball' || leadRule === 'atRelease';
}
