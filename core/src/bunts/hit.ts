import type { Strikes } from './aim.ts';
import { gridOf, planBunt, swingBy, type BuntPlan, type BuntQuestion } from './plan.ts';

/** How the third baseman is moved: from in front of the bag to behind it, feet along the line from home. */
interface DepthStep {
  /** Behind the bag positive, in front of it negative. */
  feet: number;
  /** The best bunt less swinging away, in the unit of the values. */
  gain: number;
  /** Given fair: how often he is safe. */
  safe: number;
}

/** From how deep a third baseman on it pays, for one count. */
export interface HitDepth {
  steps: readonly DepthStep[];
  /** Where the gain turns: null when it never or always pays between the ends. */
  paysFrom: number | null;
}

/** So far before and behind the bag corners play, as shares of the base distance. */
const SHALLOWEST = -0.4;
const DEEPEST = 0.3;
const STEPS = 8;

/** The third baseman so many feet behind the bag (in front: negative), a step or two off the line. */
function thirdBasemanAt(feet: number, baseFeet: number): { x: number; y: number } {
  return { x: 0.1 * baseFeet, y: baseFeet + feet };
}

/**
 * From which depth of the third baseman on a bunt for a hit beats swinging away.
 * @param onStep told how many depths are done
 */
export function hitByDepth(
  question: BuntQuestion,
  strikes: Strikes,
  onStep?: (done: number, of: number) => void,
): HitDepth {
  const { baseDistanceFeet } = question.ruleset;
  const grid = gridOf(question, 20, 14);
  const swing = swingBy(question)[strikes];
  const plan = (feet: number): BuntPlan =>
    planBunt(
      {
        ...question,
        strikes,
        alignment: {
          ...question.alignment,
          moved: { ...question.alignment.moved, '3B': thirdBasemanAt(feet, baseDistanceFeet) },
        },
      },
      grid,
    );
  const steps: DepthStep[] = [];
  for (let index = 0; index <= STEPS; index += 1) {
    const share = SHALLOWEST + ((DEEPEST - SHALLOWEST) * index) / STEPS;
    const feet = Math.round(share * baseDistanceFeet);
    const { best } = plan(feet);
    steps.push({ feet, gain: best.value - swing, safe: 1 - best.batterOut });
    onStep?.(index + 1, STEPS + 1);
  }
  return { steps, paysFrom: turnOf(steps) };
}

/** Where the gain goes from below 0 to above it, feet, between two steps by a straight line. */
function turnOf(steps: readonly DepthStep[]): number | null {
  for (const [index, step] of steps.entries()) {
    const before = steps[index - 1];
    if (!before || before.gain > 0 || step.gain <= 0) continue;
    const share = -before.gain / (step.gain - before.gain);
    return before.feet + share * (step.feet - before.feet);
  }
  return null;
}
