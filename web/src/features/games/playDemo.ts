import { entryOf, type Game } from '@bradyon/contract/games';
import { playRulesOf, playThrough, startLineUp, type GameEvent } from '@bradyon/core/games';
import { PLAY_LEVELS } from '@bradyon/core/innings';
import { makeRandom } from '@bradyon/core/maths';
import type { Team } from '@bradyon/contract/teams';
import type { Opponent, Person } from '@bradyon/core/people';
import type { GameId, PersonId } from '@bradyon/core/units';
import { newId, queryClient, request } from '../../api/index.ts';

let running: GameId | null = null;

/** Ends the game that is being played here, if one is. */
function stopPlaying(): void {
  running = null;
}

/**
 * Plays a made-up game against the real server, as three devices would, one entry after the other.
 * @returns the game, as soon as it is open
 */
export async function playDemo(
  team: Team,
  opponent: Opponent,
  known: { people: readonly Person[]; order: readonly PersonId[] },
  everyMs: number,
): Promise<GameId> {
  const id = newId<GameId>();
  const base = `/api/teams/${team.id}/games`;
  const lineUp = (of: Person['opponentId'], order: readonly PersonId[]) =>
    startLineUp(
      known.people.filter((person) => person.opponentId === of),
      { last: null, order },
    );
  const nowIso = (): string => new Date().toISOString();
  await request<Game>('POST', base, {
    id,
    opponentId: opponent.id,
    startsAt: nowIso(),
    weAreHome: false,
  });
  const opened = {
    id: newId<never>(),
    seq: null,
    device: 'played bench',
    place: 'bench',
    at: nowIso(),
    slot: 'T1.1.1',
    kind: 'opened',
    rules: playRulesOf(team.ruleset),
    ours: 'away',
    away: lineUp(null, known.order),
    home: lineUp(opponent.id, []),
  } as GameEvent;
  const send = async (event: GameEvent): Promise<void> => {
    await request('POST', `${base}/${id}/entries`, { entries: [entryOf(event)] });
  };
  await send(opened);
  running = id;
  void queryClient.invalidateQueries({ queryKey: ['games', team.id] });
  void playThrough({
    opened,
    random: makeRandom(Date.now()),
    rates: PLAY_LEVELS[team.level].rates,
    newId: () => newId<never>(),
    nowIso,
    send,
    wait: async () => {
      await new Promise((done) => setTimeout(done, everyMs));
      return running === id;
    },
  })
    // A server that is away ends the show; what was sent stays.
    .catch(() => undefined)
    .finally(stopPlaying);
  return id;
}
