import { workerOf } from '../../api/worker.ts';
import type { Heavy } from './bases.worker.ts';

/** The worker of the bases. @throws Error with words for the coach when it does not load or breaks */
export const inBasesWorker = workerOf<Heavy>(
  () => new Worker(new URL('bases.worker.ts', import.meta.url), { type: 'module' }),
  'This part of Bases did not load. Check your connection and try again.',
);
