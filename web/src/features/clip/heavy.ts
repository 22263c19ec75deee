import { workerOf } from '../../api/worker.ts';
import type { Heavy } from './clip.worker.ts';

/** The worker of clips. @throws Error with words for the coach when it does not load or breaks */
export const inClipWorker = workerOf<Heavy>(
  () => new Worker(new URL('clip.worker.ts', import.meta.url), { type: 'module' }),
  'The clip’s traces did not load. Check your connection and try again.',
);
