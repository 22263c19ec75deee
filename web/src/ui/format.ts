/** A figure is never torn from its unit at the end of a line. */
const SPACE = '\u00a0';

/** Seconds as a coach reads them: two decimals and the unit, no zero before the point. Below zero: a runner who left early. @example seconds(1.384) // '1.38 s' */
export function seconds(value: number): string {
  return `${hundredths(value)}${SPACE}s`;
}

/** The figure of seconds without its unit. @example hundredths(0.162) // '.16' */
export function hundredths(value: number): string {
  const figure = Math.abs(value).toFixed(2).replace(/^0\./, '.');
  return value <= -0.005 ? `\u2212${figure}` : figure;
}

/** A chance in whole percents; nothing is ever certain. @example percent(0.834) // '83%' */
export function percent(chance: number): string {
  if (chance > 0.995) return '99+%';
  return `${String(Math.round(chance * 100))}%`;
}

/** @example giveOrTake(0.052) // 'give or take .05' */
export function giveOrTake(value: number): string {
  return `give or take ${hundredths(value)}`;
}

/** @example timesCount(1) // '1 timed' */
export function timesCount(count: number): string {
  return `${String(count)} timed`;
}

const SHORT = new Intl.DateTimeFormat('en', { day: 'numeric', month: 'short' });
const LONG = new Intl.DateTimeFormat('en', {
  day: 'numeric',
  month: 'long',
  hour: 'numeric',
  minute: '2-digit',
});

export function shortDate(instant: string): string {
  return SHORT.format(new Date(instant));
}

export function longDate(instant: string): string {
  return LONG.format(new Date(instant));
}

/** Two digits of a time, as the field for it wants them. */
const two = (value: number): string => String(value).padStart(2, '0');

/** An instant as a field for a date with a time takes it, where the device is. @example '2031-05-01T17:30' */
export function localMinute(date: Date): string {
  const day = `${String(date.getFullYear())}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
  return `${day}T${two(date.getHours())}:${two(date.getMinutes())}`;
}

const CLOCK = new Intl.DateTimeFormat('en', { hour: 'numeric', minute: '2-digit' });

/** The time of a day. @example '5:30 PM' */
export function clockTime(date: Date): string {
  return CLOCK.format(date);
}
