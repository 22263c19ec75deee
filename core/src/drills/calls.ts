import { makeRandom, type Random } from '../maths/index.ts';

/** What a caller may do in one rep, in the order in which kinds are drawn. */
export const CALLS = ['go', 'back', 'none'] as const;
export type Call = (typeof CALLS)[number];

/** A wait that nobody can time, seconds: from `least` on as likely in one moment as in the next, up to `most`. */
export interface WaitLaw {
  leastSeconds: number;
  /** Of the part beyond the least, were there no most. */
  meanSeconds: number;
  mostSeconds: number;
}

/** A drill that is started by a call. */
export interface CallDrill {
  /** How often each call comes; they add up to 1. */
  shares: Readonly<Record<Call, number>>;
  wait: WaitLaw;
  /** From a hop to the call that tells go from back. */
  gap?: WaitLaw;
  /** How long the hands move before they clap, seconds: from, to. */
  handsSeconds?: readonly [number, number];
}

/** Without empty reps a limit is felt: so many means it lies beyond the least. */
const LIMIT_MEANS = 2.5;

/**
 * The law whose calls do not get likelier with waiting, because in a share of the reps nothing comes at all.
 * @param noneShare 0..1; 0: a limit that is accepted to be felt
 */
export function flatLaw(leastSeconds: number, meanSeconds: number, noneShare: number): WaitLaw {
  const beyond = noneShare === 0 ? LIMIT_MEANS : Math.log(1 / noneShare);
  return { leastSeconds, meanSeconds, mostSeconds: leastSeconds + meanSeconds * beyond };
}

function drill(
  [go, back, none]: readonly [number, number, number],
  [least, mean]: readonly [number, number],
  more: Partial<CallDrill> = {},
): CallDrill {
  return { shares: { go, back, none }, wait: flatLaw(least, mean, none), ...more };
}

/** The drills that are called. Agreed. */
export const CALL_DRILLS = {
  go: drill([0.9, 0, 0.1], [1, 1.2]),
  goBack: drill([0.6, 0.3, 0.1], [1, 1.2]),
  hop: drill([0.65, 0.35, 0], [1, 1.2], { gap: flatLaw(0.6, 0.5, 0) }),
  clapHeard: drill([0.85, 0, 0.15], [1, 1.2]),
  clapSeen: drill([0.85, 0, 0.15], [1, 1.2], { handsSeconds: [0.4, 0.55] }),
  pitcher: drill([0.55, 0.4, 0.05], [1, 1.5]),
} as const satisfies Record<string, CallDrill>;
export type CallDrillName = keyof typeof CALL_DRILLS;

/** The wait at a uniform number 0..1. Seconds. */
export function waitOf(u: number, { leastSeconds, meanSeconds, mostSeconds }: WaitLaw): number {
  const within = 1 - Math.exp(-(mostSeconds - leastSeconds) / meanSeconds);
  return leastSeconds - meanSeconds * Math.log(1 - u * within);
}

/** How likely the call is in the next moment when it has not come yet, per second. */
export function hazard(
  seconds: number,
  { leastSeconds, meanSeconds, mostSeconds }: WaitLaw,
  noneShare: number,
): number {
  if (seconds < leastSeconds || seconds > mostSeconds) return 0;
  const within = 1 - Math.exp(-(mostSeconds - leastSeconds) / meanSeconds);
  const density = Math.exp(-(seconds - leastSeconds) / meanSeconds) / meanSeconds / within;
  const later = 1 - (1 - Math.exp(-(seconds - leastSeconds) / meanSeconds)) / within;
  return ((1 - noneShare) * density) / ((1 - noneShare) * later + noneShare);
}

/** How often the longest run of something is longer than so many, in so many independent draws. */
export function chanceOfLongerRun(reps: number, share: number, longest: number): number {
  // By how long the run is that goes on at the end.
  let ends = new Float64Array(longest + 1);
  ends[0] = 1;
  for (let rep = 0; rep < reps; rep += 1) {
    const next = new Float64Array(longest + 1);
    for (const [length, chance] of ends.entries()) {
      next[0] = (next[0] ?? 0) + chance * (1 - share);
      if (length < longest) next[length + 1] = chance * share;
    }
    ends = next;
  }
  return 1 - ends.reduce((sum, chance) => sum + chance, 0);
}

const SELDOM = 0.05;

/** The longest run that a block may have: independent calls exceed it at most one time in twenty. */
export function longestAllowed(reps: number, share: number): number {
  let longest = 1;
  while (longest < reps && chanceOfLongerRun(reps, share, longest) > SELDOM) longest += 1;
  return longest;
}

function longestRun(calls: readonly Call[], of: Call): number {
  let [longest, now] = [0, 0];
  for (const call of calls) {
    now = call === of ? now + 1 : 0;
    longest = Math.max(longest, now);
  }
  return longest;
}

/** Wald and Wolfowitz: above 0 go and not go change too often for chance, below 0 too seldom. */
export function runsZ(calls: readonly Call[]): number {
  const n = calls.length;
  const goes = calls.filter((call) => call === 'go').length;
  const others = n - goes;
  if (goes === 0 || others === 0) return 0;
  const expected = 1 + (2 * goes * others) / n;
  const variance = ((expected - 1) * (expected - 2)) / (n - 1);
  if (variance <= 0) return 0;
  const runs =
    1 + calls.filter((call, at) => at > 0 && (call === 'go') !== (calls[at - 1] === 'go')).length;
  return (runs - expected) / Math.sqrt(variance);
}

const FAR_COUNT = 1.5;
const LEAST_FOR_RUNS = 12;
const FAR_RUNS = 1.96;

/** Whether a block looks like chance: counts, runs and changes. */
export function isFair(calls: readonly Call[], shares: CallDrill['shares']): boolean {
  const n = calls.length;
  const counts = CALLS.every((call) => {
    const share = shares[call];
    const off = Math.abs(calls.filter((each) => each === call).length - n * share);
    if (off > 1 + FAR_COUNT * Math.sqrt(n * share * (1 - share))) return false;
    return share === 0 || longestRun(calls, call) <= longestAllowed(n, share);
  });
  return counts && (n < LEAST_FOR_RUNS || Math.abs(runsZ(calls)) <= FAR_RUNS);
}

/** One rep of a block. */
export interface Rep {
  call: Call;
  /** To the first call; an empty rep lasts as long as any. Seconds. */
  waitSeconds: number;
  gapSeconds?: number;
  handsSeconds?: number;
}

const MOST_TRIES = 200;

/** A block of reps that cannot be guessed: whole blocks are drawn until one looks like chance. */
export function makeBlock(
  { shares, wait, gap, handsSeconds }: CallDrill,
  seed: number,
  reps: number,
): { reps: Rep[]; tries: number } {
  const random = makeRandom(seed);
  let calls = drawCalls(shares, random, reps);
  let tries = 1;
  while (tries < MOST_TRIES && !isFair(calls, shares)) {
    calls = drawCalls(shares, random, reps);
    tries += 1;
  }
  const made = calls.map((call): Rep => {
    const waited = waitOf(random(), wait);
    const rep: Rep = { call, waitSeconds: call === 'none' ? wait.mostSeconds : waited };
    if (gap) rep.gapSeconds = waitOf(random(), gap);
    if (handsSeconds) {
      const [from, to] = handsSeconds;
      rep.handsSeconds = from + random() * (to - from);
    }
    return rep;
  });
  return { reps: made, tries };
}

function drawCalls(shares: CallDrill['shares'], random: Random, reps: number): Call[] {
  const sum = CALLS.reduce((all, call) => all + shares[call], 0);
  return Array.from({ length: reps }, () => {
    const u = random() * sum;
    let upTo = 0;
    for (const call of CALLS) {
      upTo += shares[call];
      if (u < upTo) return call;
    }
    return 'none';
  });
}

/** Sooner than this nobody reacts: whoever does has guessed. Seconds. */
const LEAST_REACTION = { heard: 0.1, seen: 0.12 } as const;
type Sense = keyof typeof LEAST_REACTION;
const LATEST_REACTION = 1.5;
const DOUBT = 1.2816;

/** What a start was. A false start is never a quick one. */
export type StartVerdict =
  | 'good'
  | 'doubtful'
  | 'falseStart'
  | 'wrongGo'
  | 'wrongBack'
  | 'rightBack'
  | 'rightHold'
  | 'missed';

/** One start as it was taken. */
export interface Start {
  call: Call;
  sense: Sense;
  /** From the call to the first move, lateness taken out, seconds; null: did not move. */
  reactionSeconds: number | null;
  /** How far one reading may be off. */
  measureSdSeconds: number;
  way: 'go' | 'back';
  /** How long the hands were seen moving before the call: that much earlier is no guess. */
  handsSeconds: number;
}

export function judgeStart({
  call,
  sense,
  reactionSeconds: reaction,
  measureSdSeconds,
  way,
  handsSeconds,
}: Start): StartVerdict {
  if (call === 'none') return reaction === null ? 'rightHold' : 'wrongGo';
  if (reaction === null || reaction > LATEST_REACTION) return 'missed';
  const limit = LEAST_REACTION[sense] - handsSeconds;
  const isGuess = reaction < limit - DOUBT * measureSdSeconds;
  if (call === 'back') {
    if (way === 'go') return 'wrongGo';
    return isGuess ? 'falseStart' : 'rightBack';
  }
  if (way === 'back') return 'wrongBack';
  if (isGuess) return 'falseStart';
  return reaction < limit ? 'doubtful' : 'good';
}
