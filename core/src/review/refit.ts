import {
  chanceBefore,
  likelihoodOf,
  PRIOR_SD,
  REFITTED,
  shippedTheta,
  type Attempt,
  type RaceConstants,
  type Refitted,
  type Theta,
} from './attempt.ts';
import { dot, inverseOf, timesVector, type Matrix } from './linear.ts';

/** A gain in telling outcomes, in logs, and how unsure it is. */
interface Gain {
  gain: number;
  sd: number;
}

/** What attempts say of the constants of a level. In the order of `REFITTED` where it is a list. */
export interface Refit {
  attempts: number;
  theta: number[];
  sd: number[];
  /** How far each moved, in its prior's sd. */
  z: number[];
  objective: number;
  /** 1 less what doubt is left of the prior's: below .2 nothing was learned. */
  learned: number[];
  moved: Refitted[];
  jumpTagCorrelation: number;
  /** In the units of the level. */
  constants: RaceConstants & {
    /** On the try-to-try sd of deliveries and pops. */
    withinFactor: number;
    slideStepSeconds: number;
    thirdJumpSeconds: number;
  };
  /** Looking forward: each block told by a re-fit of all before it. Null with too few. */
  forward: (Gain & { scored: number }) | null;
  /** Each told by a re-fit of all others. */
  leaveOneOut: Gain | null;
}

const SURELY_NOT = 0.005;
const ENOUGH = 1e-8;
const MOST_STEPS = 200;
const ROUNDING = 1e-11;
const SHORTEST = 1e-6;
const STEP_Z = 1e-4;
const BLOCKS = 4;
const LEAST_BEFORE = 20;
const MOST_LEVERAGE = 0.9;
/** Fewer attempts are not even previewed. */
export const LEAST_FOR_PREVIEW = 10;

const scales = REFITTED.map((name) => PRIOR_SD[name]);
const zeros = (): number[] => REFITTED.map(() => 0);

/** The posterior of some attempts, to be minimised: in steps of the prior's sd. */
function problemOf(attempts: readonly Attempt[], constants: RaceConstants) {
  const shipped = shippedTheta(constants);
  const thetaAt = (z: readonly number[]): number[] =>
    shipped.map((mean, at) => mean + (z[at] ?? 0) * (scales[at] ?? 1));
  /** Of one attempt, weighed, in z. */
  const gradientOf = (attempt: Attempt, theta: Theta): { log: number; gradient: number[] } => {
    const { log, gradient } = likelihoodOf(attempt, theta, constants);
    return {
      log: attempt.weight * log,
      gradient: gradient.map((each, at) => attempt.weight * each * (scales[at] ?? 1)),
    };
  };
  const at = (z: readonly number[]): { value: number; gradient: number[] } => {
    const theta = thetaAt(z);
    let value = dot(z, z) / 2;
    const gradient = [...z];
    for (const attempt of attempts) {
      const own = gradientOf(attempt, theta);
      value -= own.log;
      for (const [which, each] of own.gradient.entries()) {
        gradient[which] = (gradient[which] ?? 0) - each;
      }
    }
    return { value, gradient };
  };
  return { thetaAt, gradientOf, at };
}

/** The likeliest constants, in z. @param start where to begin */
function minimise(
  problem: ReturnType<typeof problemOf>,
  attempts: readonly Attempt[],
  start: readonly number[],
): { z: number[]; value: number } {
  let z = [...start];
  let now = problem.at(z);
  let inverse = inverseOf(outerProducts(problem, attempts, z));
  for (let step = 0; step < MOST_STEPS; step += 1) {
    if (Math.max(...now.gradient.map(Math.abs)) <= ENOUGH) break;
    const way = timesVector(inverse, now.gradient).map((each) => -each);
    const slope = dot(way, now.gradient);
    let length = 1;
    let next = problem.at(z.map((each, at) => each + length * (way[at] ?? 0)));
    // Near the end a step gains less than sums of logs can show.
    const slack = ROUNDING * Math.max(1, Math.abs(now.value));
    while (!(next.value <= now.value + 1e-4 * length * slope + slack) && length > SHORTEST) {
      length /= 2;
      const shorter = length;
      next = problem.at(z.map((each, at) => each + shorter * (way[at] ?? 0)));
    }
    const moved = way.map((each) => length * each);
    const turned = next.gradient.map((each, at) => each - (now.gradient[at] ?? 0));
    z = z.map((each, at) => each + (moved[at] ?? 0));
    inverse = updated(inverse, moved, turned);
    // At the end of what can be told apart nothing gets better any more.
    const isDone = length <= SHORTEST;
    now = next;
    if (isDone) break;
  }
  return { z, value: now.value };
}

/** What the gradients of the attempts say of the curvature, and the prior's own. */
function outerProducts(
  problem: ReturnType<typeof problemOf>,
  attempts: readonly Attempt[],
  z: readonly number[],
): Matrix {
  const theta = problem.thetaAt(z);
  const matrix: Matrix = REFITTED.map((_, row) =>
    REFITTED.map((__, column) => (row === column ? 1 : 0)),
  );
  for (const attempt of attempts) {
    const { gradient } = problem.gradientOf(attempt, theta);
    for (const [row, line] of matrix.entries()) {
      for (const [column] of line.entries()) {
        line[column] = (line[column] ?? 0) + (gradient[row] ?? 0) * (gradient[column] ?? 0);
      }
    }
  }
  return matrix;
}

/** The inverse of the curvature after a step (BFGS). */
function updated(inverse: Matrix, moved: readonly number[], turned: readonly number[]): Matrix {
  const along = dot(moved, turned);
  if (along <= 1e-14) return inverse;
  const through = timesVector(inverse, turned);
  const factor = (1 + dot(turned, through) / along) / along;
  return inverse.map((row, at) =>
    row.map(
      (each, column) =>
        each +
        factor * (moved[at] ?? 0) * (moved[column] ?? 0) -
        ((through[at] ?? 0) * (moved[column] ?? 0) + (moved[at] ?? 0) * (through[column] ?? 0)) /
          along,
    ),
  );
}

/** How doubts of the constants hang together: the inverse of the curvature at the end. */
function covarianceAt(problem: ReturnType<typeof problemOf>, z: readonly number[]): Matrix {
  const columns = REFITTED.map((_, which) => {
    const shifted = (by: number): number[] =>
      problem.at(z.map((each, at) => each + (at === which ? by : 0))).gradient;
    const [up, down] = [shifted(STEP_Z), shifted(-STEP_Z)];
    return up.map((each, at) => (each - (down[at] ?? 0)) / (2 * STEP_Z));
  });
  return inverseOf(
    columns.map((column, row) => column.map((each, at) => (each + (columns[at]?.[row] ?? 0)) / 2)),
  );
}

/** How well an outcome was told, in logs. */
function scoreOf(attempt: Attempt, theta: Theta, constants: RaceConstants): number {
  const chance = chanceBefore(attempt, theta, constants);
  const held = Math.min(1 - SURELY_NOT, Math.max(SURELY_NOT, chance));
  return Math.log(attempt.safe ? held : 1 - held);
}

function gainOf(differences: readonly number[]): Gain {
  const count = differences.length;
  const gain = differences.reduce((sum, each) => sum + each, 0);
  const mean = gain / count;
  const variance =
    differences.reduce((sum, each) => sum + (each - mean) ** 2, 0) / Math.max(1, count - 1);
  return { gain, sd: Math.sqrt(count * variance) };
}

/**
 * The judgement constants of a level as a team's own attempts move them.
 * @param attempts in order of time
 * @param onProgress told how much is done, 0..1
 */
export function refit(
  attempts: readonly Attempt[],
  constants: RaceConstants,
  onProgress: (done: number) => void = () => undefined,
): Refit {
  const problem = problemOf(attempts, constants);
  const { z, value } = minimise(problem, attempts, zeros());
  const theta = problem.thetaAt(z);
  const covariance = covarianceAt(problem, z);
  onProgress(0.3);
  const sdZ = covariance.map((row, at) => Math.sqrt(row[at] ?? 0));
  const [jump, tag] = [0, 2];
  const forward = lookForward(attempts, constants, (done) => {
    onProgress(0.3 + 0.6 * done);
  });
  const leaveOneOut =
    attempts.length < LEAST_BEFORE
      ? null
      : leaveOut(attempts, constants, { z, theta, covariance }, problem);
  onProgress(1);
  return {
    attempts: attempts.length,
    theta,
    sd: sdZ.map((each, at) => each * (scales[at] ?? 1)),
    z,
    objective: value,
    learned: sdZ.map((each) => 1 - each ** 2),
    moved: REFITTED.filter((_, at) => Math.abs(z[at] ?? 0) > 1),
    jumpTagCorrelation: (covariance[jump]?.[tag] ?? 0) / ((sdZ[jump] ?? 1) * (sdZ[tag] ?? 1)),
    constants: constantsOf(theta, constants),
    forward,
    leaveOneOut,
  };
}

/** Constants as they stand in a level, whole: they hang together and are never applied one by one. */
function constantsOf(theta: Theta, shipped: RaceConstants): Refit['constants'] {
  const at = (which: number): number => theta[which] ?? 0;
  const expit = (x: number): number => 1 / (1 + Math.exp(-x));
  const factor = Math.exp(at(2));
  const [off, away] = [expit(at(3)), expit(at(4))];
  return {
    jumpSeconds: at(0),
    jumpSdSeconds: Math.exp(at(1)),
    leftHanderSeconds: at(7),
    leftHanderSdSeconds: shipped.leftHanderSdSeconds,
    tagOnSeconds: shipped.tagOnSeconds * factor,
    tagOnSdSeconds: shipped.tagOnSdSeconds,
    tagOffSeconds: shipped.tagOffSeconds * factor,
    tagOffSdSeconds: shipped.tagOffSdSeconds,
    onLine: (1 - away) * (1 - off),
    offLine: (1 - away) * off,
    away,
    withinFactor: Math.exp(at(5)),
    slideStepSeconds: at(6),
    thirdJumpSeconds: at(8),
  };
}

function lookForward(
  attempts: readonly Attempt[],
  constants: RaceConstants,
  onProgress: (done: number) => void,
): Refit['forward'] {
  const count = attempts.length;
  const first = Math.max(LEAST_BEFORE, Math.ceil(count / 2));
  if (count <= first) return null;
  const block = Math.ceil((count - first) / BLOCKS);
  const shipped = shippedTheta(constants);
  const differences: number[] = [];
  let start = zeros();
  for (let from = first; from < count; from += block) {
    const before = attempts.slice(0, from);
    const problem = problemOf(before, constants);
    // The block before is a good place to begin.
    ({ z: start } = minimise(problem, before, start));
    const theta = problem.thetaAt(start);
    for (const attempt of attempts.slice(from, from + block)) {
      differences.push(scoreOf(attempt, theta, constants) - scoreOf(attempt, shipped, constants));
    }
    onProgress((from + block - first) / (count - first));
  }
  return { scored: differences.length, ...gainOf(differences) };
}

function leaveOut(
  attempts: readonly Attempt[],
  constants: RaceConstants,
  whole: { z: readonly number[]; theta: Theta; covariance: Matrix },
  problem: ReturnType<typeof problemOf>,
): Gain {
  const shipped = shippedTheta(constants);
  return gainOf(
    attempts.map((attempt) => {
      const { gradient } = problem.gradientOf(attempt, whole.theta);
      const pull = timesVector(whole.covariance, gradient);
      const far = 1 / (1 - Math.min(MOST_LEVERAGE, dot(gradient, pull)));
      const without = problem.thetaAt(whole.z.map((each, at) => each - far * (pull[at] ?? 0)));
      return scoreOf(attempt, without, constants) - scoreOf(attempt, shipped, constants);
    }),
  );
}

/** A runner's own jump against the team's. Judgement. */
const RUNNER_SD_SECONDS = 0.03;
const RUNNER_STEP_SECONDS = 1e-5;

/** How much later than the team's a runner jumps, the team's constants held. Seconds. */
export function runnerShift(
  attempts: readonly Attempt[],
  theta: Theta,
  constants: RaceConstants,
): { shiftSeconds: number; sdSeconds: number } {
  const slopeAt = (shift: number): number => {
    const own = theta.map((each, at) => (at === 0 ? each + shift : each));
    return attempts.reduce(
      (sum, attempt) =>
        sum - attempt.weight * (likelihoodOf(attempt, own, constants).gradient[0] ?? 0),
      shift / RUNNER_SD_SECONDS ** 2,
    );
  };
  const curvatureAt = (shift: number): number =>
    (slopeAt(shift + RUNNER_STEP_SECONDS) - slopeAt(shift - RUNNER_STEP_SECONDS)) /
    (2 * RUNNER_STEP_SECONDS);
  let shift = 0;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const slope = slopeAt(shift);
    if (Math.abs(slope) < ENOUGH) break;
    // Where the likelihood is not curved, the prior still is.
    shift -= slope / Math.max(curvatureAt(shift), 1 / RUNNER_SD_SECONDS ** 2 / 2);
  }
  return { shiftSeconds: shift, sdSeconds: 1 / Math.sqrt(curvatureAt(shift)) };
}

/** Why a re-fit is not applied. */
export type Refusal = 'tooFew' | 'logNotWhole' | 'tooFar' | 'predictsWorse';

const LEAST_TO_APPLY = 40;
const LEAST_WITH_CALL = 0.9;
const TOO_FAR = 3;

/**
 * Why the re-fit may not be applied, the first reason; null: it may, when the coach says so.
 * @param outsWithCall share of the outs on the bases that have a call, 0..1; null: no out yet
 */
export function refusalOf(found: Refit, outsWithCall: number | null): Refusal | null {
  if (found.attempts < LEAST_TO_APPLY) return 'tooFew';
  if (outsWithCall !== null && outsWithCall < LEAST_WITH_CALL) return 'logNotWhole';
  if (found.z.some((each) => Math.abs(each) > TOO_FAR)) return 'tooFar';
  const { forward, leaveOneOut } = found;
  if ((forward && forward.gain <= 0) || (leaveOneOut && leaveOneOut.gain <= 0)) {
    return 'predictsWorse';
  }
  return null;
}
