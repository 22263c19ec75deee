import { workerOf } from '../../api/worker.ts';
import type { Heavy } from './signs.worker.ts';

/** The worker of the signs. @throws Error with words for the coach when it does not load or breaks */
export const inSignWorker = workerOf<Heavy>(
  () => new Worker(new URL('signs.worker.ts', import.meta.url), { type: 'module' }),
  'The strength did not load. Check your connection and try again.',
);
