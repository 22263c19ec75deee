import type { ThumbRepDraft } from '@bradyon/contract/thumb';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { request, useOutbox } from '../../api/index.ts';

const THUMB = ['thumb'];

/** The coach's own reps, the newest last, those not saved yet included. */
export function useThumb() {
  const outbox = useOutbox();
  const client = useQueryClient();
  const { data, error, refetch } = useQuery({
    queryKey: THUMB,
    queryFn: () => request<ThumbRepDraft[]>('GET', '/api/thumbs'),
  });
  const reps = useMemo(() => {
    const kept = data ?? [];
    const known = new Set(kept.map(({ id }) => id));
    const waiting = outbox.flatMap((item) =>
      item.write === 'thumbRep' && !known.has(item.draft.id) ? [item.draft] : [],
    );
    return [...kept, ...waiting];
  }, [data, outbox]);
  const startOver = useMutation({
    mutationFn: () => request('DELETE', '/api/thumbs'),
    onSuccess: async () => {
      client.setQueryData<ThumbRepDraft[]>(THUMB, []);
      await client.invalidateQueries({ queryKey: ['thumbs'] });
    },
  });
  return {
    reps,
    isLoading: data === undefined && error === null,
    error: data === undefined ? error : null,
    retry: () => void refetch(),
    startOver,
  };
}
