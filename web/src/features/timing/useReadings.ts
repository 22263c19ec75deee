import type { Reading } from '@bradyon/core/timing';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useDeferredValue } from 'react';
import { useStore } from 'zustand';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { outbox, session, type GrowingList } from '../../api/index.ts';
import { makeTeamReadings, type ReadingsNow } from './teamReadings.ts';
import { keptReadings, readingWrite } from './writes.ts';

interface Readings {
  /** Everybody's, the newest first, those set aside and those not yet saved included. */
  all: () => readonly Reading[];
  /** The same of one person. The list stays the same object as long as nothing of it changes. */
  of: (personId: PersonId | undefined) => Reading[];
  isLoading: boolean;
  error: Error | null;
  retry: () => void;
}

/** Per list of the server, how it stands with what is tapped; while the list lives. */
const shown = new WeakMap<GrowingList<Reading>, StoreApi<{ now: ReadingsNow }>>();

function shownOf(teamId: TeamId, list: GrowingList<Reading>): StoreApi<{ now: ReadingsNow }> {
  const known = shown.get(list);
  if (known) return known;
  const readings = makeTeamReadings(list.rows);
  readings.keptChanged([...list.rows.keys()]);
  const store = createStore(() => ({ now: readings.now() }));
  const show = (): void => {
    store.setState({ now: readings.now() });
  };
  const takePending = (): void => {
    const steps = readingWrite.waiting(teamId);
    if (readings.pendingChanged(steps, session.getState().account)) show();
  };
  takePending();
  list.onChange((ids) => {
    readings.keptChanged(ids);
    show();
  });
  outbox.state.subscribe(({ waiting }, before) => {
    if (waiting !== before.waiting) takePending();
  });
  shown.set(list, store);
  return store;
}

/** All times of a team as the coach has tapped them: what the server has and what still waits to be saved. */
export function useReadings(teamId: TeamId): Readings {
  const list = keptReadings(teamId);
  // The watch goes first: what was tapped joins the lists once the tap is on the screen.
  const now = useDeferredValue(useStore(shownOf(teamId, list), (state) => state.now));
  const isComplete = useStore(list.state as StoreApi<{ isComplete: boolean }>).isComplete;
  const { error, refetch } = useQuery({
    queryKey: ['readings', teamId],
    // Only how far it has come: the rows are in the list.
    queryFn: () => list.sync(),
    meta: { onlyHere: true },
  });
  const retry = useCallback(() => void refetch(), [refetch]);
  return {
    ...now,
    isLoading: !isComplete && error === null,
    error: isComplete ? null : error,
    retry,
  };
}
