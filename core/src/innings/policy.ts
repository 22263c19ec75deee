import type { GameRules, Half } from './book.ts';
import { leadThatEnds } from './book.ts';
import { chainOf, type Batting, type Chain } from './chain.ts';
import { sacrificeChain } from './tactics.ts';
import type { BuntOutcomes } from './rates.ts';
import { BY_LOAD } from './runs.ts';
import {
  baseOut,
  basesOf,
  FIRST,
  isOver,
  outsOf,
  overWith,
  SECOND,
  STATES,
  THIRD,
  loadOf,
  type BaseOut,
} from './state.ts';

/** What a team may do with a batter up: the earlier one where two are worth the same. */
export const ACTIONS = ['swing', 'bunt', 'steal2', 'steal3', 'double'] as const;
export type Action = (typeof ACTIONS)[number];

/** How often each steal works. */
export interface StealChances {
  second: number;
  third: number;
  /** Runners off first and second together. */
  double: number;
}

/** What one team has to choose from. */
export interface Tactics {
  swing: Chain;
  bunt: Chain;
  steals: StealChances;
}

/**
 * A team's tactics: its batting with nobody going on his own, since every steal is a choice here.
 * @param outcomes of a sacrifice; with runners on third it is no squeeze, so take that row as a ranking
 */
export function tacticsOf(
  batting: Batting,
  outcomes: BuntOutcomes,
  twoStrikeFactor: number,
  steals: StealChances,
): Tactics {
  const still = {
    ...batting,
    advance: { ...batting.advance, stealSecondTry: 0, stealThirdTry: 0 },
  };
  return {
    swing: chainOf(still),
    bunt: sacrificeChain(outcomes, still, twoStrikeFactor),
    steals,
  };
}

/** The steal there is from a state: its chance, and where each way leaves it. */
interface StealFrom {
  action: Action;
  chance: number;
  safe: BaseOut;
  out: BaseOut;
}

function stealsFrom({ second, third, double }: StealChances): (StealFrom | null)[] {
  return Array.from({ length: STATES }, (_, state) => {
    const [bases, outs] = [basesOf(state), outsOf(state)];
    const caught = (on: number): BaseOut =>
      outs === 2 ? overWith(loadOf(state) - 3) : baseOut(on, outs + 1);
    if ((bases & (FIRST | SECOND)) === FIRST) {
      const others = bases & THIRD;
      const safe = baseOut(others | SECOND, outs);
      return { action: 'steal2', chance: second, safe, out: caught(others) };
    }
    if (bases === SECOND) {
      return { action: 'steal3', chance: third, safe: baseOut(THIRD, outs), out: caught(0) };
    }
    if (bases === (FIRST | SECOND)) {
      const safe = baseOut(SECOND | THIRD, outs);
      return { action: 'double', chance: double, safe, out: caught(SECOND) };
    }
    return null;
  });
}

/** Two things that differ by less than this are worth the same. */
const SAME = 1e-12;

/** Values and choices of all states, when what a step leads to is known by `after`. */
function choose(
  { swing, bunt }: Pick<Tactics, 'swing' | 'bunt'>,
  steals: readonly (StealFrom | null)[],
  state: BaseOut,
  after: (to: BaseOut, runs: number) => number,
  batted: (state: BaseOut) => number,
): { batted: number; value: number; action: Action } {
  const worth = (chain: Chain): number =>
    (chain[state] ?? []).reduce((sum, { to, runs, chance }) => sum + chance * after(to, runs), 0);
  const [swung, laid] = [worth(swing), worth(bunt)];
  const own =
    laid > swung + SAME
      ? { batted: laid, value: laid, action: 'bunt' as const }
      : { batted: swung, value: swung, action: 'swing' as const };
  const steal = steals[state];
  if (!steal) return own;
  const gone =
    steal.chance * batted(steal.safe) +
    (1 - steal.chance) * (isOver(steal.out) ? after(steal.out, 0) : batted(steal.out));
  return gone > own.value + SAME ? { ...own, value: gone, action: steal.action } : own;
}

/** The best choices by runs. */
export interface RunPolicy {
  values: number[];
  actions: Action[];
}

/** Best by runs in the half: value iteration, since a home run leads back to where it was. */
export function policyByRuns(tactics: Tactics): RunPolicy {
  const steals = stealsFrom(tactics.steals);
  let values = new Array<number>(STATES).fill(0);
  let actions = new Array<Action>(STATES).fill('swing');
  for (let round = 0; round < 500; round += 1) {
    const known = values;
    const after = (to: BaseOut, runs: number): number => runs + (isOver(to) ? 0 : (known[to] ?? 0));
    const none = (): number => 0;
    const batted = Array.from(
      { length: STATES },
      (_, state) => choose(tactics, NO_STEALS, state, after, none).batted,
    );
    const chosen = Array.from({ length: STATES }, (_, state) =>
      choose(tactics, steals, state, after, (to) => batted[to] ?? 0),
    );
    const moved = chosen.reduce(
      (most, { value }, state) => Math.max(most, Math.abs(value - (known[state] ?? 0))),
      0,
    );
    values = chosen.map(({ value }) => value);
    actions = chosen.map(({ action }) => action);
    if (moved < 1e-12) break;
  }
  return { values, actions };
}

const NO_STEALS: readonly null[] = Array.from({ length: STATES }, () => null);

/** The best choices by the chance to win, both teams choosing. */
export interface WinPolicy {
  /** The home team's chance, and what the team at bat does. */
  at: (standing: { inning: number; half: Half; homeLead: number; state: BaseOut }) => {
    homeWin: number;
    action: Action;
  };
}

interface HalfTable {
  /** The batting team's chance by lead and state. */
  values: Float64Array;
  actions: Uint8Array;
}

/**
 * Best by the chance to win in every inning, score and state. Inside a half nothing has to be
 * repeated: runs only raise the lead, and a step without one only fills the half.
 */
export function policyByWin(home: Tactics, away: Tactics, rules: GameRules): WinPolicy {
  const { innings, clip, tieBreakerFrom } = rules;
  const lastOwn = Math.max(innings + 1, tieBreakerFrom ?? 0);
  const startOf = (inning: number): BaseOut =>
    tieBreakerFrom !== null && inning >= tieBreakerFrom ? baseOut(rules.tieBreakerBases, 0) : 0;
  const solvers = { top: halfSolver(away, clip), bottom: halfSolver(home, clip) };
  const tops: HalfTable[] = [];
  const bottoms: HalfTable[] = [];
  let tied = 0.5;

  const startOfTop = (inning: number, homeLead: number): number => {
    if (inning >= lastOwn && homeLead === 0) return tied;
    return 1 - valueIn(tops[Math.min(inning, lastOwn)], -homeLead, startOf(inning), clip);
  };
  const homeAfterBottom = (inning: number, homeLead: number): number => {
    const enough = leadThatEnds(rules, inning);
    if (homeLead >= enough) return 1;
    if (-homeLead >= enough) return 0;
    if (inning >= innings && homeLead !== 0) return homeLead > 0 ? 1 : 0;
    return startOfTop(Math.min(inning + 1, lastOwn), homeLead);
  };
  const solve = (inning: number): void => {
    const enough = leadThatEnds(rules, inning);
    const walkOff = inning >= innings ? 1 : enough;
    bottoms[inning] = solvers.bottom(
      (lead) => homeAfterBottom(inning, lead),
      Math.min(walkOff, enough),
    );
    const startOfBottom = (homeLead: number): number =>
      homeLead >= Math.min(walkOff, enough)
        ? 1
        : valueIn(bottoms[inning], homeLead, startOf(inning), clip);
    tops[inning] = solvers.top((lead) => 1 - startOfBottom(-lead), Number.POSITIVE_INFINITY);
  };

  for (let round = 0; round < 200; round += 1) {
    solve(lastOwn);
    const next = 1 - valueIn(tops[lastOwn], 0, startOf(lastOwn), clip);
    const moved = Math.abs(next - tied);
    tied = next;
    if (moved < 1e-12) break;
  }
  for (let inning = lastOwn - 1; inning >= 1; inning -= 1) solve(inning);

  return {
    at: ({ inning, half, homeLead, state }) => {
      const own = Math.min(inning, lastOwn);
      const table = half === 'top' ? tops[own] : bottoms[own];
      const lead = half === 'top' ? -homeLead : homeLead;
      const value = valueIn(table, lead, state, clip);
      const cell = cellOf(lead, state, clip);
      const action = ACTIONS[table?.actions[cell] ?? 0] ?? 'swing';
      return { homeWin: half === 'top' ? 1 - value : value, action };
    },
  };
}

function cellOf(lead: number, state: BaseOut, clip: number): number {
  return (Math.min(clip, Math.max(-clip, lead)) + clip) * STATES + state;
}

function valueIn(table: HalfTable | undefined, lead: number, state: BaseOut, clip: number): number {
  return table?.values[cellOf(lead, state, clip)] ?? 0;
}

/** Solves a half for one team: from what the half being over is worth at each lead, and the lead that ends it. */
function halfSolver(tactics: Tactics, clip: number) {
  const steals = stealsFrom(tactics.steals);
  const byLoad = [0, 1, 2, 3, 4, 5].map((load) =>
    BY_LOAD.filter((state) => loadOf(state) === load),
  );
  return (over: (lead: number) => number, wonAt: number): HalfTable => {
    const values = new Float64Array((2 * clip + 1) * STATES);
    const actions = new Uint8Array(values.length);
    const batted = new Float64Array(STATES);
    for (let lead = clip; lead >= -clip; lead -= 1) {
      if (lead >= wonAt || lead === clip) {
        // It is won, or so far ahead that nothing is left to gain.
        values.fill(over(lead), cellOf(lead, 0, clip), cellOf(lead, 0, clip) + STATES);
        continue;
      }
      const after = (to: BaseOut, runs: number): number =>
        isOver(to) || lead + runs >= wonAt
          ? over(lead + runs)
          : (values[cellOf(lead + runs, to, clip)] ?? 0);
      // The fullest first; of one load all batters before any steal, which stays within the load.
      for (const states of byLoad.toReversed()) {
        for (const state of states) {
          batted[state] = choose(tactics, NO_STEALS, state, after, () => 0).batted;
        }
        for (const state of states) {
          const best = choose(tactics, steals, state, after, (to) => batted[to] ?? 0);
          values[cellOf(lead, state, clip)] = best.value;
          actions[cellOf(lead, state, clip)] = ACTIONS.indexOf(best.action);
        }
      }
    }
    return { values, actions };
  };
}
