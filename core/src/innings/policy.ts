import { chainOf, type Batting, type Chain } from './chain.ts';
import type { BuntOutcomes, KnownBunt, SqueezeOutcomes } from './rates.ts';
import { sacrificeChain, sacrificeFrom } from './sacrifice.ts';
import { squeezeFrom } from './squeeze.ts';
import {
  baseOut,
  basesOf,
  FIRST,
  isOver,
  loadOf,
  outsOf,
  overWith,
  SECOND,
  STATES,
  THIRD,
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

/** What there is to choose from with one batter up. */
export interface Tactics {
  swing: Chain;
  bunt: Chain;
  /** Of whoever is on base then. */
  steals: StealChances;
}

/**
 * The tactics with a batter up: his batting with nobody going on his own, since every steal is a
 * choice here.
 * @param outcomes of a sacrifice
 * @param squeeze what a bunt comes to with somebody on third and fewer than two out; without it a
 *   sacrifice is taken for it, which it is not
 * @param known by state: what a bunt by the people who are there comes to, in place of both
 */
export function tacticsOf(
  batting: Batting,
  outcomes: BuntOutcomes,
  twoStrikeFactor: number,
  steals: StealChances,
  squeeze?: SqueezeOutcomes,
  known: readonly (KnownBunt | null | undefined)[] = [],
): Tactics {
  const still = {
    ...batting,
    advance: { ...batting.advance, stealSecondTry: 0, stealThirdTry: 0 },
  };
  const usual = sacrificeChain(outcomes, still, twoStrikeFactor);
  return {
    swing: chainOf(still),
    bunt: usual.map((steps, state) => {
      const own = known[state];
      if (outsOf(state) === 2 || !(basesOf(state) & THIRD)) {
        return own?.bunt ? sacrificeFrom(state, own.bunt, still, twoStrikeFactor) : steps;
      }
      const squeezed = own?.squeeze ?? squeeze;
      return squeezed ? squeezeFrom(state, squeezed, still) : steps;
    }),
    steals,
  };
}

/** The steal there is from a state: its chance, and where each way leaves it. */
export interface StealFrom {
  action: Action;
  chance: number;
  safe: BaseOut;
  out: BaseOut;
}

/** The steal of each state; null where nobody can go. */
export function stealsFrom({ second, third, double }: StealChances): (StealFrom | null)[] {
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
export const SAME = 1e-12;

const NO_STEALS: readonly null[] = Array.from({ length: STATES }, () => null);

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
