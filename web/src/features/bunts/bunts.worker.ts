import {
  gridOf,
  hitByDepth,
  pitchOutChance,
  planBunt,
  sacrificeOutcomes,
  squeezeOutcomes,
  squeezeTable,
  type BuntGrid,
  type BuntPlan,
  type BuntQuestion,
  type HitDepth,
  type SqueezeTable,
  type Strikes,
} from '@bradyon/core/bunts';
import {
  valueFrom,
  type BuntOutcomes,
  type SqueezeOutcomes,
  type ValueTable,
} from '@bradyon/core/innings';
import { expose } from 'comlink';

/** A question as it goes to the worker: what it is worth as plain numbers. */
export interface AskedBunt extends Omit<BuntQuestion, 'value'> {
  values: ValueTable;
}

export function questionOf({ values, ...asked }: AskedBunt): BuntQuestion {
  return { ...asked, value: valueFrom(values) };
}

/** A bunt by the people who are there; null: not asked. */
export interface KnownBunt {
  bunt: BuntOutcomes | null;
  squeeze: SqueezeOutcomes | null;
}

/** About as the pitcher lets go. */
const USUAL_SHOW_SECONDS = 0.1;

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
  /** What a bunt by these people comes to, in the shares of the odds. */
  outcomes: (asked: AskedBunt): KnownBunt => {
    const question = questionOf(asked);
    const { skill, figures, play } = question;
    const { best } = planBunt(question, gridOf(question, 20, 14));
    if (play !== 'suicide') return { bunt: sacrificeOutcomes(best, skill), squeeze: null };
    const shown = { breakSeconds: asked.breakSeconds, showSeconds: USUAL_SHOW_SECONDS };
    const pitchOut = pitchOutChance(
      shown,
      question.pitcherThrows === 'right' ? 1 : figures.lefthanderSees,
      figures,
    );
    return { bunt: null, squeeze: squeezeOutcomes(best, skill, pitchOut, figures) };
  },
  squeeze: (asked: AskedBunt): SqueezeTable => squeezeTable(questionOf(asked)),
};
export type Heavy = typeof heavy;

expose(heavy);
