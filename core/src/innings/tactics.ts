import { chainOf, Steps, type Batting, type Chain, type Play } from './chain.ts';
import { EVENTS, type BattingRates, type BuntOutcomes } from './rates.ts';
import {
  basesOf,
  FIRST,
  isOver,
  outsOf,
  STATES,
  THIRD,
  type BaseOut,
  type Bases,
} from './state.ts';
import type { Value } from './value.ts';

/** The most of strikeouts there can be with two strikes. */
const MOST_STRIKEOUTS = 0.9;

/** A batter's rates with two strikes on him: he strikes out more often, and all else less. */
export function twoStrikeRates(rates: BattingRates, factor: number): BattingRates {
  const strikeout = Math.min(MOST_STRIKEOUTS, rates.strikeout * factor);
  const share = (1 - strikeout) / (1 - rates.strikeout);
  const all = EVENTS.map((event) => [event, rates[event] * share] as const);
  return { ...(Object.fromEntries(all) as BattingRates), strikeout };
}

/**
 * The steps of a sacrifice from every state. With two strikes he swings away, and the runners may go
 * as on any pitch.
 */
export function sacrificeChain(
  outcomes: BuntOutcomes,
  batting: Batting,
  twoStrikeFactor: number,
): Chain {
  const swinging = chainOf({ ...batting, rates: twoStrikeRates(batting.rates, twoStrikeFactor) });
  return Array.from({ length: STATES }, (_, from) => {
    const steps = new Steps(from);
    for (const play of bunted(basesOf(from), outsOf(from), outcomes)) steps.add(play);
    for (const step of swinging[from] ?? []) {
      steps.take({ ...step, chance: step.chance * outcomes.swingAway });
    }
    return steps.list();
  });
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

/**
 * What a squeeze comes to, shares that add up to 1: it is not a sacrifice. Judgement, and a team's own
 * to change.
 */
export interface SqueezeOutcomes {
  /** The run is in, the batter out at first. */
  scored: number;
  /** The run is in and everybody safe. */
  scoredAndSafe: number;
  /** The runner is out at the plate, the batter safe. */
  outAtHome: number;
  /** Missed or pitched out: the runner is out, the batter goes on. */
  missed: number;
  /** Fouled off: nothing has happened, but for a strike. */
  foul: number;
  /** Popped up: the batter is out, and the runner doubled off as well. */
  popDouble: number;
  popOut: number;
}

/** Judgement: not measured anywhere. */
export const USUAL_SQUEEZE: SqueezeOutcomes = {
  scored: 0.55,
  scoredAndSafe: 0.08,
  outAtHome: 0.07,
  missed: 0.09,
  foul: 0.12,
  popDouble: 0.03,
  popOut: 0.06,
};

/** What a squeeze is worth with somebody on third; a foul leaves the state as it was. */
export function squeezeValue(
  bases: Bases,
  outs: number,
  outcomes: SqueezeOutcomes,
  value: Value,
): number {
  if ((bases & THIRD) === 0) throw new RangeError('squeezeValue needs a runner on third');
  const others = (bases & ~THIRD) << 1;
  const stay = bases & ~THIRD;
  const third = outs + 1;
  return (
    outcomes.scored * value(others, third, third >= 3 ? 0 : 1, 1) +
    outcomes.scoredAndSafe * value(others | FIRST, outs, 1, 1) +
    outcomes.outAtHome * value(others | FIRST, third, 0, 1) +
    outcomes.missed * value(stay, third, 0, 0) +
    outcomes.foul * value(bases, outs, 0, 0) +
    outcomes.popDouble * value(stay, outs + 2, 0, 1) +
    outcomes.popOut * value(bases, third, 0, 1)
  );
}

/** What a step of a chain is worth from one state: swinging, or bunting. */
export function stepWorth(chain: Chain, state: BaseOut, value: Value): number {
  return (chain[state] ?? []).reduce((sum, { to, runs, chance }) => {
    const after = isOver(to) ? value(0, 3, runs, 1) : value(basesOf(to), outsOf(to), runs, 1);
    return sum + chance * after;
  }, 0);
}

/** Of a ball on the ground with a runner on third only: shares 0..1. */
export interface ContactShares {
  /** It gets through. */
  through: number;
  /** He goes: out at home; or conceded, the out taken at first. The rest: everybody safe. */
  outAtHome: number;
  conceded: number;
  /** He waits and scores anyway. */
  scoresIfHolding: number;
}
export const INFIELDS = ['in', 'back'] as const;
export type Infield = (typeof INFIELDS)[number];
/** Judgement: not measured anywhere. */
export const CONTACT: Record<Infield, ContactShares> = {
  in: { through: 0.32, outAtHome: 0.52, conceded: 0.28, scoresIfHolding: 0.1 },
  back: { through: 0.23, outAtHome: 0.08, conceded: 0.86, scoresIfHolding: 0.55 },
};

/**
 * Going on contact against waiting, with a runner on third only and fewer than two outs, when the
 * ball is on the ground.
 */
export function contactValue(
  outs: number,
  { through, outAtHome, conceded, scoresIfHolding }: ContactShares,
  value: Value,
): { go: number; wait: number } {
  if (!(outs === 0 || outs === 1)) throw new RangeError('contactValue needs 0 or 1 out');
  const hit = value(FIRST, outs, 1, 1);
  const stopped = 1 - through;
  return {
    go:
      through * hit +
      stopped *
        (outAtHome * value(FIRST, outs + 1, 0, 1) +
          conceded * value(0, outs + 1, 1, 1) +
          (1 - outAtHome - conceded) * value(FIRST, outs, 1, 1)),
    wait:
      through * hit +
      stopped *
        (scoresIfHolding * value(0, outs + 1, 1, 1) +
          (1 - scoresIfHolding) * value(THIRD, outs + 1, 0, 1)),
  };
}

/** Walking the batter on purpose, from the batting team's view. */
export function walkValue(bases: Bases, outs: number, value: Value): number {
  if ((bases & FIRST) === 0) return value(bases | FIRST, outs, 0, 1);
  if ((bases & 2) === 0) return value(bases | 2, outs, 0, 1);
  return value(7, outs, bases & THIRD ? 1 : 0, 1);
}
