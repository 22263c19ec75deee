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
type ByOuts = readonly [number, number, number];

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
export interface SituationFactors {
  walkFirstOpen: number;
  hitsFirstHeld: number;
  hitsTwoOuts: number;
}
export const NO_SITUATION: SituationFactors = {
  walkFirstOpen: 1,
  hitsFirstHeld: 1,
  hitsTwoOuts: 1,
};

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

/** What a squeeze comes to, shares that add up to 1: it is not a sacrifice. */
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

/** What a bunt by the people who are there comes to; null: nobody asked for that kind of bunt. */
export interface KnownBunt {
  bunt: BuntOutcomes | null;
  squeeze: SqueezeOutcomes | null;
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

/** How the game goes at one level. */
export interface PlayLevel {
  /** Where the numbers come from, to show beside them. */
  note: string;
  innings: number;
  /** How many times as often he strikes out with two strikes on him. */
  twoStrikeFactor: number;
  rates: BattingRates;
  advance: Advance;
  situation: SituationFactors;
  bunt: BuntOutcomes;
}

const CLOSE = 1e-9;

/** What of shares of a whole does not add up, in words; null when all is well. */
export function describeSharesMisfit(shares: object): string | null {
  const all = Object.entries(shares) as [string, number][];
  const wrong = all.find(([, share]) => !(share >= 0 && share <= 1));
  if (wrong) return `${wrong[0]} has to be from 0 to 100%.`;
  const sum = all.reduce((total, [, share]) => total + share, 0);
  if (Math.abs(sum - 1) > CLOSE) {
    return `These need to total 100%. They total ${(sum * 100).toFixed(1)}%.`;
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
