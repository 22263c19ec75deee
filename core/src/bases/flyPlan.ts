import type { Bases, Value } from '../innings/index.ts';
import type { Ruleset } from '../rules/index.ts';
import type { Gait } from '../sprint/index.ts';
import { placeOfBag, type Bag } from '../units/index.ts';
import type { BasesFigures } from './figures.ts';
import { placeAt } from './outfield.ts';
import { sendBand, type OutfieldPlay, type SendRace } from './send.ts';
import { sendNeed } from './sendPlan.ts';
import { cutoffSpot } from './spots.ts';
import { halfwayFeet, tagUpSeconds, type CatchSeen } from './tagUp.ts';

/** A fly ball with a runner who may tag. */
export interface TagQuestion {
  from: 1 | 2 | 3;
  bases: Bases;
  /** Before the catch. */
  outs: 0 | 1;
  ruleset: Ruleset;
  figures: BasesFigures;
  degrees: number;
  /** How deep it is caught. */
  feet: number;
  /** 1 coming in, 0 standing, -1 going back. */
  momentum: number;
  armMph: number;
  seen: CatchSeen;
  runner: Gait;
  value: Value;
}

/** A caught ball as a throw. */
function playOf({
  from,
  ruleset,
  figures,
  degrees,
  feet,
  momentum,
  armMph,
}: TagQuestion): OutfieldPlay {
  const target = (from + 1) as Bag;
  const at = placeAt(degrees, feet);
  return {
    ball: ruleset.sport,
    at,
    fieldedSeconds: 0,
    momentum,
    bobble: 0,
    transferSeconds: figures.catchSeconds,
    armMph,
    cutoffAt: cutoffSpot(at, target, ruleset),
    relayMph: figures.relayArm,
    target: target === 4 ? { x: 0, y: 0 } : placeOfBag(target, ruleset.baseDistanceFeet),
  };
}

/** What tagging needs, and what it is worth: the others stay. */
function tagValues({ from, bases, outs, value }: TagQuestion): {
  safe: number;
  hold: number;
  out: number;
} {
  const made = outs + 1;
  const own = 1 << (from - 1);
  const rest = bases & ~own;
  const worth = (left: Bases, now: number, runs: number): number =>
    now >= 3 ? value(0, 3, runs, 1) : value(left, now, runs, 1);
  return {
    safe: from === 3 ? worth(rest, made, 1) : worth(rest | (own << 1), made, 0),
    hold: worth(rest | own, made, 0),
    out: worth(rest, made + 1, 0),
  };
}

export interface TagPlan extends SendRace {
  low: number;
  high: number;
  need: number;
}

/** Whether a runner who tags makes it, against what it needs. */
export function planTag(question: TagQuestion): TagPlan {
  const { runner, seen, ruleset, figures } = question;
  const values = tagValues(question);
  const seconds = tagUpSeconds(runner, seen, ruleset.baseDistanceFeet, figures);
  const stakes = { out: Math.max(1e-6, values.safe - values.out), trail: 0 };
  return { ...sendBand(seconds, playOf(question), stakes, figures), need: sendNeed(values) };
}

/** From which depth on tagging pays, feet; null: at no depth up to the deepest. */
export function tagDepth(question: TagQuestion, deepest: number): number | null {
  const pays = (feet: number): boolean => {
    const { safe, need } = planTag({ ...question, feet });
    return safe >= need;
  };
  if (!pays(deepest)) return null;
  let [low, high] = [question.ruleset.baseDistanceFeet * 1.2, deepest];
  if (pays(low)) return low;
  while (high - low > 1) {
    const middle = (low + high) / 2;
    if (pays(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** How far off his bag a runner can wait for a ball in the air, feet; never beyond the middle of the way. */
export function halfwayFor({
  from,
  ruleset,
  figures,
  degrees,
  feet,
  armMph,
  runner,
}: TagQuestion): number {
  const most = halfwayFeet(
    runner,
    placeAt(degrees, feet),
    placeOfBag(from, ruleset.baseDistanceFeet),
    { mph: armMph, ball: ruleset.sport },
    figures,
  );
  return Math.min(ruleset.baseDistanceFeet / 2, most);
}
