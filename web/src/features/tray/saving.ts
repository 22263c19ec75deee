/** How things stand with what was tapped. */
export interface Saving {
  /** On their way to the server. */
  waiting: number;
  /** Not on this device yet either. */
  unkept: number;
  isFull: boolean;
  isOnline: boolean;
  /** What the server said when it last could not be reached. */
  trouble: string | null;
  /** Refused, and waiting to be looked at: then nobody may read that all is saved. */
  inTray: number;
}

/**
 * One line for the strip. "On this device" is said only of what is.
 * @example savingWords({ waiting: 2, unkept: 0, isFull: false, isOnline: false, trouble: null, inTray: 0 })
 * // 'Offline, 2 on this device'
 */
export function savingWords(saving: Saving): string {
  const { waiting, unkept, isFull, isOnline, trouble, inTray } = saving;
  if (isFull && waiting > 0) return `Device full, ${String(waiting)} to send`;
  const where = isOnline ? (trouble === null ? '' : 'Server away') : 'Offline';
  if (waiting === 0) return where === '' && inTray === 0 ? 'All saved' : where;
  const count = unkept > 0 ? 'saving' : `${String(waiting)} on this device`;
  return where === '' ? count.replace('saving', 'Saving') : `${where}, ${count}`;
}
