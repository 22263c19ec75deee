import type { GameState, Side } from '../games/index.ts';
import { sideAtBat } from '../games/index.ts';
import type { LevelName } from '../timing/index.ts';

/** What a reminder may ask about: where the game stands, who is in it, and what is known of them. */
export interface Facts {
  weBat: boolean;
  first: boolean;
  second: boolean;
  third: boolean;
  runners: number;
  outs: number;
  balls: number;
  strikes: number;
  inning: number;
  /** Innings that are left, this one too; 1 or less: the last, or an extra one. */
  inningsLeft: number;
  /** Our runs less theirs. */
  lead: number;
  softball: boolean;
  leadRule: 'open' | 'atRelease' | 'reachesBatter';
  young: boolean;
  infieldFly: boolean;
  droppedThird: boolean;
  courtesyRunner: boolean;
  infield: 'back' | 'in' | 'cornersIn' | 'middleBack' | 'unsaid';
  /** The play that is on: a sign that was given. */
  on: string;
  /** Picks the pitcher has made while this batter is up, and what is left of a limit (99 without one). */
  picks: number;
  picksLeft: number;
  lefty: boolean;
  slideStepsSeen: number;
  /** The ball's time to the bag is timed: delivery and pop. */
  sumKnown: boolean;
  /** The pitcher's hold is even enough to be counted. */
  holdIsEven: boolean;
  /** The steal of second, and of third, by the board. */
  stealSecond: 'go' | 'close' | 'stay' | 'untimed' | 'none';
  stealThird: 'go' | 'close' | 'stay' | 'untimed' | 'none';
  deliveryTimed: number;
  popIsOld: boolean;
  /** Throws of whoever is near the team's limit. */
  nearThrowLimit: boolean;
  walkPays: boolean;
  /** What a send needs with two out: chance 0..1; 1 where it is not known. */
  sendNeeds: number;
  missedSign: boolean;
}
export type FactName = keyof Facts;

/** What can be asked, by the kind of answer: for whoever writes a rule of their own. */
export const FACTS = {
  flags: [
    'weBat',
    'first',
    'second',
    'third',
    'softball',
    'young',
    'infieldFly',
    'droppedThird',
    'courtesyRunner',
    'lefty',
    'sumKnown',
    'holdIsEven',
    'popIsOld',
    'nearThrowLimit',
    'walkPays',
    'missedSign',
  ],
  counts: [
    'runners',
    'outs',
    'balls',
    'strikes',
    'inning',
    'inningsLeft',
    'lead',
    'picks',
    'picksLeft',
    'slideStepsSeen',
    'deliveryTimed',
    'sendNeeds',
  ],
  words: ['leadRule', 'infield', 'on', 'stealSecond', 'stealThird'],
} as const satisfies Record<string, readonly FactName[]>;

/** What the staff's times say of the people out there; everything that is not in the game itself. */
export type Known = Pick<
  Facts,
  | 'lefty'
  | 'sumKnown'
  | 'holdIsEven'
  | 'stealSecond'
  | 'stealThird'
  | 'deliveryTimed'
  | 'popIsOld'
  | 'nearThrowLimit'
  | 'walkPays'
  | 'sendNeeds'
  | 'slideStepsSeen'
  | 'missedSign'
>;

export const NOTHING_KNOWN: Known = {
  lefty: false,
  sumKnown: false,
  holdIsEven: false,
  stealSecond: 'none',
  stealThird: 'none',
  deliveryTimed: 0,
  popIsOld: false,
  nearThrowLimit: false,
  walkPays: false,
  sendNeeds: 1,
  slideStepsSeen: 0,
  missedSign: false,
};

/** Levels at which players are still learning what the older ones know. */
const YOUNG: readonly LevelName[] = ['u12', 'u14', 'fpU12'];
const NO_LIMIT = 99;

/** The facts of a moment: what the game says, and what the times say. */
export function factsOf(state: GameState, ours: Side, level: LevelName, known: Known): Facts {
  const { bases, rules, runs, alignment } = state;
  const on = ([1, 2, 3] as const).filter((base) => bases[base] !== null);
  const theirs: Side = ours === 'home' ? 'away' : 'home';
  const infield = alignment?.infield;
  return {
    ...known,
    weBat: sideAtBat(state.half) === ours,
    first: bases[1] !== null,
    second: bases[2] !== null,
    third: bases[3] !== null,
    runners: on.length,
    outs: state.outs,
    balls: state.balls,
    strikes: state.strikes,
    inning: state.inning,
    inningsLeft: rules.innings - state.inning + 1,
    lead: runs[ours] - runs[theirs],
    softball: rules.sport === 'softball',
    leadRule: rules.leadRule,
    young: YOUNG.includes(level),
    infieldFly: rules.infieldFly,
    droppedThird: rules.droppedThirdStrike,
    courtesyRunner: rules.courtesyRunner,
    infield:
      infield === 'back' || infield === 'in' || infield === 'cornersIn' || infield === 'middleBack'
        ? infield
        : 'unsaid',
    on: state.sign?.play ?? 'nothing',
    picks: state.picks,
    picksLeft: rules.pickLimit === null ? NO_LIMIT : Math.max(0, rules.pickLimit - state.picks),
  };
}
