import type { AccountId, PersonId, ReadingId, TargetBase } from '../units/index.ts';

/**
 * What one reading times.
 * `delivery` first move of the front foot to mitt; `flight` release to mitt (softball);
 * `pop` mitt to glove at the bag; `steal` runner's first move to touch;
 * `homeToFirst` bat meets ball to touch.
 */
export const READING_KINDS = ['delivery', 'flight', 'pop', 'steal', 'homeToFirst'] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

export const DELIVERY_STYLES = ['legLift', 'slideStep'] as const;
export type DeliveryStyle = (typeof DELIVERY_STYLES)[number];

/** How the time was taken. */
export const METHODS = ['thumb', 'clip', 'gate', 'import'] as const;
export type Method = (typeof METHODS)[number];

/** Why a reading does not count, in the words the coach taps. */
export const ASIDE_REASONS = [
  'wrong tap',
  'wrong person',
  'did not see it',
  'not a real try',
] as const;
export type AsideReason = (typeof ASIDE_REASONS)[number];

/** One timed thing, as the device that timed it sends it. */
export interface ReadingDraft {
  id: ReadingId;
  personId: PersonId;
  kind: ReadingKind;
  /** Seconds, to the millisecond. */
  seconds: number;
  /** Where the runner was going or the throw went; null where it does not matter. */
  base: TargetBase | null;
  /** Deliveries only. */
  style: DeliveryStyle | null;
  /** Steals only: bag edge to the runner's hips when he broke; null when not noted. */
  leadFeet: number | null;
  method: Method;
  /** ISO instant of the last tap, by the device's clock. */
  takenAt: string;
}

/** A kept reading. It never changes; it can only be set aside and brought back. */
export interface Reading extends ReadingDraft {
  timedBy: AccountId;
  timedByName: string;
  /** null: it counts. */
  asideReason: AsideReason | null;
}

/**
 * Times outside these bounds (seconds) are not the thing at all, whatever the level: a forgotten
 * watch, a double tap. Judgement, wide on purpose; `looksWrong` has the level's own limits.
 */
export const CREDIBLE_SECONDS: Record<ReadingKind, { min: number; max: number }> = {
  delivery: { min: 0.5, max: 4 },
  flight: { min: 0.2, max: 1.5 },
  pop: { min: 0.8, max: 5 },
  steal: { min: 1.5, max: 8 },
  homeToFirst: { min: 2, max: 9 },
};

/**
 * Whether the parts of a reading belong together, and if not what to mend.
 * @returns null when they fit, else the field at fault and what to enter
 * @example describeMisfit({ kind: 'pop', seconds: 2, base: null, style: null, leadFeet: null })
 * // { path: 'base', message: 'Say which base the throw went to.' }
 */
export function describeMisfit(
  reading: Pick<ReadingDraft, 'kind' | 'seconds' | 'base' | 'style' | 'leadFeet'>,
): { path: keyof ReadingDraft; message: string } | null {
  const { kind, seconds, base, style, leadFeet } = reading;
  const { min, max } = CREDIBLE_SECONDS[kind];
  if (seconds < min || seconds > max) {
    return { path: 'seconds', message: `Enter a time from ${min} to ${max} s.` };
  }
  if ((kind === 'pop' || kind === 'steal') && base === null) {
    const what = kind === 'pop' ? 'the throw went to' : 'he ran to';
    return { path: 'base', message: `Say which base ${what}.` };
  }
  if (kind === 'homeToFirst' && base !== null) {
    return { path: 'base', message: 'Leave the base out: home to first has only one.' };
  }
  if ((kind === 'delivery') !== (style !== null)) {
    return {
      path: 'style',
      message: kind === 'delivery' ? 'Say leg lift or slide step.' : 'Only a delivery has a style.',
    };
  }
  if (kind !== 'steal' && leadFeet !== null) {
    return { path: 'leadFeet', message: 'Only a steal has a lead.' };
  }
  return null;
}
