/** What a plate appearance can come to, shares that add up to 1. A walk includes being hit. */
export const EVENTS = [
  'strikeout',
  'walk',
  'single',
  'double',
  'triple',
  'homeRun',
  'reachOnError',
  'groundOut',
  'flyOut',
  'popLineOut',
] as const;
export type BattingEvent = (typeof EVENTS)[number];
export type BattingRates = Record<BattingEvent, number>;

/** A share for none, one and two outs before the play. */
export type ByOuts = readonly [number, number, number];

/** What runners do on each event, and between pitches. Shares 0..1. */
export interface Advance {
  firstToThirdOnSingle: ByOuts;
  firstToThirdOut: number;
  secondToHomeOnSingle: ByOuts;
  secondToHomeOut: number;
  firstToHomeOnDouble: ByOuts;
  firstToHomeOut: number;
  errorExtraBase: number;
  doublePlay: number;
  doublePlayAtHome: number;
  forceOut: number;
  leadForce: number;
  groundScoreFromThird: number;
  groundScoreFirstAndThird: number;
  groundOutAtHome: number;
  groundSecondToThird: number;
  groundOutAtThird: number;
  flyScoreFromThird: number;
  flyOutAtHome: number;
  flySecondToThird: number;
  flyFirstToSecond: number;
  linerDoubleOff: number;
  wildPitch: number;
  wildPitchFromThird: number;
  stealSecondTry: number;
  stealSecondSafe: number;
  stealThirdTry: number;
  stealThirdSafe: number;
}

/** Rates that move with the bases and outs, as factors. */
export interface Situation {
  walkFirstOpen: number;
  hitsFirstHeld: number;
  hitsTwoOuts: number;
}
export const NO_SITUATION: Situation = { walkFirstOpen: 1, hitsFirstHeld: 1, hitsTwoOuts: 1 };

/** What a sacrifice bunt comes to, shares that add up to 1. A squeeze is another thing. */
export interface BuntOutcomes {
  success: number;
  leadOut: number;
  safe: number;
  popOut: number;
  popDouble: number;
  strikeout: number;
  /** Two strikes: he swings away. */
  swingAway: number;
}

/** How the game goes at one level. */
export interface PlayLevel {
  /** Where the numbers come from, to show beside them. */
  note: string;
  innings: number;
  /** How many times as often he strikes out with two strikes on him. */
  twoStrikeFactor: number;
  rates: BattingRates;
  advance: Advance;
  situation: Situation;
  bunt: BuntOutcomes;
}

const CLOSE = 1e-9;

/** What of a batter's rates does not add up, in words; null when all is well. */
export function describeRatesMisfit(rates: BattingRates): string | null {
  const wrong = EVENTS.find((event) => !(rates[event] >= 0 && rates[event] <= 1));
  if (wrong) return `${wrong} has to be from 0 to 1.`;
  const sum = EVENTS.reduce((total, event) => total + rates[event], 0);
  if (Math.abs(sum - 1) > CLOSE) {
    return `The ten rates have to add up to 1; these add up to ${sum.toFixed(4)}.`;
  }
  return null;
}

/** Shares of one play that cannot be more than all of it together. */
const TOGETHER: readonly (readonly [keyof Advance, keyof Advance])[] = [
  ['secondToHomeOnSingle', 'secondToHomeOut'],
  ['firstToThirdOnSingle', 'firstToThirdOut'],
  ['firstToHomeOnDouble', 'firstToHomeOut'],
  ['groundScoreFromThird', 'groundOutAtHome'],
  ['groundSecondToThird', 'groundOutAtThird'],
  ['flyScoreFromThird', 'flyOutAtHome'],
  ['wildPitch', 'stealSecondTry'],
  ['wildPitch', 'stealThirdTry'],
  ['wildPitchFromThird', 'stealSecondTry'],
];

/** What of the advancement does not go together, in words; null when all is well. */
export function describeAdvanceMisfit(advance: Advance): string | null {
  const most = (key: keyof Advance): number => Math.max(...[advance[key]].flat());
  for (const key of Object.keys(advance) as (keyof Advance)[]) {
    const shares = [advance[key]].flat();
    if (!shares.every((share) => share >= 0 && share <= 1)) return `${key} has to be from 0 to 1.`;
  }
  const pair = TOGETHER.find(([a, b]) => most(a) + most(b) > 1 + CLOSE);
  return pair ? `${pair[0]} and ${pair[1]} together have to be at most 1.` : null;
}
