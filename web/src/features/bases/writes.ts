import type { FielderLookRecord } from '@bradyon/contract/bases';
import { defineTally } from '../../api/index.ts';

/** What was seen of outfielders. */
export const { useTally: useLookTally } = defineTally<FielderLookRecord>({
  name: 'fielder look',
  path: 'bases/looks',
  words: { added: 'A look at an outfielder', undone: 'A look at an outfielder undone' },
});
