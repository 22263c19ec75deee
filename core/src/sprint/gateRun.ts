import { normalDraw, type Random } from '../maths/index.ts';
import type { Beam } from '../timing/index.ts';
import { roundToMillisecond } from '../units/index.ts';
import { timeToCover, type SpeedCurve } from './curve.ts';

/** How a simulated beam errs, and how often it misses. */
const GATE_NOISE_SECONDS = 0.004;
const MISSED_BEAM_CHANCE = 0.06;

/**
 * A run through simulated gates: the true times of a speed curve, noise on every beam, and now and
 * then a beam that misses him. The clock starts at the first beam.
 * @param beamsFeet where the beams stand from the base, rising, the first at 0
 */
export function simulateGateRun(
  random: Random,
  curve: SpeedCurve,
  beamsFeet: readonly number[],
): Beam[] {
  let last = -1;
  return beamsFeet.map((feet) => {
    const missed = feet > 0 && random() < MISSED_BEAM_CHANCE;
    const noisy = timeToCover(feet, curve) + normalDraw(random, 0, GATE_NOISE_SECONDS);
    // Noise never makes time run backwards.
    const seconds = feet === 0 ? 0 : Math.max(roundToMillisecond(noisy), last + 0.001);
    if (!missed) last = seconds;
    return { feet, seconds: missed ? null : seconds };
  });
}
