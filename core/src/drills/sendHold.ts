import {
  BASES_FIGURES,
  controlledSeconds,
  lastStop,
  outfieldMeet,
  placeAt,
  sendRace,
  type BasesFigures,
  type OutfieldPlay,
  type TurningRunner,
} from '../bases/index.ts';
import type { Bases, Value } from '../innings/index.ts';
import { EIGHT_IN_TEN, makeRandom, normalCdf, normalDraw, type Random } from '../maths/index.ts';
import { ONE_BOUNCE_REACH, reachFeet, SPEED_PER_MPH } from '../race/index.ts';
import type { Sport } from '../rules/index.ts';
import { figuresAt } from '../timing/index.ts';
import { feetBetween, placeOfBag, type Place } from '../units/index.ts';

/** Where a single went. */
export const SEND_FIELDS = ['left', 'centre', 'right'] as const;
export type SendField = (typeof SEND_FIELDS)[number];

/** What singles and outfields of a level are like. ft, s, ft/s, mph. Judgement below college. */
export interface SendLevel {
  sport: Sport;
  baseFeet: number;
  accelerationSeconds: number;
  leadFeet: number;
  leadSpeed: number;
  /** How far to the side of an outfielder a ball may go. */
  mostAsideFeet: number;
  cutoffs: Readonly<Record<SendField, Place>>;
  ballSpeed: number;
  centerDepth: number;
  cornerDepth: number;
  armMph: number;
  relayMph: number;
  runnerSpeed: number;
  outfielderSpeed: number;
  /** Later to release, and wilder, than in college. */
  slowSeconds: number;
  wild: number;
}

const FULL_SIZE = {
  sport: 'baseball',
  baseFeet: 90,
  accelerationSeconds: 0.75,
  leadFeet: 18,
  leadSpeed: 5,
  mostAsideFeet: 25,
  cutoffs: { left: { x: 20, y: 72 }, centre: { x: 46, y: 46 }, right: { x: 62, y: 30 } },
} as const;
const FASTPITCH = {
  sport: 'softball',
  baseFeet: 60,
  accelerationSeconds: 0.65,
  leadFeet: 8,
  leadSpeed: 8,
  mostAsideFeet: 14,
  cutoffs: { left: { x: 14, y: 48 }, centre: { x: 31, y: 31 }, right: { x: 42, y: 20 } },
} as const;

type OfLevel = Omit<SendLevel, keyof typeof FULL_SIZE>;
const rows = (
  [ballSpeed, centerDepth, cornerDepth]: readonly [number, number, number],
  [armMph, relayMph]: readonly [number, number],
  [runnerSpeed, outfielderSpeed]: readonly [number, number],
  [slowSeconds, wild]: readonly [number, number],
): OfLevel => ({
  ballSpeed,
  centerDepth,
  cornerDepth,
  armMph,
  relayMph,
  runnerSpeed,
  outfielderSpeed,
  slowSeconds,
  wild,
});

/** The levels that plays are drawn for. */
export const SEND_LEVELS = {
  college: { ...FULL_SIZE, ...rows([115, 305, 285], [86, 78], [27, 27], [0, 1]) },
  hs: { ...FULL_SIZE, ...rows([106, 290, 272], [76, 70], [25.8, 25], [0.2, 1.2]) },
  u14: { ...FULL_SIZE, ...rows([94, 260, 244], [64, 58], [24.2, 22.5], [0.45, 1.5]) },
  fpCollege: { ...FASTPITCH, ...rows([88, 178, 170], [58, 54], [23, 22], [0, 1]) },
  fpHs: { ...FASTPITCH, ...rows([80, 166, 158], [52, 48], [22, 20.5], [0.15, 1.2]) },
} as const satisfies Record<string, SendLevel>;
export type SendLevelName = keyof typeof SEND_LEVELS;

/** A single with a runner on second. ft, ft/s, mph. */
export interface SendSituation {
  level: SendLevelName;
  field: SendField;
  outs: 0 | 1 | 2;
  ballSpeed: number;
  outfielderFeet: number;
  asideFeet: number;
  armMph: number;
  runnerSpeed: number;
  /** 1 charging, -1 going away. */
  momentum: number;
  bobbled: boolean;
  alert: boolean;
}

/** How plays are drawn and answers are weighed. Agreed. */
export const SEND_DRAWING = {
  /** Degrees from the first-base line. */
  bearing: { left: 72, centre: 45, right: 18 },
  bobble: 0.06,
  /** How close to call plays are meant to be, and how often each. */
  classes: { weight: [0.6, 0.25, 0.15], centre: [0.06, 0.2, 0.4] },
  candidates: 16,
  leans: { from: -0.4, to: 0.4, step: 0.02 },
  spreads: [0.04, 0.08, 0.12, 0.2, 0.3],
  slip: 0.02,
  leanPriorSd: 0.15,
} as const;
const OUT_SHARES = [0.3, 0.35, 0.35] as const;
const ALERT = 0.6;
const USUAL_MOMENTUM = 0.3;
const READ_SECONDS = 0.2;
/** What letting the throw through costs the defense, runs. */
const CUT_COST = 0.12;
/** Who is on base, as the values count them. */
const [FIRST, FIRST_SECOND, FIRST_THIRD, LOADED] = [1, 3, 5, 7] as const;
/** A bobble is seen when it is so long before the last word. */
const SEEN_SECONDS = 0.1;

const round = (value: number, step: number): number =>
  Number((Math.floor(value / step + 0.5) * step).toFixed(6));
const between = (value: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, value));

/** A play, the same from the same seed. */
export function drawSituation(name: SendLevelName, seed: number): SendSituation {
  const level: SendLevel = SEND_LEVELS[name];
  const random = makeRandom(seed);
  const field = SEND_FIELDS[Math.min(2, Math.floor(random() * 3))] ?? 'right';
  const outs = outsDrawn(random);
  const speed = level.ballSpeed * Math.exp(normalDraw(random, 0, 0.2));
  const ballSpeed = between(speed, 0.65 * level.ballSpeed, 1.35 * level.ballSpeed);
  const usualDepth = field === 'centre' ? level.centerDepth : level.cornerDepth;
  const depth = normalDraw(random, usualDepth, 0.04 * level.centerDepth);
  const outfielderFeet = between(depth, 0.85 * level.cornerDepth, 1.15 * level.centerDepth);
  const asideFeet = random() * level.mostAsideFeet;
  const arm = normalDraw(random, level.armMph, 0.047 * level.armMph);
  const armMph = between(arm, 0.85 * level.armMph, 1.15 * level.armMph);
  const run = normalDraw(random, level.runnerSpeed, 0.044 * level.runnerSpeed);
  const runnerSpeed = between(run, 0.87 * level.runnerSpeed, 1.13 * level.runnerSpeed);
  const momentum = between(normalDraw(random, USUAL_MOMENTUM, 0.4), -1, 1);
  const bobbled = random() < SEND_DRAWING.bobble;
  const alert = random() < ALERT;
  return {
    level: name,
    field,
    outs,
    ballSpeed: round(ballSpeed, 1),
    outfielderFeet: round(outfielderFeet, 1),
    asideFeet: round(asideFeet, 1),
    armMph: round(armMph, 1),
    runnerSpeed: round(runnerSpeed, 0.1),
    momentum: round(momentum, 0.1),
    bobbled,
    alert,
  };
}

function outsDrawn(random: Random): 0 | 1 | 2 {
  const u = random();
  if (u < OUT_SHARES[0]) return 0;
  return u < OUT_SHARES[0] + OUT_SHARES[1] ? 1 : 2;
}

/** A play as it can be judged at the last stop point: nothing of how it ends. */
export interface SendJudgement {
  fieldedSeconds: number;
  fieldedFeet: number;
  /** Past third positive; and when, seconds after contact. */
  stopFeet: number;
  stopSeconds: number;
  bobbleSeen: boolean;
  safe: number;
  needed: number;
  /** How far the chance lies above what is needed. */
  edge: number;
  send: number;
  hold: number;
  best: 'send' | 'hold';
  /** What the worse of the two costs. */
  stake: number;
  /** How often the throw home is cut. */
  cut: number;
}

/** What was answered; none: not before the last stop point. */
export type SendAnswer = 'send' | 'hold' | 'none';

/**
 * What is right on a play, as known at the last stop point; null where the play is not used: the throw home is beyond
 * reach, or nobody can be stopped.
 * @param value runs, or the game's own chance to win
 * @param onFirst a runner on first too, who stops at second or moves up behind the throw: ours, no agreed figures
 */
export function judgeSend(
  situation: SendSituation,
  value: Value,
  onFirst = false,
): SendJudgement | null {
  const level: SendLevel = SEND_LEVELS[situation.level];
  const { field, outs } = situation;
  const usual = figuresAt(BASES_FIGURES, level.sport === 'softball' ? 'fpCollege' : 'college', {});
  const figures: BasesFigures = { ...usual, aimSpread: usual.aimSpread * level.wild };
  const met = outfieldMeet(
    {
      speed: situation.ballSpeed,
      outfielderFeet: situation.outfielderFeet,
      asideFeet: situation.asideFeet,
    },
    {
      ...figures,
      outfielderSpeed: level.outfielderSpeed,
      outfielderAcceleration: level.accelerationSeconds,
    },
  );
  const play: OutfieldPlay = {
    ball: level.sport,
    at: placeAt(SEND_DRAWING.bearing[field], met.feet),
    fieldedSeconds: met.seconds,
    momentum: situation.momentum,
    bobble: SEND_DRAWING.bobble,
    transferSeconds: figures.transferSeconds + level.slowSeconds,
    armMph: situation.armMph,
    cutoffAt: level.cutoffs[field],
    relayMph: level.relayMph,
    target: { x: 0, y: 0 },
  };
  const arm = { throwSpeed: situation.armMph * SPEED_PER_MPH, ball: level.sport };
  if (feetBetween(play.at, play.target) > ONE_BOUNCE_REACH * reachFeet(arm)) return null;
  const runner: TurningRunner = {
    topSpeed: situation.runnerSpeed,
    accelerationSeconds: level.accelerationSeconds,
    leadFeet: level.leadFeet,
    startSpeed: level.leadSpeed,
    readSeconds: outs === 2 ? 0 : READ_SECONDS,
  };
  const third = placeOfBag(3, level.baseFeet);
  const alertness = situation.alert ? 'alert' : 'sleepy';
  const stop = lastStop(runner, 'controlled', play, third, level.baseFeet, alertness, figures);
  if (!stop) return null;
  const bobbleSeen = stop.seconds >= met.seconds + SEEN_SECONDS;
  const seen = bobbleSeen ? { ...play, bobble: situation.bobbled ? 1 : 0 } : play;
  const worth = (bases: Bases, made: number, runs: number): number =>
    value(made >= 3 ? 0 : bases, made, runs, 1);
  /** Both ends of the play by the bases that are taken then. */
  const ends = (bases: Bases): [safe: number, out: number] => [
    worth(bases, outs, 1),
    worth(bases, outs + 1, 0),
  ];
  const seconds = controlledSeconds(runner, stop.feet, level.baseFeet, figures);
  const [stays, moves] = onFirst ? [ends(FIRST_SECOND), ends(FIRST_THIRD)] : [ends(FIRST), null];
  const trail = moves ? Math.max(0, moves[0] - stays[0]) : CUT_COST;
  const { safe, cut, trailUp } = sendRace(
    seconds,
    seen,
    { out: stays[0] - stays[1], trail },
    figures,
  );
  const [safeWorth, out] = stays.map((each, end) =>
    moves ? each + trailUp * ((moves[end] ?? 0) - each) : each,
  ) as [number, number];
  const hold = worth(onFirst ? LOADED : FIRST_THIRD, outs, 0);
  const needed = (hold - out) / (safeWorth - out);
  const send = safe * safeWorth + (1 - safe) * out;
  return {
    fieldedSeconds: met.seconds,
    fieldedFeet: met.feet,
    stopFeet: stop.feet,
    stopSeconds: stop.seconds,
    bobbleSeen,
    safe,
    needed,
    edge: safe - needed,
    send,
    hold,
    best: send > hold ? 'send' : 'hold',
    stake: Math.abs(send - hold),
    cut,
  };
}

/** What the runner from first does behind the throw. */
export const TRAIL_ANSWERS = ['third', 'second'] as const;
export type TrailAnswer = (typeof TRAIL_ANSWERS)[number];

/** Whether the cutoff man lets the throw of a play go; the same from the same seed. */
export function isLetThrough(seed: number, { cut }: Pick<SendJudgement, 'cut'>): boolean {
  return makeRandom(seed ^ 0x7a11)() >= cut;
}

/**
 * What is right for the runner from first: third is only free when the lead runner was sent, and only safe behind a
 * throw that was let through.
 */
export function bestForTrail(leadSent: boolean, letThrough: boolean): TrailAnswer {
  return leadSent && letThrough ? 'third' : 'second';
}

/** How guesses of the chance lie: above 0 too hopeful. Null without any. */
export function judgeGuesses(
  guesses: readonly { guess: number; safe: number }[],
): { count: number; bias: number; off: number } | null {
  if (guesses.length === 0) return null;
  const errors = guesses.map(({ guess, safe }) => guess - safe);
  const mean = (of: (error: number) => number): number =>
    errors.reduce((sum, error) => sum + of(error), 0) / errors.length;
  return {
    count: guesses.length,
    bias: mean((error) => error),
    off: Math.sqrt(mean((error) => error ** 2)),
  };
}

type Judged = Pick<SendJudgement, 'best' | 'stake'>;

/** What an answer cost, in the unit of the value; none counts as the worse of the two. */
export function lostBy({ best, stake }: Judged, answer: SendAnswer): number {
  return answer === best ? 0 : stake;
}

/** Of 100: the decisions, whatever came of the plays. */
export function sendScore(answers: readonly (Judged & { answer: SendAnswer })[]): number {
  const stakes = answers.reduce((sum, { stake }) => sum + stake, 0);
  const lost = answers.reduce((sum, each) => sum + lostBy(each, each.answer), 0);
  return stakes === 0 ? 100 : 100 * (1 - lost / stakes);
}

/** What decided a play. */
export type Decider = 'momentum' | 'bobble' | 'arm' | 'runner' | 'depth' | 'ball';
const STANDS_OUT = 0.02;

/** What of a play moved the chance most against a usual one; null: nothing stood out. */
export function deciderOf(
  situation: SendSituation,
  value: Value,
  onFirst = false,
): { decider: Decider; change: number } | null {
  const judged = judgeSend(situation, value, onFirst);
  if (!judged) return null;
  const level: SendLevel = SEND_LEVELS[situation.level];
  const usual: [Decider, Partial<SendSituation>][] = [
    ['momentum', { momentum: USUAL_MOMENTUM }],
    ...(judged.bobbleSeen ? [['bobble', { bobbled: false }] as [Decider, object]] : []),
    ['arm', { armMph: level.armMph }],
    ['runner', { runnerSpeed: level.runnerSpeed }],
    [
      'depth',
      {
        outfielderFeet: situation.field === 'centre' ? level.centerDepth : level.cornerDepth,
      },
    ],
    ['ball', { ballSpeed: level.ballSpeed }],
  ];
  let most: { decider: Decider; change: number } | null = null;
  for (const [decider, change] of usual) {
    const other = judgeSend({ ...situation, ...change }, value, onFirst);
    if (!other) continue;
    const moved = judged.safe - other.safe;
    if (Math.abs(moved) < STANDS_OUT) continue;
    if (most === null || Math.abs(moved) > Math.abs(most.change) + 1e-9) {
      most = { decider, change: moved };
    }
  }
  return most;
}

/** How a coach leans: above 0 he wants more than is needed. */
export interface SendLean {
  answers: number;
  lean: number;
  sd: number;
  low: number;
  high: number;
  /** How unsure his line is. */
  uneven: number;
  words: 'tooBold' | 'tooCareful' | 'inLine' | 'tooFew';
}

const { leans: grid, slip } = SEND_DRAWING;
const LEANS = Array.from(
  { length: Math.round((grid.to - grid.from) / grid.step) + 1 },
  (_, at) => grid.from + at * grid.step,
);
const LEAST_ANSWERS = 8;

/** Which way a coach's answers lean. */
export function leanOf(answers: readonly { edge: number; answer: SendAnswer }[]): SendLean {
  const given = answers.filter(({ answer }) => answer !== 'none');
  let [total, leans, squares, spreads] = [0, 0, 0, 0];
  const cells = LEANS.flatMap((lean) =>
    SEND_DRAWING.spreads.map((spread) => {
      let log = -((lean / SEND_DRAWING.leanPriorSd) ** 2) / 2;
      for (const { edge, answer } of given) {
        const sends = slip + (1 - 2 * slip) * normalCdf((edge - lean) / spread);
        log += Math.log(answer === 'send' ? sends : 1 - sends);
      }
      return { lean, spread, log };
    }),
  );
  const top = Math.max(...cells.map(({ log }) => log));
  for (const { lean, spread, log } of cells) {
    const weight = Math.exp(log - top);
    total += weight;
    leans += weight * lean;
    squares += weight * lean ** 2;
    spreads += weight * spread;
  }
  const mean = leans / total;
  const sd = Math.sqrt(Math.max(0, squares / total - mean ** 2));
  const [low, high] = [mean - EIGHT_IN_TEN * sd, mean + EIGHT_IN_TEN * sd];
  return {
    answers: given.length,
    lean: mean,
    sd,
    low,
    high,
    uneven: spreads / total,
    words:
      given.length < LEAST_ANSWERS
        ? 'tooFew'
        : high < 0
          ? 'tooBold'
          : low > 0
            ? 'tooCareful'
            : 'inLine',
  };
}

/** How close to call the plays of a session are meant to be. */
export function edgesWanted(seed: number, count: number): number[] {
  const random = makeRandom(seed);
  return Array.from({ length: count }, () => {
    const u = random();
    let upTo = 0;
    const { weight, centre } = SEND_DRAWING.classes;
    const found = weight.findIndex((share) => u < (upTo += share));
    const edge = centre[found] ?? centre[2];
    return random() < 0.5 ? -edge : edge;
  });
}

/** Which of some edges is nearest to the one that is wanted: the first of equals. */
export function nearestEdge(edges: readonly number[], wanted: number): number {
  return edges.reduce(
    (best, edge, index) =>
      Math.abs(edge - wanted) < Math.abs((edges[best] ?? Number.POSITIVE_INFINITY) - wanted) - 1e-9
        ? index
        : best,
    0,
  );
}

/** The plays of a session, by the seeds they are drawn from: near enough to call that they teach something. */
export function sendSession(
  level: SendLevelName,
  seed: number,
  count: number,
  value: Value,
  onFirst = false,
): number[] {
  return edgesWanted(seed, count).flatMap((wanted, nth) => {
    const usable = Array.from(
      { length: SEND_DRAWING.candidates },
      (_, k) => seed + 1000 * (nth + 1) + k,
    ).flatMap((own) => {
      const judged = judgeSend(drawSituation(level, own), value, onFirst);
      return judged ? [{ seed: own, edge: judged.edge }] : [];
    });
    const at = nearestEdge(
      usable.map(({ edge }) => edge),
      wanted,
    );
    return usable[at]?.seed ?? [];
  });
}
