interface Tap {
  id: string;
  /** The one that was a wrong tap; null: this one counts. */
  undoes: string | null;
  takenAt: string;
}

/** Counted taps without those that were undone, in the order in which they were made. */
export function standing<T extends Tap>(taps: Iterable<T>): T[] {
  const all = [...taps];
  const gone = new Set(all.map(({ undoes }) => undoes));
  return all
    .filter(({ id, undoes }) => undoes === null && !gone.has(id))
    .toSorted((a, b) => a.takenAt.localeCompare(b.takenAt));
}
