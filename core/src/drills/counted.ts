import type { BuntSkill } from '../bunts/index.ts';
import { betaCdf, betaQuantile } from '../maths/beta.ts';
import { normalCdf } from '../maths/index.ts';
import type { Sport } from '../rules/index.ts';

/** What a bunter is told to do. */
export const BUNT_TASKS = [
  'firstSide',
  'thirdFirm',
  'thirdSoft',
  'deadMiddle',
  'squeeze',
  'hitThird',
] as const;
export type BuntTask = (typeof BUNT_TASKS)[number];

/** Where it should go, degrees from the first-base line, and how far it should roll, feet. */
interface TaskAim {
  lane: readonly [number, number];
  aimDegrees: number;
  rollFrom: number;
  rollTo: number;
  rollFeet: number;
}

const task = (
  lane: readonly [number, number],
  aimDegrees: number,
  [rollFrom, rollTo]: readonly [number, number],
  roll: number,
): TaskAim => ({ lane, aimDegrees, rollFrom, rollTo, rollFeet: roll });

/** On 90 ft bases, softball on 60. Agreed. */
export const TASK_AIMS: Record<Sport, Record<BuntTask, TaskAim>> = {
  baseball: {
    firstSide: task([0, 30], 14, [25, 50], 38),
    thirdFirm: task([60, 90], 76, [40, 62], 50),
    thirdSoft: task([60, 90], 76, [18, 38], 28),
    deadMiddle: task([30, 60], 45, [10, 28], 20),
    squeeze: task([0, 90], 45, [10, 60], 30),
    hitThird: task([76, 90], 82, [28, 55], 40),
  },
  softball: {
    firstSide: task([0, 30], 14, [12, 26], 19),
    thirdFirm: task([60, 90], 76, [20, 32], 26),
    thirdSoft: task([60, 90], 76, [9, 20], 14),
    deadMiddle: task([30, 60], 45, [6, 16], 11),
    squeeze: task([0, 90], 45, [6, 32], 16),
    hitThird: task([76, 90], 82, [14, 30], 22),
  },
};

/** Dry grass. */
export const GROUND = {
  baseball: { hopFeet: 5, keptSpeed: 0.7, slowing: 9 },
  softball: { hopFeet: 4, keptSpeed: 0.7, slowing: 9 },
} as const;
/** Practice is kinder than a game by so much, in log-odds. Judgement. */
const KINDER = 0.5;
/** What is usual counts as so many bunts; a day's bunts count half after so many days. Judgement. */
const USUAL_WEIGHT = 8;
const HALF_LIFE_DAYS = 45;

/** How often a bunt is down, of those in its lane, of those far enough: 0..1 each. */
export interface TaskShares {
  down: number;
  placed: number;
  paced: number;
}

/** What is believed of a share: a beta distribution. */
export type Belief = readonly [yes: number, no: number];

/** Bunts of one day, to one task. */
export interface Tally {
  good: number;
  offPace: number;
  other: number;
  /** Past a line, fouled back, popped up, missed. */
  wide: number;
  tips: number;
  pops: number;
  misses: number;
  daysAgo: number;
}

const band = (from: number, to: number, middle: number, sd: number): number =>
  normalCdf((to - middle) / sd) - normalCdf((from - middle) / sd);

const logOdds = (share: number): number => Math.log(share / (1 - share));
const moved = (share: number, by: number): number => 1 / (1 + Math.exp(-(logOdds(share) + by)));
export const toPractice = (share: number): number => moved(share, KINDER);
export const toGame = (share: number): number => moved(share, -KINDER);

function placedAt({ lane, aimDegrees }: TaskAim, sdDegrees: number): number {
  return band(lane[0], lane[1], aimDegrees, sdDegrees) / band(0, 90, aimDegrees, sdDegrees);
}

function pacedAt(
  { rollFrom, rollTo, rollFeet: wanted }: TaskAim,
  sport: Sport,
  sd: number,
): number {
  const pace = (feet: number): number => Math.log(speedForRoll(feet, sport));
  return band(pace(rollFrom), pace(rollTo), pace(wanted), sd);
}

function speedForRoll(feet: number, sport: Sport): number {
  const { hopFeet, keptSpeed, slowing } = GROUND[sport];
  return Math.sqrt(2 * slowing * (feet - hopFeet)) / keptSpeed;
}

/** What a bunter of a skill makes of a task in a game. */
export function gameShares(sport: Sport, name: BuntTask, skill: BuntSkill): TaskShares {
  const aim = TASK_AIMS[sport][name];
  const contact = 1 - skill.missed - skill.tipped - skill.popped;
  return {
    down: contact * band(0, 90, aim.aimDegrees, skill.sdDegrees),
    placed: placedAt(aim, skill.sdDegrees),
    paced: pacedAt(aim, sport, skill.sdPace),
  };
}

const age = ({ daysAgo }: Tally): number => 2 ** (-daysAgo / HALF_LIFE_DAYS);
const summed = (tallies: readonly Tally[], of: (tally: Tally) => number): number =>
  tallies.reduce((sum, tally) => sum + age(tally) * of(tally), 0);
const downOf = ({ good, offPace, other }: Tally): number => good + offPace + other;
const laneOf = ({ good, offPace }: Tally): number => good + offPace;
const offeredOf = (tally: Tally): number =>
  downOf(tally) + tally.wide + tally.tips + tally.pops + tally.misses;

/** What is believed of a bunter at a task, in practice. */
export function taskBeliefs(
  sport: Sport,
  name: BuntTask,
  level: BuntSkill,
  tallies: readonly Tally[],
): Record<keyof TaskShares, Belief> {
  const usual = gameShares(sport, name, level);
  const belief = (share: number, yes: number, of: number): Belief => {
    const before = share >= 1 ? 1 : toPractice(share);
    return [USUAL_WEIGHT * before + yes, USUAL_WEIGHT * (1 - before) + of - yes];
  };
  const [offered, down] = [summed(tallies, offeredOf), summed(tallies, downOf)];
  const inLane = summed(tallies, laneOf);
  return {
    down: belief(usual.down, down, offered),
    placed: belief(usual.placed, inLane, down),
    paced: belief(
      usual.paced,
      summed(tallies, ({ good }) => good),
      inLane,
    ),
  };
}

/** One height and style: it begins from what the others of the task come to. */
export function cellBelief(othersMean: number, good: number, bad: number): Belief {
  return [USUAL_WEIGHT * othersMean + good, USUAL_WEIGHT * (1 - othersMean) + bad];
}

export const beliefMean = ([yes, no]: Belief): number => yes / (yes + no);
/** Eight times in ten it lies between. */
export const beliefRange = ([yes, no]: Belief): readonly [number, number] => [
  betaQuantile(0.1, yes, no),
  betaQuantile(0.9, yes, no),
];

/** What is wanted: so many down. */
export const WANTED_DOWN = 0.6;
const SURE = 0.8;
const MOST_MORE = 200;

const isSure = (yes: number, no: number): boolean => 1 - betaCdf(WANTED_DOWN, yes, no) >= SURE;

/** How far somebody is expected to fall short of what is wanted, 0..1. */
export function shortfall([yes, no]: Belief): number {
  return (
    WANTED_DOWN * betaCdf(WANTED_DOWN, yes, no) -
    (yes / (yes + no)) * betaCdf(WANTED_DOWN, yes + 1, no)
  );
}

/** More bunts at the present rate until it is sure; null: not at this rate. */
export function repsToBeSure(belief: Belief): number | null {
  const rate = beliefMean(belief);
  if (rate <= WANTED_DOWN) return null;
  const [yes, no] = belief;
  for (let more = 0; more <= MOST_MORE; more += 1) {
    if (isSure(yes + more * rate, no + more * (1 - rate))) return more;
  }
  return null;
}

/** How many of the next ones must go down until it is sure; null: not with so few. */
export function mustGoDown([yes, no]: Belief, next: number): number | null {
  for (let down = 0; down <= next; down += 1) {
    if (isSure(yes + down, no + next - down)) return down;
  }
  return null;
}

const QUANTILES = 200;

/** The chance that one way is better than another. */
export function chanceBetter([yes, no]: Belief, other: Belief): number {
  let sum = 0;
  for (let at = 0; at < QUANTILES; at += 1) {
    sum += betaCdf(betaQuantile((at + 0.5) / QUANTILES, yes, no), other[0], other[1]);
  }
  return sum / QUANTILES;
}

/** Something to practise: how much it counts, what is believed of it, and how often it was done today. */
export interface BuntNeed<Id extends string> {
  id: Id;
  weight: number;
  belief: Belief;
  today: number;
}

/** What was done today already tires: need falls by e with so many. */
const TODAY_SCALE = 8;
const MOST_SHARE = 0.5;

export function needOf({ weight, belief, today }: Omit<BuntNeed<string>, 'id'>): number {
  return weight * shortfall(belief) * Math.exp(-today / TODAY_SCALE);
}

/** What to bunt next, block by block: each to the greatest need, and none gets over half while others may. */
export function allotBunts<Id extends string>(
  needs: readonly BuntNeed<Id>[],
  reps: number,
  block: number,
): { order: Id[]; counts: { id: Id; reps: number }[] } {
  const most = Math.max(block, Math.floor(reps * MOST_SHARE + 0.5));
  const counts = needs.map(({ id }) => ({ id, reps: 0 }));
  const order: Id[] = [];
  for (let left = reps; left > 0; left -= block) {
    const size = Math.min(block, left);
    const open = needs.map((_, at) => (counts[at]?.reps ?? 0) + size <= most);
    const anyOpen = open.some(Boolean);
    let best = -1;
    let bestNeed = Number.NEGATIVE_INFINITY;
    for (const [at, need] of needs.entries()) {
      if (anyOpen && !open[at]) continue;
      const own = needOf({ ...need, today: need.today + (counts[at]?.reps ?? 0) });
      if (own > bestNeed + 1e-9) [best, bestNeed] = [at, own];
    }
    const chosen = counts[best];
    if (!chosen) break;
    chosen.reps += size;
    order.push(chosen.id);
  }
  return { order, counts };
}

/** Bunts of practice as the skill that the plans of a game work with; none: the level's. */
export function skillFrom(
  sport: Sport,
  level: BuntSkill,
  by: readonly { task: BuntTask; tallies: readonly Tally[] }[],
): { bunts: number; skill: BuntSkill } {
  const all = by.flatMap(({ tallies }) => tallies);
  const bunts = summed(all, offeredOf);
  if (bunts === 0) return { bunts, skill: level };
  const shareOf = (usual: number, of: (tally: Tally) => number): number =>
    toPractice((USUAL_WEIGHT * toGame(usual) + summed(all, of)) / (USUAL_WEIGHT + bunts));
  const spread = (
    usual: number,
    weightOf: (tally: Tally) => number,
    isAsked: (name: BuntTask) => boolean,
    solve: (name: BuntTask, beliefs: ReturnType<typeof taskBeliefs>) => number,
  ): number => {
    let [weights, logs] = [0, 0];
    for (const { task: name, tallies } of by) {
      const weight = isAsked(name) ? summed(tallies, weightOf) : 0;
      if (weight === 0) continue;
      weights += weight;
      logs += weight * Math.log(solve(name, taskBeliefs(sport, name, level, tallies)));
    }
    return weights === 0 ? usual : Math.exp(logs / weights);
  };
  return {
    bunts,
    skill: {
      ...level,
      missed: shareOf(level.missed, ({ misses }) => misses),
      tipped: shareOf(level.tipped, ({ tips }) => tips),
      popped: shareOf(level.popped, ({ pops }) => pops),
      sdDegrees: spread(
        level.sdDegrees,
        downOf,
        (name) => name !== 'squeeze',
        (name, { placed }) =>
          falling((sd) => placedAt(TASK_AIMS[sport][name], sd), toGame(beliefMean(placed)), 4, 40),
      ),
      sdPace: spread(
        level.sdPace,
        laneOf,
        () => true,
        (name, { paced }) =>
          falling(
            (sd) => pacedAt(TASK_AIMS[sport][name], sport, sd),
            toGame(beliefMean(paced)),
            0.08,
            1.2,
          ),
      ),
    },
  };
}

/** Where a falling function has a value, by halving; the end where it has none. */
function falling(of: (x: number) => number, value: number, from: number, to: number): number {
  let [low, high] = [from, to];
  for (let round = 0; round < 60; round += 1) {
    const middle = (low + high) / 2;
    if (of(middle) > value) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** How a counted bunt came off: by where it lay and how far it rolled. @param feet of the roll */
export function outcomeOf(
  sport: Sport,
  name: BuntTask,
  degrees: number,
  feet: number,
): 'good' | 'offPace' | 'other' {
  const { lane, rollFrom, rollTo } = TASK_AIMS[sport][name];
  if (degrees < lane[0] || degrees > lane[1]) return 'other';
  return feet >= rollFrom && feet <= rollTo ? 'good' : 'offPace';
}
