import type { GameLook } from '@bradyon/contract/bases';
import type { GameBunt } from '@bradyon/contract/bunts';
import { eventOf } from '@bradyon/contract/games';
import type { BattingRecord } from '@bradyon/contract/innings';
import { battingOf, buntsOf, looksOf, readGame } from '@bradyon/core/games';
import { totalsTogether, type BattingTotals } from '@bradyon/core/innings';
import type { GameId, PersonId } from '@bradyon/core/units';
import type { Tx } from '../../db/query.ts';
import { selectAllEntries, selectGames } from './games.sql.ts';

interface OfGame {
  batting: ReadonlyMap<PersonId, BattingTotals>;
  bunts: readonly GameBunt[];
  looks: readonly GameLook[];
}

/** Entries never change, so that a game of so many entries comes to the same for ever. */
const known = new Map<string, OfGame>();
const MOST_KNOWN = 2000;

/** What everybody did at bat in all games of the team in scope, worked out from the entries. */
export async function seasonOf(tx: Tx): Promise<BattingRecord[]> {
  const totals = new Map<PersonId, BattingTotals[]>();
  for (const { id, lastSeq } of await selectGames(tx)) {
    if (lastSeq === 0) continue;
    for (const [personId, own] of (await ofGame(tx, id, lastSeq)).batting) {
      const before = totals.get(personId);
      if (before) before.push(own);
      else totals.set(personId, [own]);
    }
  }
  return [...totals]
    .map(([personId, all]): BattingRecord => ({ personId, ...totalsTogether(all) }))
    .filter(({ plateAppearances }) => plateAppearances > 0);
}

/** Every bunt of all games of the team in scope. */
export function buntsOfSeason(tx: Tx): Promise<GameBunt[]> {
  return ofSeason(tx, ({ bunts }) => bunts);
}

/** What all games of the team in scope showed of outfielders. */
export function looksOfSeason(tx: Tx): Promise<GameLook[]> {
  return ofSeason(tx, ({ looks }) => looks);
}

async function ofSeason<Row>(tx: Tx, rowsOf: (game: OfGame) => readonly Row[]): Promise<Row[]> {
  const rows: Row[] = [];
  for (const { id, lastSeq } of await selectGames(tx)) {
    if (lastSeq > 0) rows.push(...rowsOf(await ofGame(tx, id, lastSeq)));
  }
  return rows;
}

async function ofGame(tx: Tx, id: GameId, lastSeq: number): Promise<OfGame> {
  const key = `${id} ${String(lastSeq)}`;
  const kept = known.get(key);
  if (kept) return kept;
  const entries = await selectAllEntries(tx, id);
  const { state } = readGame(entries.map(eventOf));
  const made = {
    batting: battingOf(state),
    looks: looksOf(state),
    bunts: buntsOf(state).map(({ personId, bunt }) => ({ personId, ...bunt })),
  };
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, made);
  return made;
}
