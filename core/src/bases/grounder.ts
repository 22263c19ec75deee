import type { BuntFigures } from '../bunts/index.ts';
import { FIRST, THIRD, type ContactShares, type Value } from '../innings/index.ts';
import { normalQuantile, tabledNormalCdf } from '../maths/normals.ts';
import { SPEED_PER_MPH, throwSeconds } from '../race/index.ts';
import type { Ruleset } from '../rules/index.ts';
import { timeToCover, type Gait } from '../sprint/index.ts';
import { feetBetween, placeOfBag, type Place } from '../units/index.ts';
import type { BasesFigures } from './figures.ts';
import { outfieldMeet, placeAt, reachedBy } from './outfield.ts';

/** How the infield plays with a runner on third. */
export const INFIELD_DEPTHS = ['in', 'corners', 'back'] as const;
export type InfieldDepth = (typeof INFIELD_DEPTHS)[number];

/** A ball on the ground with a runner on third only, and fewer than two outs. */
export interface GrounderQuestion {
  outs: 0 | 1;
  depth: InfieldDepth;
  ruleset: Pick<Ruleset, 'sport' | 'baseDistanceFeet' | 'pitchingDistanceFeet'>;
  figures: BasesFigures;
  /** Infielders run, pick up and throw as on a bunt. */
  infield: BuntFigures;
  runner: Gait;
  batter: Gait;
  value: Value;
}

/** What the runner may do, each in the unit of the value. */
export interface GrounderPlan {
  /** Goes on contact, whatever it is. */
  go: number;
  /** Waits until it is through or thrown to first. */
  wait: number;
  /** Sees where it goes first, and is right as often as a good reader; else goes late. */
  read: number;
  /** How often they throw home when he goes on contact and it is stopped, and he is safe then. */
  thrownHome: number;
  safeAtHome: number;
  shares: ContactShares;
}

/** How often a good reader is right about a ball on the ground. Judgement. */
export const GOOD_READ = 0.85;

interface Infielder extends Place {
  mph: keyof BuntFigures;
  isCorner: boolean;
}
/** Where they play on 90 ft bases: degrees from the first-base line and feet from home. Judgement. */
const SPOTS = [
  { degrees: 12, back: 106, in: 78, mph: 'firstThrow', isCorner: true },
  { degrees: 32, back: 134, in: 92, mph: 'secondThrow', isCorner: false },
  { degrees: 58, back: 134, in: 92, mph: 'shortThrow', isCorner: false },
  { degrees: 78, back: 104, in: 78, mph: 'thirdThrow', isCorner: true },
] as const satisfies readonly {
  degrees: number;
  back: number;
  in: number;
  mph: keyof BuntFigures;
  isCorner: boolean;
}[];
/** Past so many base lengths from home a ball is in the outfield. */
const THROUGH_BASES = 1.75;
/** Balls by how hard and which way: shares come out within .03 of five times as many, and gains within .01 run. */
const SPEEDS = 7;
const DIRECTIONS = 24;
const [LEAST_DEGREES, MOST_DEGREES] = [3, 87];
const CLOSE_SECONDS = 1e-3;
/** Farther to the side nobody gets to a ball before it is through. */
const MOST_ASIDE_FEET = 55;
/** Looked back he is nearer the bag by so much. Judgement. */
const WATCHED_FEET = { in: 8, corners: 5, back: 0 };
/** Creeping while he waits, ft/s. Judgement. */
const WAITING_SPEED = 4;
/** The first baseman turns before he throws home. Seconds. Judgement. */
const TURN_SECONDS = 0.25;
/** He is off so long after the throw to first; played back they give it up before. Seconds. Judgement. */
const OFF_AFTER_SECONDS = { in: 0.15, corners: 0, back: -0.45 };
/** He goes on a throw to first only where he has so much to spare. Seconds. */
const SURE_SECONDS = 0.1;
/** From bat to the batter's first step. */
const BATTER_SECONDS = 0.3;

/** What one ball comes to; shares of 1. */
interface Ball {
  isThrough: boolean;
  /** Out at home if they throw there, when he went on contact and when he read it first. */
  outAtHome: number;
  outAtHomeRead: number;
  outAtFirst: number;
  /** He scores behind a throw to first. */
  scores: number;
}
const THROUGH: Ball = {
  isThrough: true,
  outAtHome: 0,
  outAtHomeRead: 0,
  outAtFirst: 0,
  scores: 0,
};

/**
 * Going from third on a ball on the ground: balls of every direction and speed against an infield that plays so deep,
 * which takes the out that costs it least. Never checked against real plays.
 */
export function planGrounder(question: GrounderQuestion): GrounderPlan {
  const { outs, value } = question;
  const hit = value(FIRST, outs, 1, 1);
  const allSafe = hit;
  const outHome = value(FIRST, outs + 1, 0, 1);
  const outFirst = value(0, outs + 1, 1, 1);
  const stayed = value(THIRD, outs + 1, 0, 1);
  const safeBoth = value(FIRST | THIRD, outs, 0, 1);

  const balls = ballsOf(question);
  const share = 1 / balls.length;
  const sums = { go: 0, late: 0, wait: 0, right: 0, through: 0, home: 0, outHome: 0, first: 0 };
  let scores = 0;
  for (const ball of balls) {
    const home = (out: number): number => out * outHome + (1 - out) * allSafe;
    const first = ball.outAtFirst * outFirst + (1 - ball.outAtFirst) * allSafe;
    // The defense takes what leaves the runners least.
    const go = ball.isThrough ? hit : Math.min(home(ball.outAtHome), first);
    const late = ball.isThrough ? hit : Math.min(home(ball.outAtHomeRead), first);
    const held = ball.scores * outFirst + (1 - ball.scores) * stayed;
    const wait = ball.isThrough ? hit : ball.outAtFirst * held + (1 - ball.outAtFirst) * safeBoth;
    sums.go += share * go;
    sums.late += share * late;
    sums.wait += share * wait;
    sums.right += share * Math.max(late, wait);
    if (ball.isThrough) {
      sums.through += share;
      continue;
    }
    scores += share * ball.scores;
    if (home(ball.outAtHome) < first) {
      sums.home += share;
      sums.outHome += share * ball.outAtHome;
    } else sums.first += share * ball.outAtFirst;
  }
  const stopped = 1 - sums.through;
  const ofStopped = (sum: number): number => (stopped === 0 ? 0 : sum / stopped);
  return {
    go: sums.go,
    wait: sums.wait,
    read: GOOD_READ * sums.right + (1 - GOOD_READ) * sums.late,
    thrownHome: ofStopped(sums.home),
    safeAtHome: sums.home === 0 ? 1 : 1 - sums.outHome / sums.home,
    shares: {
      through: sums.through,
      outAtHome: ofStopped(sums.outHome),
      conceded: ofStopped(sums.first),
      scoresIfHolding: ofStopped(scores),
    },
  };
}

function ballsOf(question: GrounderQuestion): Ball[] {
  const { ruleset, figures } = question;
  const share = ruleset.baseDistanceFeet / 90;
  const infielders = infieldersOf(question, share);
  const balls: Ball[] = [];
  for (let nth = 0; nth < SPEEDS; nth += 1) {
    const quantile = normalQuantile((nth + 0.5) / SPEEDS);
    const speed = figures.groundSpeed * Math.exp(figures.groundSpread * quantile);
    for (let way = 0; way < DIRECTIONS; way += 1) {
      const degrees = LEAST_DEGREES + ((way + 0.5) / DIRECTIONS) * (MOST_DEGREES - LEAST_DEGREES);
      balls.push(ballAt(question, infielders, degrees, speed));
    }
  }
  return balls;
}

function infieldersOf({ depth, ruleset }: GrounderQuestion, share: number): Infielder[] {
  const fielders = SPOTS.map(({ degrees, back, in: near, mph, isCorner }): Infielder => {
    const isIn = depth === 'in' || (depth === 'corners' && isCorner);
    return { ...placeAt(degrees, (isIn ? near : back) * share), mph, isCorner };
  });
  const pitcher = placeAt(45, ruleset.pitchingDistanceFeet - 6);
  return [...fielders, { ...pitcher, mph: 'pitcherThrow', isCorner: false }];
}

function ballAt(
  question: GrounderQuestion,
  infielders: readonly Infielder[],
  degrees: number,
  speed: number,
): Ball {
  const { ruleset, figures, infield, runner, batter } = question;
  const { sport, baseDistanceFeet } = ruleset;
  const angle = (degrees * Math.PI) / 180;
  const throughFeet = THROUGH_BASES * baseDistanceFeet;
  let met: { seconds: number; feet: number; by: Infielder } | null = null;
  for (const by of infielders) {
    const along = by.x * Math.cos(angle) + by.y * Math.sin(angle);
    const aside = Math.abs(by.y * Math.cos(angle) - by.x * Math.sin(angle));
    if (aside > MOST_ASIDE_FEET) continue;
    const place = { speed, outfielderFeet: along, asideFeet: aside };
    const runs = legsOf(by, question);
    if (met !== null && reachedBy(met.seconds, place, runs) < 0) continue;
    const found = outfieldMeet(place, runs, CLOSE_SECONDS);
    if (found.feet <= throughFeet) met = { ...found, by };
  }
  if (met === null) return THROUGH;

  const at = placeAt(degrees, met.feet);
  const thrown = (from: Place, to: Place, mph: number): number =>
    throwSeconds(feetBetween(from, to), { throwSpeed: mph * SPEED_PER_MPH, ball: sport });
  const sd = Math.hypot(figures.runSdSeconds, figures.defenceSdSeconds);
  const [home, first] = [{ x: 0, y: 0 }, placeOfBag(1, baseDistanceFeet)];
  const released = met.seconds + infield.setSeconds;
  const mph = infield[met.by.mph];
  const homeAt =
    met.seconds + figures.homeThrowSeconds + thrown(at, home, mph) + figures.tagSeconds;
  const firstAt = released + thrown(at, first, mph);
  const outAtHome = (delay: number): number =>
    figures.homeGood * tabledNormalCdf((homeAfter(delay, question) - homeAt) / sd);
  const batterAt = BATTER_SECONDS + timeToCover(baseDistanceFeet, { ...batter, startSpeed: 0 });
  // On the throw to first he goes where the ball back home comes late enough.
  const backHome =
    firstAt +
    infield.relaySeconds +
    TURN_SECONDS +
    thrown(first, home, infield.firstThrow) +
    figures.tagSeconds;
  const watched = leftFeet(question) + WATCHED_FEET[question.depth];
  const fromThere =
    released +
    OFF_AFTER_SECONDS[question.depth] +
    timeToCover(watched, { ...runner, startSpeed: WAITING_SPEED });
  return {
    isThrough: false,
    outAtHome: outAtHome(figures.contactSeconds),
    outAtHomeRead: outAtHome(figures.contactSeconds + figures.groundReadSeconds),
    outAtFirst: infield.goodSet * tabledNormalCdf((batterAt - firstAt) / sd),
    scores: tabledNormalCdf((backHome - fromThere - SURE_SECONDS) / sd),
  };
}

/** How an infielder goes after a ball on the ground. */
function legsOf(
  { isCorner }: Pick<Infielder, 'isCorner'>,
  { figures, infield }: Pick<GrounderQuestion, 'figures' | 'infield'>,
) {
  return {
    grassDrag: figures.grassDrag,
    outfielderSpeed: infield.fielderSpeed,
    outfielderAcceleration: infield.fielderAcceleration,
    outfielderReach: figures.infieldReach,
    outfielderReact: isCorner ? infield.cornerReact : infield.middleReact,
  };
}

type FromThird = Pick<GrounderQuestion, 'ruleset' | 'figures' | 'runner'>;

/** What the runner from third has still to go as the ball is hit, feet. */
function leftFeet({ ruleset: { sport, baseDistanceFeet }, figures }: FromThird): number {
  return (
    baseDistanceFeet - (figures.groundLead * baseDistanceFeet) / (sport === 'softball' ? 60 : 90)
  );
}

/** When the runner from third is home who starts so long after contact, seconds after contact. */
function homeAfter(delay: number, question: FromThird): number {
  const { figures, runner } = question;
  return (
    delay + timeToCover(leftFeet(question), { ...runner, startSpeed: figures.groundLeadSpeed })
  );
}

/** Runners on first and third, one out, and the ball goes straight to the second baseman. Seconds after contact. */
export interface TagPlay {
  /** It is in the glove, and the runner from first comes toward it. */
  gloveSeconds: number;
  /** The batter is out, thrown out at once: from here on the runner has to be tagged, and it is the third out. */
  firstSeconds: number;
  /** The runner from third, gone on contact, is home: the run counts if nobody was the third out before. */
  homeSeconds: number;
}

/** The usual ground ball to a second baseman who plays back for two. */
export function tagPlay(
  question: Pick<GrounderQuestion, 'ruleset' | 'figures' | 'infield' | 'runner'>,
): TagPlay {
  const { ruleset, figures, infield } = question;
  const { sport, baseDistanceFeet } = ruleset;
  const { degrees, back } = SPOTS[1];
  const place = {
    speed: figures.groundSpeed,
    outfielderFeet: (back * baseDistanceFeet) / 90,
    asideFeet: 0,
  };
  const met = outfieldMeet(place, legsOf(SPOTS[1], question), CLOSE_SECONDS);
  const toFirst = feetBetween(placeAt(degrees, met.feet), placeOfBag(1, baseDistanceFeet));
  const arm = { throwSpeed: infield.secondThrow * SPEED_PER_MPH, ball: sport };
  return {
    gloveSeconds: met.seconds,
    firstSeconds: met.seconds + infield.setSeconds + throwSeconds(toFirst, arm),
    homeSeconds: homeAfter(figures.contactSeconds, question),
  };
}
