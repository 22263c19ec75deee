import { wrap, type Remote } from 'comlink';
import type { Heavy } from './innings.worker.ts';

let worker: Remote<Heavy> | null = null;

/** The worker of the odds, started when it is first asked; one for all screens. */
export function inWorker(): Remote<Heavy> {
  worker ??= wrap<Heavy>(
    new Worker(new URL('innings.worker.ts', import.meta.url), { type: 'module' }),
  );
  return worker;
}
