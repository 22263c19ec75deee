import { MOST_ENTRIES, type EntryAnswer, type EntryDraft } from '@bradyon/contract/games';
import type { AccountId, GameId, TeamId } from '@bradyon/core/units';
import type { Sql } from 'sql-template-tag';
import type { Tx } from '../../db/query.ts';
import { notFound, Problem } from '../../http/problem.ts';
import { callTakeEntries } from './games.sql.ts';

const REFUSALS = {
  team: () => notFound('You have no such team.'),
  game: () => notFound('There is no such game any more.'),
  place: () => new Problem(403, 'Your code opens another place. Ask the bench to enter this.'),
} as const;

const OTHER: EntryAnswer = {
  ok: false,
  status: 409,
  detail: 'This id already stands for something else. Make a new one.',
  errors: [],
};

/**
 * Takes entries in behind the last one, in their order. What was sent before is answered with the number
 * it has; another entry under a known id is refused by itself, and the others are kept.
 */
export async function takeEntries(
  db: Tx,
  account: AccountId | Sql,
  teamId: TeamId,
  gameId: GameId,
  drafts: readonly EntryDraft[],
): Promise<EntryAnswer[]> {
  if (drafts.length === 0) return [];
  const taken = await callTakeEntries(db, {
    account,
    teamId,
    gameId,
    most: MOST_ENTRIES,
    drafts,
  });
  if ('refused' in taken) throw REFUSALS[taken.refused]();
  return taken.answers.map(({ seq, same }): EntryAnswer => (same ? { ok: true, seq } : OTHER));
}
