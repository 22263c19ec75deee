import {
  ACTIONS,
  lastOwnInning,
  policyByWin,
  STATES,
  tacticsOf,
  type Action,
  type BaseOut,
  type BuntOutcomes,
  type KnownBunt,
  type StealChances,
  type Tactics,
} from '@bradyon/core/innings';
import type { GameAsked } from './game.ts';

/** What bunts come to with each batter up, as far as it is worked out. */
export interface KnownByBatter {
  /** By spot and state; empty for a batter who is still to come, or of whom nothing can be known. */
  bySpot: (KnownBunt | null)[][];
  /** How many batters are worked out, of how many. */
  done: number;
  of: number;
}

/** A game, and what of ours there is to choose from with each batter up. */
export interface BestAsked {
  game: GameAsked;
  weAreHome: boolean;
  /** By spot, as many as the game has of ours; of the level where there is none. */
  bunts: BuntOutcomes[];
  steals: StealChances[];
  knownBunts: KnownByBatter['bySpot'];
}

/** The best of ours in every inning, lead, spot and state: plain data, read with bestAt. */
export interface BestTable {
  spots: number;
  /** The last inning that has choices of its own: it stands for all later ones. */
  lastInning: number;
  actions: Uint8Array;
  gains: Float32Array;
}

/** What is best, and what it is worth above swinging away, in chance to win. */
export interface Best {
  action: Action;
  gain: number;
}

const NEVER_SAFE: StealChances = { second: 0, third: 0, double: 0 };

/** Leads beyond this count as this: no card goes so far. */
export const MOST_LEAD = 15;
const LEADS = 2 * MOST_LEAD + 1;

interface Where {
  inning: number;
  /** Ours less theirs. */
  lead: number;
  spot: number;
  state: BaseOut;
}

function cellOf(
  { spots, lastInning }: Pick<BestTable, 'spots' | 'lastInning'>,
  { inning, lead, spot, state }: Where,
): number {
  const kept = Math.min(MOST_LEAD, Math.max(-MOST_LEAD, lead)) + MOST_LEAD;
  const own = Math.min(inning, lastInning);
  return (((own - 1) * LEADS + kept) * spots + (spot % spots)) * STATES + state;
}

/** Both sides choose as well as they can: theirs with what is usual at the level. */
export function bestChoices({ game, weAreHome, bunts, steals, knownBunts }: BestAsked): BestTable {
  const { level, rules, allowed } = game;
  const { stealSecondSafe: second, stealThirdSafe: third } = level.advance;
  const usual: StealChances = { second, third, double: third };
  const tactics = (
    rates: GameAsked['theirs'],
    bunt: BuntOutcomes,
    chances: StealChances,
    known?: (KnownBunt | null)[],
  ): Tactics => {
    const { twoStrikeFactor, squeeze } = level;
    const all = tacticsOf({ ...level, rates }, bunt, twoStrikeFactor, chances, squeeze, known);
    // What the rules forbid is worth no more than swinging away.
    return {
      swing: all.swing,
      bunt: allowed.buntAllowed ? all.bunt : all.swing,
      steals: allowed.stealAllowed ? all.steals : NEVER_SAFE,
    };
  };
  const ours = game.ours.map((rates, spot) =>
    tactics(rates, bunts[spot] ?? level.bunt, steals[spot] ?? usual, knownBunts[spot]),
  );
  const theirs = [tactics(game.theirs, level.bunt, usual)];
  const [home, away] = weAreHome ? [ours, theirs] : [theirs, ours];
  const policy = policyByWin(home, away, { ...rules, clip: MOST_LEAD });

  const spots = ours.length;
  const lastInning = lastOwnInning(rules);
  const size = lastInning * LEADS * spots * STATES;
  const found: BestTable = {
    spots,
    lastInning,
    actions: new Uint8Array(size),
    gains: new Float32Array(size),
  };
  for (let inning = 1; inning <= lastInning; inning += 1) {
    for (let lead = -MOST_LEAD; lead <= MOST_LEAD; lead += 1) {
      for (let spot = 0; spot < spots; spot += 1) {
        for (let state = 0; state < STATES; state += 1) {
          const { action, gain } = policy.at({
            inning,
            half: weAreHome ? 'bottom' : 'top',
            homeLead: weAreHome ? lead : -lead,
            state,
            homeSpot: weAreHome ? spot : 0,
            awaySpot: weAreHome ? 0 : spot,
          });
          const cell = cellOf(found, { inning, lead, spot, state });
          found.actions[cell] = ACTIONS.indexOf(action);
          found.gains[cell] = gain;
        }
      }
    }
  }
  return found;
}

export function bestAt(table: BestTable, where: Where): Best {
  const cell = cellOf(table, where);
  return {
    action: ACTIONS[table.actions[cell] ?? 0] ?? 'swing',
    gain: table.gains[cell] ?? 0,
  };
}
