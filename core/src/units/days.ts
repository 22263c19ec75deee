const formats = new Map<string | null, Intl.DateTimeFormat>();

function formatOf(timeZone: string | null): Intl.DateTimeFormat {
  const kept = formats.get(timeZone);
  if (kept) return kept;
  const made = new Intl.DateTimeFormat('en-CA', {
    calendar: 'gregory',
    numberingSystem: 'latn',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    ...(timeZone === null ? {} : { timeZone }),
  });
  formats.set(timeZone, made);
  return made;
}

/** Whether this is the name of a time zone, such as 'America/Chicago'. */
export function isTimeZone(name: string): boolean {
  try {
    formatOf(name);
    return true;
  } catch {
    return false;
  }
}

/**
 * The day that an instant falls on where the team is.
 * @param instant ISO text or milliseconds since 1970
 * @param timeZone as isTimeZone accepts it; null: that of the device
 * @throws RangeError when there is no such time zone or instant
 * @example dayIn('America/Chicago', '2031-05-02T01:30:00Z') // '2031-05-01'
 */
export function dayIn(timeZone: string | null, instant: string | number): string {
  const parts = formatOf(timeZone).formatToParts(new Date(instant));
  const part = (type: Intl.DateTimeFormatPartTypes): string =>
    parts.find((each) => each.type === type)?.value ?? '';
  return `${part('year')}-${part('month')}-${part('day')}`;
}
