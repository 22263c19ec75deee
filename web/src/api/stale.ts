import { RefusedError } from './request.ts';

/** What is kept now, when a change was refused because it was made from something older; else null. */
export function currentOf<T>(error: Error): T | null {
  return error instanceof RefusedError && error.problem.status === 409
    ? ((error.problem.current ?? null) as T | null)
    : null;
}
