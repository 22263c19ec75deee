import type { GameOfFile } from '@bradyon/contract/files';
import {
  PAGE_ENTRIES,
  type DeviceHere,
  type DeviceSeen,
  type Entry,
  type EntryDraft,
  type EntriesPage,
  type Game,
  type GameDraft,
} from '@bradyon/contract/games';
import type { SharedReplay } from '@bradyon/contract/review';
import type { AccountId, GameId, TeamId } from '@bradyon/core/units';
import sql, { raw, type Sql } from 'sql-template-tag';
import { many, maybeOne, one, type Tx } from '../../db/query.ts';

const GAME = raw(`
  id, opponent_id as "opponentId", starts_at as "startsAt", we_are_home as "weAreHome",
  last_seq as "lastSeq"`);
const ENTRY = raw('id, device, place, at, slot, kind, told, seq');

/** Games of the team in scope, the newest first. */
export function selectGames(tx: Tx): Promise<Game[]> {
  return many(tx, sql`select ${GAME} from games order by starts_at desc, id`);
}

export function selectGame(tx: Tx, id: GameId): Promise<Game | null> {
  return maybeOne(tx, sql`select ${GAME} from games where id = ${id}`);
}

/** @returns null when the id is taken */
export function insertGame(tx: Tx, game: GameDraft): Promise<Game | null> {
  const { id, opponentId, startsAt, weAreHome } = game;
  return maybeOne(
    tx,
    sql`insert into games (id, opponent_id, starts_at, we_are_home)
        values (${id}, ${opponentId}, ${startsAt}, ${weAreHome})
        on conflict on constraint games__team_id_id do nothing returning ${GAME}`,
  );
}

/** Removes a game with all its entries. */
export async function deleteGame(tx: Tx, id: GameId): Promise<void> {
  await tx.query(sql`delete from games where id = ${id}`);
}

/** What was made of entries, or why nothing was. */
type Taken = { refused: 'team' | 'game' | 'place' } | { answers: { seq: number; same: boolean }[] };

/** Takes entries in, all in one call; whoever listens is told. */
export async function callTakeEntries(
  db: Tx,
  asked: {
    /** An account's id, or how it is found. */
    account: AccountId | Sql;
    teamId: TeamId;
    gameId: GameId;
    most: number;
    drafts: readonly EntryDraft[];
  },
): Promise<Taken> {
  const { account, teamId, gameId, most, drafts } = asked;
  const { taken } = await one<{ taken: Taken }>(
    db,
    sql`select take_entries(${account}, ${teamId}, ${gameId}, ${most},
                            ${JSON.stringify(drafts)}::jsonb) as taken`,
  );
  return taken;
}

/** What is new of a game since a number, in order. */
export async function selectEntries(tx: Tx, gameId: GameId, since: number): Promise<EntriesPage> {
  const entries = await many<Entry>(
    tx,
    sql`select ${ENTRY} from game_entries where game_id = ${gameId} and seq > ${since}
        order by seq limit ${PAGE_ENTRIES}`,
  );
  return {
    entries,
    next: entries.at(-1)?.seq ?? since,
    more: entries.length === PAGE_ENTRIES,
  };
}

/** A whole game's entries, in order. */
export function selectAllEntries(tx: Tx, gameId: GameId): Promise<Entry[]> {
  return many(tx, sql`select ${ENTRY} from game_entries where game_id = ${gameId} order by seq`);
}

/** Every game with its entries, as a file has them. */
export async function selectGamesWhole(tx: Tx): Promise<GameOfFile[]> {
  const games = await selectGames(tx);
  const entries = await many<Entry & { gameId: GameId }>(
    tx,
    sql`select game_id as "gameId", ${ENTRY} from game_entries order by game_id, seq`,
  );
  const byGame = new Map<GameId, Entry[]>();
  for (const { gameId, ...entry } of entries) {
    const own = byGame.get(gameId);
    if (own) own.push(entry);
    else byGame.set(gameId, [entry]);
  }
  return games.map((game) => ({ ...game, entries: byGame.get(game.id) ?? [] }));
}

/** Games of a file, with the numbers their entries have there. */
export async function restoreGames(tx: Tx, games: readonly GameOfFile[]): Promise<void> {
  await tx.query(
    sql`insert into games (id, opponent_id, starts_at, we_are_home, last_seq)
        select g.id, g."opponentId", g."startsAt", g."weAreHome", g."lastSeq"
        from jsonb_to_recordset(${JSON.stringify(games.map(({ entries: _entries, ...game }) => game))}::jsonb)
          as g(id uuid, "opponentId" uuid, "startsAt" timestamptz, "weAreHome" boolean, "lastSeq" integer)`,
  );
  for (const { id, entries } of games) {
    await tx.query(
      sql`insert into game_entries (game_id, seq, id, device, place, at, slot, kind, told)
          select ${id}, e.seq, e.id, e.device, e.place, e.at, e.slot, e.kind, e.told
          from jsonb_to_recordset(${JSON.stringify(entries)}::jsonb)
            as e(seq integer, id uuid, device text, place text, at timestamptz, slot text, kind text,
                 told jsonb)`,
    );
  }
}

/** A device says where it is and how far. */
export async function saveDevice(tx: Tx, gameId: GameId, here: DeviceHere): Promise<void> {
  const { device, place, lastSeq } = here;
  await tx.query(
    sql`insert into game_devices (game_id, device, place, name, last_seq)
        values (${gameId}, ${device}, ${place},
                (select name from accounts where id = app_account()), ${lastSeq})
        on conflict on constraint game_devices__key do update
          set place = excluded.place, account_id = excluded.account_id, name = excluded.name,
              last_seq = excluded.last_seq, seen_at = now()`,
  );
}

/** Whoever has said so in the last hours, the freshest first. */
export function selectDevices(tx: Tx, gameId: GameId): Promise<DeviceSeen[]> {
  return many(
    tx,
    sql`select device, place, name, last_seq as "lastSeq",
               greatest(0, extract(epoch from now() - seen_at))::float8 as "secondsAgo"
        from game_devices
        where game_id = ${gameId} and seen_at > now() - interval '6 hours'
        order by seen_at desc limit 40`,
  );
}

/** Shares a game with players, in place of the one before. */
export async function saveReplay(tx: Tx, replay: SharedReplay): Promise<void> {
  await tx.query(sql`update teams set replay = ${JSON.stringify(replay)} where id = app_team()`);
}

/** The game that is shared with players, for one who drills by a code; null: none is. */
export async function selectReplay(tx: Tx): Promise<SharedReplay | null> {
  return (await one<{ replay: SharedReplay | null }>(tx, sql`select drill_replay() as replay`))
    .replay;
}
