import type { Account } from '@bradyon/contract/accounts';
import type { Reading } from '@bradyon/core/timing';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { request, useOutbox, type OutboxItem } from '../../api/index.ts';
import { useAccount } from '../accounts/index.ts';
import { keepLast } from './keepLast.ts';
import { withOutbox } from './withOutbox.ts';

interface Readings {
  /** The newest first, those set aside included, those not yet saved included. */
  all: readonly Reading[];
  /** The same of one person. The list stays the same object as long as nothing of his changes. */
  of: (personId: PersonId | undefined) => Reading[];
  isLoading: boolean;
  error: Error | null;
  retry: () => void;
}

const NONE: Reading[] = [];

const allOf = keepLast(
  (kept: readonly Reading[], outbox: readonly OutboxItem[], account: Account | null) =>
    withOutbox(kept, outbox, account),
);

/** Per team, the lists made last: whose did not change is given again. */
const lastLists = new Map<TeamId, Map<PersonId, Reading[]>>();
const listsOf = keepLast((teamId: TeamId, readings: readonly Reading[]) => {
  const lists = new Map<PersonId, Reading[]>();
  for (const reading of readings) {
    const own = lists.get(reading.personId);
    if (own) own.push(reading);
    else lists.set(reading.personId, [reading]);
  }
  const before = lastLists.get(teamId);
  for (const [personId, list] of lists) {
    const old = before?.get(personId);
    const same = old?.length === list.length && old.every((each, index) => each === list[index]);
    if (old && same) lists.set(personId, old);
  }
  lastLists.set(teamId, lists);
  return lists;
});

/** All times of a team as the coach has tapped them: what the server has and what still waits to be saved. */
export function useReadings(teamId: TeamId): Readings {
  const { account } = useAccount();
  // The watch goes first: what was tapped joins the lists once the tap is on the screen.
  const outbox = useDeferredValue(useOutbox());
  const { data, error, refetch } = useQuery({
    queryKey: ['readings', teamId],
    queryFn: () => request<Reading[]>('GET', `/api/teams/${teamId}/readings`),
  });
  const mine = outbox.filter((item) => 'teamId' in item && item.teamId === teamId);
  const all = allOf(teamId, data ?? NONE, mine, account);
  const byPerson = listsOf(teamId, teamId, all);
  return {
    all,
    of: (personId) => (personId && byPerson.get(personId)) ?? NONE,
    isLoading: data === undefined && error === null,
    error: data === undefined ? error : null,
    retry: () => void refetch(),
  };
}
