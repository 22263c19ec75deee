import type { BattingRecord } from '@bradyon/contract/innings';
import {
  ownBunt,
  ownRates,
  totalsTogether,
  type BattingRates,
  type BuntOutcomes,
  type TeamLevel,
} from '@bradyon/core/innings';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';

const USUAL_BATTERS = 9;

/** A batter as he is known: the level's rates and sacrifices, pulled by his own. */
export interface Batter {
  person: Person;
  record: (BattingRecord & { inGames?: number }) | null;
  rates: BattingRates;
  bunt: BuntOutcomes;
  /** How much of his rates is his own, 0..1. */
  ownShare: number;
}

/** A side as a whole. */
export interface Combined {
  rates: BattingRates;
  ownShare: number;
  plateAppearances: number;
  /** Batters of whom a season is known. */
  known: number;
}

/**
 * The order as it was set, as far as they still play; the first nine of the roster while it is not.
 * @param runners who may bat, in the roster's order
 */
export function orderOf(kept: readonly PersonId[], runners: readonly Person[]): Person[] {
  const set = kept.flatMap((id) => runners.find((person) => person.id === id) ?? []);
  return set.length > 0 ? set : runners.slice(0, USUAL_BATTERS);
}

export function battersOf(
  people: readonly Person[],
  records: readonly (BattingRecord & { inGames?: number })[],
  level: TeamLevel,
): Batter[] {
  return people.map((person) => {
    const record = records.find(({ personId }) => personId === person.id) ?? null;
    return {
      person,
      record,
      ...(record ? ownRates(level.rates, record) : { rates: level.rates, ownShare: 0 }),
      bunt: record ? ownBunt(level.bunt, record) : level.bunt,
    };
  });
}

/** Batters as one: their seasons added up, against the level. */
export function combinedOf(batters: readonly Batter[], level: TeamLevel): Combined {
  const records = batters.flatMap(({ record }) => record ?? []);
  const totals = totalsTogether(records);
  return {
    ...ownRates(level.rates, totals),
    plateAppearances: totals.plateAppearances,
    known: records.length,
  };
}

/** The rates by spot; one stands for all while nobody of them is known. */
export function ratesBySpot(order: readonly Batter[], level: TeamLevel): BattingRates[] {
  return order.some(({ record }) => record) ? order.map(({ rates }) => rates) : [level.rates];
}

/**
 * Who is on base when a spot bats: those who bat before, the nearest to home the longest ago. Nobody where no
 * order is known.
 */
export function peopleOn(
  order: readonly Batter[],
  spot: number,
  bases: number,
): Partial<Record<1 | 2 | 3, Person>> {
  const on: Partial<Record<1 | 2 | 3, Person>> = {};
  let back = 1;
  for (const base of [1, 2, 3] as const) {
    if ((bases & (1 << (base - 1))) === 0) continue;
    const person = order.at((spot - back) % Math.max(1, order.length))?.person;
    if (person) on[base] = person;
    back += 1;
  }
  return on;
}
