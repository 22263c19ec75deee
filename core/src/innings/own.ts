import { EVENTS, type BattingRates, type BuntOutcomes } from './rates.ts';
import { halfEnds, sideRunExpectancies, type BattingSide } from './side.ts';

/** A batter's season so far, as a scorebook adds it up. Whole numbers, not negative. */
export interface BattingTotals {
  plateAppearances: number;
  hits: number;
  doubles: number;
  triples: number;
  homeRuns: number;
  /** Being hit counts as one. */
  walks: number;
  strikeouts: number;
  reachedOnError: number;
  /** Sacrifices he was sent to lay down and did not end swinging away, and those that moved the runner. */
  buntTries: number;
  buntsGood: number;
}
export const TOTALS = [
  'plateAppearances',
  'hits',
  'doubles',
  'triples',
  'homeRuns',
  'walks',
  'strikeouts',
  'reachedOnError',
  'buntTries',
  'buntsGood',
] as const satisfies readonly (keyof BattingTotals)[];

/** What of somebody's totals does not go together, with the field; null when all is well. */
export function describeTotalsMisfit(
  totals: BattingTotals,
): { path: keyof BattingTotals; message: string } | null {
  const { plateAppearances, hits, doubles, triples, homeRuns, walks, strikeouts } = totals;
  const { reachedOnError, buntTries, buntsGood } = totals;
  if (doubles + triples + homeRuns > hits) {
    return {
      path: 'hits',
      message: 'Doubles, triples and home runs are hits: enter at least as many hits.',
    };
  }
  if (hits + walks + strikeouts + reachedOnError > plateAppearances) {
    return {
      path: 'plateAppearances',
      message: 'Hits, walks, strikeouts and errors add up to more. Enter every plate appearance.',
    };
  }
  if (buntsGood > buntTries) {
    return { path: 'buntTries', message: 'Enter at least as many sacrifice tries as good ones.' };
  }
  return null;
}

/** The level counts as much as this many plate appearances. Judgement. */
export const LEVEL_WEIGHT = 120;

/** A batter's rates, and how much of them is his own. */
export interface OwnRates {
  rates: BattingRates;
  /** 0: the level's; near 1: his own. */
  ownShare: number;
}

/**
 * The level's rates pulled by what somebody did. His outs in play are of the level's kinds: a season's
 * totals do not tell them apart.
 * @param totals of one batter, or of many added up
 * @throws RangeError when they do not go together
 */
export function ownRates(level: BattingRates, totals: BattingTotals): OwnRates {
  const misfit = describeTotalsMisfit(totals);
  if (misfit) throw new RangeError(`ownRates: ${misfit.message}`);
  const { plateAppearances, hits, doubles, triples, homeRuns, walks, strikeouts } = totals;
  const { reachedOnError } = totals;
  if (plateAppearances === 0) return { rates: level, ownShare: 0 };
  const outs = plateAppearances - hits - walks - strikeouts - reachedOnError;
  const inPlay = level.groundOut + level.flyOut + level.popLineOut;
  const counts: BattingRates = {
    strikeout: strikeouts,
    walk: walks,
    single: hits - doubles - triples - homeRuns,
    double: doubles,
    triple: triples,
    homeRun: homeRuns,
    reachOnError: reachedOnError,
    groundOut: (outs * level.groundOut) / inPlay,
    flyOut: (outs * level.flyOut) / inPlay,
    popLineOut: (outs * level.popLineOut) / inPlay,
  };
  const weight = LEVEL_WEIGHT + plateAppearances;
  const rates = EVENTS.map(
    (event) => [event, (LEVEL_WEIGHT * level[event] + counts[event]) / weight] as const,
  );
  return {
    rates: Object.fromEntries(rates) as BattingRates,
    ownShare: plateAppearances / weight,
  };
}

/** The level counts as much as this many sacrifices tried. Judgement. */
export const BUNT_WEIGHT = 15;

/**
 * What a batter's sacrifices come to: the level's outcomes, moved by how many of his own were good.
 * How often he ends swinging away stays the level's.
 */
export function ownBunt(
  level: BuntOutcomes,
  { buntTries, buntsGood }: Pick<BattingTotals, 'buntTries' | 'buntsGood'>,
): BuntOutcomes {
  const laid = 1 - level.swingAway;
  const usual = (level.success + level.safe) / laid;
  if (buntTries === 0 || !(usual > 0 && usual < 1)) return level;
  const own = (BUNT_WEIGHT * usual + buntsGood) / (BUNT_WEIGHT + buntTries);
  const [good, bad] = [own / usual, (1 - own) / (1 - usual)];
  return {
    success: level.success * good,
    safe: level.safe * good,
    leadOut: level.leadOut * bad,
    popOut: level.popOut * bad,
    popDouble: level.popDouble * bad,
    strikeout: level.strikeout * bad,
    swingAway: level.swingAway,
  };
}

/** Totals of many added up. */
export function totalsTogether(all: readonly BattingTotals[]): BattingTotals {
  const sum = (key: keyof BattingTotals): number =>
    all.reduce((total, totals) => total + totals[key], 0);
  return Object.fromEntries(TOTALS.map((key) => [key, sum(key)])) as unknown as BattingTotals;
}

/**
 * Runs expected in a game of so many innings when every half starts empty, spot 0 leading off the first.
 */
export function gameRuns(side: BattingSide, innings: number): number {
  const expected = sideRunExpectancies(side);
  const endsOf = Array.from({ length: side.spots }, (_, spot) =>
    halfEnds(side, spot, 0, Number.POSITIVE_INFINITY),
  );
  let leads = new Float64Array(side.spots);
  leads[0] = 1;
  let runs = 0;
  for (let inning = 0; inning < innings; inning += 1) {
    const next = new Float64Array(side.spots);
    for (const [spot, chance] of leads.entries()) {
      if (chance === 0) continue;
      runs += chance * (expected[spot]?.[0] ?? 0);
      const ends = endsOf[spot];
      ends?.nextSpot.forEach((to, index) => {
        next[to] = (next[to] ?? 0) + chance * (ends.chance[index] ?? 0);
      });
    }
    leads = next;
  }
  return runs;
}
