import type { BuntLane, BuntPace, BuntSkill, BuntTry } from '../bunts/index.ts';
import type { Sport } from '../rules/index.ts';
import {
  mustGoDown,
  needOf,
  repsToBeSure,
  taskBeliefs,
  type Belief,
  type BuntTask,
  type Tally,
} from './counted.ts';

/** What a counter's lanes and paces can ask for; a squeeze and a bunt for a hit are asked for elsewhere. */
export const COUNTED_TASKS = [
  'firstSide',
  'thirdFirm',
  'thirdSoft',
  'deadMiddle',
] as const satisfies readonly BuntTask[];
export type CountedTask = (typeof COUNTED_TASKS)[number];

/** How much each counts, and which lanes and paces are as called. Agreed weights; the rest follows the tasks' feet. */
const TASKS: Record<
  CountedTask,
  { weight: number; lanes: readonly BuntLane[]; paces: readonly BuntPace[] }
> = {
  firstSide: { weight: 1, lanes: ['first', 'firstMiddle'], paces: ['soft', 'firm'] },
  thirdFirm: { weight: 1, lanes: ['third', 'thirdMiddle'], paces: ['firm'] },
  thirdSoft: { weight: 0.7, lanes: ['third', 'thirdMiddle'], paces: ['soft'] },
  deadMiddle: { weight: 0.5, lanes: ['middle'], paces: ['dead', 'soft'] },
};

/** A bunt of practice with its time. */
export type CountedBunt = BuntTry & { takenAt: string };

/** What somebody was to do; null: nothing was called. */
export function taskOf({
  aimed,
  calledPace,
}: Pick<BuntTry, 'aimed' | 'calledPace'>): CountedTask | null {
  if (aimed === null) return null;
  if (aimed === 'middle') return 'deadMiddle';
  if (aimed === 'first' || aimed === 'firstMiddle') return 'firstSide';
  return calledPace === 'firm' ? 'thirdFirm' : 'thirdSoft';
}

const DAY_MS = 86_400_000;

/** One bunt as a tally of its own: what it was, and how old. A foul counts as past a line. */
function tallyOf(bunt: CountedBunt, task: CountedTask, now: Date): Tally {
  const { lanes, paces } = TASKS[task];
  const isIn = bunt.lane !== null && lanes.includes(bunt.lane);
  const isGood = isIn && (bunt.pace === null || paces.includes(bunt.pace));
  const fair = bunt.result === 'fair';
  return {
    good: Number(fair && isGood),
    offPace: Number(fair && isIn && !isGood),
    other: Number(fair && !isIn),
    wide: Number(bunt.result === 'foul'),
    tips: 0,
    pops: Number(bunt.result === 'popped'),
    misses: Number(bunt.result === 'missed'),
    daysAgo: Math.max(0, (now.getTime() - Date.parse(bunt.takenAt)) / DAY_MS),
  };
}

/** Where somebody stands with one task. */
export interface TaskStand {
  task: CountedTask;
  tries: number;
  down: number;
  belief: Belief;
  need: number;
  /** More at this rate until six in ten are sure; null: not at this rate. */
  more: number | null;
  /** Of the next ten, so many must go down; null: not with ten. */
  ofNextTen: number | null;
}

/** Bunts of the same day: what was done lately tires. */
const TODAY_DAYS = 0.5;
const NEXT = 10;

/**
 * Every task of a bunter, the one to practice next first: what falls short of six in ten down, by how much it counts,
 * less what was done today.
 * @param bunts of practice, pulled back ones among them
 */
export function buntStands(
  bunts: readonly CountedBunt[],
  sport: Sport,
  level: BuntSkill,
  now: Date,
): TaskStand[] {
  const offered = bunts.filter(({ result }) => result !== 'pulledBack');
  return COUNTED_TASKS.map((task): TaskStand => {
    const own = offered.filter((bunt) => taskOf(bunt) === task);
    const tallies = own.map((bunt) => tallyOf(bunt, task, now));
    const { down: belief } = taskBeliefs(sport, task, level, tallies);
    const today = tallies.filter(({ daysAgo }) => daysAgo < TODAY_DAYS).length;
    return {
      task,
      tries: own.length,
      down: own.filter(({ result }) => result === 'fair').length,
      belief,
      need: needOf({ weight: TASKS[task].weight, belief, today }),
      more: repsToBeSure(belief),
      ofNextTen: mustGoDown(belief, NEXT),
    };
  }).toSorted((a, b) => b.need - a.need);
}
