import type {
  EntriesPage,
  Entry,
  EntryAnswers,
  EntryDraft,
  Game,
  GameDraft,
} from '@bradyon/contract/games';
import type { GameId, TeamId } from '@bradyon/core/units';
import {
  changeKept,
  defineWrite,
  growingList,
  request,
  teamOf,
  type Answer,
  type GrowingList,
} from '../../api/index.ts';
import { kindWords } from './kindWords.ts';

const path = (teamId: TeamId): string => `/api/teams/${teamId}/games`;

/** Every entry of a game that the server has. */
export function keptEntries(teamId: TeamId, gameId: GameId): GrowingList<Entry> {
  return growingList<Entry>(`game ${gameId}`, async (since) => {
    const url = `${path(teamId)}/${gameId}/entries?since=${String(since)}`;
    const { entries, next, more } = await request<EntriesPage>('GET', url);
    return { rows: entries, gone: [], next, more };
  });
}

/** A game that is made, or that changes its day or opponent. */
export const gameWrite = defineWrite<GameDraft>({
  name: 'game',
  most: 1,
  async send(games, teamId) {
    const answers: Answer[] = [];
    for (const game of games)
      answers.push({ ok: true, answer: await request<Game>('POST', path(teamOf(teamId)), game) });
    return answers;
  },
  merge(sent, teamId) {
    const games = sent.map(({ answer }) => answer as Game);
    changeKept<Game>(['games', teamOf(teamId)], (kept) => [
      ...kept.filter(({ id }) => !games.some((game) => game.id === id)),
      ...games,
    ]);
  },
  words: () => 'A new game',
});

/** What is told of a game, on its way to the server. */
interface EntryToSend {
  gameId: GameId;
  entry: EntryDraft;
}

/** As many as the server takes at once. */
const MOST_IN_ONE = 50;

export const entryWrite = defineWrite<EntryToSend>({
  name: 'game-entry',
  most: MOST_IN_ONE,
  async send(bodies, teamId) {
    // Those of one game go together; the order in each game is what counts.
    const answers = new Map<EntryToSend, Answer>();
    for (const gameId of new Set(bodies.map((body) => body.gameId))) {
      const own = bodies.filter((body) => body.gameId === gameId);
      const entries = own.map(({ entry }) => entry);
      const url = `${path(teamOf(teamId))}/${gameId}/entries`;
      const reply = await request<EntryAnswers>('POST', url, { entries });
      for (const [index, each] of reply.answers.entries()) {
        const body = own[index];
        if (body) answers.set(body, each.ok ? { ok: true, answer: each.seq } : each);
      }
    }
    return bodies.map(
      (body) => answers.get(body) ?? { ok: false, status: 400, detail: 'The server said nothing.' },
    );
  },
  merge(sent, teamId) {
    for (const { body, answer } of sent)
      keptEntries(teamOf(teamId), body.gameId).put([{ ...body.entry, seq: answer as number }]);
  },
  words: ({ entry }) => kindWords(entry.kind),
});
