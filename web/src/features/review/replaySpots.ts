import type { ReplaySpot } from '@bradyon/contract/review';
import { runningOf, STAY, type ReplayedMoment } from '@bradyon/core/review';
import type { CountedCall } from './useReview.ts';

/** A question of a game as it is decided again: by what was known then, naming nobody. */
export function spotOf({ call: { call, result, done }, clearness }: CountedCall): ReplaySpot {
  // Staying, and every way to go that there was: which was best, or taken, is not given away by what is offered.
  const options = runningOf(call);
  const { pitch, pop, run } = call.legs;
  return {
    inning: call.inning,
    half: call.half === 'bottom' ? 'bottom' : 'top',
    outs: call.outs,
    base: call.base,
    pitchSeconds: pitch?.meanSeconds ?? null,
    popSeconds: pop?.meanSeconds ?? null,
    runSeconds: run?.meanSeconds ?? null,
    chance: call.chance,
    low: call.low,
    high: call.high,
    need: call.need,
    options,
    // A bunt that was called was no running: of the runner it was a stay.
    coach: options.some(({ name }) => name === done) ? done : STAY,
    outcome: result?.outcome ?? 'notRun',
    resolved: result?.resolved ?? false,
    clearness,
  };
}

/** What somebody decided of a spot, and what they guessed before. */
export interface Decided {
  chosen: string;
  guess: number | null;
}

/** A spot with what was decided of it, to be scored. */
export function momentOf(spot: ReplaySpot, { chosen, guess }: Decided): ReplayedMoment {
  const hasRun = spot.resolved && spot.outcome !== 'notRun';
  return {
    options: spot.options,
    chosen,
    coach: spot.coach,
    clearness: spot.clearness,
    ...(guess !== null && { guess, chance: spot.chance }),
    ...(hasRun && { safe: spot.outcome !== 'out' }),
  };
}
