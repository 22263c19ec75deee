import { isDeepStrictEqual } from 'node:util';
import {
  MOST_ENTRIES,
  type Entry,
  type EntryAnswer,
  type EntryDraft,
} from '@bradyon/contract/games';
import type { GameId } from '@bradyon/core/units';
import type { Tx } from '../../db/query.ts';
import { notFound, Problem } from '../../http/problem.ts';
import * as games from './games.sql.ts';

/**
 * Takes entries in behind the last one, in their order. What was sent before is answered with the number
 * it has; another entry under a known id is refused by itself, and the others are kept.
 */
export async function takeEntries(
  tx: Tx,
  gameId: GameId,
  drafts: readonly EntryDraft[],
): Promise<EntryAnswer[]> {
  const lastSeq = await games.holdGame(tx, gameId);
  if (lastSeq === null) throw notFound('There is no such game any more.');
  const kept = await games.selectEntriesOf(
    tx,
    gameId,
    drafts.map(({ id }) => id),
  );
  const known = new Map(kept.map((entry) => [entry.id, entry]));
  const added: EntryDraft[] = [];
  const answers = drafts.map((draft): EntryAnswer => {
    const there = known.get(draft.id);
    if (there) return isSame(draft, there) ? { ok: true, entry: there } : OTHER;
    added.push(draft);
    const entry: Entry = { ...draft, seq: lastSeq + added.length };
    known.set(draft.id, entry);
    return { ok: true, entry };
  });
  if (lastSeq + added.length > MOST_ENTRIES)
    throw new Problem(422, 'This game has too many entries.');
  if (added.length > 0) await games.appendEntries(tx, gameId, lastSeq, added);
  return answers;
}

const OTHER: EntryAnswer = {
  ok: false,
  status: 409,
  detail: 'This id already stands for something else. Make a new one.',
  errors: [],
};

function isSame(draft: EntryDraft, { seq: _seq, ...kept }: Entry): boolean {
  return isDeepStrictEqual(draft, kept);
}
