import { wrap, type Remote } from 'comlink';

interface Running<Heavy> {
  remote: Remote<Heavy>;
  /** Never comes to pass unless the worker fails. */
  failed: Promise<never>;
}

/**
 * A worker that is started when it is first asked; one for all screens.
 * @param start makes it
 * @param words what is said when it does not load or breaks
 */
export function workerOf<Heavy>(start: () => Worker, words: string) {
  let running: Running<Heavy> | null = null;
  const run = (): Running<Heavy> => {
    const worker = start();
    const failed = new Promise<never>((_, reject) => {
      const fail = (): void => {
        // The next question starts another one.
        running = null;
        worker.terminate();
        reject(new Error(words));
      };
      worker.addEventListener('error', fail);
      worker.addEventListener('messageerror', fail);
    });
    failed.catch(() => undefined);
    return { remote: wrap<Heavy>(worker), failed };
  };
  return <T>(ask: (heavy: Remote<Heavy>) => Promise<T>): Promise<T> => {
    running ??= run();
    const { remote, failed } = running;
    return Promise.race([ask(remote), failed]);
  };
}
