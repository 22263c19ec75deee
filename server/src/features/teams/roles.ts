import type { Role } from '@bradyon/contract/teams';
import { Problem } from '../../http/problem.ts';

/** Refuses whoever is not the owner. @param what to stand after "can" */
export function ownerOnly(role: Role, what: string): void {
  if (role !== 'owner') throw new Problem(403, `Only the owner of the team can ${what}.`);
}
