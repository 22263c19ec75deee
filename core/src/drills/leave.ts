import { betaQuantile } from '../maths/beta.ts';
import { mean, normalCdf } from '../maths/index.ts';
import { normalQuantile } from '../maths/normals.ts';
import { ownSpread } from '../timing/index.ts';

/** An umpire looks so often, sees it from so early on, and is so even. Judgement. */
const WATCHED = 0.8;
const TELLS_SECONDS = 0.05;
const UMPIRE_SD = 0.05;
const DENSITY = 1 / Math.sqrt(2 * Math.PI);

/** Leaving less release of one runner, and what it may cost. Seconds, runs. */
export interface LeaveQuestion {
  /** The runner's own, without the thumbs'. */
  spreadSeconds: number;
  outRuns: number;
  /** What a second is worth. */
  perSecondRuns: number;
  /** How often a thumb may tell them early. */
  risk: number;
}

export interface LeaveAim {
  /** Where the loss is least; null where it has no least. */
  optimumSeconds: number | null;
  ruleSeconds: number;
  /** Never before the release, and never less than the rule. */
  aimSeconds: number;
  early: number;
  called: number;
  lateMeanSeconds: number;
  lossRuns: number;
}

/** Where to aim, seconds after the release. */
export function bestAim({
  spreadSeconds: spread,
  outRuns,
  perSecondRuns,
  risk,
}: LeaveQuestion): LeaveAim {
  const seen = Math.hypot(spread, UMPIRE_SD);
  const called = (aim: number): number => WATCHED * normalCdf((-aim - TELLS_SECONDS) / seen);
  const share = (perSecondRuns * seen * Math.sqrt(2 * Math.PI)) / (WATCHED * outRuns);
  const optimum = share >= 1 ? null : -TELLS_SECONDS + seen * Math.sqrt(-2 * Math.log(share));
  const rule = -TELLS_SECONDS - spread * normalQuantile(risk);
  const aim = Math.max(0, rule, optimum ?? 0);
  const density = DENSITY * Math.exp(-((aim / spread) ** 2) / 2);
  return {
    optimumSeconds: optimum,
    ruleSeconds: rule,
    aimSeconds: aim,
    early: normalCdf(-aim / spread),
    called: called(aim),
    lateMeanSeconds: aim * normalCdf(aim / spread) + spread * density,
    lossRuns: outRuns * called(aim) + perSecondRuns * aim,
  };
}

const ON_TIME_SECONDS = 0.1;

/** A series of leaves, seconds after the release; below 0: early. */
export interface LeaveSeries {
  count: number;
  meanSeconds: number;
  spreadSeconds: number;
  early: number;
  close: number;
  onTime: number;
  late: number;
  /** Given away by being late, feet a time. */
  feetLost: number;
}

/** @param leaves at least two @param topSpeed ft/s */
export function judgeLeaves(leaves: readonly number[], topSpeed: number): LeaveSeries {
  const count = (of: (leave: number) => boolean): number => leaves.filter(of).length;
  return {
    count: leaves.length,
    meanSeconds: mean(leaves),
    spreadSeconds: ownSpread(leaves),
    early: count((leave) => leave <= -TELLS_SECONDS),
    close: count((leave) => leave > -TELLS_SECONDS && leave < 0),
    onTime: count((leave) => leave >= 0 && leave <= ON_TIME_SECONDS),
    late: count((leave) => leave > ON_TIME_SECONDS),
    feetLost: mean(leaves.map((leave) => Math.max(0, leave))) * topSpeed,
  };
}

/** The ball is over the plate so long before the mitt sounds. Seconds. Judgement. */
export const LANDS_BEFORE_MITT_SECONDS = 0.04;
/** A runner is in time who lands so near to the ball over the plate. Seconds. Judgement. */
const LANDING_WINDOW = 0.08;

/** The last foot of a lead, seconds after the ball is over the plate. */
export interface Landing {
  offsetSeconds: number;
  foot: 'left' | 'right';
}

export interface LandingSeries {
  count: number;
  meanSeconds: number;
  /** null with one only, as all that rests on it. */
  spreadSeconds: number | null;
  early: number;
  good: number;
  late: number;
  /** Good to expect with this mean and spread, and the most there can be with this spread. */
  expectedGood: number | null;
  bestPossible: number | null;
  rightFoot: number;
  rightFootRange: readonly [number, number];
}

/** @param landings at least one */
export function judgeLandings(landings: readonly Landing[]): LandingSeries {
  const offsets = landings.map(({ offsetSeconds }) => offsetSeconds);
  const middle = mean(offsets);
  const spread = offsets.length > 1 ? ownSpread(offsets) : null;
  const within = (by: number): number => (spread === null ? 0 : normalCdf(by / spread));
  const right = landings.filter(({ foot }) => foot === 'right').length;
  const range = (chance: number): number =>
    betaQuantile(chance, right + 1, landings.length - right + 1);
  return {
    count: landings.length,
    meanSeconds: middle,
    spreadSeconds: spread,
    early: offsets.filter((offset) => offset < -LANDING_WINDOW).length,
    good: offsets.filter((offset) => Math.abs(offset) <= LANDING_WINDOW).length,
    late: offsets.filter((offset) => offset > LANDING_WINDOW).length,
    expectedGood:
      spread === null ? null : within(LANDING_WINDOW - middle) - within(-LANDING_WINDOW - middle),
    bestPossible: spread === null ? null : 2 * within(LANDING_WINDOW) - 1,
    rightFoot: right / landings.length,
    rightFootRange: [range(0.1), range(0.9)],
  };
}
