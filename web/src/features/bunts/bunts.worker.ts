import {
  gridOf,
  hitByDepth,
  knownBunt,
  planBunt,
  squeezeTable,
  worthByShow,
  type BuntGrid,
  type BuntPlan,
  type BuntQuestion,
  type HitDepth,
  type Show,
  type SqueezeTable,
  type Strikes,
} from '@bradyon/core/bunts';
import { valueFrom, type KnownBunt, type ValueTable } from '@bradyon/core/innings';
import { expose } from 'comlink';

/** A question as it goes to the worker: what it is worth as plain numbers. */
export interface AskedBunt extends Omit<BuntQuestion, 'value'> {
  values: ValueTable;
}

export function questionOf({ values, ...asked }: AskedBunt): BuntQuestion {
  return { ...asked, value: valueFrom(values) };
}

/** What a card says of one batter against one defense. */
export interface CardCell {
  degrees: number;
  rollFeet: number;
  gain: number;
  run: number;
}

/** What is too heavy to stand between a tap and its answer. */
const heavy = {
  plan: (asked: AskedBunt, grid: BuntGrid): BuntPlan => planBunt(questionOf(asked), grid),
  hit: (asked: AskedBunt, strikes: Strikes): HitDepth => hitByDepth(questionOf(asked), strikes),
  /** One batter against several defenses. */
  card: (asked: AskedBunt[]): CardCell[] =>
    asked.map((each) => {
      const { best, swing, run } = planBunt(questionOf(each), gridOf(each, 20, 14));
      return { degrees: best.degrees, rollFeet: best.rollFeet, gain: best.value - swing, run };
    }),
  /** What a bunt by these people comes to, in the shares of the odds, one for each that is asked. */
  outcomes: (asked: (AskedBunt | null)[]): (KnownBunt | null)[] =>
    asked.map((each) => each && knownBunt(questionOf(each))),
  /** What it is worth by when it is shown. */
  shows: (asked: AskedBunt): Record<Show, number> => worthByShow(questionOf(asked)),
  squeeze: (asked: AskedBunt): SqueezeTable => squeezeTable(questionOf(asked)),
};
export type Heavy = typeof heavy;

expose(heavy);
