import type { BattingRecord } from '@bradyon/contract/innings';
import {
  baseOut,
  breakEvenOf,
  byRuns,
  gameRuns,
  ownRates,
  sacrificeChain,
  sideOf,
  sideRunExpectancies,
  stepWorth,
  type Batting,
  type BattingRates,
  type Needed,
  type PlayLevel,
} from '@bradyon/core/innings';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';

/** The most who bat in turn. */
export const MOST_BATTERS = 15;
const USUAL_BATTERS = 9;

/**
 * The order as it was set, as far as they still play, and whoever is missing to nine behind it.
 * @param runners who may bat, in the roster's order
 */
export function orderOf(kept: readonly PersonId[], runners: readonly Person[]): Person[] {
  const set = kept.flatMap((id) => runners.find((person) => person.id === id) ?? []);
  if (set.length > 0) return set.slice(0, MOST_BATTERS);
  return runners.slice(0, USUAL_BATTERS);
}

/** One batter's place in the order, and what pays there. */
export interface Spot {
  person: Person;
  /** How much of his rates is his own. */
  ownShare: number;
  /** Runs of a half that he leads off. */
  leadingOff: number;
  /** A sacrifice against swinging, runner on first and nobody out, in runs. */
  buntGain: number;
  /** What a steal of second needs with him up and nobody out, by runs. */
  stealNeeds: Needed;
}

export interface LineupView {
  spots: Spot[];
  /** Runs in a game of full innings. */
  perGame: number;
}

/** What an order is worth, and where in it each tactic pays. */
export function viewOf(
  order: readonly Person[],
  totals: readonly BattingRecord[],
  level: PlayLevel,
  innings: number,
): LineupView {
  const own = order.map((person) => {
    const record = totals.find(({ personId }) => personId === person.id);
    return record ? ownRates(level.rates, record) : { rates: level.rates, ownShare: 0 };
  });
  const batting = own.map(({ rates }) => battingOf(rates, level));
  if (batting.length === 0) return { spots: [], perGame: 0 };
  const side = sideOf(batting);
  const expected = sideRunExpectancies(side);
  const onFirst = baseOut(1, 0);
  return {
    perGame: gameRuns(side, innings),
    spots: order.map((person, spot) => {
      const value = byRuns(expected, spot);
      const bunt = sacrificeChain(level.bunt, batting[spot] ?? level, level.twoStrikeFactor);
      return {
        person,
        ownShare: own[spot]?.ownShare ?? 0,
        leadingOff: expected[spot]?.[0] ?? 0,
        buntGain: stepWorth(bunt, onFirst, value) - value(1, 0, 0),
        stealNeeds: breakEvenOf('stealSecond', onFirst, value)?.needed ?? 'never',
      };
    }),
  };
}

/** Who is not known better is one and the same to the chain. */
function battingOf(rates: BattingRates, level: PlayLevel): Batting {
  return rates === level.rates ? level : { ...level, rates };
}
