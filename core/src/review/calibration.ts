import { makeRandom, normalCdf } from '../maths/index.ts';
import { Z80 } from './ledger.ts';
import { chanceBelow, jeffreysInterval, successesOf, successQuantile } from './bernoulli.ts';

/** An attempt that was decided: the chance as it was told before, and what came of it. */
export interface ToldAttempt {
  chance: number;
  safe: boolean;
  /** Attempts of a game share the doubt of one battery. */
  game: string;
}

/** What may be said of chances at this many attempts. */
type CalibrationWord = 'few' | 'inLine' | 'hintTooHigh' | 'hintTooLow' | 'tooHigh' | 'tooLow';

/** A bar of the diagram. */
interface CalibrationBin {
  count: number;
  safe: number;
  /** The mean chance, and the share that was safe. */
  told: number;
  share: number;
  low: number;
  high: number;
  /** What bars are ordinary if every chance is right. */
  expectedLow: number;
  expectedHigh: number;
  isOutside: boolean;
  chanceOutside: number;
}

/** A step of the line without bins: chances in between came true as often as that. */
interface CalibrationStep {
  from: number;
  to: number;
  count: number;
  share: number;
}

export interface Calibration {
  count: number;
  safe: number;
  expected: number;
  /** Sum of p (1 - p). */
  information: number;
  /** How many safe are ordinary if every chance is right, eight times in ten. */
  rangeLow: number;
  rangeHigh: number;
  /** How often chance alone lies as far off, both ways. */
  midP: number;
  word: CalibrationWord;
  zTotal: number;
  byGame: { games: number; spread: number; z: number; chance: number };
  brier: number;
  logScore: number;
  /** The Brier score of telling everybody the share of the others; null where all were safe or all out. */
  reference: number | null;
  skill: number | null;
  gain: { mean: number; se: number } | null;
  /** What the Brier score is made of, by the bins; null without bins. */
  murphy: {
    reliability: number;
    resolution: number;
    uncertainty: number;
    withinVariance: number;
    withinCovariance: number;
  } | null;
  line: {
    miscalibration: number;
    discrimination: number;
    uncertainty: number;
    steps: CalibrationStep[];
  };
  /** How far bars lie off the diagonal, and how far they would if every chance were right. Null without bins. */
  error: { raw: number; expected: number; corrected: number; debiasedSquare: number } | null;
  /** Whether chances are too sure or too unsure as a whole; null where all are near a half. */
  z: number | null;
  zChance: number | null;
  sharpness: { sd: number; expectedBrier: number; sure: number };
  /** One shift in log odds, and what "80%" is to be read as with it. */
  offset: { shift: number; sd: number; at80: [low: number, middle: number, high: number] };
  /** Below 1: too sure. Null with fewer than a hundred. */
  slope: { a: number; b: number; sdA: number; sdB: number; correlation: number } | null;
  diagram: { bins: CalibrationBin[]; chanceAsManyOutside: number } | null;
}

/** Fewer have no diagram, no slope, no word. */
export const LEAST_FOR_DIAGRAM = 30;
const LEAST_FOR_SLOPE = 100;
export const LEAST_FOR_WORD = 12;
const LEAST_INFORMATION = 2;
const LEAST_GAMES = 10;
const MOST_BINS = 10;
const SAME = 1e-12;
/** Scores by logs would be ruined by one certain error. */
const [SURELY_NOT, SURELY] = [0.005, 0.995];
/** How far chances may be off as a whole, in log odds; and how far the slope from 1. Judgement. */
const [OFFSET_SD, SLOPE_SD] = [0.5, 0.3];
/** How likely chance alone is for each word. */
const [HINTED, CALLED] = [0.1, 0.02];
const SEASONS = 1000;

const expit = (x: number): number => 1 / (1 + Math.exp(-x));
const logit = (p: number): number => Math.log(p / (1 - p));
const sumOf = <T>(all: readonly T[], of: (each: T) => number): number =>
  all.reduce((sum, each) => sum + of(each), 0);
const hit = ({ safe }: ToldAttempt): number => (safe ? 1 : 0);

/**
 * Whether chances came true as often as they said.
 * @param attempts at least one, chances above 0 and below 1
 * @param seed of the seasons that are made up to tell what is ordinary
 * @param groups so many are looked at side by side
 */
export function calibrationOf(
  attempts: readonly ToldAttempt[],
  {
    seed = 1,
    seasons = SEASONS,
    groups = 1,
  }: { seed?: number; seasons?: number; groups?: number } = {},
): Calibration {
  const count = attempts.length;
  const sorted = attempts.toSorted((a, b) => a.chance - b.chance);
  const chances = sorted.map(({ chance }) => chance);
  const safe = sumOf(attempts, hit);
  const expected = sumOf(attempts, ({ chance }) => chance);
  const information = sumOf(attempts, ({ chance }) => chance * (1 - chance));
  const of = successesOf(chances);
  const below = chanceBelow(of, safe) + (of[safe] ?? 0) / 2;
  const midP = 2 * Math.min(below, 1 - below);
  const zTotal = (safe - expected) / Math.sqrt(information);
  const byGame = gamesOf(attempts, zTotal, information);
  const base = safe / count;
  const brier = sumOf(attempts, (each) => (hit(each) - each.chance) ** 2) / count;
  const reference =
    base === 0 || base === 1 ? null : (count / (count - 1)) ** 2 * base * (1 - base);
  const bins = count < LEAST_FOR_DIAGRAM ? null : binsOf(sorted);
  const z = spiegelhalter(sorted, sorted.map(hit));
  const made = bins && madeUp(sorted, bins, z, seed, seasons);
  const meanChance = expected / count;
  return {
    count,
    safe,
    expected,
    information,
    rangeLow: successQuantile(of, 0.1),
    rangeHigh: successQuantile(of, 0.9),
    midP,
    word: wordFor({ count, information, midP, byGame, groups, isHigh: expected > safe }),
    zTotal,
    byGame,
    brier,
    logScore:
      sumOf(attempts, ({ chance, safe: was }) => {
        const p = Math.min(SURELY, Math.max(SURELY_NOT, chance));
        return -Math.log(was ? p : 1 - p);
      }) / count,
    reference,
    skill: reference === null ? null : 1 - brier / reference,
    gain: reference === null ? null : gainOf(attempts, safe),
    murphy: bins && murphyOf(bins, base),
    line: lineOf(sorted, base, brier),
    error: bins && made && errorOf(bins, count, made.meanError),
    z,
    zChance: made && z !== null ? made.zChance : null,
    sharpness: {
      sd: Math.sqrt(sumOf(attempts, ({ chance }) => (chance - meanChance) ** 2) / count),
      expectedBrier: information / count,
      sure: attempts.filter(({ chance }) => chance <= 0.1 || chance >= 0.9).length / count,
    },
    offset: offsetOf(attempts),
    slope: count < LEAST_FOR_SLOPE ? null : slopeOf(attempts),
    diagram: bins && diagramOf(bins),
  };
}

/** Attempts of a game go together: how much farther totals go for it, from ten games on. */
function gamesOf(
  attempts: readonly ToldAttempt[],
  zTotal: number,
  information: number,
): Calibration['byGame'] {
  const all = new Map<string, { count: number; off: number }>();
  for (const attempt of attempts) {
    const game = all.get(attempt.game) ?? { count: 0, off: 0 };
    all.set(attempt.game, {
      count: game.count + 1,
      off: game.off + hit(attempt) - attempt.chance,
    });
  }
  const games = all.size;
  const meanOff = sumOf([...all.values()], ({ off }) => off) / attempts.length;
  const spread =
    games < LEAST_GAMES
      ? 1
      : Math.max(
          1,
          ((games / (games - 1)) *
            sumOf([...all.values()], ({ count, off }) => (off - count * meanOff) ** 2)) /
            information,
        );
  const z = zTotal / Math.sqrt(spread);
  return { games, spread, z, chance: 2 * normalCdf(-Math.abs(z)) };
}

function wordFor({
  count,
  information,
  midP,
  byGame,
  groups,
  isHigh,
}: Pick<Calibration, 'count' | 'information' | 'midP' | 'byGame'> & {
  groups: number;
  isHigh: boolean;
}): CalibrationWord {
  if (count < LEAST_FOR_WORD || information < LEAST_INFORMATION) return 'few';
  const chance = groups * (byGame.spread > 1 ? Math.max(midP, byGame.chance) : midP);
  if (chance >= HINTED) return 'inLine';
  if (chance >= CALLED) return isHigh ? 'hintTooHigh' : 'hintTooLow';
  return isHigh ? 'tooHigh' : 'tooLow';
}

/** How much better than telling everybody the share of the others. */
function gainOf(attempts: readonly ToldAttempt[], safe: number): { mean: number; se: number } {
  const count = attempts.length;
  const gains = attempts.map((each) => {
    const others = (safe - hit(each)) / (count - 1);
    return (hit(each) - others) ** 2 - (hit(each) - each.chance) ** 2;
  });
  const mean = sumOf(gains, (each) => each) / count;
  const sd = Math.sqrt(sumOf(gains, (each) => (each - mean) ** 2) / (count - 1));
  return { mean, se: sd / Math.sqrt(count) };
}

/** Bins of about as many; equal chances stay together. @param sorted by their chances */
function binsOf(sorted: readonly ToldAttempt[]): ToldAttempt[][] {
  const count = sorted.length;
  const wanted = Math.min(MOST_BINS, Math.floor(Math.sqrt(count / 2)));
  const ends: number[] = [];
  for (let bin = 1; bin <= wanted; bin += 1) {
    let end = Math.floor((bin * count) / wanted + 0.5);
    while (
      end < count &&
      Math.abs((sorted[end]?.chance ?? 0) - (sorted[end - 1]?.chance ?? 0)) <= SAME
    ) {
      end += 1;
    }
    if (end > (ends.at(-1) ?? 0)) ends.push(end);
  }
  const last = count - (ends.at(-2) ?? 0);
  if (ends.length > 1 && last < count / (2 * wanted)) ends.splice(-2, 1);
  return ends.map((end, at) => sorted.slice(ends[at - 1] ?? 0, end));
}

function diagramOf(bins: readonly (readonly ToldAttempt[])[]): NonNullable<Calibration['diagram']> {
  const bars = bins.map((bin): CalibrationBin => {
    const count = bin.length;
    const safe = sumOf(bin, hit);
    const of = successesOf(bin.map(({ chance }) => chance));
    const [fewest, most] = [successQuantile(of, 0.1), successQuantile(of, 0.9)];
    const [low, high] = jeffreysInterval(safe, count);
    return {
      count,
      safe,
      told: sumOf(bin, ({ chance }) => chance) / count,
      share: safe / count,
      low,
      high,
      expectedLow: fewest / count,
      expectedHigh: most / count,
      isOutside: safe < fewest || safe > most,
      chanceOutside: Math.max(0, chanceBelow(of, fewest) + 1 - chanceBelow(of, most + 1)),
    };
  });
  const outside = bars.filter(({ isOutside }) => isOutside).length;
  const of = successesOf(bars.map(({ chanceOutside }) => chanceOutside));
  return { bins: bars, chanceAsManyOutside: 1 - chanceBelow(of, outside) };
}

/** Pooled until the share rises with the chance. @param sorted by their chances */
function lineOf(sorted: readonly ToldAttempt[], base: number, brier: number): Calibration['line'] {
  const steps: (CalibrationStep & { safe: number })[] = [];
  for (const attempt of sorted) {
    const last = steps.at(-1);
    if (last && Math.abs(last.to - attempt.chance) <= SAME) {
      last.count += 1;
      last.safe += hit(attempt);
    } else {
      const { chance } = attempt;
      steps.push({ from: chance, to: chance, count: 1, safe: hit(attempt), share: 0 });
    }
  }
  const pooled: typeof steps = [];
  for (const step of steps) {
    pooled.push({ ...step });
    for (;;) {
      const [before, last] = [pooled.at(-2), pooled.at(-1)];
      if (!before || !last) break;
      if (last.safe / last.count > before.safe / before.count + SAME) break;
      pooled.pop();
      before.to = last.to;
      before.count += last.count;
      before.safe += last.safe;
    }
  }
  const own = pooled.map(({ safe, ...step }) => ({ ...step, share: safe / step.count }));
  const uncertainty = base * (1 - base);
  // Within a step every attempt is told the share of it.
  const pooledBrier = sumOf(own, ({ count, share }) => count * share * (1 - share)) / sorted.length;
  return {
    miscalibration: brier - pooledBrier,
    discrimination: uncertainty - pooledBrier,
    uncertainty,
    steps: own,
  };
}

function murphyOf(
  bins: readonly (readonly ToldAttempt[])[],
  base: number,
): NonNullable<Calibration['murphy']> {
  const count = sumOf(bins, (bin) => bin.length);
  const parts = {
    reliability: 0,
    resolution: 0,
    uncertainty: base * (1 - base),
    withinVariance: 0,
    withinCovariance: 0,
  };
  for (const bin of bins) {
    const told = sumOf(bin, ({ chance }) => chance) / bin.length;
    const share = sumOf(bin, hit) / bin.length;
    parts.reliability += (bin.length * (told - share) ** 2) / count;
    parts.resolution += (bin.length * (share - base) ** 2) / count;
    for (const attempt of bin) {
      parts.withinVariance += (attempt.chance - told) ** 2 / count;
      parts.withinCovariance += (2 * (hit(attempt) - share) * (attempt.chance - told)) / count;
    }
  }
  return parts;
}

function errorOf(
  bins: readonly (readonly ToldAttempt[])[],
  count: number,
  expected: number,
): NonNullable<Calibration['error']> {
  const raw = sumOf(bins, (bin) => Math.abs(sumOf(bin, (each) => hit(each) - each.chance))) / count;
  const debiasedSquare = sumOf(bins, (bin) => {
    const told = sumOf(bin, ({ chance }) => chance) / bin.length;
    const share = sumOf(bin, hit) / bin.length;
    return (bin.length / count) * ((told - share) ** 2 - (share * (1 - share)) / (bin.length - 1));
  });
  return { raw, expected, corrected: Math.max(0, raw - expected), debiasedSquare };
}

const LEAST_UNDER_ROOT = 1e-4;

/** @param hits 1 or 0, in the order of the attempts */
function spiegelhalter(attempts: readonly ToldAttempt[], hits: readonly number[]): number | null {
  const under = sumOf(attempts, ({ chance: p }) => (1 - 2 * p) ** 2 * p * (1 - p));
  if (under < LEAST_UNDER_ROOT) return null;
  const over = attempts.reduce(
    (sum, { chance: p }, at) => sum + ((hits[at] ?? 0) - p) * (1 - 2 * p),
    0,
  );
  return over / Math.sqrt(under);
}

/** Seasons in which every chance is right: how far bars and scores go by luck. @param sorted by their chances */
function madeUp(
  sorted: readonly ToldAttempt[],
  bins: readonly (readonly ToldAttempt[])[],
  z: number | null,
  seed: number,
  seasons: number,
): { meanError: number; zChance: number } {
  const random = makeRandom(seed);
  let [errors, asFar] = [0, 0];
  for (let season = 0; season < seasons; season += 1) {
    const hits = sorted.map(({ chance }) => (random() < chance ? 1 : 0));
    let at = 0;
    for (const bin of bins) {
      let off = 0;
      for (const { chance } of bin) {
        off += (hits[at] ?? 0) - chance;
        at += 1;
      }
      errors += Math.abs(off) / sorted.length;
    }
    const own = spiegelhalter(sorted, hits);
    if (z !== null && own !== null && Math.abs(own) >= Math.abs(z) - SAME) asFar += 1;
  }
  return { meanError: errors / seasons, zChance: (1 + asFar) / (seasons + 1) };
}

const ENOUGH_STEPS = 100;

function offsetOf(attempts: readonly ToldAttempt[]): Calibration['offset'] {
  let shift = 0;
  let curvature = 0;
  const prior = 1 / OFFSET_SD ** 2;
  for (let step = 0; step < ENOUGH_STEPS; step += 1) {
    let slope = -prior * shift;
    curvature = prior;
    for (const attempt of attempts) {
      const q = expit(logit(attempt.chance) + shift);
      slope += hit(attempt) - q;
      curvature += q * (1 - q);
    }
    shift += slope / curvature;
    if (Math.abs(slope) < 1e-12) break;
  }
  const sd = 1 / Math.sqrt(curvature);
  const at = (deviations: number): number => expit(logit(0.8) + shift + deviations * sd);
  return { shift, sd, at80: [at(-Z80), at(0), at(Z80)] };
}

function slopeOf(attempts: readonly ToldAttempt[]): NonNullable<Calibration['slope']> {
  let [a, b] = [0, 1];
  let [haa, hab, hbb] = [1, 0, 1];
  for (let step = 0; step < ENOUGH_STEPS; step += 1) {
    let [ga, gb] = [-a / OFFSET_SD ** 2, -(b - 1) / SLOPE_SD ** 2];
    [haa, hab, hbb] = [1 / OFFSET_SD ** 2, 0, 1 / SLOPE_SD ** 2];
    for (const attempt of attempts) {
      const x = logit(attempt.chance);
      const q = expit(a + b * x);
      ga += hit(attempt) - q;
      gb += (hit(attempt) - q) * x;
      haa += q * (1 - q);
      hab += q * (1 - q) * x;
      hbb += q * (1 - q) * x * x;
    }
    const determinant = haa * hbb - hab ** 2;
    a += (hbb * ga - hab * gb) / determinant;
    b += (haa * gb - hab * ga) / determinant;
    if (Math.hypot(ga, gb) < 1e-11) break;
  }
  const determinant = haa * hbb - hab ** 2;
  const [sdA, sdB] = [Math.sqrt(hbb / determinant), Math.sqrt(haa / determinant)];
  return { a, b, sdA, sdB, correlation: -hab / determinant / (sdA * sdB) };
}
