import { flat, type Flat } from './flat.ts';
import { lastOwnInning, leadThatEnds, startOf, type GameRules, type Standing } from './game.ts';
import { ACTIONS, SAME, stealsFrom, type Action, type StealFrom, type Tactics } from './policy.ts';
import { BY_LOAD } from './runs.ts';
import { isOver, loadOf, STATES, type BaseOut } from './state.ts';

/** The best that can be done in one situation. */
interface BestChoice {
  /** The home team's chance. */
  homeWin: number;
  action: Action;
  /** What the choice is worth above swinging away, in chance to win. */
  gain: number;
}

/** The best choices by the chance to win, both teams choosing. */
export interface WinPolicy {
  at: (standing: Omit<Standing, 'runsThisHalf'>) => BestChoice;
}

/** A half of one team, by who leads off for the other: its chances by lead, who is up, and state. */
interface HalfTable {
  values: Float64Array;
  /** What swinging away there is worth, the best being done afterwards. */
  swung: Float64Array;
  actions: Uint8Array;
}

/**
 * Best by the chance to win in every inning, score, state and spot. Inside a half nothing has to be
 * repeated: runs only raise the lead, and a step without one only fills the half.
 * @param home what there is to choose from with each of its batters up; one stands for all
 */
export function policyByWin(
  home: readonly Tactics[],
  away: readonly Tactics[],
  rules: GameRules,
): WinPolicy {
  const { innings, clip } = rules;
  const last = lastOwnInning(rules);
  const [solveTop, solveBottom] = [halfSolver(away, clip), halfSolver(home, clip)];
  // By inning, then by who leads off for the side that is not at bat.
  const tops: HalfTable[][] = [];
  const bottoms: HalfTable[][] = [];
  // The home team's chance in an extra inning that starts tied, by who leads off on either side.
  let tied = new Float64Array(home.length * away.length).fill(0.5);

  const inTop = (inning: number, homeLead: number, hs: number, as: number): number => {
    if (inning >= last && homeLead === 0) return tied[hs * away.length + as] ?? 0;
    const own = Math.min(inning, last);
    const cell = cellOf(-homeLead, as, startOf(own, rules), away.length, clip);
    return 1 - (tops[own]?.[hs]?.values[cell] ?? 0);
  };
  const afterBottom = (inning: number, homeLead: number, hs: number, as: number): number => {
    const enough = leadThatEnds(rules, inning);
    if (homeLead >= enough) return 1;
    if (-homeLead >= enough) return 0;
    if (inning >= innings && homeLead !== 0) return homeLead > 0 ? 1 : 0;
    return inTop(inning + 1, homeLead, hs, as);
  };
  /** @param startsTied only the leads that an inning that starts tied can come to */
  const solve = (inning: number, startsTied: boolean): void => {
    const wonAt = Math.min(inning >= innings ? 1 : clip + 1, leadThatEnds(rules, inning));
    bottoms[inning] = away.map((_, as) =>
      solveBottom(
        (lead, hs) => afterBottom(inning, lead, hs, as),
        wonAt,
        startsTied ? [-clip, 0] : [-clip, clip],
      ),
    );
    const inBottom = (homeLead: number, hs: number, as: number): number => {
      if (homeLead >= wonAt) return 1;
      const cell = cellOf(homeLead, hs, startOf(inning, rules), home.length, clip);
      return bottoms[inning]?.[as]?.values[cell] ?? 0;
    };
    tops[inning] = home.map((_, hs) =>
      solveTop(
        (lead, as) => 1 - inBottom(-lead, hs, as),
        Number.POSITIVE_INFINITY,
        startsTied ? [0, clip] : [-clip, clip],
      ),
    );
  };

  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    solve(last, true);
    const next = tied.map((_, cell) => {
      const [hs, as] = [Math.floor(cell / away.length), cell % away.length];
      const start = cellOf(0, as, startOf(last, rules), away.length, clip);
      return 1 - (tops[last]?.[hs]?.values[start] ?? 0);
    });
    const moved = next.reduce(
      (most, value, cell) => Math.max(most, Math.abs(value - (tied[cell] ?? 0))),
      0,
    );
    tied = next;
    if (moved < CLOSE) break;
  }
  for (let inning = last; inning >= 1; inning -= 1) solve(inning, false);

  return {
    at: ({ inning, half, homeLead, state, homeSpot = 0, awaySpot = 0 }) => {
      const own = Math.min(inning, last);
      const isTop = half === 'top';
      const [batting, up, other] = isTop ? [away, awaySpot, homeSpot] : [home, homeSpot, awaySpot];
      const table = (isTop ? tops : bottoms)[own]?.[other];
      const cell = cellOf(isTop ? -homeLead : homeLead, up, state, batting.length, clip);
      const value = table?.values[cell] ?? 0;
      return {
        homeWin: isTop ? 1 - value : value,
        action: ACTIONS[table?.actions[cell] ?? 0] ?? 'swing',
        gain: value - (table?.swung[cell] ?? value),
      };
    },
  };
}

const MOST_ROUNDS = 200;
const CLOSE = 1e-12;

function cellOf(lead: number, spot: number, state: BaseOut, spots: number, clip: number): number {
  return ((Math.min(clip, Math.max(-clip, lead)) + clip) * spots + spot) * STATES + state;
}

const FULLEST_FIRST = [5, 4, 3, 2, 1, 0].map((load) =>
  BY_LOAD.filter((state) => loadOf(state) === load),
);

/** What the half being over is worth to the team at bat, by its lead and who leads off for it next. */
type Over = (lead: number, spot: number) => number;

/**
 * Solves halves of one team: from what the half being over is worth, the lead that ends the game, and
 * the leads that are asked about.
 */
function halfSolver(tactics: readonly Tactics[], clip: number) {
  const spots = tactics.length;
  const turns = tactics.map(({ swing, bunt, steals }) => ({
    swing: flat(swing),
    bunt: flat(bunt),
    steals: stealsFrom(steals),
  }));
  const BUNT = ACTIONS.indexOf('bunt');
  return (over: Over, wonAt: number, [lowest, highest]: readonly [number, number]): HalfTable => {
    const values = new Float64Array((2 * clip + 1) * spots * STATES);
    const swung = new Float64Array(values.length);
    const actions = new Uint8Array(values.length);
    // What the half being over is worth, looked up once; four runs is the most of one step.
    const overs = new Float64Array((2 * clip + 5) * spots);
    for (let lead = -clip; lead <= clip + 4; lead += 1) {
      for (let spot = 0; spot < spots; spot += 1) {
        overs[(lead + clip) * spots + spot] = over(lead, spot);
      }
    }
    const overAt = (lead: number, spot: number): number =>
      overs[(lead + clip) * spots + (spot % spots)] ?? 0;

    const worth = (
      { from, to, runs, done, chance }: Flat,
      state: number,
      lead: number,
      spot: number,
    ) => {
      let sum = 0;
      const end = from[state + 1] ?? 0;
      for (let step = from[state] ?? 0; step < end; step += 1) {
        const next = to[step] ?? 0;
        const led = lead + (runs[step] ?? 0);
        const up = spot + (done[step] ?? 0);
        const after =
          next >= STATES || led >= wonAt
            ? overAt(led, up)
            : (values[((Math.min(clip, led) + clip) * spots + (up % spots)) * STATES + next] ?? 0);
        sum += (chance[step] ?? 0) * after;
      }
      return sum;
    };
    const stolen = (steal: StealFrom, lead: number, spot: number, row: number): number =>
      steal.chance * (values[row + steal.safe] ?? 0) +
      (1 - steal.chance) *
        (isOver(steal.out) ? overAt(lead, spot) : (values[row + steal.out] ?? 0));

    for (let lead = highest; lead >= lowest; lead -= 1) {
      const rows = (lead + clip) * spots * STATES;
      if (lead >= wonAt || lead === clip) {
        // It is won, or so far ahead that nothing is left to gain.
        for (let spot = 0; spot < spots; spot += 1) {
          const row = rows + spot * STATES;
          values.fill(overAt(lead, spot), row, row + STATES);
          swung.fill(overAt(lead, spot), row, row + STATES);
        }
        continue;
      }
      // The fullest first; of one load all batters before any steal, which stays within the load.
      for (const states of FULLEST_FIRST) {
        for (const [spot, { swing, bunt }] of turns.entries()) {
          const row = rows + spot * STATES;
          for (const state of states) {
            const [swinging, bunting] = [
              worth(swing, state, lead, spot),
              worth(bunt, state, lead, spot),
            ];
            const isBunt = bunting > swinging + SAME;
            swung[row + state] = swinging;
            values[row + state] = isBunt ? bunting : swinging;
            actions[row + state] = isBunt ? BUNT : 0;
          }
        }
        for (const [spot, { steals }] of turns.entries()) {
          const row = rows + spot * STATES;
          const gone = states.map((state) => {
            const steal = steals[state];
            return steal ? stolen(steal, lead, spot, row) : Number.NEGATIVE_INFINITY;
          });
          for (const [index, state] of states.entries()) {
            const value = gone[index] ?? 0;
            if (value <= (values[row + state] ?? 0) + SAME) continue;
            values[row + state] = value;
            actions[row + state] = ACTIONS.indexOf(steals[state]?.action ?? 'swing');
          }
        }
      }
    }
    return { values, swung, actions };
  };
}
