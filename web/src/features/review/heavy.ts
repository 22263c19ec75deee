import { workerOf } from '../../api/worker.ts';
import type { Heavy } from './review.worker.ts';

/** The worker of the reviews. @throws Error with words for the coach when it does not load or breaks */
export const inReviewWorker = workerOf<Heavy>(
  () => new Worker(new URL('review.worker.ts', import.meta.url), { type: 'module' }),
  'The review did not load. Check your connection and try again.',
);
