import type { BuntTryRecord } from '@bradyon/contract/bunts';
import { defineTally } from '../../api/index.ts';

/** Bunts of practice. */
export const { useTally: useBuntTally } = defineTally<BuntTryRecord>({
  name: 'bunt',
  path: 'bunts',
  words: { added: 'A bunt of practice', undone: 'A bunt undone' },
});
