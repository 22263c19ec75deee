import { baseOut, SECOND, STATES, type BaseOut, type Bases } from './state.ts';

/** What decides a game. */
export interface GameRules {
  innings: number;
  /** From this inning on every half starts with runners on; null: never. */
  tieBreakerFrom: number | null;
  tieBreakerBases: Bases;
  /** A lead of so many ends the game after so many innings; the smallest lead in force counts. */
  runRules: readonly { lead: number; after: number }[];
  /** A half is over after so many runs; null: no limit. */
  runLimit: number | null;
  /** Leads beyond this count as this. 25 is plenty; 15 shows in youth games. */
  clip: number;
}

/** No tie-breaker, no run rule, no limit. */
export function plainRules(innings: number): GameRules {
  return {
    innings,
    tieBreakerFrom: null,
    tieBreakerBases: SECOND,
    runRules: [],
    runLimit: null,
    clip: 25,
  };
}

export const HALVES = ['top', 'bottom'] as const;
export type Half = (typeof HALVES)[number];

/** Where a game stands. */
export interface Standing {
  /** From 1. */
  inning: number;
  half: Half;
  /** Home runs less visitors' runs. */
  homeLead: number;
  state: BaseOut;
  /** Who is up, and who leads off the other side's next half; 0 for an average side. */
  homeSpot?: number;
  awaySpot?: number;
  /** Already scored in this half: counts with a run limit only. */
  runsThisHalf?: number;
}

/** What of a standing cannot be, in words with the field it is about; null when all is well. */
export function describeStandingMisfit(
  { inning, half, homeLead, state }: Pick<Standing, 'inning' | 'half' | 'homeLead' | 'state'>,
  rules: GameRules,
): { path: 'inning' | 'homeLead' | 'state'; message: string } | null {
  if (!Number.isInteger(inning) || inning < 1) {
    return { path: 'inning', message: 'Enter an inning from 1.' };
  }
  if (!Number.isInteger(state) || state < 0 || state >= STATES) {
    return { path: 'state', message: 'Choose bases and 0, 1 or 2 outs.' };
  }
  if (!Number.isInteger(homeLead)) return { path: 'homeLead', message: 'Enter whole runs.' };
  if (half === 'bottom' && inning >= rules.innings && homeLead > 0) {
    return { path: 'homeLead', message: 'The home team has won. Lower the lead.' };
  }
  if (half === 'top' && inning > rules.innings && homeLead > 0) {
    return { path: 'homeLead', message: 'The home team won in the last inning.' };
  }
  // The home team bats last: its lead ends a game at once, or after a top. The visitors may come to
  // any lead in their own half, and the home team still bats.
  const ending = leadThatEnds(rules, half === 'bottom' ? inning : inning - 1);
  if (homeLead >= ending) {
    return { path: 'homeLead', message: 'The run rule ends this game. Enter a smaller lead.' };
  }
  return null;
}

/** The lead that the run rule ends a game at after an inning; Infinity without one. */
export function leadThatEnds({ runRules }: GameRules, inning: number): number {
  return Math.min(
    Number.POSITIVE_INFINITY,
    ...runRules.filter(({ after }) => inning >= after).map(({ lead }) => lead),
  );
}

/** The inning that stands for all later ones: the first that is both extra and has its tie-breaker. */
export function lastOwnInning({ innings, tieBreakerFrom }: GameRules): number {
  return Math.max(innings + 1, tieBreakerFrom ?? 0);
}

/** Where a half of an inning starts: a tie-breaker puts runners on. */
export function startOf(inning: number, { tieBreakerFrom, tieBreakerBases }: GameRules): BaseOut {
  return tieBreakerFrom !== null && inning >= tieBreakerFrom ? baseOut(tieBreakerBases, 0) : 0;
}
