import { describe, expect, it } from 'vitest';
import { dayIn, isTimeZone } from './index.ts';

describe('the day of an instant', () => {
  it.each([
    ['America/Chicago', '2031-05-02T01:30:00Z', '2031-05-01'],
    ['Europe/Oslo', '2031-05-02T01:30:00Z', '2031-05-02'],
    ['Pacific/Auckland', '2031-05-01T13:00:00Z', '2031-05-02'],
    // The hour that is there twice, when clocks go back, is of one day.
    ['America/Chicago', '2031-11-02T06:30:00Z', '2031-11-02'],
    ['UTC', '1999-12-31T23:59:59.999Z', '1999-12-31'],
  ])('in %s of %s is %s', (zone, instant, day) => {
    expect(dayIn(zone, instant)).toBe(day);
    expect(dayIn(zone, Date.parse(instant))).toBe(day);
  });

  it('knows a time zone from a name that is none', () => {
    expect(isTimeZone('America/St_Johns')).toBe(true);
    expect(isTimeZone('Skerry/Nowhere')).toBe(false);
  });
});
