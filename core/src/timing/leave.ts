/** A leave-time in words: `early` is an out; `close` is too near the release to call by thumb. */
export type LeaveVerdict = 'early' | 'close' | 'onTime' | 'late';

/** Two thumbs err by about this much against each other; nearer than that an early one cannot be told. */
export const EARLY_TELLABLE_SECONDS = 0.05;
/** Later than this and feet are lost for nothing. Judgement. */
const ON_TIME_SECONDS = 0.1;

/**
 * What a runner's leave-time against the release is.
 * @param seconds release to leaving the base; negative: he left first
 * @example judgeLeave(-0.12) // 'early'
 */
export function judgeLeave(seconds: number): LeaveVerdict {
  if (seconds <= -EARLY_TELLABLE_SECONDS) return 'early';
  if (seconds < 0) return 'close';
  return seconds <= ON_TIME_SECONDS ? 'onTime' : 'late';
}
