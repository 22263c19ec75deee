import type { TogetherTime } from '@bradyon/contract/thumb';
import { spreadsTogether, type TogetherSpread } from '@bradyon/core/timing';
import type { AccountId } from '@bradyon/core/units';

/** One of those who timed together. */
interface TogetherPerson {
  accountId: AccountId;
  name: string;
  /** How many events he has tapped. */
  timed: number;
  /** Null while too few events were timed by all. */
  spread: TogetherSpread | null;
}

export interface TogetherResult {
  people: TogetherPerson[];
  /** Events that all of them have. */
  shared: number;
}

const MOST_PEOPLE = 3;

/** What times of the same events say of each one; of more than three, the three who tapped most. */
export function togetherResult(times: readonly TogetherTime[]): TogetherResult {
  const byPerson = new Map<AccountId, { name: string; seconds: Map<number, number> }>();
  for (const { accountId, name, event, seconds } of times) {
    const own = byPerson.get(accountId) ?? { name, seconds: new Map<number, number>() };
    if (seconds !== null) own.seconds.set(event, seconds);
    byPerson.set(accountId, own);
  }
  const people = [...byPerson]
    .toSorted(([, a], [, b]) => b.seconds.size - a.seconds.size)
    .slice(0, MOST_PEOPLE);
  const [first] = people;
  const shared = [...(first?.[1].seconds.keys() ?? [])].filter((event) =>
    people.every(([, { seconds }]) => seconds.has(event)),
  );
  const spreads =
    people.length < 2
      ? null
      : spreadsTogether(
          people.map(([, { seconds }]) => shared.map((event) => seconds.get(event) ?? 0)),
        );
  return {
    shared: people.length < 2 ? 0 : shared.length,
    people: people.map(([accountId, { name, seconds }], index) => ({
      accountId,
      name,
      timed: seconds.size,
      spread: spreads?.[index] ?? null,
    })),
  };
}

/** The event that somebody times next: the one after his last, missed ones included. */
export function nextEvent(
  times: readonly TogetherTime[],
  accountId: AccountId | undefined,
): number {
  const own = times.filter((time) => time.accountId === accountId).map(({ event }) => event);
  return Math.max(0, ...own) + 1;
}
