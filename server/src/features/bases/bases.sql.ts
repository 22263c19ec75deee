import type { FielderLookRecord } from '@bradyon/contract/bases';
import { tallyOf } from '../../db/tally.ts';

/** What was seen of outfielders. */
export const fielderLooks = tallyOf<FielderLookRecord>('fielder_looks', { look: ['look', 'text'] });
