import { breakEvenOf, type Needed } from './breakEven.ts';
import type { Transition } from './chain.ts';
import { baseOut, FIRST, SECOND, type BaseOut } from './state.ts';
import { stepsWorth } from './tactics.ts';
import type { Value } from './value.ts';

/** Old sayings that can be put to the numbers. */
export type Saying = 'outsAtThird' | 'fourInFive' | 'buntHimOver' | 'baseToBase';

/** How a saying fares here: what was found, and whether it holds. */
export type SayingTested =
  /** Never make the first or the third out at third base: needed with none, one and two out. */
  | { saying: 'outsAtThird'; holds: boolean; needed: [Needed, Needed, Needed] }
  /** Eight in ten or stay: needed to steal second with none, one and two out. */
  | { saying: 'fourInFive'; holds: boolean; needed: [Needed, Needed, Needed] }
  /** Bunt him over with nobody out: bunting less swinging, runner on first, and on first and second. */
  | { saying: 'buntHimOver'; holds: boolean; gains: [onFirst: number, onBoth: number] }
  /** Four down, go base to base: needed to steal second four runs down, and as it stands. */
  | { saying: 'baseToBase'; holds: boolean; needed: [fourDown: Needed, now: Needed] };

/** Figures within three points of each other cannot be told apart: the tables are no better. */
export const CAUTION = 0.03;

function figure(needed: Needed): number {
  if (needed === 'always') return 0;
  return typeof needed === 'number' ? needed : 1;
}

function needed(gamble: 'stealSecond' | 'stealThird', outs: number, value: Value): Needed {
  const bases = gamble === 'stealSecond' ? FIRST : SECOND;
  return breakEvenOf(gamble, baseOut(bases, outs), value)?.needed ?? 'never';
}

/**
 * The sayings put to the numbers of a situation.
 * @param value of the situation as it stands
 * @param fourDown the same four runs down
 * @param bunt the steps of a sacrifice from a state
 */
export function testSayings(
  value: Value,
  fourDown: Value,
  bunt: (from: BaseOut) => Transition[],
): SayingTested[] {
  const third = [0, 1, 2].map((outs) => needed('stealThird', outs, value)) as [
    Needed,
    Needed,
    Needed,
  ];
  const second = [0, 1, 2].map((outs) => needed('stealSecond', outs, value)) as [
    Needed,
    Needed,
    Needed,
  ];
  const [first, middle, last] = third.map(figure) as [number, number, number];
  const gain = (bases: number): number =>
    stepsWorth(bunt(baseOut(bases, 0)), baseOut(bases, 0), value) - value(bases, 0, 0);
  const gains: [number, number] = [gain(FIRST), gain(FIRST | SECOND)];
  const down = needed('stealSecond', 0, fourDown);
  return [
    {
      saying: 'outsAtThird',
      holds: first > middle + CAUTION && last > middle + CAUTION,
      needed: third,
    },
    {
      saying: 'fourInFive',
      holds: second.every((each) => Math.abs(figure(each) - 0.8) <= CAUTION),
      needed: second,
    },
    { saying: 'buntHimOver', holds: gains.every((each) => each > 0), gains },
    {
      saying: 'baseToBase',
      holds: figure(down) > figure(second[0]) + CAUTION,
      needed: [down, second[0]],
    },
  ];
}
