import type { BattingRecord } from '@bradyon/contract/innings';
import type { Kept } from '@bradyon/contract/kept';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { totalsTogether } from '@bradyon/core/innings';
import { currentOf, request } from '../../api/index.ts';
import { keepLast } from '../timing/index.ts';

const NONE: BattingRecord[] = [];

/** A season as it counts: what was typed and what the games say, added up. */
export interface CountedRecord extends BattingRecord {
  /** How many of the plate appearances are from games. */
  inGames: number;
}

const countedFor = keepLast(
  (typed: readonly BattingRecord[], games: readonly BattingRecord[]): CountedRecord[] => {
    const ids = new Set([...typed, ...games].map(({ personId }) => personId));
    return [...ids].map((personId) => {
      const own = [typed, games].flatMap(
        (records) => records.find((record) => record.personId === personId) ?? [],
      );
      const inGames = games.find((record) => record.personId === personId)?.plateAppearances ?? 0;
      return { personId, ...totalsTogether(own), inGames };
    });
  },
);

/** Seasons at bat of a team and whom it plays. */
export function useBatting(teamId: TeamId) {
  const client = useQueryClient();
  const key = ['batting', teamId];
  const { data, error, refetch } = useQuery({
    queryKey: key,
    queryFn: () => request<Kept<BattingRecord>[]>('GET', `/api/teams/${teamId}/batting`),
  });
  const keptOf = (personId: PersonId): Kept<BattingRecord> | null =>
    client.getQueryData<Kept<BattingRecord>[]>(key)?.find((row) => row.personId === personId) ??
    null;
  const put = (personId: PersonId, record: Kept<BattingRecord> | null): void => {
    client.setQueryData<Kept<BattingRecord>[]>(key, (rows) => [
      ...(rows ?? []).filter((row) => row.personId !== personId),
      ...(record ? [record] : []),
    ]);
  };
  const save = useMutation({
    scope: { id: `batting ${teamId}` },
    mutationFn: (record: BattingRecord) => {
      const path = `/api/teams/${teamId}/batting/${record.personId}`;
      return request<Kept<BattingRecord>>('PUT', path, {
        ...record,
        version: keptOf(record.personId)?.version ?? 0,
      });
    },
    // Shown at once, and taken back if it is refused.
    onMutate: (record) => {
      const before = keptOf(record.personId);
      put(record.personId, { ...record, version: before?.version ?? 0 });
      return before;
    },
    onSuccess: (saved) => {
      put(saved.personId, saved);
    },
    onError: (error, { personId }, before) => {
      put(personId, currentOf<Kept<BattingRecord>>(error) ?? before ?? null);
    },
  });
  const remove = useMutation({
    mutationFn: (personId: PersonId) =>
      request('DELETE', `/api/teams/${teamId}/batting/${personId}`),
    onSuccess: (_answer, personId) => {
      put(personId, null);
    },
  });
  const games = useQuery({
    queryKey: ['games-batting', teamId],
    queryFn: () => request<BattingRecord[]>('GET', `/api/teams/${teamId}/games/batting`),
  });
  return {
    /** What was typed or imported. */
    all: data ?? NONE,
    /** The same with what the games say. */
    counted: countedFor(teamId, data ?? NONE, games.data ?? NONE),
    of: (personId: PersonId): BattingRecord | null =>
      data?.find((row) => row.personId === personId) ?? null,
    save,
    remove,
    // What the games say counts too: a figure without it would be another's.
    isLoading: (data === undefined && error === null) || games.isPending,
    error: data === undefined ? error : null,
    retry: () => void refetch(),
  };
}
