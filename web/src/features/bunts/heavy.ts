import { workerOf } from '../../api/worker.ts';
import type { Heavy } from './bunts.worker.ts';

/** The worker of the bunts. @throws Error with words for the coach when it does not load or breaks */
export const inBuntWorker = workerOf<Heavy>(
  () => new Worker(new URL('bunts.worker.ts', import.meta.url), { type: 'module' }),
  'The bunt plan did not load. Check your connection and try again.',
);
