import type { RepRecord } from '@bradyon/contract/drills';
import { defineTally } from '../../api/index.ts';

/** Reps of the drills. */
export const { useTally: useRepTally } = defineTally<RepRecord>({
  name: 'rep',
  path: 'drills/reps',
  words: { added: 'A rep of a drill', undone: 'A rep undone' },
});
