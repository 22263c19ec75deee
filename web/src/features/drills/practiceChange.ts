import type { PracticeRecord } from '@bradyon/contract/drills';
import type { Kept } from '@bradyon/contract/kept';
import { hashKey } from '@tanstack/react-query';

export type KeptPractice = Kept<PracticeRecord>;
type Field = keyof PracticeRecord;

/** A practice as it was on the screen and as it is to be, so that it can be made long after, over what others did. */
export interface PracticeChange {
  /** null: it is new, or brought back. */
  from: KeptPractice | null;
  /** null: it is deleted. */
  to: PracticeRecord | null;
}

/** The server may give the parts of an object in another order. */
const isSame = (a: unknown, b: unknown): boolean => hashKey([a]) === hashKey([b]);

/**
 * A change made anew over what is kept by now. Where both changed the same, what is kept stands.
 * @returns the practice as it is to be, and what of the change is lost
 */
export function overKept(
  { from, to }: { from: KeptPractice; to: PracticeRecord },
  kept: KeptPractice,
): { practice: PracticeRecord; lost: Field[] } {
  const mine = (Object.keys(to) as Field[]).filter((field) => !isSame(from[field], to[field]));
  const lost = mine.filter(
    (field) => !isSame(from[field], kept[field]) && !isSame(to[field], kept[field]),
  );
  const won = mine.filter((field) => !lost.includes(field));
  const { version: _version, ...practice } = kept;
  return {
    practice: { ...practice, ...Object.fromEntries(won.map((field) => [field, to[field]])) },
    lost,
  };
}

/** Practices as they will be once what waits is sent, the latest first. */
export function withWaiting(
  kept: readonly KeptPractice[],
  waiting: readonly PracticeChange[],
): KeptPractice[] {
  const all = new Map(kept.map((each) => [each.id, each]));
  for (const { from, to } of waiting) {
    const id = to?.id ?? from?.id;
    if (id === undefined) continue;
    if (to === null) all.delete(id);
    else all.set(id, { ...to, version: all.get(id)?.version ?? from?.version ?? 0 });
  }
  return [...all.values()].toSorted(
    (a, b) => b.startsAt.localeCompare(a.startsAt) || a.id.localeCompare(b.id),
  );
}

const PARTS: Partial<Record<Field, string>> = {
  name: 'name',
  startsAt: 'time',
  coaches: 'coaches',
  order: 'stations',
  own: 'own stations',
  groups: 'groups',
  notes: 'notes',
  limits: 'limits',
};

/** What of a practice another coach has changed: all that is left are minutes. */
export function partsText(fields: readonly Field[]): string {
  return [...new Set(fields.map((field) => PARTS[field] ?? 'minutes'))].join(', ');
}
