import { normalDraw, type Random } from '@bradyon/core/maths';
import type { Ruleset } from '@bradyon/core/rules';
import {
  LEVELS,
  describeMisfit,
  type AsideReason,
  type Level,
  type LevelName,
  type ReadingDraft,
  type TypicalTime,
} from '@bradyon/core/timing';
import { roundToMillisecond, type PersonId, type ReadingId } from '@bradyon/core/units';
import { makeUuid } from './uuid.ts';
import type { DemoPerson } from './world.ts';

/** A thumb's own spread over two taps, seconds. */
const THUMB_SECONDS = 0.05;
const MS_PER_DAY = 24 * 60 * 60 * 1000;
/** The watch is out on these days before today. */
const DAYS_AGO = [2, 5, 9, 12, 16, 20];

export interface DemoReading extends ReadingDraft {
  asideReason: AsideReason | null;
}

type What = Pick<ReadingDraft, 'kind' | 'base' | 'style' | 'leadFeet'>;

/** Times of one person as a coach would have taken them, his own spread and the thumb's in them. */
export function readingsOf(
  random: Random,
  person: DemoPerson & { id: PersonId; ours: boolean },
  levelName: LevelName,
  ruleset: Ruleset,
  today: Date,
): DemoReading[] {
  const level = LEVELS[levelName];
  const made: DemoReading[] = [];
  const take = (count: number, what: What, typical: TypicalTime, shiftSeconds = 0): void => {
    const own = typical.mean - person.quick * typical.sdBetween + shiftSeconds;
    for (let index = 0; index < count; index += 1) {
      const seconds = roundToMillisecond(
        normalDraw(random, own, Math.hypot(typical.sdWithin, THUMB_SECONDS)),
      );
      made.push(reading(random, person.id, what, seconds, today, null));
    }
    // Now and then the thumb slips; the coach has set that time aside.
    if (count > 6) {
      const slipped = roundToMillisecond(own * 1.32);
      made.push(reading(random, person.id, what, slipped, today, 'wrong tap'));
    }
  };

  if (person.positions.includes('P')) takePitcher(take, person, level, ruleset);
  if (person.positions.includes('C')) takeCatcher(take, person, level);
  if (person.ours) takeRunner(take, person, level, ruleset);
  return made.filter((each) => describeMisfit(each) === null);
}

type Take = (count: number, what: What, typical: TypicalTime, shiftSeconds?: number) => void;
const NOTHING = { base: null, style: null, leadFeet: null } as const;

function takePitcher(take: Take, person: DemoPerson, level: Level, ruleset: Ruleset): void {
  if (ruleset.leadRule === 'atRelease') {
    take(person.timed, { ...NOTHING, kind: 'flight', base: 'second' }, level.delivery);
    return;
  }
  const delivery = { ...NOTHING, kind: 'delivery', base: 'second' } as const;
  take(person.timed, { ...delivery, style: 'legLift' }, level.delivery);
  take(person.otherTimed, { ...delivery, style: 'slideStep' }, level.delivery, -0.17);
}

function takeCatcher(take: Take, person: DemoPerson, level: Level): void {
  const pop = { ...NOTHING, kind: 'pop' } as const;
  take(person.timed, { ...pop, base: 'second' }, level.popSecond);
  take(person.otherTimed, { ...pop, base: 'third' }, level.popThird);
}

function takeRunner(take: Take, person: DemoPerson, level: Level, ruleset: Ruleset): void {
  const steal = { ...NOTHING, kind: 'steal' } as const;
  const leads = ruleset.leadRule === 'open';
  const isCatcher = person.positions.includes('C');
  take(
    person.timed,
    { ...steal, base: 'second', leadFeet: leads ? 11.5 : null },
    level.stealSecond,
  );
  // A rolling start from a longer lead toward third.
  const third = { ...steal, base: 'third', leadFeet: leads ? 18 : null } as const;
  take(isCatcher ? 0 : person.otherTimed, third, level.stealSecond, leads ? -0.38 : 0);
  const homeToFirst = { ...level.stealSecond, mean: leads ? 4.5 : 3.35 };
  const leftStep = person.bats === 'left' ? -0.15 : 0;
  take(Math.ceil(person.timed / 2), { ...NOTHING, kind: 'homeToFirst' }, homeToFirst, leftStep);
}

function reading(
  random: Random,
  personId: PersonId,
  what: What,
  seconds: number,
  today: Date,
  asideReason: AsideReason | null,
): DemoReading {
  const daysAgo = DAYS_AGO[Math.floor(random() * DAYS_AGO.length)] ?? 2;
  const day = new Date(today.getTime() - daysAgo * MS_PER_DAY);
  day.setUTCHours(15, Math.floor(random() * 90), Math.floor(random() * 60), 0);
  return {
    id: makeUuid(random) as ReadingId,
    personId,
    ...what,
    seconds,
    method: 'thumb',
    takenAt: day.toISOString(),
    asideReason,
  };
}
