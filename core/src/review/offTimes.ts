import type { PersonId, ReadingId } from '../units/index.ts';
import type { CallAndResult, LegThen, ReckonedReading, TimedLegName } from './kept.ts';
import { offTime, outOfDate } from './work.ts';

/** A time of a game that is so far from what was expected that it is asked about. Seconds. */
export interface OffTime {
  who: PersonId;
  leg: TimedLegName;
  callId: string;
  inning: number;
  half: string;
  reading: ReadingId;
  seconds: number;
  expectedSeconds: number;
}

/** So sure that more says nothing. */
const CERTAIN = 1000;

/**
 * The times of a game against what was expected before each pitch: those that are off, and people whose number is
 * out of date. Nothing is dropped for it.
 * @param readingOf a reading on the typical stopwatch's scale; null: it is gone or set aside
 */
export function offTimesIn(
  calls: readonly CallAndResult[],
  readingOf: (id: ReadingId) => ReckonedReading | null,
): { off: OffTime[]; outdated: { who: PersonId; leg: TimedLegName }[]; timed: number } {
  const all = calls.flatMap(({ call, result }) => {
    const { pitch, pop, run, jump } = call.legs;
    const legs: [TimedLegName, LegThen | null, PersonId | null][] = [
      ['delivery', pitch, call.pitcher],
      ['pop', pop, call.catcher],
      ['jump', jump, call.runner],
      ['run', run, call.runner],
    ];
    return legs.flatMap(([leg, then, who]) => {
      const id = result?.timed[leg];
      const reading = id === undefined ? null : readingOf(id);
      return reading && id !== undefined && then && who
        ? [{ call, leg, then, who, id, reading }]
        : [];
    });
  });
  const judged = all.map((each) => ({
    ...each,
    ...offTime({
      reading: each.reading.seconds,
      bias: 0,
      mean: each.then.meanSeconds,
      sd: Math.hypot(each.then.doubtSeconds, each.then.spreadSeconds),
      freedom: Math.min(CERTAIN, each.then.freedom ?? CERTAIN),
      timerSd: each.reading.timerSdSeconds,
      readings: all.length,
    }),
  }));
  const people = new Map(judged.map(({ who, leg }) => [`${who} ${leg}`, { who, leg }]));
  return {
    timed: all.length,
    off: judged
      .filter(({ isOff }) => isOff)
      .map(({ who, leg, call, id, reading, then }) => ({
        who,
        leg,
        callId: call.id,
        inning: call.inning,
        half: call.half,
        reading: id,
        seconds: reading.seconds,
        expectedSeconds: then.meanSeconds,
      })),
    outdated: [...people.values()].filter(
      ({ who, leg }) =>
        outOfDate(judged.filter((each) => each.who === who && each.leg === leg).map(({ z }) => z))
          .is,
    ),
  };
}
