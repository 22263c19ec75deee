import { BASES_FIGURES, OUTFIELD, throwByArm, usualArm } from '@bradyon/core/bases';
import { normalDraw, type Random } from '@bradyon/core/maths';
import { timesFromRelease } from '@bradyon/core/rules';
import {
  runSeconds,
  typicalTime,
  usualRun,
  type Conditions,
  type Gait,
} from '@bradyon/core/sprint';
import {
  describeMisfit,
  figuresAt,
  LEVEL_NAMES,
  LEVELS,
  plainContext,
  type AsideReason,
  type ReadingContext,
  type ReadingDraft,
} from '@bradyon/core/timing';
import { roundToMillisecond, type PersonId, type ReadingId } from '@bradyon/core/units';
import { makeUuid } from './uuid.ts';
import type { DemoPerson } from './world.ts';

/** A thumb's own spread over two taps, seconds. */
const THUMB_SECONDS = 0.05;
const MS_PER_DAY = 24 * 60 * 60 * 1000;
/** The watch is out on these days before today. */
const DAYS_AGO = [1, 2, 3, 4, 5, 6];

export interface DemoReading extends ReadingDraft {
  asideReason: AsideReason | null;
}

type What = ReadingContext;

/** Times of one person as a coach would have taken them, their own spread and the thumb's in them. */
export function readingsOf(
  random: Random,
  person: DemoPerson & { id: PersonId; ours: boolean },
  field: Conditions,
  today: Date,
): DemoReading[] {
  const made: DemoReading[] = [];
  const { ruleset } = field;
  const take: Take = (count, what, { quicker = 0, daysAgo } = {}) => {
    const typical = typicalTime(what, person, field) ?? throwOf(person, field);
    const run = usualRun(what, person.bats, ruleset, what.leadFeet);
    const own =
      (run
        ? runSeconds(run, gaitOf(person, field), field)
        : typical.mean - person.quick * typical.sdBetween) - quicker;
    for (let index = 0; index < count; index += 1) {
      const seconds = roundToMillisecond(
        normalDraw(random, own, Math.hypot(typical.sdWithin, THUMB_SECONDS)),
      );
      made.push(reading(random, person.id, what, seconds, today, null, daysAgo));
    }
    // Now and then the thumb slips. Mostly the coach has set that time aside.
    if (count > 6) {
      const slipped = roundToMillisecond(own * 1.32);
      const aside = person.slipped ? null : 'wrong tap';
      made.push(reading(random, person.id, what, slipped, today, aside, daysAgo));
    }
  };

  if (person.positions.includes('P')) takePitcher(take, person, ruleset);
  if (person.positions.includes('C')) takeCatcher(take, person);
  if (person.positions.some((position) => ['LF', 'CF', 'RF'].includes(position))) {
    take(person.ours ? 0 : person.timed, { ...plainContext('outfieldThrow'), base: 'home' });
  }
  if (person.ours) takeRunner(take, person, ruleset);
  return made.filter((each) => describeMisfit(each) === null);
}

/** How somebody runs, so that all their runs are of one runner. */
export function gaitOf({ quick }: Pick<DemoPerson, 'quick'>, { level }: Conditions): Gait {
  // Being quick is top speed and start in equal parts.
  const share = quick * Math.SQRT1_2;
  return {
    topSpeed: level.topSpeed * (1 + share * level.topSpeedVariation),
    accelerationSeconds: level.accelerationSeconds * (1 - share * level.accelerationVariation),
  };
}

/** An outfield throw home from the usual depth: no level has a typical one. Arms differ a good deal. */
function throwOf(
  { positions }: DemoPerson,
  { level, ruleset }: Conditions,
): { mean: number; sdBetween: number; sdWithin: number } {
  const fielder = OUTFIELD.find((each) => positions.includes(each)) ?? 'CF';
  const name = LEVEL_NAMES.find((each) => LEVELS[each].label === level.label) ?? 'hs';
  const figures = figuresAt(BASES_FIGURES, name, {});
  const mean = throwByArm(usualArm(fielder, figures), fielder, 4, ruleset, figures);
  return { mean, sdBetween: 0.3, sdWithin: 0.15 };
}
/** Older than this a time says so. */
const LONG_AGO_DAYS = 41;

type Take = (
  count: number,
  what: What,
  how?: { quicker?: number; daysAgo?: number | undefined },
) => void;

function takePitcher(take: Take, person: DemoPerson, ruleset: Conditions['ruleset']): void {
  if (timesFromRelease(ruleset)) {
    take(person.timed, plainContext('flight'));
    return;
  }
  const delivery = { ...plainContext('delivery'), base: 'second' } as const;
  take(person.timed, { ...delivery, style: 'legLift' });
  take(person.otherTimed, { ...delivery, style: 'slideStep' });
  take(Math.min(6, person.timed), plainContext('hold'));
  take(person.otherTimed, { ...plainContext('pick'), base: 'first' });
}

function takeCatcher(take: Take, person: DemoPerson): void {
  const pop = plainContext('pop');
  const daysAgo = person.old ? LONG_AGO_DAYS : undefined;
  take(person.timed, { ...pop, base: 'second' }, { daysAgo });
  take(person.otherTimed, { ...pop, base: 'third' }, { daysAgo });
}

function takeRunner(take: Take, person: DemoPerson, ruleset: Conditions['ruleset']): void {
  const leads = ruleset.leadRule === 'open';
  const isCatcher = person.positions.includes('C');
  const second = {
    ...plainContext('steal'),
    base: 'second',
    leadFeet: leads ? (person.lead ?? 11.5) : null,
  } as const;
  // One runner is tried out with both starts; the others were never asked.
  const [quickStart, slowStart] = leads
    ? (['dropStep', 'crossover'] as const)
    : (['rocker', 'frontFoot'] as const);
  if (person.timed >= 9) {
    take(person.timed, { ...second, start: quickStart }, { quicker: 0.05 });
    take(person.timed - 3, { ...second, start: slowStart }, { quicker: -0.05 });
  } else take(person.timed, second);
  take(isCatcher ? 0 : person.otherTimed, {
    ...second,
    base: 'third',
    leadFeet: leads ? 18 : null,
  });
  take(Math.ceil(person.timed / 2), plainContext('homeToFirst'));
  if (leads) take(Math.floor(person.timed / 3), { ...plainContext('diveBack'), leadFeet: 11.5 });
  else take(Math.ceil(person.timed / 2), plainContext('leave'));
  if (person.timed >= 7) {
    take(2, plainContext('firstToThird'));
    take(3, { ...plainContext('dash'), fromFeet: 0, toFeet: 60 });
  }
}

function reading(
  random: Random,
  personId: PersonId,
  what: What,
  seconds: number,
  today: Date,
  asideReason: AsideReason | null,
  longAgo?: number,
): DemoReading {
  const daysAgo = longAgo ?? DAYS_AGO[Math.floor(random() * DAYS_AGO.length)] ?? 2;
  const day = new Date(today.getTime() - daysAgo * MS_PER_DAY);
  day.setUTCHours(15, Math.floor(random() * 90), Math.floor(random() * 60), 0);
  return {
    id: makeUuid(random) as ReadingId,
    personId,
    ...what,
    seconds,
    method: 'thumb',
    resolutionSeconds: null,
    movedFrom: null,
    takenAt: day.toISOString(),
    asideReason,
  };
}
