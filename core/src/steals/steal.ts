import { EIGHT_IN_TEN } from '../maths/index.ts';
import {
  chanceAt,
  doubtSeconds,
  readyRace,
  secondsNeeded,
  type Cover,
  type Race,
  type WeightedPitch,
} from '../race/index.ts';
import { predictRun } from '../sprint/index.ts';
import { THUMB_PRIORS, type Level, type ReadingKind } from '../timing/index.ts';
import { chanceDelayed, coverOnDelayed, USUAL_COVER_FEET, wildOnDelayed } from './delayed.ts';
import {
  legsOf,
  ownLegs,
  untimedLegs,
  type Leg,
  type LegName,
  type Legs,
  type StealQuestion,
} from './legs.ts';

/** `untimed`: too little of these people's own is known to tell. */
export type Verdict = 'go' | 'close' | 'stay' | 'untimed';

/** How one steal comes out. Chances 0..1. */
export interface Steal {
  legs: Legs;
  verdict: Verdict;
  chance: number;
  /** Where the chance lies, eight times in ten, as far as the doubt of the times goes. */
  low: number;
  high: number;
  /** Legs that would have to be timed first. */
  missing: Leg[];
  /**
   * He lacks this much until he is safe as often as needed; negative: he can spare it. Null when
   * throws that go away alone are enough.
   */
  lacksSeconds: number | null;
  /** Go if the pitch takes this long or longer; null where the pitch does not count, or nothing is lacking. */
  slowestPitchSeconds: number | null;
  /** Asks the same race at more (less) time for him. */
  chanceWith: (moreSeconds: number) => number;
}

/** Answers: with all that is in doubt, with unevenness alone, and how far the means may be off. */
interface Asked {
  at: (moreSeconds: number) => number;
  evenAt: (moreSeconds: number) => number;
  doubtSeconds: number;
  /** Safe this often however slow he is. */
  floor: number;
}

const ALL_BUT_ONE_IN_A_HUNDRED = 2.5758;
/** The common rule: run when it works four times in five. A team sets its own. */
export const USUAL_NEEDED_CHANCE = 0.8;

/** How the steal is judged: what may come, how often it has to work, and who covers a delayed one. */
export interface Judging {
  pitches: readonly WeightedPitch[];
  /** Chance he has to have, 0..1. */
  needed: number;
  cover?: Cover;
}

/**
 * Judges a steal. Go when he is safe often enough; close when he is not, but may be within the
 * doubt of the times; stay when not even that. Where somebody was never timed it cannot be told yet,
 * unless all but one player in a hundred would leave no question.
 * @throws RangeError when the chance needed is not between 0 and 1
 */
export function judgeSteal(question: StealQuestion, judging: Judging): Steal {
  const { needed } = judging;
  if (!(needed > 0 && needed < 1))
    throw new RangeError('judgeSteal needs a chance between 0 and 1');
  const legs = legsOf(question);
  const asked = ask(question, legs, judging);
  const chance = asked.at(0);
  const [low, high] = intervalOf(asked, asked.doubtSeconds);
  const missing = untimedLegs(legs);
  // A player nobody ever timed may be far from typical.
  const [least, most] =
    missing.length === 0
      ? [low, high]
      : intervalOf(asked, asked.doubtSeconds, ALL_BUT_ONE_IN_A_HUNDRED);
  const lacksSeconds = secondsNeeded({ at: asked.at, floor: asked.floor }, needed);
  return {
    legs,
    verdict: verdictOf({ chance, least, most, needed, isTimed: missing.length === 0 }),
    chance,
    low,
    high,
    missing,
    lacksSeconds,
    slowestPitchSeconds:
      legs.pitch === null || lacksSeconds === null
        ? null
        : legs.pitch.spread.meanSeconds + lacksSeconds,
    chanceWith: asked.at,
  };
}

function intervalOf(
  { evenAt }: Asked,
  doubt: number,
  deviations = EIGHT_IN_TEN,
): [low: number, high: number] {
  return [evenAt(-deviations * doubt), evenAt(deviations * doubt)];
}

function verdictOf(asked: {
  chance: number;
  /** The chance at either end of the doubt. */
  least: number;
  most: number;
  needed: number;
  isTimed: boolean;
}): Verdict {
  const { chance, least, most, needed, isTimed } = asked;
  if (most < needed) return 'stay';
  if (!isTimed) return least >= needed ? 'go' : 'untimed';
  return chance >= needed ? 'go' : 'close';
}

function ask(question: StealQuestion, legs: Legs, { pitches, cover }: Judging): Asked {
  const { surprise, pop, run } = legs;
  if (surprise !== null && pop !== null) {
    const race = {
      level: question.field.level,
      surprise: surprise.spread,
      pop: pop.spread,
      run: run.spread,
      cover: cover ?? coverOnDelayed(USUAL_COVER_FEET),
    };
    return {
      at: (seconds) => chanceDelayed(race, seconds),
      evenAt: (seconds) => chanceDelayed(race, seconds, 'spreadSeconds'),
      doubtSeconds: Math.hypot(pop.spread.meanSdSeconds, run.spread.meanSdSeconds),
      floor: wildOnDelayed(race.level),
    };
  }
  const race = raceOf(legs, question.field.level, pitches);
  const [ready, even] = [readyRace(race), readyRace(race, 'spreadSeconds')];
  return {
    at: (seconds) => chanceAt(ready, seconds),
    evenAt: (seconds) => chanceAt(even, seconds),
    doubtSeconds: doubtSeconds(race),
    floor: ready.wild,
  };
}

const NO_TIME = {
  meanSeconds: 0,
  sdSeconds: 0,
  freedom: Number.POSITIVE_INFINITY,
  meanSdSeconds: 0,
  spreadSeconds: 0,
};

/** The race of legs that follow each other. */
export function raceOf(legs: Legs, level: Level, pitches: readonly WeightedPitch[]): Race {
  const { pitch, pop, run, jump, tag } = legs;
  const { meanSeconds, sdSeconds } = tag.spread;
  return {
    // Nobody throws to the plate: there is one way to tag, and the pitch that gets away.
    level: pop
      ? level
      : {
          tag: { ...level.tag, onLineSeconds: meanSeconds, onLineSdSeconds: sdSeconds },
          throws: { onLine: 1, offLine: 0, wild: level.throws.wild },
        },
    delivery: pitch?.spread ?? null,
    pop: pop?.spread ?? NO_TIME,
    run: run.spread,
    jump: jump?.spread ?? NO_TIME,
    pitches,
  };
}

/** Somebody whose times would make the answer surer. */
export interface Sharper {
  leg: Leg;
  low: number;
  high: number;
}

const MORE_READINGS = 3;

/**
 * Of the legs that can be timed, the one whose next three times would narrow the interval most.
 * @returns null when three more of none would narrow it by a point
 */
export function sharpestNext(
  question: StealQuestion,
  steal: Steal,
  judging: Judging,
): Sharper | null {
  const { legs } = steal;
  const asked = ask(question, legs, judging);
  const candidates = ownLegs(legs);
  const doubts = (changed: Leg | null): number =>
    Math.hypot(
      ...candidates.map((leg) => (leg === changed ? doubtAfter(leg) : leg.spread.meanSdSeconds)),
    );
  const best = candidates.toSorted((a, b) => doubts(a) - doubts(b))[0];
  if (!best) return null;
  const [low, high] = intervalOf(asked, doubts(best));
  return steal.high - steal.low - (high - low) < 0.01 ? null : { leg: best, low, high };
}

/** What a coach times to know a leg better. */
const TIMED_AS: Partial<Record<LegName, ReadingKind>> = {
  delivery: 'delivery',
  flight: 'flight',
  pop: 'pop',
  jump: 'leave',
  run: 'steal',
};

/** How far a mean may be off after three more times with a typical thumb. */
function doubtAfter({ name, spread }: Leg): number {
  const kind = TIMED_AS[name] ?? 'delivery';
  const reading = spread.spreadSeconds ** 2 + THUMB_PRIORS[kind].sdSeconds ** 2;
  return 1 / Math.sqrt(1 / spread.meanSdSeconds ** 2 + MORE_READINGS / reading);
}

/** What one more foot of lead is worth: seconds, and points of chance. */
export function footWorth(
  question: StealQuestion,
  steal: Steal,
): { seconds: number; chance: number } {
  const { start } = steal.legs;
  const from = (leadFeet: number): number =>
    predictRun(
      question.runner.form.fit,
      { kind: 'steal', leadFeet, startSpeed: start.speed },
      question.field,
    ).meanSeconds;
  // Between two predictions: a supposed run says nothing of how quick they are at the bag.
  const seconds = from(start.leadFeet) - from(start.leadFeet + 1);
  return { seconds, chance: steal.chanceWith(seconds) - steal.chance };
}
