import type { EntryDraft } from '@bradyon/contract/games';
import type { AccountId } from '@bradyon/core/units';
import type { Tx } from '../../db/query.ts';
import { Problem } from '../../http/problem.ts';
import { selectAdmission } from './passes.sql.ts';

/** What only the staff tells: lineups, the book set by hand, and how a game ends. */
const STAFF_ONLY: readonly string[] = [
  'opened',
  'correction',
  'ended',
  'halfEnded',
  'sub',
  'settle',
];

/** Refuses what a guest's place does not tell. */
export async function guestMay(
  tx: Tx,
  accountId: AccountId,
  entries: readonly EntryDraft[],
): Promise<void> {
  const pass = await selectAdmission(tx, accountId);
  const stranger = entries.find(
    ({ place, kind }) => place !== pass?.place || STAFF_ONLY.includes(kind),
  );
  if (stranger)
    throw new Problem(403, 'Your code opens another place. Ask the bench to enter this.');
}
