import {
  chainOf,
  Steps,
  stepsFrom,
  type Batting,
  type Chain,
  type Play,
  type Transition,
} from './chain.ts';
import { EVENTS, type BattingRates, type BuntOutcomes } from './rates.ts';
import { basesOf, FIRST, outsOf, THIRD, type BaseOut, type Bases } from './state.ts';

/** The most of strikeouts there can be with two strikes. */
const MOST_STRIKEOUTS = 0.9;

/** A batter's rates with two strikes on him: he strikes out more often, and all else less. */
function twoStrikeRates(rates: BattingRates, factor: number): BattingRates {
  const strikeout = Math.min(MOST_STRIKEOUTS, rates.strikeout * factor);
  const share = (1 - strikeout) / (1 - rates.strikeout);
  const all = EVENTS.map((event) => [event, rates[event] * share] as const);
  return { ...(Object.fromEntries(all) as BattingRates), strikeout };
}

/** The steps of a sacrifice from every state. */
export function sacrificeChain(
  outcomes: BuntOutcomes,
  batting: Batting,
  twoStrikeFactor: number,
): Chain {
  const swinging = chainOf({ ...batting, rates: twoStrikeRates(batting.rates, twoStrikeFactor) });
  return swinging.map((steps, from) => buntedOr(steps, from, outcomes));
}

/**
 * The steps of a sacrifice from one state. With two strikes he swings away, and the runners may go as
 * on any pitch.
 */
export function sacrificeFrom(
  from: BaseOut,
  outcomes: BuntOutcomes,
  batting: Batting,
  twoStrikeFactor: number,
): Transition[] {
  const rates = twoStrikeRates(batting.rates, twoStrikeFactor);
  return buntedOr(stepsFrom({ ...batting, rates }, from), from, outcomes);
}

/** What a bunt comes to, and the share in which he swings away after all. */
function buntedOr(
  swinging: readonly Transition[],
  from: BaseOut,
  outcomes: BuntOutcomes,
): Transition[] {
  const steps = new Steps(from);
  for (const play of bunted(basesOf(from), outsOf(from), outcomes)) steps.add(play);
  for (const step of swinging) {
    steps.take({ ...step, chance: step.chance * outcomes.swingAway });
  }
  return steps.list();
}

function bunted(bases: Bases, outs: number, outcomes: BuntOutcomes): Play[] {
  const { safe } = outcomes;
  if (bases === 0) {
    // Nobody to move over: he is on first or out.
    return [
      { bases: FIRST, outs, runs: 0, chance: safe },
      { bases, outs: outs + 1, runs: 0, chance: 1 - safe - outcomes.swingAway },
    ];
  }
  const up = (bases << 1) & 7;
  const scored = bases & THIRD ? 1 : 0;
  const lead = leadOf(bases);
  const withoutLead = bases & ~lead;
  return [
    { bases: up, outs: outs + 1, runs: outs === 2 ? 0 : scored, chance: outcomes.success },
    // The lead runner is out, the others move up, the batter is safe at first.
    { bases: ((withoutLead << 1) & 7) | FIRST, outs: outs + 1, runs: 0, chance: outcomes.leadOut },
    { bases: up | FIRST, outs, runs: scored, chance: safe },
    { bases, outs: outs + 1, runs: 0, chance: outcomes.popOut + outcomes.strikeout },
    { bases: withoutLead, outs: outs + 2, runs: 0, chance: outcomes.popDouble },
  ];
}

/** The runner nearest to home. */
function leadOf(bases: Bases): Bases {
  if (bases & THIRD) return THIRD;
  return bases & 2 ? 2 : bases & FIRST;
}
