import type { TallyPage, TallyRow } from '@bradyon/contract/tally';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import { growingList, type GrowingList } from './growing.ts';
import { newId } from './ids.ts';
import type { Answer } from './outbox.ts';
import { defineWrite, teamOf } from './writes.ts';
import { request } from './request.ts';
import { standing } from './standing.ts';

type OwnOf<Row extends TallyRow> = Omit<Row, 'id' | 'undoes' | 'takenAt'>;

/** The taps of a tally that stand, and what can be done with them. */
export interface TallyOfTeam<Row extends TallyRow> {
  /** Without those that were undone, in the order in which they were made; those that wait to be sent too. */
  rows: Row[];
  add: (own: OwnOf<Row>) => void;
  undo: (row: Row) => void;
  /** Asks for what is new, before something that needs them all. */
  refresh: () => Promise<void>;
  isLoading: boolean;
  /** What was asked for did not come. */
  error: Error | null;
  isMissing: boolean;
  retry: () => void;
}

/**
 * Taps that are added and never changed, kept on the device and sent when there is a network: bunts of practice,
 * looks at outfielders and at leads, repetitions of a drill.
 * @param name of its writes @param path below the team @param words what a waiting one is called, or its undoing
 */
export function defineTally<Row extends TallyRow>({
  name,
  path,
  words,
}: {
  name: string;
  path: string;
  words: { added: string; undone: string };
}): { useTally: (teamId: TeamId, isAsked?: boolean) => TallyOfTeam<Row> } {
  type Kept = Row & { seq: number };
  const kept = (teamId: TeamId): GrowingList<Kept> =>
    growingList<Kept>(`${name} ${teamId}`, async (since) => {
      const { rows, next, more } = await request<TallyPage<Row>>(
        'GET',
        `/api/teams/${teamId}/${path}?since=${String(since)}`,
      );
      return { rows, gone: [], next, more };
    });
  const write = defineWrite<Row>({
    name,
    most: 100,
    async send(rows, teamId) {
      await request('POST', `/api/teams/${teamOf(teamId)}/${path}`, { rows });
      return rows.map((): Answer => ({ ok: true, answer: null }));
    },
    merge(sent, teamId) {
      // The number comes with the next page: until then they are told apart by their id.
      kept(teamOf(teamId)).put(sent.map(({ body }) => ({ ...body, seq: 0 })));
    },
    words: ({ undoes }) => (undoes ? words.undone : words.added),
    reassign: (row, personId) => ({ ...row, personId: personId as PersonId }),
  });
  const useTally = (teamId: TeamId, isAsked = true): TallyOfTeam<Row> => {
    const list = kept(teamId);
    const asked = useQuery({
      queryKey: ['tally', name, teamId],
      queryFn: () => list.sync(),
      enabled: isAsked,
      // Only what is new is asked for: every page that shows taps has those of the other devices.
      staleTime: 0,
      meta: { onlyHere: true },
    });
    const count = useSyncExternalStore(
      (tell) => list.onChange(tell),
      () => list.rows.size,
    );
    const waiting = write.useWaiting(teamId);
    const rows = useMemo(() => {
      const all = new Map<string, Row>(count === 0 ? [] : list.rows);
      for (const each of waiting) all.set(each.id, each);
      return standing(all.values());
    }, [list, count, waiting]);
    const send = (own: OwnOf<Row>, undoes: Row['id'] | null): void => {
      const row = { ...own, id: newId(), undoes, takenAt: new Date().toISOString() };
      // Own and common fields are all there are of a row; the types cannot add them up.
      write.send(teamId, row as unknown as Row);
    };
    return {
      rows,
      add: (own) => {
        send(own, null);
      },
      undo: (row) => {
        // Its number is the server's, which gives the undoing one of its own.
        const { seq: _seq, ...own } = row as Kept;
        send(own as unknown as OwnOf<Row>, row.id);
      },
      refresh: async () => {
        await asked.refetch();
      },
      isLoading: asked.isLoading,
      error: asked.error,
      isMissing: asked.data === undefined,
      retry: () => {
        void asked.refetch();
      },
    };
  };
  return { useTally };
}
