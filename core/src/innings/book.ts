import { halfEnds, type HalfEnds, type Side } from './side.ts';
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

/** The chance that the home team wins, at the start of every half and inside it. */
export interface WinBook {
  rules: GameRules;
  /** @throws RangeError when the game cannot stand so, with the reason */
  at: (standing: Standing) => number;
  /** The same when that half has just ended. */
  afterHalf: (standing: Omit<Standing, 'state'>) => number;
  /** Whether what has been scored ends the half at once: walk-off, run rule, run limit. */
  isEnded: (standing: Omit<Standing, 'state'>) => boolean;
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
    return { path: 'homeLead', message: 'The home team has won: it does not bat with a lead now.' };
  }
  // The home team's lead ends a game after a top too; the visitors' only after a bottom.
  const before = leadThatEnds(rules, inning - 1);
  const now = half === 'bottom' ? leadThatEnds(rules, inning) : before;
  if (homeLead >= now || -homeLead >= before) {
    return { path: 'homeLead', message: 'The run rule has ended this game: enter a smaller lead.' };
  }
  return null;
}

export function leadThatEnds({ runRules }: GameRules, inning: number): number {
  return Math.min(
    Number.POSITIVE_INFINITY,
    ...runRules.filter(({ after }) => inning >= after).map(({ lead }) => lead),
  );
}

const CLOSE = 1e-14;

/**
 * The book of a game between two sides: exact, by dynamic programming over the starts of halves. A
 * side of one spot is an average line-up.
 */
export function winBook(home: Side, away: Side, rules: GameRules): WinBook {
  const { innings, clip, tieBreakerFrom } = rules;
  const lastOwn = Math.max(innings + 1, tieBreakerFrom ?? 0);
  const width = 2 * clip + 1;
  const cells = home.spots * away.spots;
  const limit = rules.runLimit ?? Number.POSITIVE_INFINITY;
  const startState = (inning: number): BaseOut =>
    tieBreakerFrom !== null && inning >= tieBreakerFrom ? baseOut(rules.tieBreakerBases, 0) : 0;
  const leadIndex = (lead: number): number => Math.min(clip, Math.max(-clip, lead)) + clip;
  const at = (lead: number, homeSpot: number, awaySpot: number): number =>
    (leadIndex(lead) * home.spots + homeSpot) * away.spots + awaySpot;

  // From the last inning, which stands for all later ones, back to the first.
  const tops: Float64Array[] = [];
  const bottoms: Float64Array[] = [];
  const endsOf = startEnds(home, away, limit);

  /** Home wins after the bottom of an inning, when it is not decided by the lead. */
  const afterBottom = (inning: number, lead: number, hs: number, as: number): number => {
    if (lead >= leadThatEnds(rules, inning)) return 1;
    if (-lead >= leadThatEnds(rules, inning)) return 0;
    if (inning >= innings) {
      if (lead > 0) return 1;
      if (lead < 0) return 0;
    }
    const next = Math.min(inning + 1, lastOwn);
    return tops[next]?.[at(lead, hs, as)] ?? 0;
  };
  const startOfBottom = (inning: number, lead: number, hs: number, as: number): number => {
    if (inning >= innings && lead > 0) return 1;
    if (lead >= leadThatEnds(rules, inning)) return 1;
    return bottoms[inning]?.[at(lead, hs, as)] ?? 0;
  };

  const fillBottom = (inning: number): void => {
    const table = (bottoms[inning] ??= new Float64Array(width * cells));
    const ends = endsOf(startState(inning)).home;
    for (let lead = -clip; lead <= clip; lead += 1) {
      for (let hs = 0; hs < home.spots; hs += 1) {
        const { runs, nextSpot, chance } = ends[hs] ?? NO_ENDS;
        for (let as = 0; as < away.spots; as += 1) {
          let value = 0;
          for (let index = 0; index < runs.length; index += 1) {
            value +=
              (chance[index] ?? 0) *
              afterBottom(inning, lead + (runs[index] ?? 0), nextSpot[index] ?? 0, as);
          }
          table[at(lead, hs, as)] = value;
        }
      }
    }
  };
  const fillTop = (inning: number): void => {
    const table = (tops[inning] ??= new Float64Array(width * cells));
    const ends = endsOf(startState(inning)).away;
    for (let lead = -clip; lead <= clip; lead += 1) {
      for (let as = 0; as < away.spots; as += 1) {
        const { runs, nextSpot, chance } = ends[as] ?? NO_ENDS;
        for (let hs = 0; hs < home.spots; hs += 1) {
          let value = 0;
          for (let index = 0; index < runs.length; index += 1) {
            value +=
              (chance[index] ?? 0) *
              startOfBottom(inning, lead - (runs[index] ?? 0), hs, nextSpot[index] ?? 0);
          }
          table[at(lead, hs, as)] = value;
        }
      }
    }
  };

  // Tied in extra innings again and again: the value of that is its own next value.
  tops[lastOwn] = new Float64Array(width * cells).fill(0.5);
  settleExtras({ home, away, ends: endsOf(startState(lastOwn)), table: tops[lastOwn], at });
  fillBottom(lastOwn);
  const tied = tops[lastOwn].slice();
  fillTop(lastOwn);
  for (let hs = 0; hs < home.spots; hs += 1) {
    for (let as = 0; as < away.spots; as += 1)
      tops[lastOwn][at(0, hs, as)] = tied[at(0, hs, as)] ?? 0;
  }
  for (let inning = lastOwn - 1; inning >= 1; inning -= 1) {
    fillBottom(inning);
    fillTop(inning);
  }

  const afterHalf: WinBook['afterHalf'] = ({
    inning,
    half,
    homeLead,
    homeSpot = 0,
    awaySpot = 0,
  }) => {
    const own = Math.min(inning, lastOwn);
    return half === 'top'
      ? startOfBottom(own, homeLead, homeSpot, awaySpot)
      : afterBottom(own, homeLead, homeSpot, awaySpot);
  };
  return {
    rules,
    afterHalf,
    isEnded: ({ inning, half, homeLead, runsThisHalf = 0 }) =>
      runsThisHalf >= limit ||
      (half === 'bottom' &&
        ((inning >= innings && homeLead > 0) || homeLead >= leadThatEnds(rules, inning))),
    at: (standing) => {
      const misfit = describeStandingMisfit(standing, rules);
      if (misfit) throw new RangeError(`winBook: ${misfit.message}`);
      const {
        inning,
        half,
        homeLead,
        state,
        homeSpot = 0,
        awaySpot = 0,
        runsThisHalf = 0,
      } = standing;
      const batting = half === 'top' ? away : home;
      const spot = half === 'top' ? awaySpot : homeSpot;
      const { runs, nextSpot, chance } = halfEnds(batting, spot, state, limit - runsThisHalf);
      let value = 0;
      for (let index = 0; index < runs.length; index += 1) {
        const scored = runs[index] ?? 0;
        const next = nextSpot[index] ?? 0;
        value +=
          (chance[index] ?? 0) *
          afterHalf({
            inning,
            half,
            homeLead: half === 'top' ? homeLead - scored : homeLead + scored,
            homeSpot: half === 'top' ? homeSpot : next,
            awaySpot: half === 'top' ? next : awaySpot,
          });
      }
      return value;
    },
  };
}

const NO_ENDS: HalfEnds = {
  runs: new Int32Array(),
  nextSpot: new Int32Array(),
  chance: new Float64Array(),
};

interface StartEnds {
  home: HalfEnds[];
  away: HalfEnds[];
}

/** How halves end from a starting state, for every lead-off spot; worked out once per state. */
function startEnds(home: Side, away: Side, limit: number): (state: BaseOut) => StartEnds {
  const known = new Map<BaseOut, StartEnds>();
  const all = (side: Side, state: BaseOut): HalfEnds[] =>
    Array.from({ length: side.spots }, (_, spot) => halfEnds(side, spot, state, limit));
  return (state) => {
    const ends = known.get(state) ?? { home: all(home, state), away: all(away, state) };
    known.set(state, ends);
    return ends;
  };
}

/** The home team's chance at the start of a tied extra inning, by who leads off: a fixed point. */
function settleExtras({
  home,
  away,
  ends,
  table,
  at,
}: {
  home: Side;
  away: Side;
  ends: StartEnds;
  table: Float64Array;
  at: (lead: number, homeSpot: number, awaySpot: number) => number;
}): void {
  // Of an inning that starts tied: won outright, or tied again with these leading off.
  const steps = Array.from({ length: home.spots * away.spots }, (_, cell) => {
    const [hs, as] = [Math.floor(cell / away.spots), cell % away.spots];
    const [ours, theirs] = [ends.home[hs] ?? NO_ENDS, ends.away[as] ?? NO_ENDS];
    let won = 0;
    const again = new Map<number, number>();
    for (let a = 0; a < theirs.runs.length; a += 1) {
      for (let h = 0; h < ours.runs.length; h += 1) {
        const both = (theirs.chance[a] ?? 0) * (ours.chance[h] ?? 0);
        const [scored, needed] = [ours.runs[h] ?? 0, theirs.runs[a] ?? 0];
        if (scored > needed) won += both;
        else if (scored === needed) {
          const next = (ours.nextSpot[h] ?? 0) * away.spots + (theirs.nextSpot[a] ?? 0);
          again.set(next, (again.get(next) ?? 0) + both);
        }
      }
    }
    return { won, again: [...again] };
  });
  let values = new Float64Array(steps.length).fill(0.5);
  for (let round = 0; round < 500; round += 1) {
    let moved = 0;
    const next = new Float64Array(steps.length);
    for (const [cell, { won, again }] of steps.entries()) {
      let value = won;
      for (const [to, chance] of again) value += chance * (values[to] ?? 0);
      moved = Math.max(moved, Math.abs(value - (values[cell] ?? 0)));
      next[cell] = value;
    }
    values = next;
    if (moved < CLOSE) break;
  }
  for (const [cell, value] of values.entries()) {
    table[at(0, Math.floor(cell / away.spots), cell % away.spots)] = value;
  }
}
