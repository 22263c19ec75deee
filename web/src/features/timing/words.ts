import type { Difference, Missing, Population, StartComparison } from '@bradyon/core/sprint';
import {
  daysSince,
  OLD_AFTER_DAYS,
  type DeliveryStyle,
  type LeaveVerdict,
  type Method,
  type ReadingContext,
  type ReadingKind,
  type Rhythm,
  type StartTechnique,
} from '@bradyon/core/timing';
import type { Base } from '@bradyon/core/units';
import { distance, giveOrTake, seconds, timesCount, hundredths } from '../../ui/index.ts';

/** How the kinds are called on a screen. */
export const KIND_WORDS: Record<ReadingKind, { name: string; short: string; from: string }> = {
  hold: { name: 'Hold', short: 'hold', from: 'set to first move' },
  delivery: { name: 'Delivery', short: 'delivery', from: 'first move to mitt' },
  flight: { name: 'Release to mitt', short: 'flight', from: 'ball leaves the hand to mitt' },
  pick: { name: 'Pickoff', short: 'pickoff', from: 'first move to glove' },
  pop: { name: 'Pop', short: 'pop', from: 'mitt to glove at the bag' },
  leave: { name: 'Leave time', short: 'leave time', from: 'release to leaving the bag' },
  steal: { name: 'Steal', short: 'steal', from: 'first move to touch' },
  diveBack: { name: 'Dive back', short: 'dive back', from: 'pitcher moves to hand on bag' },
  homeToFirst: { name: 'Home to first', short: 'home to first', from: 'bat meets ball to touch' },
  firstToThird: { name: 'First to third', short: 'first to third', from: 'ball hit to touch' },
  secondToHome: { name: 'Second to home', short: 'second to home', from: 'ball hit to touch' },
  dash: { name: 'Sprint', short: 'sprint', from: 'first move to line' },
  outfieldThrow: { name: 'Throw', short: 'throw', from: 'fielded to ball at the base' },
};

export const STYLE_WORDS: Record<DeliveryStyle, string> = {
  legLift: 'Leg lift',
  slideStep: 'Slide step',
};

export const START_WORDS: Record<StartTechnique, string> = {
  dropStep: 'drop step',
  crossover: 'crossover',
  rocker: 'rocker',
  frontFoot: 'front foot',
};

export const BASE_WORDS: Record<Base, string> = {
  first: 'First',
  second: 'Second',
  third: 'Third',
  home: 'Home',
};

export const METHOD_WORDS: Record<Method, string> = {
  thumb: '',
  clip: 'from a clip',
  gate: 'by gates',
  typed: 'typed in',
  import: 'from a file',
  ear: 'by ear',
};

const RUNNERS: readonly ReadingKind[] = [
  'leave',
  'steal',
  'diveBack',
  'homeToFirst',
  'firstToThird',
  'secondToHome',
  'dash',
];
/** Whose doing a kind is, for its colour. */
export function toneOf(kind: ReadingKind): 'ball' | 'runner' {
  return RUNNERS.includes(kind) ? 'runner' : 'ball';
}

const ORDER: readonly string[] = [
  'hold',
  'delivery',
  'flight',
  'pick',
  'pop',
  'outfieldThrow',
  'leave',
  'steal',
  'homeToFirst',
  'firstToThird',
  'secondToHome',
  'diveBack',
  'dash',
];
/** In the order in which things happen on the field; of one kind by name. */
export function inOrder<T extends { key: string; context: ReadingContext }>(
  all: readonly T[],
): T[] {
  return all.toSorted(
    (a, b) =>
      ORDER.indexOf(a.context.kind) - ORDER.indexOf(b.context.kind) || (a.key < b.key ? -1 : 1),
  );
}

/** @example titleOf of a pop to second // 'Pop to second' */
export function titleOf({ kind, style, base, fromFeet, toFeet }: ReadingContext): string {
  const { name } = KIND_WORDS[kind];
  if (kind === 'delivery' && style) return `${name}, ${STYLE_WORDS[style].toLowerCase()}`;
  if (kind === 'dash') {
    return (fromFeet ?? 0) === 0
      ? `${name}, ${distance(toFeet ?? 0)}`
      : `${name}, ${String(fromFeet)} to ${distance(toFeet ?? 0)}`;
  }
  const to = base && BASE_WORDS[base].toLowerCase();
  if (!to) return name;
  if (kind === 'steal') return `${name} of ${to}`;
  return kind === 'pop' || kind === 'pick' || kind === 'outfieldThrow' ? `${name} to ${to}` : name;
}

/** The estimate in one line: how sure, how many. */
export function estimateWords({ estimate, leadFeet }: Population): string {
  if (!estimate || estimate.count === 0) return 'typical for the level';
  const from = leadFeet === null ? '' : `from ${distance(leadFeet)}, `;
  return `${from}${giveOrTake(estimate.giveOrTakeSeconds)}, ${timesCount(estimate.count)}`;
}

/** What the estimate still lacks; null: nothing. @param nowMs milliseconds since 1970 */
export function lackWords(
  { estimate, newestAt, context, doubtful }: Population,
  nowMs: number,
): string | null {
  if (!estimate || estimate.count === 0 || newestAt === null) return null;
  if (doubtful.size > 0) {
    return `${doubtfulWords(doubtful.size)}: keep it or set it aside.`;
  }
  const days = daysSince(newestAt, nowMs);
  if (days > OLD_AFTER_DAYS) return `Last timed ${String(days)} days ago. Time it again.`;
  // A hold is not a skill with a mean to be known: its rhythm is what counts.
  if (estimate.moreNeeded === 0 || context.kind === 'hold') return null;
  return `${String(estimate.moreNeeded)} more to know the mean within .03.`;
}

function doubtfulWords(count: number): string {
  return count === 1 ? 'One looks like a wrong tap' : `${String(count)} look like wrong taps`;
}

/** What is missing of somebody's numbers, in a coach's words. */
export function missingWords({ context, need }: Missing): string {
  const what = titleOf(context);
  if ('none' in need) return `${what}: not timed yet`;
  if ('doubtful' in need) {
    return `${what}: ${doubtfulWords(need.doubtful).toLowerCase()}`;
  }
  if ('daysOld' in need) return `${what}: last timed ${String(need.daysOld)} days ago`;
  return `${what}: ${String(need.more)} more to know it within .03`;
}

/** @example '2, 2, 3, 2 s: rhythm you can time' */
export function rhythmWords({ counts, verdict }: Rhythm): string {
  const verdicts = {
    few: 'time a few more to see the rhythm',
    even: 'rhythm you can time',
    varied: 'no rhythm, go on first move',
  };
  return `${counts.join(', ')} s: ${verdicts[verdict]}`;
}

/** The slide step against the leg lift. */
export function stylesWords({ quickerSeconds, giveOrTakeSeconds, tellable }: Difference): string {
  if (!tellable) return 'Slide step or leg lift: not enough to tell yet.';
  const by = hundredths(Math.abs(quickerSeconds));
  const word = quickerSeconds > 0 ? 'quicker' : 'slower';
  return `Slide step ${word} by ${by}, ${giveOrTake(giveOrTakeSeconds)}.`;
}

/** One start against another, with the doubt in plain words. */
export function startsWords(comparison: StartComparison): string {
  const { first, second, quickerSeconds, giveOrTakeSeconds, tellable } = comparison;
  if (!tellable) {
    return `${capital(START_WORDS[first.start])} or ${START_WORDS[second.start]}: not enough to tell yet.`;
  }
  const winner = quickerSeconds > 0 ? first : second;
  const by = hundredths(Math.abs(quickerSeconds));
  return `${capital(START_WORDS[winner.start])} quicker by ${by}, ${giveOrTake(giveOrTakeSeconds)}.`;
}

/** A leave-time in words. Early is an out; late is feet given away. @param seconds negative: early */
export function leaveWords(verdict: LeaveVerdict, value: number): string {
  const by = seconds(Math.abs(value));
  const words: Record<LeaveVerdict, string> = {
    early: `Early by ${by}: that is an out`,
    close: `Too close to call: ${by} before the release`,
    onTime: `On time: ${by} after the release`,
    late: `Late by ${by}`,
  };
  return words[verdict];
}

export function capital(text: string): string {
  return text.slice(0, 1).toUpperCase() + text.slice(1);
}

/** More dots than these are a cloud, and slow to draw. */
export const MOST_DOTS = 100;

/** The newest of a population as dots: what each time is worth, those set aside hollow. */
export function dotsOf({
  readings,
  reckonedSeconds,
}: Pick<Population, 'readings' | 'reckonedSeconds'>) {
  return readings.slice(0, MOST_DOTS).map(({ id, asideReason }, index) => ({
    key: id,
    seconds: reckonedSeconds[index] ?? 0,
    aside: asideReason !== null,
  }));
}
