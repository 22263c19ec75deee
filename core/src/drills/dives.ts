import type { TestDive } from '../leads/index.ts';
import { normalCdf } from '../maths/index.ts';

/** How one test dive came out. */
export type DiveResult = { kind: 'elbow' } | { kind: 'hand' } | { kind: 'short'; inches: number };

/** What is believed of how far somebody can lead and still put a hand on the bag. Feet. */
export interface Reach {
  meanFeet: number;
  sdFeet: number;
  chances: Float64Array;
}

/** Feet. Judgement. */
export const DIVES = {
  grid: { from: 4, to: 20, step: 0.05 },
  /** One dive differs from the next, and inches are read so well. */
  tryToTry: 0.45,
  reading: 0.17,
  /** With the elbow over the bag there was so much to spare. */
  elbow: 1,
  /** How far one runner's reach lies from another's; and a crossover step with the dive, without the arm. */
  between: 0.8,
  crossover: 6.4,
  /** Known well enough, and how far the next dive may lie from the last. */
  halfWidth: 0.25,
  up: 1,
  down: 2,
  most: 8,
  rounded: 0.25,
} as const;
const { grid, tryToTry, reading, elbow: elbowFeet } = DIVES;
const DOUBT = 1.2816;
const FIRST_LESS = 0.5;
const INCHES = 12;

const PLACES = Math.round((grid.to - grid.from) / grid.step) + 1;
const feetAt = (place: number): number => grid.from + place * grid.step;

/** What is believed before any dive. @param meanFeet crossover, dive and reach of the level together */
export function reachBefore(meanFeet: number, sdFeet: number = DIVES.between): Reach {
  return believed(
    Float64Array.from({ length: PLACES }, (_, place) =>
      Math.exp(-(((feetAt(place) - meanFeet) / sdFeet) ** 2) / 2),
    ),
  );
}

function believed(weights: Float64Array): Reach {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const chances = weights.map((weight) => weight / total);
  let [mean, square] = [0, 0];
  for (const [place, chance] of chances.entries()) mean += chance * feetAt(place);
  for (const [place, chance] of chances.entries()) square += chance * (feetAt(place) - mean) ** 2;
  return { meanFeet: mean, sdFeet: Math.sqrt(square), chances };
}

/** The belief after a dive from a lead, feet. */
export function reachAfter(before: Reach, leadFeet: number, result: DiveResult): Reach {
  const likely = (reach: number): number => {
    const spare = reach - leadFeet;
    const elbow = normalCdf((spare - elbowFeet) / tryToTry);
    switch (result.kind) {
      case 'elbow':
        return elbow;
      case 'hand':
        return normalCdf(spare / tryToTry) - elbow;
      case 'short': {
        const off = (spare + result.inches / INCHES) / Math.hypot(tryToTry, reading);
        return Math.exp(-(off ** 2) / 2);
      }
    }
  };
  return believed(before.chances.map((chance, place) => chance * likely(feetAt(place))));
}

/** The lead of the next dive, feet: near what is believed, and never far from the last one. */
export function nextLead({ meanFeet }: Reach, lastFeet: number | null): number {
  if (lastFeet === null) return toQuarter(meanFeet - FIRST_LESS);
  const wanted = toQuarter(meanFeet);
  return Math.min(lastFeet + DIVES.up, Math.max(lastFeet - DIVES.down, wanted));
}

/** Whether it is known well enough, or enough for one day. */
export function isReachKnown({ sdFeet }: Reach, dives: number): boolean {
  return dives >= DIVES.most || DOUBT * sdFeet <= DIVES.halfWidth;
}

/** The lead to take: reached nine times in ten. Feet. */
export function advisedLead({ meanFeet, sdFeet }: Reach): number {
  return (
    Math.floor((meanFeet - DOUBT * Math.hypot(sdFeet, tryToTry)) / DIVES.rounded) * DIVES.rounded
  );
}

/** Where a search for somebody's lead stands. Feet. */
export interface LeadSearch {
  nextFeet: number;
  advisedFeet: number;
  /** Give or take, eight times in ten. */
  giveOrTakeFeet: number;
  isKnown: boolean;
}

/**
 * The search by test dives as they are kept.
 * @param dives in the order in which they were made
 * @param usualReachFeet of a dive at the level, without the crossover step
 */
export function searchLead(dives: readonly TestDive[], usualReachFeet: number): LeadSearch {
  let reach = reachBefore(DIVES.crossover + usualReachFeet);
  for (const dive of dives) reach = reachAfter(reach, dive.leadFeet, resultOf(dive));
  return {
    nextFeet: nextLead(reach, dives.at(-1)?.leadFeet ?? null),
    advisedFeet: advisedLead(reach),
    giveOrTakeFeet: DOUBT * reach.sdFeet,
    isKnown: isReachKnown(reach, dives.length),
  };
}

function resultOf({ result, inchesShort }: TestDive): DiveResult {
  if (result === 'elbowOver') return { kind: 'elbow' };
  return result === 'handOn' ? { kind: 'hand' } : { kind: 'short', inches: inchesShort ?? 0 };
}

/** The next lead where nothing but paper is at hand, feet. */
export function nextLeadOnPaper(leadFeet: number, result: DiveResult): number {
  if (result.kind === 'elbow') return leadFeet + FIRST_LESS;
  if (result.kind === 'hand') return leadFeet;
  return leadFeet - Math.ceil(result.inches / INCHES / DIVES.rounded) * DIVES.rounded;
}

function toQuarter(feet: number): number {
  return Math.floor(feet / DIVES.rounded + 0.5) * DIVES.rounded;
}
