import type { Misfit } from './rule.ts';

/** What every refusal looks like on the wire: application/problem+json. */
export interface Problem {
  title: string;
  status: number;
  detail: string;
  errors: Misfit[];
  /** What is kept now, when a change was made from something older. */
  current?: unknown;
}
