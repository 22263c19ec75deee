import { practiceMinutes, type Practice } from '@bradyon/core/drills';
import ical from 'ical-generator';
import { partRows } from './timetable.ts';

/** A practice as a file for a calendar: one event, its timetable in the notes. */
export function calendarOf(practice: Practice & { id: string }): string {
  const calendar = ical({ name: practice.name, prodId: '//Bradyon//Practice//EN' });
  const start = new Date(practice.startsAt);
  calendar.createEvent({
    id: practice.id,
    start,
    end: new Date(start.getTime() + practiceMinutes(practice) * 60_000),
    summary: practice.name,
    description: [
      ...partRows(practice).map(({ clock, what }) => `${clock} ${what}`),
      ...(practice.notes === '' ? [] : ['', practice.notes]),
    ].join('\n'),
  });
  return calendar.toString();
}
