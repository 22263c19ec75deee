import { halfEnds, type HalfEnds, type Side } from './side.ts';
import { MOST_RUNS } from './runs.ts';
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

/**
 * The book of a game between two sides: exact, by dynamic programming over the starts of halves. A
 * side of one spot is an average line-up.
 */
export function winBook(home: Side, away: Side, rules: GameRules): WinBook {
  const { innings, clip, tieBreakerFrom } = rules;
  // The inning that stands for all later ones.
  const last = Math.max(innings + 1, tieBreakerFrom ?? 0);
  const cells = home.spots * away.spots;
  const limit = rules.runLimit ?? Number.POSITIVE_INFINITY;
  const endingLead = Array.from({ length: last + 1 }, (_, inning) => leadThatEnds(rules, inning));
  const startState = (inning: number): BaseOut =>
    tieBreakerFrom !== null && inning >= tieBreakerFrom ? baseOut(rules.tieBreakerBases, 0) : 0;
  const at = (lead: number, homeSpot: number, awaySpot: number): number =>
    ((Math.min(clip, Math.max(-clip, lead)) + clip) * home.spots + homeSpot) * away.spots +
    awaySpot;
  const endsOf = endsKept(home, away);
  // From the start of each half, by lead and who leads off on either side.
  const tops: Float64Array[] = [];
  const bottoms: Float64Array[] = [];

  const afterBottom = (inning: number, lead: number, hs: number, as: number): number => {
    const enough = endingLead[inning] ?? Number.POSITIVE_INFINITY;
    if (lead >= enough) return 1;
    if (-lead >= enough) return 0;
    if (inning >= innings && lead !== 0) return lead > 0 ? 1 : 0;
    return tops[Math.min(inning + 1, last)]?.[at(lead, hs, as)] ?? 0;
  };
  const startOfBottom = (inning: number, lead: number, hs: number, as: number): number => {
    if (inning >= innings && lead > 0) return 1;
    if (lead >= (endingLead[inning] ?? Number.POSITIVE_INFINITY)) return 1;
    return bottoms[inning]?.[at(lead, hs, as)] ?? 0;
  };

  /** A half from its start, for every lead and lead-off: `after` is what follows it. */
  const fill = (half: Half, inning: number, after: typeof afterBottom): Float64Array => {
    const isTop = half === 'top';
    const toward = isTop ? -1 : 1;
    // What follows is looked up once for each lead that can come of it.
    const reach = clip + MOST_RUNS;
    const follows = new Float64Array((2 * reach + 1) * cells);
    for (let lead = -reach; lead <= reach; lead += 1) {
      if (isTop ? lead > clip : lead < -clip) continue;
      for (let hs = 0; hs < home.spots; hs += 1) {
        for (let as = 0; as < away.spots; as += 1) {
          follows[(lead + reach) * cells + hs * away.spots + as] = after(inning, lead, hs, as);
        }
      }
    }
    const table = new Float64Array((2 * clip + 1) * cells);
    const batting = isTop ? away : home;
    const [own, others] = isTop ? [1, home.spots] : [away.spots, away.spots];
    const step = isTop ? away.spots : 1;
    for (let spot = 0; spot < batting.spots; spot += 1) {
      const { runs, nextSpot, chance } = endsOf(half, spot, startState(inning), limit);
      for (let lead = -clip; lead <= clip; lead += 1) {
        const into = (lead + clip) * cells + spot * own;
        for (let index = 0; index < runs.length; index += 1) {
          const share = chance[index] ?? 0;
          const from =
            (lead + toward * (runs[index] ?? 0) + reach) * cells + (nextSpot[index] ?? 0) * own;
          for (let other = 0; other < others; other += 1) {
            const cell = into + other * step;
            table[cell] = (table[cell] ?? 0) + share * (follows[from + other * step] ?? 0);
          }
        }
      }
    }
    return table;
  };

  // Tied in extra innings again and again: the value of that is its own next value.
  const extras = settleExtras(home, away, (half, spot) =>
    endsOf(half, spot, startState(last), limit),
  );
  tops[last] = new Float64Array((2 * clip + 1) * cells);
  tops[last].set(extras, clip * cells);
  bottoms[last] = fill('bottom', last, afterBottom);
  tops[last] = fill('top', last, startOfBottom);
  for (let inning = last - 1; inning >= 1; inning -= 1) {
    bottoms[inning] = fill('bottom', inning, afterBottom);
    tops[inning] = fill('top', inning, startOfBottom);
  }

  const follow = (inning: number, half: Half, lead: number, hs: number, as: number): number =>
    (half === 'top' ? startOfBottom : afterBottom)(Math.min(inning, last), lead, hs, as);
  return {
    rules,
    afterHalf: ({ inning, half, homeLead, homeSpot = 0, awaySpot = 0 }) =>
      follow(inning, half, homeLead, homeSpot, awaySpot),
    isEnded: ({ inning, half, homeLead, runsThisHalf = 0 }) =>
      runsThisHalf >= limit ||
      (half === 'bottom' &&
        ((inning >= innings && homeLead > 0) ||
          homeLead >= (endingLead[Math.min(inning, last)] ?? Number.POSITIVE_INFINITY))),
    at: (standing) => {
      const misfit = describeStandingMisfit(standing, rules);
      if (misfit) throw new RangeError(`winBook: ${misfit.message}`);
      const { inning, half, homeLead, state, homeSpot = 0, awaySpot = 0 } = standing;
      const { runsThisHalf = 0 } = standing;
      const isTop = half === 'top';
      const spot = isTop ? awaySpot : homeSpot;
      const { runs, nextSpot, chance } = endsOf(half, spot, state, limit - runsThisHalf);
      let value = 0;
      for (let index = 0; index < runs.length; index += 1) {
        const scored = runs[index] ?? 0;
        const next = nextSpot[index] ?? 0;
        value +=
          (chance[index] ?? 0) *
          (isTop
            ? follow(inning, half, homeLead - scored, homeSpot, next)
            : follow(inning, half, homeLead + scored, next, awaySpot));
      }
      return value;
    },
  };
}

type EndsOf = (half: Half, spot: number, state: BaseOut, runLimit: number) => HalfEnds;

/** How halves end, worked out once for each batter, state and limit. */
function endsKept(home: Side, away: Side): EndsOf {
  const kept = new Map<number, HalfEnds>();
  return (half, spot, state, runLimit) => {
    const allowed = Number.isFinite(runLimit) ? runLimit : MOST_RUNS + 1;
    const key =
      ((spot * STATES + state) * (MOST_RUNS + 2) + allowed) * 2 + (half === 'top' ? 0 : 1);
    const known = kept.get(key);
    if (known) return known;
    const ends = halfEnds(half === 'top' ? away : home, spot, state, runLimit);
    kept.set(key, ends);
    return ends;
  };
}

const CLOSE = 1e-14;

/** The home team's chance at the start of a tied extra inning, by who leads off: a fixed point. */
function settleExtras(
  home: Side,
  away: Side,
  endsOf: (half: Half, spot: number) => HalfEnds,
): Float64Array {
  // Of an inning that starts tied: won outright, or tied again with these leading off.
  const steps = Array.from({ length: home.spots * away.spots }, (_, cell) => {
    const ours = endsOf('bottom', Math.floor(cell / away.spots));
    const theirs = endsOf('top', cell % away.spots);
    // Ours by runs, so that each of theirs meets only what it ties with, and the sum of what beats it.
    const beats = new Float64Array(MOST_RUNS + 2);
    const ties: [next: number, chance: number][][] = Array.from(
      { length: MOST_RUNS + 1 },
      () => [],
    );
    for (let h = 0; h < ours.runs.length; h += 1) {
      const [runs, chance] = [ours.runs[h] ?? 0, ours.chance[h] ?? 0];
      beats[runs] = (beats[runs] ?? 0) + chance;
      ties[runs]?.push([ours.nextSpot[h] ?? 0, chance]);
    }
    for (let runs = MOST_RUNS; runs >= 0; runs -= 1) {
      beats[runs] = (beats[runs] ?? 0) + (beats[runs + 1] ?? 0);
    }
    let won = 0;
    const again = new Float64Array(home.spots * away.spots);
    for (let a = 0; a < theirs.runs.length; a += 1) {
      const [needed, chance] = [theirs.runs[a] ?? 0, theirs.chance[a] ?? 0];
      won += chance * (beats[needed + 1] ?? 0);
      for (const [next, tying] of ties[needed] ?? []) {
        const to = next * away.spots + (theirs.nextSpot[a] ?? 0);
        again[to] = (again[to] ?? 0) + chance * tying;
      }
    }
    return { won, again };
  });
  let values = new Float64Array(steps.length).fill(0.5);
  for (let round = 0; round < 500; round += 1) {
    let moved = 0;
    const next = new Float64Array(steps.length);
    for (const [cell, { won, again }] of steps.entries()) {
      let value = won;
      for (let to = 0; to < again.length; to += 1) value += (again[to] ?? 0) * (values[to] ?? 0);
      moved = Math.max(moved, Math.abs(value - (values[cell] ?? 0)));
      next[cell] = value;
    }
    values = next;
    if (moved < CLOSE) break;
  }
  return values;
}
