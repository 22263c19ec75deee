import type { BuntTryRecord } from '@bradyon/contract/bunts';
import { tallyOf } from '../../db/tally.ts';

/** Bunts counted in practice. */
export const buntTries = tallyOf<BuntTryRecord>('bunt_tries', {
  result: ['result', 'text'],
  aimed: ['aimed', 'text'],
  lane: ['lane', 'text'],
  calledPace: ['called_pace', 'text'],
  pace: ['pace', 'text'],
  height: ['height', 'text'],
  style: ['style', 'text'],
});
