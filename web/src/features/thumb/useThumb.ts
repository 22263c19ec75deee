import type { ThumbRepDraft } from '@bradyon/contract/thumb';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { request } from '../../api/index.ts';
import { THUMB_KEY, thumbWrite } from './writes.ts';

/** The coach's own reps, the newest last, those not saved yet included. */
export function useThumb() {
  const posted = thumbWrite.useWaiting(null);
  const client = useQueryClient();
  const { data, error, refetch } = useQuery({
    queryKey: THUMB_KEY,
    queryFn: () => request<ThumbRepDraft[]>('GET', '/api/thumbs'),
  });
  const reps = useMemo(() => {
    const kept = data ?? [];
    const known = new Set(kept.map(({ id }) => id));
    return [...kept, ...posted.filter(({ id }) => !known.has(id))];
  }, [data, posted]);
  const startOver = useMutation({
    mutationFn: () => request('DELETE', '/api/thumbs'),
    onSuccess: async () => {
      client.setQueryData<ThumbRepDraft[]>(THUMB_KEY, []);
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
