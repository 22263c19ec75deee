import { happenedAt } from '@bradyon/core/ear';
import {
  WATCH_PLANS,
  type ReadingKind,
  type WatchPlan,
  type WatchPlanName,
} from '@bradyon/core/timing';
import { roundToMillisecond } from '@bradyon/core/units';

/** How a clip runs: the frames it plays in a second, and the frames the camera truly took in one. */
export interface ClipRates {
  playFps: number;
  trueFps: number;
}

const USUAL_FPS = [24, 25, 30, 50, 60, 100, 120, 240];
/** 29.97 is 30 in this sense: within the error of what can be measured. */
const NEAR = 0.03;

/**
 * The rate at which a clip plays, from when its frames were shown.
 * @param mediaSeconds places in the clip of frames that were shown one after the other, rising; some may be missing
 * @returns null when there are too few to tell
 */
export function playRate(mediaSeconds: readonly number[]): number | null {
  const steps = mediaSeconds
    .slice(1)
    .map((at, index) => at - (mediaSeconds[index] ?? 0))
    .filter((step) => step > 0.002)
    .sort((a, b) => a - b);
  // A busy device skips frames, so the short steps are the true ones.
  const step = steps[Math.floor(steps.length / 5)];
  if (steps.length < 3 || step === undefined) return null;
  const fps = 1 / step;
  const usual = USUAL_FPS.find((each) => Math.abs(each - fps) / each < NEAR);
  return usual ?? Math.round(fps * 100) / 100;
}

/**
 * True seconds from one place of the clip to another, to the millisecond; negative when the second
 * place comes first. A slow-motion clip plays longer than it took.
 * @param fromSeconds place in the clip as it plays
 * @param toSeconds place in the clip as it plays
 */
export function trueSeconds(
  fromSeconds: number,
  toSeconds: number,
  { playFps, trueFps }: ClipRates,
): number {
  return roundToMillisecond(((toSeconds - fromSeconds) * playFps) / trueFps);
}

/** Where to look for the frame `by` frames from the one shown: in its middle, away from both edges. */
export function frameAt(shownSeconds: number, by: number, playFps: number): number {
  const frame = Math.round(shownSeconds * playFps) + by;
  return Math.max(0, (frame + 0.5) / playFps);
}

/** What can be marked in a clip. */
export const CLIP_PLANS = {
  battery: 'Delivery and pop',
  softballBattery: 'Release to mitt, and pop',
  pick: 'Pickoff',
  pop: 'Pop',
  leave: 'Leave time',
  steal: 'Steal',
  diveBack: 'Dive back',
  homeToFirst: 'Home to first',
  firstToThird: 'First to third',
  secondToHome: 'Second to home',
  outfieldThrow: 'Outfield throw',
} as const satisfies Partial<Record<WatchPlanName, string>>;
export type ClipPlanName = keyof typeof CLIP_PLANS;

/** A mark in a clip: the frame in which something is first seen, or a sound and how far it was from the camera. */
export type ClipMark = { seenAt: number } | { heardAt: number; feet: number };

/**
 * When what is marked happened, and how far that may be off. What is first seen in a frame happened
 * somewhere between it and the frame before. Seconds of the clip as it plays.
 */
export function momentOf(
  mark: ClipMark,
  playFps: number,
): { atSeconds: number; sdSeconds: number } {
  if ('heardAt' in mark) return happenedAt(mark.heardAt, mark.feet);
  return { atSeconds: mark.seenAt - 0.5 / playFps, sdSeconds: 1 / playFps / Math.sqrt(12) };
}

/** A split of a clip, and how far it may be off. Seconds. */
export interface ClipSplit {
  kind: ReadingKind;
  seconds: number;
  sdSeconds: number;
  /** Both its ends were seen, none heard. */
  isSeen: boolean;
}

/** The splits between marks that are both set; backwards ones only where a runner may be early. */
export function clipSplits(
  planName: ClipPlanName,
  marks: readonly (ClipMark | null)[],
  rates: ClipRates,
): ClipSplit[] {
  const plan: WatchPlan = WATCH_PLANS[planName];
  return plan.kinds.flatMap((kind, index) => {
    const [from, to] = [marks[index], marks[index + 1]];
    if (from == null || to == null) return [];
    const [first, second] = [momentOf(from, rates.playFps), momentOf(to, rates.playFps)];
    const seconds = trueSeconds(first.atSeconds, second.atSeconds, rates);
    if (seconds <= 0 && kind !== 'leave') return [];
    const sdPlayed = Math.hypot(first.sdSeconds, second.sdSeconds);
    return [
      {
        kind,
        seconds,
        sdSeconds: (sdPlayed * rates.playFps) / rates.trueFps,
        isSeen: 'seenAt' in from && 'seenAt' in to,
      },
    ];
  });
}
