import type { PracticeRecord } from '@bradyon/contract/drills';
import type { Kept } from '@bradyon/contract/kept';
import type { PracticeId, TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { currentOf, request } from '../../api/index.ts';
import { notify } from '../../ui/index.ts';

type KeptPractice = Kept<PracticeRecord>;
const NONE: KeptPractice[] = [];

const byStart = (a: PracticeRecord, b: PracticeRecord): number =>
  b.startsAt.localeCompare(a.startsAt) || a.id.localeCompare(b.id);

/** Practices of a team, the latest first. What is changed is shown at once. */
export function usePractices(teamId: TeamId) {
  const client = useQueryClient();
  const queryKey = ['practices', teamId];
  const base = `/api/teams/${teamId}/practices`;
  const { data, error, refetch } = useQuery({
    queryKey,
    queryFn: () => request<KeptPractice[]>('GET', base),
  });
  const kept = (): KeptPractice[] => client.getQueryData<KeptPractice[]>(queryKey) ?? [];
  const versionOf = (id: PracticeId): number => kept().find((each) => each.id === id)?.version ?? 0;
  /** Puts one in its place, or takes it away. */
  const put = (id: PracticeId, practice: KeptPractice | null): void => {
    client.setQueryData<KeptPractice[]>(queryKey, (rows) =>
      [...(rows ?? []).filter((each) => each.id !== id), ...(practice ? [practice] : [])].toSorted(
        byStart,
      ),
    );
  };
  const save = useMutation({
    // One after the other: each from the version that the one before it left.
    scope: { id: `practices ${teamId}` },
    mutationFn: (practice: PracticeRecord) =>
      request<KeptPractice>('PUT', `${base}/${practice.id}`, {
        ...practice,
        version: versionOf(practice.id),
      }),
    onMutate: (practice) => {
      void client.cancelQueries({ queryKey }, { revert: false });
      const before = kept().find(({ id }) => id === practice.id) ?? null;
      put(practice.id, { ...practice, version: before?.version ?? 0 });
      return before;
    },
    onSuccess: ({ version }, { id }) => {
      // What was changed since stays on the screen: it is on its way.
      const now = kept().find((each) => each.id === id);
      if (now) put(id, { ...now, version });
    },
    onError: (problem, { id }, before) => {
      put(id, currentOf<KeptPractice>(problem) ?? before ?? null);
      notify(`The practice was not saved: ${problem.message}`);
    },
  });
  const remove = useMutation({
    scope: { id: `practices ${teamId}` },
    mutationFn: ({ id }: KeptPractice) => request('DELETE', `${base}/${id}`),
    onSuccess: (_answer, practice) => {
      put(practice.id, null);
      notify(`${practice.name} deleted`, () => {
        const { version: _version, ...again } = practice;
        save.mutate(again);
      });
    },
    onError: (problem) => {
      notify(`Not deleted: ${problem.message}`);
    },
  });
  return {
    practices: data ?? NONE,
    save: (practice: PracticeRecord): void => {
      save.mutate(practice);
    },
    remove: (practice: KeptPractice): void => {
      remove.mutate(practice);
    },
    isLoading: data === undefined && error === null,
    error: data === undefined ? error : null,
    retry: () => void refetch(),
  };
}
