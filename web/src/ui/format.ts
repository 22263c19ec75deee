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
