/** A counter the defence can take, which costs it something whether he runs or not. */
export interface Counter {
  /** Chance that he is safe against the usual delivery, and against the counter. */
  chanceUsual: number;
  chanceCountered: number;
  /** Runs that a steal wins and an out on the bases costs, above 0. */
  gainRuns: number;
  costRuns: number;
  /** Runs that the counter costs every time: a ball, or a better pitch to hit. */
  counterRuns: number;
}

/** How often each side may do it before the other should change. Shares 0..1. */
export interface MixFigures {
  /** Run less often than this, and the counter does not pay for them. */
  runUnder: number;
  /** Countered more often than this, running does not pay for us. */
  counteredUnder: number;
}

/** What a ball and a better pitch to hit are worth, runs. Judgement until the odds are worked out. */
export const PITCHOUT_COSTS_RUNS = 0.05;
export const SLIDE_STEP_COSTS_RUNS = 0.02;
/** What a steal of second wins and an out costs together, runs. Judgement until the odds are worked out. */
export const STEAL_SWING_RUNS = 0.65;

/**
 * The two figures of the guessing game between runner and battery.
 * @returns null where the counter is no better than the usual delivery
 * @throws RangeError when gain, cost or the counter's price are not above 0
 */
export function mixFigures(counter: Counter): MixFigures | null {
  const { chanceUsual, chanceCountered, gainRuns, costRuns, counterRuns } = counter;
  if (!(gainRuns > 0 && costRuns > 0 && counterRuns > 0)) {
    throw new RangeError('mixFigures needs a gain, a cost and a price above 0');
  }
  const swing = (chanceUsual - chanceCountered) * (gainRuns + costRuns);
  if (swing <= 0) return null;
  const running = chanceUsual * gainRuns - (1 - chanceUsual) * costRuns;
  return { runUnder: share(counterRuns / swing), counteredUnder: share(running / swing) };
}

function share(value: number): number {
  return Math.min(1, Math.max(0, value));
}

/** Everything that the guessing game between runner and battery is played for. Chances 0..1, runs. */
export interface RunningGame {
  /** Safe at the next base against the usual delivery, a slide step, a pitch-out. */
  safeUsual: number;
  safeSlideStep: number;
  safePitchout: number;
  /** Out when he goes as they throw over; out when he stays as they do; that throw going away. */
  outGoingOnPick: number;
  outStayingOnPick: number;
  pickAway: number;
  gainRuns: number;
  costRuns: number;
  pickAwayRuns: number;
  ballRuns: number;
  slideStepRuns: number;
  throwRuns: number;
  /** What a bluff wins by itself, and how much more often it gets him picked. */
  bluffRuns: number;
  bluffOut: number;
}

/** The runner stays, runs or bluffs; they deliver, slide-step, pitch out or throw over. */
export interface RunningGameAnswer {
  /** Runs won for us, by what we do and what they do. */
  payoffs: number[][];
  /** What the game is worth to us, runs. */
  valueRuns: number;
  ours: number[];
  theirs: number[];
}

/**
 * The guessing game solved. The mix swings on a few thousandths of a run, so it is for study: a
 * coach is shown `mixFigures`.
 */
export function runningGame(game: RunningGame): RunningGameAnswer {
  const steal = (safe: number): number => safe * game.gainRuns - (1 - safe) * game.costRuns;
  const picked = (out: number): number =>
    -out * game.costRuns + game.pickAway * game.pickAwayRuns + game.throwRuns;
  const stay = [0, game.slideStepRuns, game.ballRuns, picked(game.outStayingOnPick)];
  const run = [
    steal(game.safeUsual),
    steal(game.safeSlideStep) + game.slideStepRuns,
    steal(game.safePitchout) + game.ballRuns,
    picked(game.outGoingOnPick),
  ];
  // A bluff hurts a delivery, not a throw over.
  const bluff = stay.map((runs, index) =>
    index === 3 ? picked(game.outStayingOnPick + game.bluffOut) : runs + game.bluffRuns,
  );
  return { payoffs: [stay, run, bluff], ...solveGame([stay, run, bluff]) };
}

/**
 * A zero-sum game by trying every pair of supports of equal size.
 * @param payoffs to the one who chooses the row
 */
function solveGame(payoffs: number[][]): Omit<RunningGameAnswer, 'payoffs'> {
  const columns = payoffs[0]?.length ?? 0;
  for (const rows of subsets(payoffs.length)) {
    for (const cols of subsets(columns)) {
      if (rows.length !== cols.length) continue;
      const answer = withSupports(payoffs, rows, cols);
      if (answer) return answer;
    }
  }
  throw new RangeError('solveGame needs finite payoffs');
}

const CLOSE = 1e-9;

function withSupports(payoffs: number[][], rows: number[], cols: number[]) {
  const at = (row: number, col: number): number => payoffs[row]?.[col] ?? 0;
  // Whoever mixes makes the other indifferent between what the other may do.
  const ours = mixture(cols.map((col) => rows.map((row) => at(row, col))));
  const theirs = mixture(rows.map((row) => cols.map((col) => at(row, col))));
  if (!ours || !theirs) return null;
  const spread = (length: number, support: number[], shares: number[]): number[] =>
    Array.from({ length }, (_, index) => shares[support.indexOf(index)] ?? 0);
  const full = {
    ours: spread(payoffs.length, rows, ours.shares),
    theirs: spread(payoffs[0]?.length ?? 0, cols, theirs.shares),
  };
  const rowWorth = payoffs.map((row) => dot(row, full.theirs));
  const colWorth = full.theirs.map((_, col) =>
    dot(
      payoffs.map((row) => row[col] ?? 0),
      full.ours,
    ),
  );
  const stable =
    Math.max(...rowWorth) <= theirs.value + CLOSE && Math.min(...colWorth) >= ours.value - CLOSE;
  return stable ? { ...full, valueRuns: ours.value } : null;
}

function dot(a: readonly number[], b: readonly number[]): number {
  return a.reduce((sum, value, index) => sum + value * (b[index] ?? 0), 0);
}

/** Shares that make every equation worth the same, and what that is; null when none are from 0 to 1. */
function mixture(equations: number[][]): { shares: number[]; value: number } | null {
  const size = equations.length;
  // Unknowns: the shares and the value. Each equation . shares - value = 0; the shares add up to 1.
  const matrix = [
    ...equations.map((row) => [...row, -1, 0]),
    [...Array.from({ length: size }, () => 1), 0, 1],
  ];
  const solved = eliminate(matrix);
  if (!solved || solved.slice(0, size).some((value) => value < -CLOSE)) return null;
  return { shares: solved.slice(0, size), value: solved[size] ?? 0 };
}

/** Gauss-Jordan with the largest pivot; null when the matrix is singular. */
function eliminate(matrix: number[][]): number[] | null {
  const size = matrix.length;
  for (let column = 0; column < size; column += 1) {
    const at = (row: number): number => Math.abs(matrix[row]?.[column] ?? 0);
    let pivot = column;
    for (let row = column + 1; row < size; row += 1) if (at(row) > at(pivot)) pivot = row;
    const [top, chosen] = [matrix[column], matrix[pivot]];
    if (!top || !chosen || at(pivot) < 1e-12) return null;
    [matrix[column], matrix[pivot]] = [chosen, top];
    for (const [index, row] of matrix.entries()) {
      if (index === column) continue;
      const factor = (row[column] ?? 0) / (chosen[column] ?? 1);
      for (let other = column; other <= size; other += 1) {
        row[other] = (row[other] ?? 0) - factor * (chosen[other] ?? 0);
      }
    }
  }
  return matrix.map((row, index) => (row[size] ?? 0) / (row[index] ?? 1));
}

/** All choices of at least one of so many, the smaller first. */
function subsets(length: number): number[][] {
  return Array.from({ length: 2 ** length - 1 }, (_, bits) =>
    Array.from({ length }, (__, index) => index).filter((index) => ((bits + 1) >> index) & 1),
  ).toSorted((a, b) => a.length - b.length);
}
