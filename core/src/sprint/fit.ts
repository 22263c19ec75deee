import type { Ruleset } from '../rules/index.ts';
import type { Level, DoubtfulSpread } from '../timing/index.ts';
import { runSeconds, runSpreadSeconds, type Gait, type Run } from './runs.ts';

/** A run with its time, or the mean of several. */
export interface TimedRun {
  run: Run;
  seconds: number;
  /** How far the time may lie from what he is good for: his own unevenness and the timer's. */
  sdSeconds: number;
}

/** What a runner's times of any kind say of how he runs. */
export interface SprintFit extends Gait {
  /** Covariance of the logarithms of top speed and time constant. */
  covariance: { speed: number; both: number; start: number };
  /** For each run: time less what the fit expects, in its own deviations. Beyond 3 it does not fit the others. */
  misfits: number[];
}

interface Place {
  level: Level;
  ruleset: Pick<Ruleset, 'baseDistanceFeet'>;
}

/** Half a step of the difference quotient, in logarithms. */
const STEP = 1e-5;
const MOST_ROUNDS = 60;

/**
 * Fits the speed curve to a runner's times, the level being the prior (Levenberg-Marquardt in the
 * logarithms of top speed and time constant). Without times it is the level itself.
 * @param runs times of any kinds, in any order, on the scale of runSeconds
 * @throws RangeError when a time or its deviation is not above 0
 */
export function fitSprint(runs: readonly TimedRun[], place: Place): SprintFit {
  if (!runs.every(({ seconds, sdSeconds }) => seconds > 0 && sdSeconds > 0)) {
    throw new RangeError('fitSprint needs times and deviations above 0 s');
  }
  const { level } = place;
  const prior = { x: Math.log(level.topSpeed), y: Math.log(level.accelerationSeconds) };
  const weight = { x: level.topSpeedVariation ** -2, y: level.accelerationVariation ** -2 };
  const expected = ({ run }: TimedRun, at: Point): number => runSeconds(run, gaitOf(at), place);

  const lossAt = (at: Point): number =>
    runs.reduce(
      (sum, timed) => sum + ((timed.seconds - expected(timed, at)) / timed.sdSeconds) ** 2,
      weight.x * (at.x - prior.x) ** 2 + weight.y * (at.y - prior.y) ** 2,
    );

  /** Gradient and Gauss-Newton curvature of half the loss. */
  const slopesAt = (at: Point) => {
    const sums = {
      gx: weight.x * (at.x - prior.x),
      gy: weight.y * (at.y - prior.y),
      xx: weight.x,
      xy: 0,
      yy: weight.y,
    };
    for (const timed of runs) {
      const precision = timed.sdSeconds ** -2;
      const residual = timed.seconds - expected(timed, at);
      const { x, y } = slopeOf((point) => expected(timed, point), at);
      sums.gx -= precision * residual * x;
      sums.gy -= precision * residual * y;
      sums.xx += precision * x * x;
      sums.xy += precision * x * y;
      sums.yy += precision * y * y;
    }
    return sums;
  };

  let [at, loss, damping] = [prior, lossAt(prior), 1e-3];
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const { gx, gy, xx, xy, yy } = slopesAt(at);
    const [dampedX, dampedY] = [xx * (1 + damping), yy * (1 + damping)];
    const determinant = dampedX * dampedY - xy * xy;
    const next = {
      x: at.x - (dampedY * gx - xy * gy) / determinant,
      y: at.y - (dampedX * gy - xy * gx) / determinant,
    };
    const nextLoss = lossAt(next);
    if (nextLoss <= loss) {
      const moved = Math.abs(next.x - at.x) + Math.abs(next.y - at.y);
      [at, loss, damping] = [next, nextLoss, damping / 10];
      if (moved < 1e-10) break;
    } else damping *= 10;
    if (damping > 1e12) break;
  }
  const { xx, xy, yy } = slopesAt(at);
  const determinant = xx * yy - xy * xy;
  return {
    ...gaitOf(at),
    covariance: { speed: yy / determinant, both: -xy / determinant, start: xx / determinant },
    misfits: runs.map((timed) => (timed.seconds - expected(timed, at)) / timed.sdSeconds),
  };
}

/**
 * The next time of a run by a fitted runner: the doubt of the fit and how uneven tries are.
 * @param spreadSeconds how far one try lies from another; the kind's own where not given
 */
export function predictRun(
  fit: SprintFit,
  run: Run,
  place: Place,
  spreadSeconds = runSpreadSeconds(run),
): DoubtfulSpread {
  const at = { x: Math.log(fit.topSpeed), y: Math.log(fit.accelerationSeconds) };
  const { x, y } = slopeOf((point) => runSeconds(run, gaitOf(point), place), at);
  const { speed, both, start } = fit.covariance;
  const meanSdSeconds = Math.sqrt(Math.max(0, x * x * speed + 2 * x * y * both + y * y * start));
  return {
    meanSeconds: runSeconds(run, fit, place),
    sdSeconds: Math.hypot(meanSdSeconds, spreadSeconds),
    freedom: Number.POSITIVE_INFINITY,
    meanSdSeconds,
    spreadSeconds,
  };
}

/** Logarithms of top speed and time constant. */
interface Point {
  x: number;
  y: number;
}

function gaitOf({ x, y }: Point): Gait {
  return { topSpeed: Math.exp(x), accelerationSeconds: Math.exp(y) };
}

function slopeOf(value: (at: Point) => number, { x, y }: Point): Point {
  return {
    x: (value({ x: x + STEP, y }) - value({ x: x - STEP, y })) / (2 * STEP),
    y: (value({ x, y: y + STEP }) - value({ x, y: y - STEP })) / (2 * STEP),
  };
}
