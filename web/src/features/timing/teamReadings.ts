import type { Account } from '@bradyon/contract/accounts';
import type { ReadingStep } from '@bradyon/contract/timing';
import type { Reading } from '@bradyon/core/timing';
import type { AccountId, PersonId, ReadingId } from '@bradyon/core/units';

type Timer = Pick<Account, 'id' | 'name'>;
const NOBODY: Timer = { id: '' as AccountId, name: '' };

const newestFirst = (a: Reading, b: Reading): number =>
  a.takenAt === b.takenAt ? (a.id < b.id ? 1 : -1) : a.takenAt < b.takenAt ? 1 : -1;

/** The readings of a team at one moment, by person. */
export interface ReadingsNow {
  /** The newest first. The list stays the same object as long as nothing of it changes. */
  of: (personId: PersonId | undefined) => Reading[];
  /** Everybody's, the newest first. */
  all: () => Reading[];
}

const NONE: Reading[] = [];

/**
 * The readings of a team as they will be once everything tapped is saved. What changes costs the
 * people it is about, however many readings there are.
 * @param kept what the server has, changed in place by whoever says so to `keptChanged`
 */
export function makeTeamReadings(kept: ReadonlyMap<ReadingId, Reading>) {
  const idsOf = new Map<PersonId, Set<ReadingId>>();
  const ownerOf = new Map<ReadingId, PersonId>();
  let lists = new Map<PersonId, Reading[]>();
  let pending: readonly ReadingStep[] = [];
  let timer = NOBODY;

  const personOf = (id: ReadingId): PersonId | undefined =>
    ownerOf.get(id) ??
    pending.flatMap((each) =>
      each.step === 'add' && each.draft.id === id ? [each.draft.personId] : [],
    )[0];

  const derive = (personId: PersonId): Reading[] => {
    const rows = new Map<ReadingId, Reading>();
    for (const id of idsOf.get(personId) ?? []) {
      const row = kept.get(id);
      if (row) rows.set(id, row);
    }
    for (const step of pending) {
      if (step.step === 'add') {
        const { draft } = step;
        if (draft.personId === personId && !rows.has(draft.id)) rows.set(draft.id, asKept(draft));
        continue;
      }
      const row = rows.get(step.readingId);
      if (!row) continue;
      if (step.step === 'delete') rows.delete(row.id);
      else rows.set(row.id, { ...row, asideReason: step.reason, vouched: step.vouched });
    }
    return [...rows.values()].sort(newestFirst);
  };

  const asKept = (draft: Extract<ReadingStep, { step: 'add' }>['draft']): Reading => {
    // Who timed it: whoever is signed in, or for a moved reading whoever timed the first.
    const first = draft.movedFrom === null ? undefined : kept.get(draft.movedFrom);
    return {
      ...draft,
      timedBy: first?.timedBy ?? timer.id,
      timedByName: first?.timedByName ?? timer.name,
      asideReason: null,
      vouched: false,
    };
  };

  const touch = (people: Iterable<PersonId | undefined>): void => {
    lists = new Map(lists);
    for (const personId of people) if (personId) lists.delete(personId);
  };

  return {
    /** These have come, changed or gone. */
    keptChanged(ids: readonly ReadingId[]): void {
      const touched = new Set<PersonId | undefined>();
      for (const id of ids) {
        const personId = kept.get(id)?.personId;
        const before = ownerOf.get(id);
        touched.add(before).add(personId);
        if (before && before !== personId) idsOf.get(before)?.delete(id);
        if (personId === undefined) {
          ownerOf.delete(id);
          continue;
        }
        ownerOf.set(id, personId);
        const own = idsOf.get(personId) ?? new Set();
        idsOf.set(personId, own.add(id));
      }
      touch(touched);
    },
    /** What the server has still to be told, in order, and who taps. @returns whether anything is new */
    pendingChanged(steps: readonly ReadingStep[], whoTaps: Timer | null): boolean {
      if (steps === pending && (whoTaps ?? NOBODY).id === timer.id) return false;
      const before = new Set(pending);
      const after = new Set(steps);
      const changed = [...pending, ...steps].filter(
        (step) => !before.has(step) || !after.has(step),
      );
      // Asked before and after: a step that has left knows its person only from what is left.
      const people = new Set(changed.map(personOfStep));
      pending = steps;
      timer = whoTaps ?? NOBODY;
      for (const step of changed) people.add(personOfStep(step));
      touch(people);
      return changed.length > 0;
    },
    /** How they stand: another object after each change. */
    now(): ReadingsNow {
      const current = lists;
      let all: Reading[] | null = null;
      const of: ReadingsNow['of'] = (personId) => {
        if (personId === undefined) return NONE;
        const known = current.get(personId);
        if (known) return known;
        const list = derive(personId);
        current.set(personId, list);
        return list;
      };
      return {
        of,
        all: () => {
          const people = new Set([
            ...idsOf.keys(),
            ...pending.flatMap((each) => (each.step === 'add' ? [each.draft.personId] : [])),
          ]);
          all ??= [...people].flatMap((personId) => of(personId)).sort(newestFirst);
          return all;
        },
      };
    },
  };

  function personOfStep(step: ReadingStep): PersonId | undefined {
    return step.step === 'add' ? step.draft.personId : personOf(step.readingId);
  }
}
