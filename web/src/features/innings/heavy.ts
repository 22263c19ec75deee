import { wrap, type Remote } from 'comlink';
import type { Heavy } from './innings.worker.ts';

interface Running {
  remote: Remote<Heavy>;
  /** Never comes to pass unless the worker fails. */
  failed: Promise<never>;
}

let running: Running | null = null;

/** The worker of the odds, started when it is first asked; one for all screens. */
function start(): Running {
  const worker = new Worker(new URL('innings.worker.ts', import.meta.url), { type: 'module' });
  const failed = new Promise<never>((_, reject) => {
    const fail = (): void => {
      // The next question starts another one.
      running = null;
      worker.terminate();
      reject(new Error('The odds did not load. Check your connection and try again.'));
    };
    worker.addEventListener('error', fail);
    worker.addEventListener('messageerror', fail);
  });
  failed.catch(() => undefined);
  return { remote: wrap<Heavy>(worker), failed };
}

/** @throws Error with words for the coach when the worker does not load or breaks */
export function inWorker<T>(ask: (heavy: Remote<Heavy>) => Promise<T>): Promise<T> {
  running ??= start();
  const { remote, failed } = running;
  return Promise.race([ask(remote), failed]);
}
