import { normalDraw, type Random } from '../maths/index.ts';
import type { ThumbEvent } from './timer.ts';

/** One pitch of the thumb drill: when each event truly happens, seconds from when it begins to be shown. */
export interface ThumbPitch {
  events: { event: ThumbEvent; atSeconds: number }[];
}

/** Far enough apart that no rhythm is learnt instead of the eye. Judgement. */
const WAIT_SECONDS = { least: 1.4, range: 1.8 };
const DELIVERY = { mean: 1.4, deviation: 0.12, least: 1.1 };
const FLIGHT = { mean: 0.5, deviation: 0.05, least: 0.38 };
const POP = { mean: 2.1, deviation: 0.16, least: 1.7 };

/**
 * The next pitch, its throw to second included, all of it varied.
 * @param random the same source gives the same pitches
 * @param fromRelease softball: the pitch is timed from the release
 */
export function nextThumbPitch(random: Random, fromRelease: boolean): ThumbPitch {
  const draw = ({ mean, deviation, least }: typeof POP): number =>
    Math.max(least, normalDraw(random, mean, deviation));
  const first = WAIT_SECONDS.least + WAIT_SECONDS.range * random();
  const mitt = first + draw(fromRelease ? FLIGHT : DELIVERY);
  return {
    events: [
      { event: fromRelease ? 'release' : 'firstMove', atSeconds: first },
      { event: 'mitt', atSeconds: mitt },
      { event: 'bag', atSeconds: mitt + draw(POP) },
    ],
  };
}

/** A tap further off than this was not for that event; seconds. */
const NOT_THAT_EVENT_SECONDS = 0.6;

/**
 * How late each event was tapped.
 * @param taps seconds on the clock of the pitch, one per event, in order
 * @returns null when a tap cannot have been for its event: the rep does not count
 */
export function lateTaps(
  pitch: ThumbPitch,
  taps: readonly number[],
): Partial<Record<ThumbEvent, number>> | null {
  const late = pitch.events.map(({ event, atSeconds }, index) => {
    const tap = taps[index];
    return [event, tap === undefined ? Number.NaN : tap - atSeconds] as const;
  });
  const fits = late.every(([, seconds]) => Math.abs(seconds) <= NOT_THAT_EVENT_SECONDS);
  return fits ? Object.fromEntries(late) : null;
}
