import type { Bases, Value } from '../innings/index.ts';
import type { Ruleset } from '../rules/index.ts';
import type { Gait } from '../sprint/index.ts';
import { placeOfBag, type Bag, type Place } from '../units/index.ts';
import type { BasesFigures } from './figures.ts';
import { lastStop, type Alertness, type LastStop } from './lastStop.ts';
import {
  controlledSeconds,
  fullSeconds,
  turningLeg,
  type Pace,
  type TurningRunner,
} from './leg.ts';
import {
  HIT_SPEEDS,
  outfieldMeet,
  placeAt,
  SOFTBALL_HIT_SPEEDS,
  type HitSpeed,
} from './outfield.ts';
import {
  ballTimes,
  sendBand,
  sendRace,
  type OutfieldPlay,
  type SendRace,
  type SendStakes,
} from './send.ts';
import type { OutfieldHabits } from './habits.ts';
import { cutoffSpot } from './spots.ts';

/** Who is sent where on a ball to the outfield. */
export const SENDS = ['secondToHome', 'firstToThird', 'stretchToSecond'] as const;
export type Send = (typeof SENDS)[number];

/** The bag that is turned, and the one that is gone for. */
const BAGS: Record<Send, { turned: Bag; target: Bag }> = {
  secondToHome: { turned: 3, target: 4 },
  firstToThird: { turned: 2, target: 3 },
  stretchToSecond: { turned: 1, target: 2 },
};

export function bagsOf(send: Send): { turned: Bag; target: Bag } {
  return BAGS[send];
}

/** How the outfielder comes to the ball; usual: not seen yet. */
export const APPROACHES = ['usual', 'charging', 'standing', 'away'] as const;
export type Approach = (typeof APPROACHES)[number];
const MOMENTUM: Record<Exclude<Approach, 'usual'>, number> = { charging: 1, standing: 0, away: -1 };

/** A ball to the outfield with a runner to send. */
export interface SendQuestion {
  send: Send;
  bases: Bases;
  outs: 0 | 1 | 2;
  ruleset: Ruleset;
  figures: BasesFigures;
  /** Which way it went, degrees from the first-base line, and how hard. */
  degrees: number;
  hit: HitSpeed;
  outfielderAt: Place;
  approach: Approach;
  /** Whether it was bobbled; null: not seen yet. */
  bobbled: boolean | null;
  armMph: number;
  /** Whether the throw can reach a cutoff man. */
  cutoff: boolean;
  /** What is known of the outfielder: for whatever of this ball is not seen yet. */
  habits: OutfieldHabits;
  runner: Gait;
  value: Value;
}

/** First base is left in fewer feet than second. */
const FIRST_LEAD_SHARE = 16 / 18;
/** Bat to first step. */
const BATTER_READ_SECONDS = 0.3;

/** The runner as the ball is hit. */
function runnerFor({ send, outs, ruleset, figures, runner }: SendQuestion): TurningRunner {
  const share = ruleset.baseDistanceFeet / (ruleset.sport === 'softball' ? 60 : 90);
  if (send === 'stretchToSecond') {
    return { ...runner, leadFeet: 0, startSpeed: 0, readSeconds: BATTER_READ_SECONDS };
  }
  const lead = figures.leadFeet * share * (send === 'firstToThird' ? FIRST_LEAD_SHARE : 1);
  return {
    ...runner,
    leadFeet: ruleset.leadRule === 'reachesBatter' ? 0 : lead,
    startSpeed: ruleset.leadRule === 'reachesBatter' ? 0 : figures.leadSpeed,
    // With two outs he is off as it is hit.
    readSeconds: outs === 2 ? 0 : figures.readSeconds,
  };
}

/** Where the ball is fielded, and everything about the throw. */
function playFor(question: SendQuestion): OutfieldPlay {
  const { ruleset, figures, degrees, hit, outfielderAt, approach, bobbled, habits } = question;
  const { target } = BAGS[question.send];
  const angle = (degrees * Math.PI) / 180;
  const along = outfielderAt.x * Math.cos(angle) + outfielderAt.y * Math.sin(angle);
  const aside = Math.abs(outfielderAt.y * Math.cos(angle) - outfielderAt.x * Math.sin(angle));
  const speed = (ruleset.sport === 'softball' ? SOFTBALL_HIT_SPEEDS : HIT_SPEEDS)[hit];
  const met = outfieldMeet({ speed, outfielderFeet: along, asideFeet: aside }, figures);
  const at = placeAt(degrees, met.feet);
  return {
    ball: ruleset.sport,
    at,
    fieldedSeconds: met.seconds,
    momentum: approach === 'usual' ? habits.charges.share : MOMENTUM[approach],
    bobble: bobbled === null ? habits.bobbles.share : bobbled ? 1 : 0,
    transferSeconds: figures.transferSeconds,
    armMph: question.armMph,
    cutoffAt: question.cutoff ? cutoffSpot(at, target, ruleset) : null,
    relayMph: figures.relayArm,
    target: target === 4 ? { x: 0, y: 0 } : placeOfBag(target, ruleset.baseDistanceFeet),
  };
}

/** What sending comes to, in the unit of the value. */
export interface SendValues {
  safe: number;
  hold: number;
  out: number;
  /** What the trail runner gains behind the throw. */
  trail: number;
}

/** Everybody else goes as far as the hit takes them without a throw. */
function sendValues({ send, bases, outs, value }: SendQuestion): SendValues {
  const worth = (left: Bases, made: number, runs: number): number =>
    made >= 3 ? value(0, 3, 0, 1) : value(left, made, runs, 1);
  const third = bases & 4 ? 1 : 0;
  switch (send) {
    case 'secondToHome': {
      const others = 1 | (bases & 1 ? 2 : 0);
      return {
        safe: worth(others, outs, 1 + third),
        hold: worth(others | 4, outs, third),
        out: worth(others, outs + 1, third),
        trail: worth(bases & 1 ? 1 | 4 : 2, outs, 1 + third) - worth(others, outs, 1 + third),
      };
    }
    case 'firstToThird': {
      const scored = third + (bases & 2 ? 1 : 0);
      return {
        safe: worth(1 | 4, outs, scored),
        hold: worth(1 | 2, outs, scored),
        out: worth(1, outs + 1, scored),
        trail: worth(2 | 4, outs, scored) - worth(1 | 4, outs, scored),
      };
    }
    case 'stretchToSecond': {
      const scored = third + (bases & 2 ? 1 : 0);
      const ahead = bases & 1 ? 4 : 0;
      return {
        safe: worth(2 | ahead, outs, scored),
        hold: worth(1 | ahead, outs, scored),
        out: worth(ahead, outs + 1, scored),
        trail: 0,
      };
    }
  }
}

/** The chance a send needs, 0..1; more than 1: never. */
export function sendNeed({ safe, hold, out }: Omit<SendValues, 'trail'>): number {
  return safe > out ? Math.max(0, (hold - out) / (safe - out)) : Number.POSITIVE_INFINITY;
}

export type SendVerdict = 'send' | 'hold' | 'close';

/** Nearer than this to what it needs, nobody can tell. Judgement. */
const CLOSE = 0.04;

function sendVerdict(safe: number, need: number): SendVerdict {
  if (Math.abs(safe - need) <= CLOSE) return 'close';
  return safe > need ? 'send' : 'hold';
}

/** The answer to a send, and what it rests on. */
export interface SendPlan extends SendRace {
  low: number;
  high: number;
  need: number;
  verdict: SendVerdict;
  /** What sending is worth over holding. */
  gain: number;
  play: OutfieldPlay;
  /** When he turns the bag, and when he is there. Seconds. */
  turnSeconds: number;
  runSeconds: number;
  /** When he is there if he came to the bag ready to stop. */
  controlledSeconds: number;
  controlledSafe: number;
  ball: { released: number; direct: number; cut: number };
  stops: Record<Alertness, LastStop | null>;
}

/** A throw that may go over the cutoff man: each figure between the two races. */
function overCutoff<Figures extends Record<string, number>>(
  play: OutfieldPlay,
  { hitsCutoff: { share } }: OutfieldHabits,
  race: (play: OutfieldPlay) => Figures,
): Figures {
  const cut = race(play);
  if (play.cutoffAt === null) return cut;
  const over = race({ ...play, cutoffAt: null });
  const mixed = Object.entries(cut).map(
    ([key, figure]) => [key, share * figure + (1 - share) * (over[key] ?? 0)] as const,
  );
  return Object.fromEntries(mixed) as Figures;
}

/** Only how often he is safe: what other screens set beside what it needs. */
export function sendChance(question: SendQuestion): number {
  const { baseDistanceFeet } = question.ruleset;
  const { safe, out, trail } = sendValues(question);
  const stakes = { out: Math.max(1e-6, safe - out), trail: Math.max(0, trail) };
  const seconds = fullSeconds(runnerFor(question), baseDistanceFeet, question.figures);
  const play = playFor(question);
  const safeIn = (each: OutfieldPlay): number =>
    sendRace(seconds, each, stakes, question.figures).safe;
  return overCutoff(play, question.habits, (each) => ({ safe: safeIn(each) })).safe;
}

export function planSend(question: SendQuestion): SendPlan {
  const { ruleset, figures, send } = question;
  const { turned } = BAGS[send];
  const { baseDistanceFeet } = ruleset;
  const runner = runnerFor(question);
  const play = playFor(question);
  const values = sendValues(question);
  const need = sendNeed(values);
  const stakes: SendStakes = {
    // Where an out costs nothing over being safe, nobody would throw: a hair keeps the scale.
    out: Math.max(1e-6, values.safe - values.out),
    trail: Math.max(0, values.trail),
  };
  const seconds = fullSeconds(runner, baseDistanceFeet, figures);
  const raceIn = (runSeconds: number) =>
    overCutoff(play, question.habits, (each) => ({
      ...sendBand(runSeconds, each, stakes, figures),
    }));
  const race = raceIn(seconds);
  const controlled = controlledSeconds(runner, 0, baseDistanceFeet, figures);
  const stop = (pace: Pace, alertness: Alertness): LastStop | null =>
    lastStop(
      runner,
      pace,
      play,
      placeOfBag(turned, baseDistanceFeet),
      baseDistanceFeet,
      alertness,
      figures,
    );
  return {
    ...race,
    need,
    verdict: sendVerdict(race.safe, need),
    gain: race.safe * values.safe + (1 - race.safe) * values.out - values.hold,
    play,
    turnSeconds: turningLeg(runner, 'full', baseDistanceFeet, figures).secondsAt(0),
    runSeconds: seconds,
    controlledSeconds: controlled,
    controlledSafe: raceIn(controlled).safe,
    ball: ballTimes(play, figures),
    stops: { alert: stop('controlled', 'alert'), sleepy: stop('controlled', 'sleepy') },
  };
}

/** How deep the outfielder has to play before sending pays, feet; null: at no depth between the ends. */
export function turnDepth(
  question: SendQuestion,
  shallowest: number,
  deepest: number,
): number | null {
  const feet = Math.hypot(question.outfielderAt.x, question.outfielderAt.y);
  const need = sendNeed(sendValues(question));
  const pays = (depth: number): boolean => {
    const share = depth / feet;
    const outfielderAt = {
      x: question.outfielderAt.x * share,
      y: question.outfielderAt.y * share,
    };
    return sendChance({ ...question, outfielderAt }) >= need;
  };
  if (pays(shallowest)) return shallowest;
  if (!pays(deepest)) return null;
  let [low, high] = [shallowest, deepest];
  while (high - low > 1) {
    const middle = (low + high) / 2;
    if (pays(middle)) high = middle;
    else low = middle;
  }
  return high;
}
