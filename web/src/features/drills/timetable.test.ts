import type { Practice } from '@bradyon/core/drills';
import type { PersonId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { calendarOf } from './calendar.ts';
import { partRows, timetableRows } from './timetable.ts';

const practice: Practice & { id: string } = {
  id: '6f3f6a1e-0000-4000-8000-000000000000',
  name: 'Running day, early',
  startsAt: '2031-05-01T17:30:00.000Z',
  warmUpMinutes: 15,
  closeMinutes: 5,
  changeMinutes: 2,
  slotMinutes: 12,
  water: { minutes: 3, everySlots: 2 },
  coaches: 2,
  order: ['starts', 'toss'],
  own: [{ id: 'toss', name: 'Long toss', notes: '' }],
  groups: [['a'], ['b']] as PersonId[][],
  notes: 'Bring cones; helmets.',
};

describe('a practice in words', () => {
  it('says who is where at what time, own stations by their name', () => {
    const rows = partRows(practice);
    expect(rows.map(({ minutes }) => minutes)).toEqual([15, 10, 10, 5]);
    expect(rows[1]?.what).toBe('Group A: Starts; Group B: Long toss');
    expect(rows[2]?.groups.map(({ text }) => text)).toEqual(['Long toss', 'Starts']);
    expect(rows[2]?.groups.map(({ reps }) => reps)).toEqual([null, 10]);
  });

  it('goes out as a table with a column a group', () => {
    const [warmUp, first] = timetableRows(practice);
    expect(warmUp).toMatchObject({ All: 'Warm-up', 'Group A': '' });
    expect(first).toMatchObject({ 'Group A': 'Starts', 'Group B': 'Long toss', Minutes: 10 });
  });

  it('goes out as an event of a calendar, from its first to its last minute', () => {
    const text = calendarOf(practice);
    expect(text).toContain('BEGIN:VEVENT');
    expect(text).toContain('DTSTART:20310501T173000Z');
    // 15 and two stations of 12 and 5.
    expect(text).toContain('DTEND:20310501T181400Z');
    expect(text).toContain('SUMMARY:Running day\\, early');
    expect(text.replaceAll('\r\n ', '')).toContain('Bring cones\\; helmets.');
  });
});
