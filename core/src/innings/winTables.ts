import { lastOwnInning, leadThatEnds, startOf, type GameRules, type Half } from './game.ts';
import { MOST_RUNS } from './runs.ts';
import { halfEnds, type HalfEnds, type BattingSide } from './side.ts';
import { STATES, type BaseOut } from './state.ts';

/** A game between two sides, solved: the home team's chance at the start of every half. Plain data. */
export interface WinTables {
  home: BattingSide;
  away: BattingSide;
  rules: GameRules;
  /** From the start of the top, and of the bottom, of each inning: by lead and who leads off on either side. */
  tops: Float64Array[];
  bottoms: Float64Array[];
}

/** The cell of a lead and who leads off on either side; leads beyond the clip count as it. */
function cellIn(
  { home, away, rules: { clip } }: Pick<WinTables, 'home' | 'away' | 'rules'>,
  lead: number,
  homeSpot: number,
  awaySpot: number,
): number {
  const kept = Math.min(clip, Math.max(-clip, lead)) + clip;
  return (kept * home.spots + homeSpot) * away.spots + awaySpot;
}

/** What a half that is over is worth to the home team, as far as the tables are filled. */
export function followIn(tables: WinTables) {
  const { rules, tops, bottoms } = tables;
  const last = lastOwnInning(rules);
  const ending = Array.from({ length: last + 1 }, (_, inning) => leadThatEnds(rules, inning));
  return (half: Half, of: number, lead: number, homeSpot: number, awaySpot: number): number => {
    const inning = Math.min(of, last);
    const enough = ending[inning] ?? Number.POSITIVE_INFINITY;
    const cell = cellIn(tables, lead, homeSpot, awaySpot);
    if (half === 'top') {
      if (lead >= enough || (inning >= rules.innings && lead > 0)) return 1;
      return bottoms[inning]?.[cell] ?? 0;
    }
    if (lead >= enough) return 1;
    if (-lead >= enough) return 0;
    if (inning >= rules.innings && lead !== 0) return lead > 0 ? 1 : 0;
    return tops[Math.min(inning + 1, last)]?.[cell] ?? 0;
  };
}

/** Adds a share of a stretch of one list to another: most of the work, in a loop of its own. */
function addTimes(sum: Float64Array, share: number, of: Float64Array, from: number): void {
  for (let at = 0; at < sum.length; at += 1)
    sum[at] = (sum[at] ?? 0) + share * (of[from + at] ?? 0);
}

/**
 * Solves a game between two sides: exact, by dynamic programming over the starts of halves. A side of
 * one spot is an average line-up.
 */
export function winTables(home: BattingSide, away: BattingSide, rules: GameRules): WinTables {
  const { clip } = rules;
  const last = lastOwnInning(rules);
  const cells = home.spots * away.spots;
  const limit = rules.runLimit ?? Number.POSITIVE_INFINITY;
  const tables: WinTables = { home, away, rules, tops: [], bottoms: [] };
  const { tops, bottoms } = tables;
  const follow = followIn(tables);
  const endsOf = endsKept(tables);

  /** A half from its start, for every lead and lead-off. */
  const fill = (half: Half, inning: number): Float64Array => {
    const isTop = half === 'top';
    const toward = isTop ? -1 : 1;
    const [batting, others] = isTop ? [away.spots, home.spots] : [home.spots, away.spots];
    // What follows is looked up once for each lead that can come of it, and laid so that all leads and
    // all of the others' spots lie in one row for each next batter.
    const reach = clip + MOST_RUNS;
    const row = (2 * reach + 1) * others;
    const follows = new Float64Array(batting * row);
    for (let next = 0; next < batting; next += 1) {
      for (let lead = -reach; lead <= reach; lead += 1) {
        if (isTop ? lead > clip : lead < -clip) continue;
        for (let other = 0; other < others; other += 1) {
          const at = next * row + (lead + reach) * others + other;
          follows[at] = isTop
            ? follow(half, inning, lead, other, next)
            : follow(half, inning, lead, next, other);
        }
      }
    }
    const table = new Float64Array((2 * clip + 1) * cells);
    const sum = new Float64Array((2 * clip + 1) * others);
    for (let spot = 0; spot < batting; spot += 1) {
      const { runs, nextSpot, chance } = endsOf(half, spot, startOf(inning, rules), limit);
      sum.fill(0);
      for (let index = 0; index < runs.length; index += 1) {
        const share = chance[index] ?? 0;
        const lead = toward * (runs[index] ?? 0) - clip;
        const from = (nextSpot[index] ?? 0) * row + (lead + reach) * others;
        addTimes(sum, share, follows, from);
      }
      for (let lead = -clip; lead <= clip; lead += 1) {
        for (let other = 0; other < others; other += 1) {
          const cell = isTop
            ? cellIn(tables, lead, other, spot)
            : cellIn(tables, lead, spot, other);
          table[cell] = sum[(lead + clip) * others + other] ?? 0;
        }
      }
    }
    return table;
  };

  // Tied in extra innings again and again: the value of that is its own next value.
  const extras = settleExtras(home, away, (half, spot) =>
    endsOf(half, spot, startOf(last, rules), limit),
  );
  tops[last] = new Float64Array((2 * clip + 1) * cells);
  tops[last].set(extras, clip * cells);
  bottoms[last] = fill('bottom', last);
  tops[last] = fill('top', last);
  for (let inning = last - 1; inning >= 1; inning -= 1) {
    bottoms[inning] = fill('bottom', inning);
    tops[inning] = fill('top', inning);
  }
  return tables;
}

export type EndsOf = (half: Half, spot: number, state: BaseOut, runLimit: number) => HalfEnds;

/** How halves end, worked out once for each batter, state and limit. */
export function endsKept({ home, away }: Pick<WinTables, 'home' | 'away'>): EndsOf {
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
  home: BattingSide,
  away: BattingSide,
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
