import { GAME_FILE_VERSION, TEAM_ONLY_KINDS, type GameFile } from '@bradyon/contract/gameFile';
import type { Entry } from '@bradyon/contract/games';
import type { Person } from '@bradyon/core/people';
import type { GameId, TeamId } from '@bradyon/core/units';
import { newId, queryClient } from '../../api/index.ts';
import type { Opponent } from '@bradyon/core/people';
import { addOpponents, addPeople } from '../people/index.ts';
import type { GameInHand } from './useGame.ts';
import { entryWrite, gameWrite, keptEntries } from './writes.ts';
import { entryWords } from './words.ts';
import { placeWords } from './situationWords.ts';
import { PLACE_WORDS } from './places.ts';

/** What the server has of a game, in its order. */
function numberedOf(teamId: TeamId, gameId: GameId): Entry[] {
  return [...keptEntries(teamId, gameId).rows.values()].sort((a, b) => a.seq - b.seq);
}

/** A game as a file, without what only the own team may know. */
export function gameFileOf(
  { game, people, situation }: GameInHand,
  team: { id: TeamId; name: string },
  opponents: readonly Opponent[],
): GameFile {
  const ids = new Set<string>([
    ...Object.values(situation.order).flat(),
    ...Object.values(situation.flex).flatMap((id) => id ?? []),
    ...Object.values(situation.bench).flatMap((bench) => Object.keys(bench)),
  ]);
  const bare = <T extends object>({ version: _version, ...row }: T & { version?: number }) => row;
  const numbered = numberedOf(team.id, game.id);
  const entries = numbered.filter(({ kind }) => !TEAM_ONLY_KINDS.includes(kind));
  const opponent = opponents.find(({ id }) => id === game.opponentId) ?? null;
  return {
    format: 'bradyon-game',
    version: GAME_FILE_VERSION,
    exportedAt: new Date().toISOString(),
    team: team.name,
    game: { ...game, lastSeq: numbered.at(-1)?.seq ?? 0 },
    opponent: opponent && bare(opponent),
    people: people.filter(({ id }) => ids.has(id)).map((person) => bare(person) as Person),
    entries,
  };
}

/** Brings a game in: under an id of its own, with whoever of it is not known yet. */
export function importGame(
  teamId: TeamId,
  { game, opponent, people, entries }: GameFile,
  known: { people: readonly Person[]; opponents: readonly Opponent[] },
): GameId {
  const id = newId<GameId>();
  if (opponent && !known.opponents.some((each) => each.id === opponent.id))
    addOpponents(teamId, [opponent]);
  const fresh = people.filter((person) => !known.people.some((each) => each.id === person.id));
  if (fresh.length > 0) addPeople(teamId, fresh);
  const { lastSeq: _lastSeq, ...draft } = game;
  gameWrite.send(teamId, { ...draft, id, opponentId: opponent?.id ?? null });
  entryWrite.send(teamId, ...entries.map(({ seq: _seq, ...entry }) => ({ gameId: id, entry })));
  void queryClient.invalidateQueries({ queryKey: ['games', teamId] });
  return id;
}

/** The pitch log as rows of a table. */
export function pitchRows(
  { game, now, name }: GameInHand,
  teamId: TeamId,
): Record<string, string | number>[] {
  const numbers = new Map<string, number>(
    numberedOf(teamId, game.id).map(({ id, seq }) => [id, seq]),
  );
  const undone = new Set<string>();
  for (const event of now.events.toReversed()) {
    if (event.kind === 'undo' && !undone.has(event.id)) undone.add(event.event);
  }
  const counted = now.events.filter(
    ({ id, kind }) => !undone.has(id) && !['undo', 'settle', ...TEAM_ONLY_KINDS].includes(kind),
  );
  return counted.map((event) => ({
    Number: numbers.get(event.id) ?? '',
    Time: event.at ?? '',
    From: PLACE_WORDS[event.place],
    'Place in the game': placeWords(event.slot),
    What: event.kind,
    Result: event.kind === 'pitch' || event.kind === 'pick' ? event.result : '',
    Delivery: event.kind === 'pitch' ? (event.style ?? '') : '',
    Words: entryWords(event, name),
  }));
}
