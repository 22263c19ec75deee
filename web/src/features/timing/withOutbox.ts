import type { Account } from '@bradyon/contract/accounts';
import type { Reading } from '@bradyon/core/timing';
import type { AccountId } from '@bradyon/core/units';
import type { OutboxItem } from '../../api/index.ts';

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
  const byId = new Map(kept.map((reading) => [reading.id, reading]));
  for (const item of outbox) {
    if (item.write === 'reading') {
      byId.set(item.draft.id, {
        ...item.draft,
        timedBy: account?.id ?? ('' as AccountId),
        timedByName: account?.name ?? '',
        asideReason: byId.get(item.draft.id)?.asideReason ?? null,
      });
    } else {
      const reading = byId.get(item.readingId);
      if (reading) byId.set(reading.id, { ...reading, asideReason: item.reason });
    }
  }
  return [...byId.values()].sort((a, b) => b.takenAt.localeCompare(a.takenAt));
}
