import { workerOf } from '../../api/worker.ts';
import type { Heavy } from './drills.worker.ts';

/** The worker of the drills. @throws Error with words for the coach when it does not load or breaks */
export const inDrillWorker = workerOf<Heavy>(
  () => new Worker(new URL('drills.worker.ts', import.meta.url), { type: 'module' }),
  'The drill did not load. Check your connection and try again.',
);
