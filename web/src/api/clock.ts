/**
 * What has to be added to an event's own time stamp to have the wall clock at that moment,
 * milliseconds. Asked at each tap: the stamp's zero stands still while a device sleeps.
 */
export function wallOffsetMs(): number {
  return Date.now() - performance.now();
}
