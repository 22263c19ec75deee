import type { Account } from '@bradyon/contract/accounts';
import type { Reading } from '@bradyon/core/timing';
import type { AccountId, ReadingId } from '@bradyon/core/units';
import type { OutboxItem } from '../../api/index.ts';

/** Who timed it: whoever is signed in, or for a moved reading whoever timed the first. */
function timerOfDraft(
  movedFrom: ReadingId | null,
  byId: ReadonlyMap<ReadingId, Reading>,
  account: Account | null,
): Pick<Reading, 'timedBy' | 'timedByName'> {
  const first = movedFrom === null ? undefined : byId.get(movedFrom);
  return {
    timedBy: first?.timedBy ?? account?.id ?? ('' as AccountId),
    timedByName: first?.timedByName ?? account?.name ?? '',
  };
}

/**
 * The readings as they will be once everything tapped is saved: the newest first.
 * @param kept what the server has
 * @param outbox what it has still to be told, in order
 * @param account who tapped it
 */
export function withOutbox(
  kept: readonly Reading[],
  outbox: readonly OutboxItem[],
  account: Account | null,
): Reading[] {
  if (outbox.length === 0) return [...kept];
  const byId = new Map(kept.map((reading) => [reading.id, reading]));
  for (const item of outbox) {
    if (item.write === 'reading') {
      byId.set(item.draft.id, {
        ...item.draft,
        ...timerOfDraft(item.draft.movedFrom, byId, account),
        asideReason: byId.get(item.draft.id)?.asideReason ?? null,
        vouched: byId.get(item.draft.id)?.vouched ?? false,
      });
    } else if (item.write === 'judge') {
      const reading = byId.get(item.readingId);
      if (reading) {
        byId.set(reading.id, { ...reading, asideReason: item.reason, vouched: item.vouched });
      }
    }
  }
  return [...byId.values()].sort((a, b) =>
    a.takenAt < b.takenAt ? 1 : a.takenAt > b.takenAt ? -1 : 0,
  );
}
