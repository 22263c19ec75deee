import { BASES, type AccountId, type Base, type PersonId, type ReadingId } from '../units/index.ts';

/**
 * What one reading times.
 * `hold` pitcher set to his first move; `delivery` first move of the front foot to mitt;
 * `flight` release to mitt (softball); `pick` first move to a base to the glove there;
 * `pop` mitt to glove at the bag; `leave` release to the runner leaving his base, negative when he
 * left early; `steal` runner's first move to touch; `diveBack` pitcher's move to hand on the bag;
 * `homeToFirst` bat meets ball to touch; `firstToThird`, `secondToHome` ball hit to touch;
 * `dash` a straight run or a stretch of it; `outfieldThrow` ball fielded to ball at the base.
 */
export const READING_KINDS = [
  'hold',
  'delivery',
  'flight',
  'pick',
  'pop',
  'leave',
  'steal',
  'diveBack',
  'homeToFirst',
  'firstToThird',
  'secondToHome',
  'dash',
  'outfieldThrow',
] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

export const DELIVERY_STYLES = ['legLift', 'slideStep'] as const;
export type DeliveryStyle = (typeof DELIVERY_STYLES)[number];

/** How a runner starts: both of a pair are taught, and can be timed against each other. */
export const START_TECHNIQUES = ['dropStep', 'crossover', 'rocker', 'frontFoot'] as const;
export type StartTechnique = (typeof START_TECHNIQUES)[number];

/** How the time was taken. */
export const METHODS = ['thumb', 'clip', 'gate', 'typed', 'import', 'ear'] as const;
export type Method = (typeof METHODS)[number];

/** Why a reading does not count, in the words the coach taps. */
export const ASIDE_REASONS = [
  'wrong tap',
  'wrong person',
  'did not see it',
  'not a full effort',
] as const;
export type AsideReason = (typeof ASIDE_REASONS)[number];

/** One timed thing, as the device that timed it sends it. */
export interface ReadingDraft {
  id: ReadingId;
  personId: PersonId;
  kind: ReadingKind;
  /** Seconds, to the millisecond. Negative only for a runner who left early. */
  seconds: number;
  /** Where the runner was going or the throw went; null where it does not matter. */
  base: Base | null;
  /** Deliveries only. */
  style: DeliveryStyle | null;
  /** Steals and dives back: bag edge to the runner's hips; null when not noted. */
  leadFeet: number | null;
  /** Steals, leave-times and dashes; null when not noted. */
  start: StartTechnique | null;
  /** Dashes: where on the line the clock started, 0 from a standing start, and where it stopped. */
  fromFeet: number | null;
  toFeet: number | null;
  method: Method;
  /**
   * The finest step of the instrument, seconds: a clip's frame, a gate's tick; for what was heard the step
   * that would leave as much doubt. null for thumbs and files.
   */
  resolutionSeconds: number | null;
  /** The reading of another person that this one replaces: it was his after all. Null for most. */
  movedFrom: ReadingId | null;
  /** ISO instant of the last event, by the device's clock. */
  takenAt: string;
}

/** A kept reading. It never changes; it can only be set aside, brought back and vouched for. */
export interface Reading extends ReadingDraft {
  /** Who held the watch, or set up the gates. */
  timedBy: AccountId;
  timedByName: string;
  /** null: it counts. */
  asideReason: AsideReason | null;
  /** The coach was asked about it, and it is right: it is no longer doubted. */
  vouched: boolean;
}

/** What goes with a kind, and what cannot be that kind at all. */
interface KindRule {
  /**
   * Times outside these (seconds) are not the thing, whatever the level: a forgotten watch, a
   * double tap. Judgement, wide on purpose; flags have the level's own limits.
   */
  seconds: { min: number; max: number };
  bases: readonly Base[];
  needsBase: boolean;
  lead?: true;
  start?: true;
}

const TARGETS = ['second', 'third'] as const satisfies readonly Base[];
export const KIND_RULES: Record<ReadingKind, KindRule> = {
  hold: { seconds: { min: 0.2, max: 20 }, bases: TARGETS, needsBase: false },
  delivery: { seconds: { min: 0.5, max: 4 }, bases: TARGETS, needsBase: false },
  flight: { seconds: { min: 0.2, max: 1.5 }, bases: TARGETS, needsBase: false },
  pick: { seconds: { min: 0.4, max: 4 }, bases: ['first', 'second', 'third'], needsBase: true },
  pop: { seconds: { min: 0.8, max: 4 }, bases: TARGETS, needsBase: true },
  leave: { seconds: { min: -0.8, max: 2 }, bases: [], needsBase: false, start: true },
  steal: {
    seconds: { min: 1.5, max: 8 },
    bases: TARGETS,
    needsBase: true,
    lead: true,
    start: true,
  },
  diveBack: { seconds: { min: 0.4, max: 4 }, bases: [], needsBase: false, lead: true },
  homeToFirst: { seconds: { min: 2, max: 9 }, bases: [], needsBase: false },
  firstToThird: { seconds: { min: 3, max: 15 }, bases: [], needsBase: false },
  secondToHome: { seconds: { min: 3, max: 15 }, bases: [], needsBase: false },
  dash: { seconds: { min: 0.2, max: 20 }, bases: [], needsBase: false, start: true },
  outfieldThrow: { seconds: { min: 0.8, max: 9 }, bases: BASES, needsBase: true },
};

/** What a kind can last at all, seconds, whatever the level. */
export function boundsOf(kind: ReadingKind): { min: number; max: number } {
  return KIND_RULES[kind].seconds;
}

/** What of a reading says which others it can be set against. */
export type ReadingContext = Pick<
  ReadingDraft,
  'kind' | 'base' | 'style' | 'leadFeet' | 'start' | 'fromFeet' | 'toFeet'
>;

/** The context of a kind that has nothing but its kind. */
export function plainContext(kind: ReadingKind): ReadingContext {
  return {
    kind,
    base: null,
    style: null,
    leadFeet: null,
    start: null,
    fromFeet: null,
    toFeet: null,
  };
}

/**
 * Whether the parts of a reading belong together, and if not what to mend.
 * @returns null when they fit, else the field at fault and what to enter
 * @example describeMisfit({ ...plainContext('pop'), seconds: 2 })
 * // { path: 'base', message: 'Say which base the throw went to.' }
 */
export function describeMisfit(
  reading: ReadingContext & Pick<ReadingDraft, 'seconds'>,
): { path: keyof ReadingDraft; message: string } | null {
  const { kind, seconds, base, style, leadFeet, start, fromFeet, toFeet } = reading;
  const rule = KIND_RULES[kind];
  const { min, max } = rule.seconds;
  if (!(seconds >= min && seconds <= max)) {
    return { path: 'seconds', message: `Enter a time from ${min} to ${max} s.` };
  }
  if (base === null && rule.needsBase) {
    const what = kind === 'steal' ? 'the runner ran to' : 'the throw went to';
    return { path: 'base', message: `Say which base ${what}.` };
  }
  if (base !== null && !rule.bases.includes(base)) {
    const which = rule.bases.join(' or ');
    return {
      path: 'base',
      message: which ? `Choose ${which} as the base.` : 'Leave the base out. There is only one.',
    };
  }
  if ((kind === 'delivery') !== (style !== null)) {
    return {
      path: 'style',
      message:
        kind === 'delivery' ? 'Choose leg lift or slide step.' : 'Only a delivery has a style.',
    };
  }
  if (leadFeet !== null && !rule.lead) {
    return { path: 'leadFeet', message: 'Only a steal and a dive back have a lead.' };
  }
  if (start !== null && !rule.start) {
    return { path: 'start', message: 'Only a steal, a leave time and a sprint have a start.' };
  }
  if (kind === 'dash') {
    if (fromFeet === null || toFeet === null || fromFeet >= toFeet) {
      return { path: 'toFeet', message: 'Enter where the sprint started and ended, in feet.' };
    }
  } else if (fromFeet !== null || toFeet !== null) {
    return { path: 'toFeet', message: 'Only a sprint has a distance.' };
  }
  return null;
}
