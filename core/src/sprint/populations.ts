import { EIGHT_IN_TEN } from '../maths/index.ts';
import type { Person } from '../people/index.ts';
import {
  believe,
  byPopulation,
  estimate,
  flagReadings,
  populationKey,
  priorOrUnknown,
  predictNext,
  thumbPriorFor,
  timerOf,
  type Estimate,
  type Reading,
  type ReadingContext,
  type StartTechnique,
  type Thumbs,
  type TimedSeconds,
} from '../timing/index.ts';
import type { ReadingId } from '../units/index.ts';
import { commonLeadFeet, secondsPerFoot, typicalTime, type Conditions } from './typical.ts';

/** Times that can be set against each other, and what they say together. */
export interface Population {
  /** populationKey of its readings. */
  key: string;
  context: ReadingContext;
  /** The lead that its times are reckoned to; null where a lead means nothing. */
  leadFeet: number | null;
  /** In the order given, those set aside included. */
  readings: Reading[];
  /** What each is worth: from the common lead, its timer's bias taken out. Seconds. */
  reckonedSeconds: number[];
  /** How uneven the timer of each is (standard deviation), seconds. */
  timerSdSeconds: number[];
  /** Null when nothing counts and the level has no prior. */
  estimate: Estimate | null;
  /** Readings that look like a wrong tap and still count: the coach is asked. */
  doubtful: ReadonlySet<ReadingId>;
  /** When the newest that counts was taken. */
  newestAt: string | null;
}

/**
 * Everything timed of one person, population by population, in the order of the readings.
 * @param thumbs what is known of the coaches' thumbs
 */
export function populationsOf(
  person: Pick<Person, 'throws' | 'bats'>,
  readings: readonly Reading[],
  field: Conditions,
  thumbs: Thumbs,
): Population[] {
  return [...byPopulation(readings)].flatMap(([key, own]) => {
    const [context] = own;
    if (!context) return [];
    const counting = own.filter(({ asideReason }) => asideReason === null);
    const prior = typicalTime(context, person, field);
    const times = counting.map((reading) => reckoned(reading, field, thumbs));
    const usual = usualTimer(context);
    const judged = priorOrUnknown(prior, times);
    const flags = judged ? flagReadings(judged, times, usual) : [];
    const all = own.map((reading) => reckoned(reading, field, thumbs));
    return [
      {
        key,
        context,
        leadFeet: commonLeadFeet(context, field.ruleset),
        readings: own,
        reckonedSeconds: all.map(({ seconds, timer }) => seconds - timer.biasSeconds),
        timerSdSeconds: all.map(({ timer }) => timer.sdSeconds),
        estimate: estimate(prior, times, usual),
        doubtful: new Set(
          counting.filter(({ vouched }, index) => flags[index] && !vouched).map(({ id }) => id),
        ),
        newestAt: counting.reduce<string | null>(
          (newest, { takenAt }) => (newest === null || takenAt > newest ? takenAt : newest),
          null,
        ),
      },
    ];
  });
}

function usualTimer(context: Pick<Reading, 'kind' | 'fromFeet'>) {
  return { biasSeconds: 0, sdSeconds: thumbPriorFor(context).sdSeconds };
}

/** A reading as it would have been from the common lead, with its timer. */
function reckoned(reading: Reading, field: Conditions, thumbs: Thumbs): TimedSeconds {
  const common = commonLeadFeet(reading, field.ruleset);
  const { seconds, leadFeet } = reading;
  const shift =
    common === null || leadFeet === null ? 0 : (leadFeet - common) * secondsPerFoot(reading, field);
  return { seconds: seconds + shift, timer: timerOf(reading, thumbs) };
}

/**
 * What is expected of somebody's next time: his own estimate, or what is typical of the level when
 * nothing of it is timed (count 0).
 * @returns null where the level has no prior either
 */
export function expectedTime(
  person: Pick<Person, 'throws' | 'bats'>,
  populations: readonly Population[],
  context: ReadingContext,
  field: Conditions,
): Estimate | null {
  const key = populationKey(context);
  const own = populations.find((each) => each.key === key)?.estimate;
  return own ?? estimate(typicalTime(context, person, field), [], usualTimer(context));
}

/** One mean against another. */
export interface Difference {
  /** By how much the first is quicker; negative: slower. */
  quickerSeconds: number;
  /** How far that may be off (standard deviation), seconds. */
  giveOrTakeSeconds: number;
  /** Whether it is likely enough to be said: on its side of zero nine times in ten. */
  tellable: boolean;
}

type Mean = Pick<Estimate, 'meanSeconds' | 'meanSdSeconds'>;
function differenceOf(first: Mean, second: Mean): Difference {
  const quickerSeconds = second.meanSeconds - first.meanSeconds;
  const giveOrTakeSeconds = Math.hypot(first.meanSdSeconds, second.meanSdSeconds);
  const tellable = Math.abs(quickerSeconds) > EIGHT_IN_TEN * giveOrTakeSeconds;
  return { quickerSeconds, giveOrTakeSeconds, tellable };
}

/**
 * How much quicker a pitcher is to the plate with a slide step than with a leg lift.
 * @returns null while either was timed less than twice
 */
export function compareStyles(populations: readonly Population[]): Difference | null {
  const [slideStep, legLift] = (['slideStep', 'legLift'] as const).map(
    (style) =>
      populations.find(({ context }) => context.kind === 'delivery' && context.style === style)
        ?.estimate,
  );
  if (!slideStep || !legLift || Math.min(slideStep.count, legLift.count) < LEAST_EACH) return null;
  return differenceOf(slideStep, legLift);
}

/** One start against another. */
export interface StartComparison extends Difference {
  first: { start: StartTechnique; count: number };
  second: { start: StartTechnique; count: number };
}

const LEAST_EACH = 2;

/**
 * Which start is quicker for this person, from times of one population with the start noted.
 * Each side is estimated from the same prior, so that few tries make no difference.
 * @returns null while fewer than two techniques have two tries each; the two timed most are compared
 */
export function compareStarts(
  person: Pick<Person, 'throws' | 'bats'>,
  population: Pick<Population, 'context' | 'readings'>,
  field: Conditions,
  thumbs: Thumbs,
): StartComparison | null {
  const byStart = new Map<StartTechnique, TimedSeconds[]>();
  for (const reading of population.readings) {
    if (reading.asideReason !== null || reading.start === null) continue;
    const own = byStart.get(reading.start) ?? [];
    byStart.set(reading.start, [...own, reckoned(reading, field, thumbs)]);
  }
  const prior = typicalTime(population.context, person, field);
  const [first, second] = [...byStart]
    .filter(([, times]) => times.length >= LEAST_EACH)
    .toSorted(([, a], [, b]) => b.length - a.length);
  if (!first || !second || !prior) return null;
  const usual = usualTimer(population.context);
  const [a, b] = [first, second].map(([, times]) => predictNext(believe(prior, times, usual)));
  if (!a || !b) return null;
  return {
    first: { start: first[0], count: first[1].length },
    second: { start: second[0], count: second[1].length },
    ...differenceOf(a, b),
  };
}
