import type { Person } from '../people/index.ts';
import { typicalTime, type Conditions, type Population } from '../sprint/index.ts';
import { thumbPriorFor, type LevelName, type ReadingContext } from '../timing/index.ts';
import { doubtToday, staleAfterDays, trendOf, WALK, WALK_AT, type Trend } from './trends.ts';

/** How somebody's time of a kind has gone. Seconds. */
export interface Growth {
  key: string;
  context: ReadingContext;
  trend: Trend;
  /** The first day of which a change can be told: three readings up to it. */
  since: string;
  /** What is known of it today, and whether that has grown by half since it was last timed. */
  doubtSeconds: number;
  isStale: boolean;
}

const DAY_MS = 86_400_000;
const LEAST = 3;

/**
 * Whether somebody got quicker or slower, population by population: those with enough readings and an agreed walk.
 * @param now today
 */
export function growthOf(
  person: Pick<Person, 'throws' | 'bats'>,
  populations: readonly Population[],
  field: Conditions,
  level: LevelName,
  now: Date,
): Growth[] {
  return populations.flatMap((population): Growth[] => {
    const { context, readings, reckonedSeconds, timerSdSeconds, key } = population;
    const { kind } = context;
    if (!(kind in WALK)) return [];
    const walk = WALK[kind as keyof typeof WALK] * WALK_AT[level];
    const prior = typicalTime(context, person, field);
    if (!prior) return [];
    const counting = readings
      .map((reading, at) => ({
        reading,
        seconds: reckonedSeconds[at] ?? reading.seconds,
        timerSdSeconds: timerSdSeconds[at] ?? 0,
      }))
      .filter(({ reading }) => reading.asideReason === null)
      .toSorted((a, b) => a.reading.takenAt.localeCompare(b.reading.takenAt));
    const anchor = counting[LEAST - 1]?.reading.takenAt;
    const last = counting.at(-1)?.reading.takenAt;
    if (anchor === undefined || last === undefined) return [];
    const dayOf = (instant: string): number => Date.parse(instant) / DAY_MS;
    const timers = [
      ...new Set(
        counting.flatMap(({ reading }) => (reading.method === 'thumb' ? [reading.timedBy] : [])),
      ),
    ];
    const seen = counting.map(({ reading, seconds, timerSdSeconds: sd }) => ({
      day: dayOf(reading.takenAt),
      seconds,
      withinSeconds: prior.sdWithin,
      timerSdSeconds: sd,
      timer: reading.method === 'thumb' ? timers.indexOf(reading.timedBy) : null,
    }));
    const { biasSdSeconds } = thumbPriorFor(context);
    const setting = {
      meanSeconds: prior.mean,
      sdBetweenSeconds: prior.sdBetween,
      walkSeconds: walk,
      // One thumb is compared with itself: what is not known of it goes out of a change.
      timerBiasSd: timers.map(() => biasSdSeconds),
      anchorDay: dayOf(anchor),
    };
    const trend = trendOf({ ...setting, endDay: dayOf(last) }, seen);
    const days = Math.max(0, now.getTime() / DAY_MS - dayOf(last));
    return [
      {
        key,
        context,
        trend,
        since: anchor,
        doubtSeconds: doubtToday(trend.levelSd, walk, days),
        isStale: days > staleAfterDays(trend.levelSd, walk),
      },
    ];
  });
}
