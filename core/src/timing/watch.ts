import { secondsBetween } from '../units/index.ts';
import { KIND_RULES, type ReadingKind } from './reading.ts';

/**
 * A chained watch: one tap area, each tap ends one split and begins the next.
 * `marks` name the events in order; the split from mark i to mark i+1 is of kind `kinds[i]`.
 */
export interface WatchPlan {
  marks: readonly string[];
  kinds: readonly ReadingKind[];
}

export const WATCH_PLANS = {
  battery: { marks: ['first move', 'mitt', 'bag'], kinds: ['delivery', 'pop'] },
  batteryFromSet: {
    marks: ['set', 'first move', 'mitt', 'bag'],
    kinds: ['hold', 'delivery', 'pop'],
  },
  pick: { marks: ['first move', 'glove'], kinds: ['pick'] },
  pickFromSet: {
    marks: ['set', 'first move', 'glove'],
    kinds: ['hold', 'pick'],
  },
  softballBattery: { marks: ['release', 'mitt', 'bag'], kinds: ['flight', 'pop'] },
  pop: { marks: ['mitt', 'bag'], kinds: ['pop'] },
  leave: { marks: ['release', 'left the bag'], kinds: ['leave'] },
  steal: { marks: ['break', 'touch'], kinds: ['steal'] },
  diveBack: { marks: ['pitcher moves', 'hand on bag'], kinds: ['diveBack'] },
  homeToFirst: { marks: ['bat meets ball', 'touch'], kinds: ['homeToFirst'] },
  firstToThird: { marks: ['ball hit', 'touch'], kinds: ['firstToThird'] },
  secondToHome: { marks: ['ball hit', 'touch'], kinds: ['secondToHome'] },
  dash: { marks: ['start', 'line'], kinds: ['dash'] },
  outfieldThrow: { marks: ['fielded', 'base'], kinds: ['outfieldThrow'] },
} as const satisfies Record<string, WatchPlan>;
export type WatchPlanName = keyof typeof WATCH_PLANS;

/** Where a watch stands: the taps so far, and whether it stopped. Plain data. */
export interface Watch {
  /** Event time stamps, milliseconds on one clock, rising. */
  readonly tapsMs: readonly number[];
  /** No further tap belongs to this chain; the next one starts a new chain. */
  readonly ended: boolean;
  /** What the last change could not use, to be said to the coach. */
  readonly notice: 'bounce' | 'expired' | null;
}

/** A watch waiting for its first tap. */
export const READY: Watch = { tapsMs: [], ended: false, notice: null };

/** One measured part of a chain. */
export interface Split {
  kind: ReadingKind;
  seconds: number;
}

/** Two taps closer than this are one shaky thumb: nothing timed here is that short. Judgement. */
const BOUNCE_SECONDS = 0.15;

/**
 * The watch after a tap.
 * A tap within .15 s of the last one is refused and noticed. A tap after the end starts anew.
 * @param atMs the input event's own time stamp, milliseconds on the clock of the other taps
 */
export function tapWatch(watch: Watch, plan: WatchPlan, atMs: number): Watch {
  const last = watch.tapsMs.at(-1);
  if (last !== undefined && secondsBetween(last, atMs) < BOUNCE_SECONDS) {
    return { ...watch, notice: 'bounce' };
  }
  if (watch.ended) return { ...READY, tapsMs: [atMs] };
  const tapsMs = [...watch.tapsMs, atMs];
  return { tapsMs, ended: tapsMs.length === plan.marks.length, notice: null };
}

/** The watch stopped where it is: the pitch was taken and nobody threw. */
export function endWatch(watch: Watch): Watch {
  return watch.tapsMs.length < 2 ? READY : { ...watch, ended: true, notice: null };
}

/**
 * How long the event that is due may take, seconds: as long as its kind can; after it the chain has
 * ended. 0 for a watch that waits for nothing.
 */
export function patienceSeconds(watch: Watch, plan: WatchPlan): number {
  const due = watch.ended ? undefined : plan.kinds[watch.tapsMs.length - 1];
  return due === undefined ? 0 : KIND_RULES[due].seconds.max;
}

/**
 * The watch at a later moment: a chain whose next event can no longer come has ended.
 * With a single tap there is nothing to keep, so it starts over and says so.
 * @param nowMs milliseconds on the clock of the taps
 */
export function expireWatch(watch: Watch, plan: WatchPlan, nowMs: number): Watch {
  const last = watch.tapsMs.at(-1);
  if (
    last === undefined ||
    watch.ended ||
    secondsBetween(last, nowMs) <= patienceSeconds(watch, plan)
  ) {
    return watch;
  }
  return watch.tapsMs.length < 2 ? { ...READY, notice: 'expired' } : endWatch(watch);
}

/**
 * The watch taken over by another plan in mid-chain: the pitch turned out to be a pick-off. Taps
 * stay when both plans begin with the same marks that far, else it starts over.
 */
export function keepMarks(watch: Watch, from: WatchPlan, to: WatchPlan): Watch {
  const tapped = watch.tapsMs.length;
  const same = watch.tapsMs.every((_, index) => from.marks[index] === to.marks[index]);
  return watch.ended || !same || tapped >= to.marks.length ? READY : { ...watch, notice: null };
}

/** The watch without its last tap, running again if that tap had ended it. */
export function undoTap(watch: Watch): Watch {
  return { tapsMs: watch.tapsMs.slice(0, -1), ended: false, notice: null };
}

/** The splits measured so far, in order. */
export function splitsOf(watch: Watch, plan: WatchPlan): Split[] {
  return plan.kinds.flatMap((kind, index) => {
    const from = watch.tapsMs[index];
    const to = watch.tapsMs[index + 1];
    return from === undefined || to === undefined
      ? []
      : [{ kind, seconds: secondsBetween(from, to) }];
  });
}

/** Which mark the next tap stands for: its place in the plan. */
export function expectedMark(watch: Watch): number {
  return watch.ended ? 0 : watch.tapsMs.length;
}
