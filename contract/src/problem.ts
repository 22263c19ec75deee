import type { Misfit } from './rule.ts';

/** What every refusal looks like on the wire: application/problem+json. */
export interface Problem {
  title: string;
  status: number;
  detail: string;
  errors: Misfit[];
}
