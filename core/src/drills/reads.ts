import { normalCdf } from '../maths/index.ts';
import { chanceSafe, type Race } from '../race/index.ts';
import { betaQuantile } from '../maths/beta.ts';
import { normalQuantile } from '../maths/normals.ts';

/** What is read, each counted apart. */
export const CUES = ['sinkPivotR', 'sinkPivotL', 'insideTurn', 'dirt', 'offSpeed'] as const;
export type Cue = (typeof CUES)[number];

/**
 * In games: how often going is right, and what is won by going rightly and saved by staying rightly, runs. Judgement.
 */
export const CUE_STAKES: Record<Cue, { signal: number; goRuns: number; stayRuns: number }> = {
  sinkPivotR: { signal: 0.8, goRuns: 0.1, stayRuns: 0.45 },
  sinkPivotL: { signal: 0.7, goRuns: 0.1, stayRuns: 0.45 },
  insideTurn: { signal: 0.85, goRuns: 0.08, stayRuns: 0.5 },
  dirt: { signal: 0.15, goRuns: 0.25, stayRuns: 0.3 },
  offSpeed: { signal: 0.4, goRuns: 0.06, stayRuns: 0.04 },
};

/** Answers to one cue: a signal is where going is right. */
export interface ReadCounts {
  hits: number;
  signals: number;
  falseGoes: number;
  noises: number;
}

/** How well somebody reads, and which way he leans. */
export interface ReadJudgement {
  /** How well signal and noise are told apart, in deviations. */
  sensitivity: number;
  /** Above 0 he stays too easily, below 0 he goes too easily. */
  lean: number;
  sensitivityRange: readonly [number, number];
  leanRange: readonly [number, number];
  /** The lean that is worth most in a game. */
  bestLean: number;
  words: 'tooEager' | 'tooCareful' | 'inLine';
  /** Right, were half of them signals. */
  right: number;
}

const LEAST_EACH = 4;
const MOST_LEAN = 0.75;
const LEAST_SENSITIVITY = 0.5;
const QUANTILES = 60;
const TENTH = 0.1;

/** The lean that is worth most: further out than three quarters a drill sharpens the read instead. */
export function bestLean(cue: Cue, sensitivity: number): number {
  const { signal, goRuns, stayRuns } = CUE_STAKES[cue];
  const balance = Math.log(((1 - signal) * stayRuns) / (signal * goRuns));
  const lean = balance / Math.max(LEAST_SENSITIVITY, sensitivity);
  return Math.min(MOST_LEAN, Math.max(-MOST_LEAN, lean));
}

/** What somebody's answers to a cue say; null with fewer than four signals or noises. */
export function judgeReads(
  { hits, signals, falseGoes, noises }: ReadCounts,
  cue: Cue,
): ReadJudgement | null {
  if (signals < LEAST_EACH || noises < LEAST_EACH) return null;
  const hit = normalQuantile((hits + 0.5) / (signals + 1));
  const wrong = normalQuantile((falseGoes + 0.5) / (noises + 1));
  const sensitivity = hit - wrong;
  const lean = -(hit + wrong) / 2;
  const ofHits = quantilesOf(hits, signals - hits);
  const ofWrong = quantilesOf(falseGoes, noises - falseGoes);
  const sensitivityRange = rangeOf(ofHits, ofWrong, (h, f) => h - f);
  const leanRange = rangeOf(ofHits, ofWrong, (h, f) => -(h + f) / 2);
  const best = bestLean(cue, sensitivity);
  const [low, high] = leanRange;
  return {
    sensitivity,
    lean,
    sensitivityRange,
    leanRange,
    bestLean: best,
    words: high < best ? 'tooEager' : low > best ? 'tooCareful' : 'inLine',
    right: (normalCdf(sensitivity / 2 - lean) + normalCdf(sensitivity / 2 + lean)) / 2,
  };
}

/** What a share may be, in deviations: the middles of equal parts of what is believed of it. */
function quantilesOf(yes: number, no: number): number[] {
  return Array.from({ length: QUANTILES }, (_, at) =>
    normalQuantile(betaQuantile((at + 0.5) / QUANTILES, yes + 0.5, no + 0.5)),
  );
}

function rangeOf(
  hits: readonly number[],
  wrong: readonly number[],
  of: (hit: number, wrong: number) => number,
): readonly [number, number] {
  const all = hits.flatMap((hit) => wrong.map((each) => of(hit, each))).sort((a, b) => a - b);
  const at = (chance: number): number => {
    const place = Math.min(all.length - 1, Math.max(0, all.length * chance - 0.5));
    const below = Math.floor(place);
    const [low = 0, high = low] = [all[below], all[below + 1]];
    return low + (place - below) * (high - low);
  };
  return [at(TENTH), at(1 - TENTH)];
}

/** So much of an earlier read in practice comes to an earlier jump in a game. Judgement. */
const PRACTICE_TO_GAME = 0.5;

/** How much earlier a runner goes in a game who reads this much earlier in practice. Seconds. */
export function jumpFromRead(earlierSeconds: number): number {
  return PRACTICE_TO_GAME * earlierSeconds;
}

/** What an earlier read is worth: the jump, seconds (below 0: earlier), the chance to steal, runs a season. */
export function readWorth({
  earlierSeconds,
  perTenth,
  stakeRuns,
  attempts,
}: {
  /** In the drill. */
  earlierSeconds: number;
  /** What a tenth of a second is worth in chance. */
  perTenth: number;
  stakeRuns: number;
  attempts: number;
}): { jumpSeconds: number; chance: number; runs: number } {
  const jump = jumpFromRead(earlierSeconds);
  const chance = (jump / TENTH) * perTenth;
  return { jumpSeconds: -jump, chance, runs: chance * stakeRuns * attempts };
}

/** What a jump that is earlier by so much makes of a steal: chances 0..1. */
export function chanceByJump(
  race: Race,
  earlierSeconds: number,
): { before: number; after: number; gain: number } {
  const before = chanceSafe(race).chance;
  const { jump } = race;
  const sooner = { ...jump, meanSeconds: jump.meanSeconds - earlierSeconds };
  const after = chanceSafe({ ...race, jump: sooner }).chance;
  return { before, after, gain: after - before };
}
