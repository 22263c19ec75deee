import { workerOf } from '../../api/worker.ts';
import type { Heavy } from './innings.worker.ts';

/** The worker of the odds. @throws Error with words for the coach when it does not load or breaks */
export const inWorker = workerOf<Heavy>(
  () => new Worker(new URL('innings.worker.ts', import.meta.url), { type: 'module' }),
  'The odds did not load. Check your connection and try again.',
);
