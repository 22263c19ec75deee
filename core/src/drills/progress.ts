import { betaQuantile } from '../maths/beta.ts';
import { studentCdf } from '../maths/index.ts';
import { judgeLeaves } from './leave.ts';
import {
  judgeBlock,
  levelOf,
  repsOf,
  REP_MEASURES,
  SENSES,
  type KeptRep,
  type RepMeasure,
  type StartRep,
} from './reps.ts';
import type { Sport } from '../rules/index.ts';
import { CUES, type Cue } from './reads.ts';
import { judgeShows } from './show.ts';

/** What one day says of somebody, with its doubt: eight times in ten between low and high. */
interface DayPoint {
  day: string;
  count: number;
  value: number;
  low: number;
  high: number;
  sd: number;
  /** How much the sd itself is to be trusted. */
  freedom: number;
}

/** Last day against first. */
interface Change {
  /** Last less first. */
  by: number;
  sd: number;
  /** Chance that the last day is truly better, 0..1. */
  better: number;
  verdict: 'better' | 'worse' | 'open';
}

/** One thing that is measured, day by day. Measures are never mixed. */
export interface Progress {
  what: 'start' | 'read' | 'leave' | 'squeeze' | 'bunt';
  sense?: StartRep['sense'];
  measure?: RepMeasure;
  cue?: Cue;
  /** Seconds, or a share 0..1. */
  unit: 'seconds' | 'share';
  /** Which way is better. */
  good: 'lower' | 'higher';
  points: DayPoint[];
  /** null with one day only. */
  change: Change | null;
}

/** Called at nine in ten: a coach who hears of every change hears mostly of luck. */
const CALLED = 0.9;
const [LEAST_FREEDOM, MOST_FREEDOM] = [4, 200];
const DOUBT = 1.2816;
/** Fewer answers of a day place nobody. */
const LEAST_READS = 10;
const LEAST_SHARES = 5;

/** Whether the last day is truly another than the first; null with fewer than two. */
function changeOf(points: readonly DayPoint[], good: Progress['good']): Change | null {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || first === last) return null;
  const by = last.value - first.value;
  const sd = Math.hypot(first.sd, last.sd);
  const freedom = sd ** 4 / (first.sd ** 4 / first.freedom + last.sd ** 4 / last.freedom);
  const held = Math.min(MOST_FREEDOM, Math.max(LEAST_FREEDOM, freedom));
  const better = studentCdf((good === 'lower' ? -by : by) / sd, held);
  return {
    by,
    sd,
    better,
    verdict: better >= CALLED ? 'better' : better <= 1 - CALLED ? 'worse' : 'open',
  };
}

/** A share of a day: so many of so many. */
function sharePoint(day: string, good: number, of: number): DayPoint {
  const [yes, no] = [good + 0.5, of - good + 0.5];
  const total = yes + no;
  return {
    day,
    count: of,
    value: yes / total,
    low: betaQuantile(0.1, yes, no),
    high: betaQuantile(0.9, yes, no),
    sd: Math.sqrt((yes * no) / (total ** 2 * (total + 1))),
    freedom: MOST_FREEDOM,
  };
}

function series(
  about: Omit<Progress, 'points' | 'change'>,
  points: readonly (DayPoint | null)[],
): Progress[] {
  const known = points.filter((point) => point !== null);
  return known.length === 0
    ? []
    : [{ ...about, points: known, change: changeOf(known, about.good) }];
}

/** Days in their order, with what belongs to each. */
function byDay<T extends { takenAt: string }>(
  all: readonly T[],
  dayOf: (instant: string) => string,
): [day: string, own: T[]][] {
  const days = [...new Set(all.map(({ takenAt }) => dayOf(takenAt)))].sort();
  return days.map((day) => [day, all.filter(({ takenAt }) => dayOf(takenAt) === day)]);
}

/**
 * What of somebody's drills can be followed from day to day.
 * @param reps of one person
 * @param bunts of the same: in their order, fair or not
 * @param sport of the team: a squeeze is timed by it
 * @param dayOf the day of an instant where the team is, sorting by time
 */
export function progressOf(
  reps: readonly KeptRep[],
  bunts: readonly { takenAt: string; fair: boolean }[],
  sport: Sport,
  dayOf: (instant: string) => string,
): Progress[] {
  const starts = repsOf(reps, 'start').filter(({ rep }) => rep.calls !== 'clapSeen');
  const reads = repsOf(reps, 'read');
  const leaves = repsOf(reps, 'leave');
  return [
    ...SENSES.flatMap((sense) =>
      REP_MEASURES.flatMap((measure) => {
        const own = starts.filter(({ rep }) => rep.sense === sense && rep.measure === measure);
        return series(
          { what: 'start', sense, measure, unit: 'seconds', good: 'lower' },
          byDay(own, dayOf).map(([day, of]) => {
            const { estimate } = judgeBlock(of.map(({ rep }) => rep));
            return (
              estimate && {
                day,
                count: estimate.count,
                value: estimate.typicalSeconds,
                low: estimate.lowSeconds,
                high: estimate.highSeconds,
                sd: estimate.seSeconds,
                freedom: estimate.freedom,
              }
            );
          }),
        );
      }),
    ),
    ...CUES.flatMap((cue) =>
      series(
        { what: 'read', cue, unit: 'seconds', good: 'lower' },
        byDay(
          reads.filter(({ rep }) => rep.cue === cue && rep.went !== null),
          dayOf,
        ).map(([day, of]) => {
          const last = of.at(-1);
          if (!last || of.length < LEAST_READS) return null;
          // Each day alone: what is carried over would make two days look alike.
          const { thresholdSeconds, sdSeconds } = levelOf(of, cue, new Date(last.takenAt));
          const open = DOUBT * sdSeconds;
          return {
            day,
            count: of.length,
            value: thresholdSeconds,
            low: thresholdSeconds - open,
            high: thresholdSeconds + open,
            sd: sdSeconds,
            freedom: MOST_FREEDOM,
          };
        }),
      ),
    ),
    ...series(
      { what: 'leave', unit: 'share', good: 'higher' },
      byDay(leaves, dayOf).map(([day, of]) => {
        if (of.length < LEAST_SHARES) return null;
        const { onTime } = judgeLeaves(
          of.map(({ rep }) => rep.seconds),
          0,
        );
        return sharePoint(day, onTime, of.length);
      }),
    ),
    ...series(
      { what: 'squeeze', unit: 'share', good: 'higher' },
      byDay(repsOf(reps, 'squeeze'), dayOf).map(([day, of]) => {
        const judged = judgeShows(
          sport,
          of.map(({ rep }) => rep),
        );
        return judged && judged.count >= LEAST_SHARES
          ? sharePoint(day, judged.show.good, judged.count)
          : null;
      }),
    ),
    ...series(
      { what: 'bunt', unit: 'share', good: 'higher' },
      byDay(bunts, dayOf).map(([day, of]) =>
        of.length < LEAST_SHARES
          ? null
          : sharePoint(day, of.filter(({ fair }) => fair).length, of.length),
      ),
    ),
  ];
}
